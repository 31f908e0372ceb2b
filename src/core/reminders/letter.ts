import { findClashes } from '../agenda/clashes';
import { sayLeaveBy } from '../agenda/standing';
import { clearMinutes, clearStretches } from '../agenda/clear';
import { bookedMinutes } from '../agenda/booked';
import type { Occurrence } from '../agenda/occurrence';
import type { Workweek } from '../model/others';
import type { Task } from '../model/task';
import { titleOf } from '../model/titleOf';
import { workdayOf } from '../model/workweek';
import { minuteOfDay } from '../time/civil';
import type { DayNumber, WallMs } from '../time/units';
import { count, LONG_DAY, sayDay, sayHours, sayMinute } from '../time/words';
import type { Message } from './reminding';
import type { ReminderWording } from './words';

interface LetterDay {
  /** Day number */
  day: DayNumber;
  /** What happens on it, in order of start. */
  occurrences: readonly Occurrence[];
  tasks: readonly Pick<Task, 'title'>[];
  workweek: Workweek;
  wording: ReminderWording;
}

interface Part {
  heading: string;
  lines: string[];
}

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};

/** A text as HTML shows it: nothing in it is markup. */
const escaped = (text: string) => text.replaceAll(/[&<>"']/g, (sign) => ESCAPES[sign]!);

function partsOf({ day, occurrences, tasks, workweek, wording }: LetterDay): Part[] {
  const at = (wall: WallMs) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const eventLine = (o: Occurrence) => {
    const when = o.wholeDay ? 'whole day' : `${at(o.start)} – ${at(o.end)}`;
    const facts = [o.place, sayLeaveBy(o, wording)].filter(Boolean).map((fact) => `, ${fact}`);
    return `${when}  ${titleOf(o)}${facts.join('')}`;
  };
  const clear = clearStretches(day, occurrences, workdayOf(day, workweek).hours);
  const clashes = findClashes(occurrences);
  return [
    {
      heading: occurrences.length ? count(occurrences.length, 'event') : 'Nothing is planned',
      lines: occurrences.map(eventLine),
    },
    {
      heading: 'At the same time',
      lines: clashes.map(
        ({ first, second, start }) => `${at(start)}  ${titleOf(first)} and ${titleOf(second)}`,
      ),
    },
    { heading: 'To do by today', lines: tasks.map(({ title }) => title || 'Untitled') },
    {
      heading: `Clear: ${sayHours(clearMinutes(clear, wording.clock))}`,
      lines: clear.map(({ start, end }) => `${at(start)} – ${at(end)}`),
    },
  ].filter(({ lines }, i) => i === 0 || lines.length > 0);
}

/** The letter of a day: what it holds, as plain text and as HTML in which nothing of the events is markup. */
export function morningLetter(letter: LetterDay): Pick<Message, 'subject' | 'text' | 'html'> {
  const { day, occurrences, wording } = letter;
  const parts = partsOf(letter);
  const title = sayDay(day, wording, LONG_DAY);
  const [booked = 0] = bookedMinutes(occurrences, day, day + 1, wording.clock);
  const first = `${sayHours(booked)} booked`;
  const text = [
    title,
    first,
    ...parts.flatMap(({ heading, lines }) => ['', heading, ...lines]),
    '',
  ];
  const list = (lines: string[]) =>
    lines.length ? `<ul>${lines.map((line) => `<li>${escaped(line)}</li>`).join('')}</ul>` : '';
  const html = [
    `<h1>${escaped(title)}</h1><p>${escaped(first)}</p>`,
    ...parts.map(({ heading, lines }) => `<h2>${escaped(heading)}</h2>${list(lines)}`),
  ].join('');
  return { subject: `${title}: ${first}`, text: text.join('\n'), html };
}
