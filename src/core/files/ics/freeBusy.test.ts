import fc from 'fast-check';
import type { BusyStretch } from '../../people/busy';
import { mergedBusy } from '../../people/busy';
import { MINUTE } from '../../time/civil';
import { readFreeBusy, writeFreeBusy } from './freeBusy';
import { FileError } from './scan';

const FROM = Date.parse('2026-11-01T00:00:00Z');
const TO = Date.parse('2026-12-01T00:00:00Z');
const file = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'BEGIN:VFREEBUSY', ...lines, 'END:VFREEBUSY', 'END:VCALENDAR', ''].join(
    '\r\n',
  );
const at = (text: string) => Date.parse(`2026-11-${text}:00Z`);

test('what is written is read again, kind by kind', () => {
  const stretch = fc
    .record({
      at: fc.integer({ min: 0, max: 29 * 1440 }),
      minutes: fc.integer({ min: 1, max: 1440 }),
      taken: fc.constantFrom('busy' as const, 'tentative' as const, 'away' as const),
    })
    .map(({ at: minute, minutes, taken }): BusyStretch => ({
      start: FROM + minute * MINUTE,
      end: FROM + (minute + minutes) * MINUTE,
      taken,
    }));
  fc.assert(
    fc.property(fc.array(stretch, { maxLength: 20 }), (stretches) => {
      const text = writeFreeBusy({
        uid: 'ida@quay.example',
        organizer: 'ida@quay.example',
        from: FROM,
        to: TO,
        stretches,
        now: 0,
      });
      expect(readFreeBusy(text)).toEqual(mergedBusy(stretches));
    }),
  );
});

test('only what lies in the time that is told of is written', () => {
  const text = writeFreeBusy({
    uid: 'a',
    organizer: '',
    from: at('10T09:00'),
    to: at('10T12:00'),
    stretches: [
      { start: at('10T08:00'), end: at('10T10:00'), taken: 'busy' },
      { start: at('10T12:00'), end: at('10T13:00'), taken: 'busy' },
    ],
    now: 0,
  });
  expect(readFreeBusy(text)).toEqual([
    { start: at('10T09:00'), end: at('10T10:00'), taken: 'busy' },
  ]);
});

test('periods come with an end or a length, several to a line, of kinds that are known or not', () => {
  expect(
    readFreeBusy(
      file(
        'FREEBUSY:20261110T090000Z/20261110T100000Z,20261110T140000Z/PT90M',
        'FREEBUSY;FBTYPE=BUSY-TENTATIVE:20261111T090000Z/P1D',
        'FREEBUSY;FBTYPE=X-LUNCH:20261112T120000Z/PT1H',
        'FREEBUSY;FBTYPE=FREE:20261113T120000Z/PT1H',
      ),
    ),
  ).toEqual([
    { start: at('10T09:00'), end: at('10T10:00'), taken: 'busy' },
    { start: at('10T14:00'), end: at('10T15:30'), taken: 'busy' },
    { start: at('11T09:00'), end: at('12T09:00'), taken: 'tentative' },
    { start: at('12T12:00'), end: at('12T13:00'), taken: 'busy' },
  ]);
});

test('periods that are none are left out; a file without any free/busy is none', () => {
  expect(
    readFreeBusy(
      file(
        'FREEBUSY:20261110T090000Z/20261110T080000Z',
        'FREEBUSY:soon/PT1H',
        'FREEBUSY:20261110T140000Z/PT1H',
      ),
    ),
  ).toEqual([{ start: at('10T14:00'), end: at('10T15:00'), taken: 'busy' }]);
  expect(readFreeBusy('BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n')).toBeNull();
  expect(() => readFreeBusy('<html>')).toThrow(FileError);
});
