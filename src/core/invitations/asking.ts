import type { JcalProperty } from '../model/common';
import type { CalendarEvent } from '../model/event';

/** How guests are asked. */
export type Asking = NonNullable<CalendarEvent['asking']>;

const EVERYTHING: Asking = {
  seesList: true,
  wantsAnswers: true,
  mayPropose: true,
  mayPassOn: true,
};

/** How guests of an event are asked. */
export const askingOf = ({ asking }: Pick<CalendarEvent, 'asking'>): Asking => asking ?? EVERYTHING;

/** What guests are not to do: the standard has no word for it, so that it is said by names of our own. */
const NOT = {
  mayPropose: ['x-orderly-other-times', 'NO'],
  mayPassOn: ['x-orderly-passing-on', 'NO'],
} as const;
type May = keyof typeof NOT;

/** Properties that tell what guests are not to do. */
export const askingProperties = (event: Pick<CalendarEvent, 'asking'>): JcalProperty[] =>
  (Object.keys(NOT) as May[])
    .filter((may) => !askingOf(event)[may])
    .map((may) => [NOT[may][0], {}, 'unknown', NOT[may][1]]);

/** Whether who asks lets a guest do something, by what their event says. */
export function lets({ passthrough }: Pick<CalendarEvent, 'passthrough'>, may: May): boolean {
  const [name, no] = NOT[may];
  const said = passthrough?.properties.find((one) => one[0] === name)?.[3];
  return String(said ?? '').toUpperCase() !== no;
}

/** The same in words, for those whose program does not know them. */
export const sayAsking = (event: Pick<CalendarEvent, 'asking'>): string[] => {
  const { mayPropose, mayPassOn } = askingOf(event);
  return [
    ...(mayPropose ? [] : ['The time is fixed: please propose no other.']),
    ...(mayPassOn ? [] : ['Please do not pass it on to somebody else.']),
  ];
};
