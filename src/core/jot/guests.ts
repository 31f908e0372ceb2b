import type { JotContext, Rule } from './rule';
import { rule } from './rule';

/** A name as it may stand in a line: whole, or the first name where only one goes by it. */
function namesOf(people: NonNullable<JotContext['people']>): Map<string, string> {
  const names = new Map<string, string>();
  const firsts = new Map<string, string[]>();
  for (const { id, name } of people) {
    const whole = name.trim().toLowerCase().replaceAll(/\s+/g, ' ');
    names.set(whole, id);
    const first = whole.split(' ')[0]!;
    firsts.set(first, [...(firsts.get(first) ?? []), id]);
  }
  for (const [first, ids] of firsts)
    if (ids.length === 1 && !names.has(first)) names.set(first, ids[0]!);
  return names;
}

const escaped = (name: string) =>
  name.replaceAll(/[.*+?^${}()|[\]\\/-]/g, '\\$&').replaceAll(' ', '\\s+');

/** "with Ida and Tomas": people who are known, by their first or whole names. They stay in the title. */
export function guestRules({ people = [] }: Pick<JotContext, 'people'>): Rule[] {
  if (!people.length) return [];
  const names = namesOf(people);
  // The longer first: "Ida Solberg" is no Ida with a word after her.
  const any = [...names.keys()]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|');
  const one = new RegExp(any, 'gu');
  return [
    rule(
      `(?:with|w/)\\s+((?:${any})(?:(?:\\s*,\\s*(?:and\\s+)?|\\s+and\\s+|\\s*&\\s*)(?:${any}))*)`,
      9,
      ([said]) => {
        const ids = [...said!.matchAll(one)].map(([name]) =>
          names.get(name.replaceAll(/\s+/g, ' '))!,
        );
        return { kind: 'guests', ids: [...new Set(ids)] };
      },
      '(?=$|[\\s,.;!?)])',
    ),
  ];
}
