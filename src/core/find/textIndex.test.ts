import fc from 'fast-check';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { TextIndex } from './textIndex';

const event = (id: string, fields: Partial<CalendarEvent>) =>
  newEvent(
    {
      id,
      calendarId: 'c',
      start: { kind: 'date', date: '2026-11-24' },
      end: { kind: 'date', date: '2026-11-25' },
      ...fields,
    },
    0,
  );

function indexOf(...events: CalendarEvent[]): TextIndex {
  const index = new TextIndex();
  for (const one of events) index.put(one);
  return index;
}

const texts = (index: TextIndex, typed: string) =>
  index.find(typed).map(({ field, text, count }) => `${field}: ${text} ×${count}`);

const HARBOUR = indexOf(
  event('a', { title: 'Osaka call', place: 'Small office' }),
  event('b', { title: 'Osaka call', notes: 'Ask for the lens' }),
  event('c', { title: 'Lens round', place: 'Café Quay' }),
  event('d', {
    title: 'Barometer',
    attendees: [{ name: 'Mei Lund', address: '', role: 'required', answer: 'none' }],
  }),
  event('e', { title: 'Gone', removedAt: 1 }),
);

test.each([
  ['osa', ['title: Osaka call ×2']],
  ['OSAKA call', ['title: Osaka call ×2']],
  ['cafe', ['place: Café Quay ×1']],
  ['lund', ['people: Mei Lund ×1']],
  // A letter too many, one missing, two swapped.
  ['osakka', ['title: Osaka call ×2']],
  ['barmeter', ['title: Barometer ×1']],
  ['baroemter', ['title: Barometer ×1']],
  ['osaak', ['title: Osaka call ×2']],
  ['oskk', []],
  ['osaka lens', []],
  ['gone', []],
  ['', []],
])('“%s” finds %j', (typed, expected) => {
  expect(texts(HARBOUR, typed)).toEqual(expected);
});

test('a word as it is written comes before one that is like it', () => {
  const index = indexOf(event('a', { title: 'Lent' }), event('b', { title: 'Lens' }));
  expect(index.find('lens').map(({ text }) => text)).toEqual(['Lens', 'Lent']);
});

test.each([
  ['osakka', 'osaka'],
  ['barmeter cal', 'barometer cal'],
  ['osaka', null],
  ['zzzz', null],
  ['9999', null],
])('“%s” may have been meant as %j', (typed, meant) => {
  expect(HARBOUR.corrected(typed)).toBe(meant);
});

test('an index that was edited finds what a new one finds', () => {
  const title = fc.constantFrom('', 'lamp', 'lamp check', 'quay', 'Quay round', 'lantern');
  const some = fc.record({
    id: fc.constantFrom('a', 'b', 'c'),
    title,
    notes: title,
    isGone: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(some, { maxLength: 12 }), title, (edits, typed) => {
      const edited = new TextIndex();
      const last = new Map<string, CalendarEvent>();
      for (const { id, title: called, notes, isGone } of edits) {
        if (isGone) {
          edited.remove(id);
          last.delete(id);
          continue;
        }
        const one = event(id, { title: called, notes });
        edited.put(one);
        last.set(id, one);
      }
      expect(texts(edited, typed).sort()).toEqual(texts(indexOf(...last.values()), typed).sort());
    }),
  );
});

test('spellings with two dots and with two letters find each other', () => {
  const index = indexOf(event('a', { title: 'Söhne' }), event('b', { title: 'Soehne' }));
  expect(texts(index, 'soehne').sort()).toEqual(['title: Soehne ×1', 'title: Söhne ×1']);
  expect(texts(index, 'söhne')).toContain('title: Söhne ×1');
});
