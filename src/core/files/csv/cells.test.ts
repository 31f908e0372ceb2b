import { guessColumns } from './guessColumns';
import { readDate } from './dates';
import { readLength, readRows } from './rows';
import { readTable } from './table';
import { parseDate } from '../../time/civil';

function read(text: string) {
  const table = readTable(text);
  const columns = guessColumns(table.columns);
  return readRows(table, {
    columns,
    order: 'day',
    zone: 'Europe/London',
    defaultLength: 30,
    now: 0,
  });
}
const startOf = (cell: string) => {
  const { events, skipped } = read(`Title\tDate\tTime\nA\t24/11/2026\t${cell}`);
  const start = events[0]?.start;
  return skipped[0]?.what ?? (start?.kind === 'zoned' ? start.local.slice(11, 16) : start?.kind);
};

test.each([
  ['9:05', '09:05'],
  ['9.05', '09:05'],
  ['19:05', '19:05'],
  ['14:30:20', '14:30'],
  ['9:05 am', '09:05'],
  ['2:30 PM', '14:30'],
  ['2:30pm', '14:30'],
  ['2:30 p.m.', '14:30'],
  ['2.30 p.m', '14:30'],
  ['2:30:15 PM', '14:30'],
  ['11 a.m.', '11:00'],
  ['11am', '11:00'],
  ['12 p.m.', '12:00'],
  ['', 'date'],
  ['9:05 lamps', '“A” stays out: “9:05 lamps” is not a time.'],
  ['11 a.m. or so', '“A” stays out: “11 a.m. or so” is not a time.'],
  ['24:60', '“A” stays out: “24:60” is not a time.'],
])('a time of %j is %s', (cell, said) => {
  expect(startOf(cell)).toBe(said);
});

test.each([
  ['24/11/2026 16:05', '16:05'],
  ['24/11/2026, 4:05 pm', '16:05'],
  ['2026-11-24T16:05', '16:05'],
  ['24/11/2026', 'date'],
])('a date of %j holds the time %s', (cell, said) => {
  const start = read(`Title\tDate\nA\t${cell}`).events[0]!.start;
  expect(start.kind === 'zoned' ? start.local.slice(11, 16) : start.kind).toBe(said);
});

test.each([
  ['12:30', 750],
  ['1:30:00', 90],
  ['1:30 hr', 90],
  ['2:15 hrs', 135],
  ['2:15 hour', 135],
  ['2:15hours', 135],
  ['1 hr. 15 mins.', 75],
  ['0:00', 0],
  ['1:5', null],
  ['x1:30', null],
  ['1:30 lamps', null],
])('a length of %j is %s minutes', (text, minutes) => {
  expect(readLength(text)).toBe(minutes);
});

test.each([
  ['Tuesday, Nov 24 2026', '2026-11-24'],
  ['Tue Nov 24, 2026', '2026-11-24'],
  ['November 24th 2026', '2026-11-24'],
  ['1st Dec 2026', '2026-12-01'],
  ['24-Nov-26', '2026-11-24'],
])('%s is %s', (text, date) => {
  expect(readDate(text, 'day')).toBe(parseDate(date));
});

test('only what was put before a cell to keep it from running is taken off', () => {
  const titles = ["'=1+1", "'@lamp", "'-3", "'+4", "x'=1", "'tis"].map(
    (title) => read(`Title\tDate\n${title}\t24/11/2026`).events[0]!.title,
  );
  expect(titles).toEqual(['=1+1', '@lamp', '-3', '+4', "x'=1", "'tis"]);
});
