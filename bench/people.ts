import { USUAL_WEEK } from '../src/core/model/person';
import type { Participant } from '../src/core/people/hindrances';
import { dayStandings, openings, runsOf } from '../src/core/people/openings';
import { DAY, MINUTE } from '../src/core/time/civil';
import { instantFromWall } from '../src/core/time/zones';
import { WEEK_FROM } from './data';
import { median, report, worst } from './report';

const ZONES = ['Europe/London', 'Europe/Lisbon', 'America/Halifax', 'Asia/Tokyo'];
const LONDON = 'Europe/London';
const PEOPLE = 10;
const DAYS = 56;
const TURNS = 40;
/** What each of them has on every workday: from when, and how long, in minutes. */
const HABITS = [
  [510, 45],
  [600, 90],
  [780, 60],
  [870, 30],
  [960, 45],
] as const;

const participant = (_: unknown, nth: number): Participant => {
  const zone = ZONES[nth % ZONES.length]!;
  const busy = Array.from({ length: DAYS }, (_, day) => day).flatMap((day) =>
    HABITS.filter((_, i) => (i + day + nth) % 3 > 0).map(([from, minutes], i) => {
      const start = instantFromWall(
        WEEK_FROM + day * DAY + (from + ((nth * 7 + day * 11) % 6) * 5) * MINUTE,
        zone,
      );
      const taken = (['busy', 'busy', 'tentative', 'away'] as const)[(i + day + nth) % 4]!;
      return { start, end: start + minutes * MINUTE, taken };
    }),
  );
  return { id: `p${nth}`, isRequired: nth % 3 > 0, zone, workweek: USUAL_WEEK, busy };
};

/** Openings for ten people in four zones over eight weeks, every quarter of an hour. */
export function benchOpenings(): void {
  const people = Array.from({ length: PEOPLE }, participant);
  const wishes = {
    from: instantFromWall(WEEK_FROM, LONDON),
    to: instantFromWall(WEEK_FROM + DAYS * DAY, LONDON),
    minutes: 45,
    slot: 15,
    clock: LONDON,
    travel: 20,
    place: 'workshop',
  };
  const took = Array.from({ length: TURNS }, () => {
    const before = performance.now();
    dayStandings(runsOf(openings(people, wishes), wishes), PEOPLE);
    return performance.now() - before;
  });
  report('openings of 10 people over 8 weeks, the first time', took[0]!, 'ms');
  report('openings of 10 people over 8 weeks, median', median(took), 'ms', 50);
  report('openings of 10 people over 8 weeks, slowest', worst(took.slice(1)), 'ms', 50);
}
