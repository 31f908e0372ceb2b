import fc from 'fast-check';
import type { TypedRecord } from '@/core/model/records';
import { formatLocal, MINUTE } from '@/core/time/civil';
import { calendar, event, NOW, zoned } from '../testing/opened';
import { Windows } from '../testing/windows';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 30);
const LONDON = { clock: 'Europe/London', locale: 'en-GB', hourCycle: '24' } as const;
const WINDOWS = 3;

/** An event so many minutes after NOW, in winter time, that reminds so many before it. */
const draft = fc.record({
  at: fc.integer({ min: 1, max: 400 }),
  before: fc.integer({ min: 0, max: 90 }),
});

const step = fc.record({
  window: fc.nat({ max: WINDOWS - 1 }),
  leap: fc.integer({ min: 0, max: 60 }),
  deed: fc.constantFrom('look', 'look', 'done', 'close'),
});

test('of several windows that come and go, one tells each reminder, and none tells it again', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(draft, { maxLength: 6 }),
      fc.array(step, { minLength: 1, maxLength: 12 }),
      async (drafts, steps) => {
        const seed: TypedRecord[] = [
          calendar('work'),
          ...drafts.map(({ at, before }, i) => {
            const wall = formatLocal(NOW + at * MINUTE);
            const reminders = [{ minutes: -before, from: 'start' as const }];
            return event(`e${i}`, { start: zoned(wall), end: zoned(wall), reminders });
          }),
        ];
        const windows = new Windows();
        const open = () => windows.open(() => seed);
        const engines = [await open(), await open(), await open()];
        await engines[0]!.reminders.check(NOW, LONDON);
        await windows.settled();
        const heard: string[] = [];
        let now = NOW;
        for (const { window, leap, deed } of steps) {
          now += leap * MINUTE;
          // All of them look at about the same time, as timers of several windows do.
          const looks = deed === 'look' ? engines : [engines[window]!];
          const found = await Promise.all(looks.map((one) => one.reminders.check(now, LONDON)));
          for (const { fresh } of found) heard.push(...fresh);
          if (deed === 'done') await engines[window]!.reminders.done(heard);
          if (deed === 'close') engines[window] = await open();
          await windows.settled();
        }
        const expected = drafts.flatMap(({ at, before }, i) => {
          const due = NOW + (at - before) * MINUTE;
          return due > NOW && due <= now ? [`e${i}#start${-before}`] : [];
        });
        expect(heard.toSorted()).toEqual(expected.toSorted());
      },
    ),
    { numRuns: RUNS },
  );
});
