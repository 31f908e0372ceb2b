import { existsSync } from 'node:fs';
import { readJot } from '@/core/jot/jot';
import { TUESDAY } from '@/core/jot/testing/context';
import { NEWS, TASKS, WORDS } from './topics';

test('every “show me” leads somewhere, and every topic has a name of its own', () => {
  expect(new Set(TASKS.map(({ id }) => id)).size).toBe(TASKS.length);
  for (const { showMe } of TASKS)
    if ('path' in showMe) expect(existsSync(`app${showMe.path}.tsx`)).toBe(true);
});

test('words are explained once each, and what is new is told the latest first', () => {
  expect(new Set(WORDS.map(([word]) => word)).size).toBe(WORDS.length);
  const days = NEWS.map(([day]) => day);
  expect(days).toEqual(days.toSorted().reverse());
});

test('whatever the help says can be typed is understood, all of it', () => {
  const add = TASKS.find(({ id }) => id === 'add')!;
  const said = add.text.find((text) => text.startsWith('Days: '))!.match(/(?<=“)[^”]+(?=”)/g)!;
  expect(said.length).toBeGreaterThan(10);
  for (const phrase of said)
    expect([phrase, readJot(`Talk ${phrase}`, TUESDAY).title]).toEqual([phrase, 'Talk']);
});
