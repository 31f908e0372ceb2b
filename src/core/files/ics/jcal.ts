import ICAL from 'ical.js';
import type { JcalComponent, JcalProperty } from '../../model/common';
import { mendLines } from './mendLines';
import type { RawComponent, RawLine } from './scan';

/** Something in a file that was left out or read differently, for the person. */
export interface Problem {
  /** Line number in the file, from 1. */
  line: number;
  what: string;
}

/** A component in jCal, with its repeat rules as the file wrote them. */
export interface ParsedComponent {
  jcal: JcalComponent;
  /** Values of RRULE, untouched: our own reader understands more of them than ical.js does. */
  rules: string[];
  /** Lines that could not be read. */
  bad: RawLine[];
}

/** An END of nothing that is open: ical.js would close the component with it. */
const STRAY = /^(BEGIN|END)[ \t]*:/i;
/** Names that the parser would take for something of the language itself. */
const OF_THE_LANGUAGE = /^(constructor|__proto__)\b|^[^:]*;VALUE="?(constructor|__proto__)\b/i;
const RULE_LINE = /^RRULE(?:;[^:]*)?:(.*)$/is;

function textOf(component: RawComponent, lines: readonly RawLine[]): string {
  const parts = [`BEGIN:${component.name}`];
  for (const line of lines) parts.push(line.text);
  for (const child of component.children) parts.push(textOf(child, child.lines));
  parts.push(`END:${component.name}`);
  return parts.join('\r\n');
}

function parseWhole(component: RawComponent, lines: readonly RawLine[]): JcalComponent | null {
  try {
    const jcal = ICAL.parse(textOf(component, lines)) as JcalComponent;
    return withRawValues(jcal, component, lines);
  } catch {
    // Which line is at fault is found by the caller, line by line.
    return null;
  }
}

/** What values of a type look like in jCal (RFC 7265 §3.6); the parser lets others through, changed. */
const WELL_FORMED: Record<string, RegExp> = {
  date: /^\d{4}-\d\d-\d\d$/,
  'date-time': /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ?$/,
  time: /^\d\d:\d\d:\d\dZ?$/,
  'utc-offset': /^[+-]\d\d:\d\d(:\d\d)?$/,
};
/** Properties of an event that are read by themselves, odd forms of them too. */
const READ_APART = new Set(['dtstart', 'dtend', 'rdate', 'exdate', 'recurrence-id']);

const isWellFormed = ([, , type, ...values]: JcalProperty) =>
  type === 'period'
    ? values
        .flat()
        .every(
          (value) => /^[+-]?P/.test(String(value)) || WELL_FORMED['date-time']!.test(String(value)),
        )
    : !Object.hasOwn(WELL_FORMED, type) ||
      values.every((value) => WELL_FORMED[type]!.test(String(value)));

/** Where the value of an unfolded content line begins: after the first colon outside of quotes. */
const VALUE = /^(?:[^":]|"[^"]*")*:(.*)$/s;

/**
 * A component in which dates that are none stay as the file has them: the parser would make
 * something else of them each time they go through it.
 */
function withRawValues(
  jcal: JcalComponent,
  component: RawComponent,
  lines: readonly RawLine[],
): JcalComponent {
  const [name, properties, children] = jcal;
  if (properties.length !== lines.length) return jcal;
  const kept = properties.map((prop, i): JcalProperty => {
    if (isWellFormed(prop) || (name === 'vevent' && READ_APART.has(prop[0]))) return prop;
    const value = VALUE.exec(lines[i]!.text)?.[1];
    const named = /;VALUE=([\w-]+)/i.exec(lines[i]!.text)?.[1];
    return value === undefined
      ? prop
      : [prop[0], { ...prop[1], ...(named && { value: named }) }, 'unknown', value];
  });
  const inner = children.map((child, i) => {
    const raw = component.children[i];
    return raw ? withRawValues(child, raw, raw.lines) : child;
  });
  return [name, kept, inner];
}

function isReadable(line: RawLine): boolean {
  if (STRAY.test(line.text) || OF_THE_LANGUAGE.test(line.text)) return false;
  try {
    ICAL.parse.property(line.text);
    return true;
  } catch {
    return false;
  }
}

/** Parses a raw component. One bad line doesn't spoil the rest: it is named in `bad`. */
export function parseComponent(component: RawComponent): ParsedComponent {
  const rules: string[] = [];
  const lines = mendLines(component.lines).filter((line) => {
    const rule = RULE_LINE.exec(line.text);
    if (rule) rules.push(rule[1]!.trim());
    return !rule;
  });
  const jcal = lines.some(({ text }) => STRAY.test(text) || OF_THE_LANGUAGE.test(text))
    ? null
    : parseWhole(component, lines);
  if (jcal) return { jcal, rules, bad: [] };

  const bad: RawLine[] = [];
  const good: RawLine[] = [];
  for (const line of lines) (isReadable(line) ? good : bad).push(line);
  const children: JcalComponent[] = [];
  for (const child of component.children) {
    const parsed = parseComponent(child);
    for (const line of parsed.bad) bad.push(line);
    children.push(parsed.jcal);
  }
  const alone = parseWhole({ ...component, children: [] }, good);
  const own = alone ?? ([component.name.toLowerCase(), [], []] as JcalComponent);
  if (!alone) for (const line of good) bad.push(line);
  return { jcal: [own[0], own[1], children], rules, bad };
}

/** The first property of a name (lower case), or undefined. */
export function property(component: JcalComponent, name: string): JcalProperty | undefined {
  return component[1].find((candidate) => candidate[0] === name);
}

/** The text of a property's first value; empty when there is none. */
export function textValue(component: JcalComponent, name: string): string {
  const value = property(component, name)?.[3];
  return typeof value === 'string' ? value : value === undefined ? '' : String(value);
}

/**
 * Folds a content line so that no part is longer than 75 octets (RFC 5545 §3.1); characters are
 * not cut.
 */
export function foldLine(line: string): string {
  let folded = '';
  let octets = 0;
  for (const character of line) {
    const code = character.codePointAt(0)!;
    const size = code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
    if (octets + size > 75) {
      folded += '\r\n ';
      octets = 1;
    }
    folded += character;
    octets += size;
  }
  return folded;
}

/** The content line (folded, without its end) of a jCal property. */
export function propertyLine(prop: JcalProperty): string {
  const [name, parameters, type, value] = prop;
  if (type !== 'unknown')
    return foldLine(ICAL.stringify.property(prop, ICAL.design.icalendar, true));
  // A value that was kept as it stood goes out as it stands, whatever its name says it should be.
  const line = ICAL.stringify.property(
    [STAND_IN, parameters, type, ''],
    ICAL.design.icalendar,
    true,
  );
  return foldLine(`${name.toUpperCase()}${line.slice(STAND_IN.length)}${String(value)}`);
}

/** A name of which nothing is known. */
const STAND_IN = 'x-raw';

/** The content lines of a jCal component, with its BEGIN and END. */
export function componentLines(component: JcalComponent): string[] {
  const name = component[0].toUpperCase();
  return [
    `BEGIN:${name}`,
    ...component[1].map(propertyLine),
    ...component[2].flatMap(componentLines),
    `END:${name}`,
  ];
}
