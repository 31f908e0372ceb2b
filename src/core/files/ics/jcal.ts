import ICAL from 'ical.js';
import type { JcalComponent, JcalProperty } from '../../model/common';
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
const STRAY_END = /^END[ \t]*:/i;
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
    return ICAL.parse(textOf(component, lines)) as JcalComponent;
  } catch {
    // Which line is at fault is found by the caller, line by line.
    return null;
  }
}

function isReadable(line: RawLine): boolean {
  if (STRAY_END.test(line.text)) return false;
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
  const lines = component.lines.filter((line) => {
    const rule = RULE_LINE.exec(line.text);
    if (rule) rules.push(rule[1]!.trim());
    return !rule;
  });
  const jcal = lines.some((line) => STRAY_END.test(line.text))
    ? null
    : parseWhole(component, lines);
  if (jcal) return { jcal, rules, bad: [] };

  const bad = lines.filter((line) => !isReadable(line));
  const good = lines.filter((line) => !bad.includes(line));
  const children: JcalComponent[] = [];
  for (const child of component.children) {
    const parsed = parseComponent(child);
    bad.push(...parsed.bad);
    children.push(parsed.jcal);
  }
  const alone = parseWhole({ ...component, children: [] }, good);
  const own = alone ?? ([component.name.toLowerCase(), [], []] as JcalComponent);
  if (!alone) bad.push(...good);
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
  return foldLine(ICAL.stringify.property(prop, ICAL.design.icalendar, true));
}

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
