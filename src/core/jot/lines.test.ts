import { writeRepeat } from '../recurrence/repeat';
import { DAY, formatDate, formatLocal } from '../time/civil';
import type { WallMs } from '../time/units';
import { readJot } from './jot';
import cases from './testdata/lines.json';
import { TUESDAY } from './testing/context';

/** What a case may say of a line; a list means that each of its values is right. */
interface Case {
  line: string;
  title: string;
  wholeDay?: boolean;
  start?: string | string[];
  end?: string;
  lastDay?: string;
  zone?: string | string[];
  place?: string;
  calendar?: string;
  rule?: string;
}

/** The parts of a rule that are compared: without its week's start, an end by its date. */
const ruleParts = (rule: string | undefined) =>
  (rule ?? 'once')
    .split(';')
    .filter((part) => !part.startsWith('WKST'))
    .map((part) => (part.startsWith('UNTIL') ? part.slice(0, 14) : part))
    .map((part) =>
      part.startsWith('BYDAY=') ? `BYDAY=${part.slice(6).split(',').sort().join()}` : part,
    )
    .sort()
    .join(';');

function read(line: string) {
  const jot = readJot(line, TUESDAY);
  const { workdays } = TUESDAY;
  const rule = writeRepeat(jot.repeat, {
    zone: jot.zone ?? 'Europe/London',
    wholeDay: jot.wholeDay,
    workdays,
  });
  const format = (wall: WallMs) => formatLocal(wall).slice(0, jot.wholeDay ? 10 : 16);
  return {
    title: jot.title.toLowerCase(),
    wholeDay: jot.wholeDay,
    start: format(jot.start),
    end: format(jot.end),
    lastDay: formatDate(jot.end / DAY - 1),
    zone: jot.zone,
    place: jot.place,
    calendar: TUESDAY.calendars.find(({ id }) => id === jot.calendarId)!.name,
    rule: ruleParts(rule),
  };
}

test.each((cases as Case[]).map((one) => [one.line, one] as const))(
  '%s',
  (line, { line: _, ...meant }) => {
    const found = read(line);
    const wanted = { ...meant, title: meant.title.toLowerCase(), rule: ruleParts(meant.rule) };
    for (const [field, value] of Object.entries(wanted)) {
      const is = found[field as keyof typeof found];
      if (Array.isArray(value))
        expect({ [field]: value }).toEqual({ [field]: expect.arrayContaining([is]) });
      else expect({ [field]: is }).toEqual({ [field]: value });
    }
  },
);
