import fc from 'fast-check';
import { dateAsEvent } from '@/core/editing/series/dates';
import { partOf } from '@/core/invitations/invited';
import type { Answer } from '@/core/model/attendees';
import type { EventTime } from '@/core/model/common';
import { wallOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { newEvent, revised } from '@/core/model/event';
import { formatLocal, HOUR } from '@/core/time/civil';
import '@/core/testing/properties';
import type { Sent } from './testing/parties';
import { partyAt, PartyWithCalendar } from './testing/parties';
import { NOW, zoned } from './testing/opened';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 250);
const UID = 'm@orderly-week';
const KEYS = ['2026-11-25T09:00:00', '2026-11-26T09:00:00', '2026-11-27T09:00:00'];
const NAMES = ['Ida', 'Mei', 'Tomas', 'Nell'];
const partyOf = (name: string) => ({ name, address: `${name.toLowerCase()}@quay.example` });

/** What somebody does; numbers choose whom, which date and what. */
const action = fc.record({
  kind: fc.constantFrom(
    ...([
      'move',
      'moveDate',
      'skipDate',
      'retitle',
      'answer',
      'answerDate',
      'propose',
      'takeProposal',
      'passOn',
      'tell',
      'hear',
      'hear',
      'hear',
      'hearTwice',
    ] as const),
  ),
  who: fc.nat(3),
  which: fc.nat(50),
  what: fc.nat(8),
});
type Action = typeof action extends fc.Arbitrary<infer T> ? T : never;

const ANSWERS = ['accepted', 'tentative', 'declined'] as const;

const later = (time: EventTime, hours: number): EventTime =>
  time.kind === 'date' ? time : { ...time, local: formatLocal(wallOf(time) + hours * HOUR) };

class Exchange {
  readonly post: Sent[] = [];
  readonly parties: PartyWithCalendar[];
  private now = NOW;

  constructor(guests: number, isSeries: boolean) {
    const names = NAMES.slice(0, guests + 1);
    this.parties = [...names, 'Wren'].map(
      (name) => new PartyWithCalendar(partyOf(name), this.post),
    );
    const meeting = newEvent(
      {
        ...{ id: 'm', uid: UID, calendarId: 'work', title: 'Lens trial' },
        ...{ start: zoned('2026-11-25T09:00:00'), end: zoned('2026-11-25T10:00:00') },
        ...(isSeries && { rule: 'FREQ=DAILY;COUNT=3' }),
        attendees: names.slice(1).map((name) => ({
          ...partyOf(name),
          role: 'required' as const,
          answer: 'none' as const,
        })),
      },
      NOW,
    );
    this.organizer.put(meeting);
    this.tell();
  }

  get organizer() {
    return this.parties[0]!;
  }

  private tell(): boolean {
    return this.organizer.do(
      { kind: 'tellGuests', uid: UID, line: '', only: null },
      (this.now += 1000),
    );
  }

  private edit(work: (event: CalendarEvent) => Partial<CalendarEvent>): void {
    const before = this.organizer.event(UID)!;
    const after = revised(before, work(before), this.now);
    this.organizer.do({ kind: 'editEvent', before, after }, this.now);
  }

  private hear(which: number, isTwice = false): void {
    if (!this.post.length) return;
    const at = which % this.post.length;
    const mail = this.post[at]!;
    if (!isTwice) this.post.splice(at, 1);
    partyAt(this.parties, mail.to).hear(mail, (this.now += 1000));
  }

  do({ kind, who, which, what }: Action): void {
    this.now += 1000;
    const { organizer } = this;
    const guest = this.parties[1 + (who % (this.parties.length - 1))]!;
    const key = KEYS[what % 3]!;
    const event = organizer.event(UID)!;
    const isSeries = event.rule !== undefined;
    const asked = guest.event(UID);
    switch (kind) {
      case 'move':
        return this.edit(({ start, end }) => ({
          start: later(start, what % 2 ? 1 : -1),
          end: later(end, what % 2 ? 1 : -1),
        }));
      case 'retitle':
        return this.edit(() => ({ title: `Lens trial ${what}` }));
      case 'moveDate': {
        // Only where the dates have their first names still.
        if (!isSeries || wallOf(event.start) !== Date.parse(`${KEYS[0]}Z`)) return;
        const { start, end } = dateAsEvent({ ...event, changedDates: {} }, key);
        const shift = 1 + (which % 3);
        return this.edit(({ changedDates }) => ({
          changedDates: {
            ...changedDates,
            [key]: { ...changedDates[key], start: later(start, shift), end: later(end, shift) },
          },
        }));
      }
      case 'skipDate':
        if (!isSeries || wallOf(event.start) !== Date.parse(`${KEYS[0]}Z`)) return;
        return this.edit(({ skippedDates, changedDates: { [key]: _gone, ...changedDates } }) => ({
          changedDates,
          skippedDates: [...new Set([...skippedDates, key])].sort(),
        }));
      case 'answer':
      case 'answerDate': {
        const mine = asked && partOf(asked, guest.me.address);
        if (!asked?.organizer || asked.invited === undefined) return;
        const isOff = asked.removedAt !== undefined && mine?.answer !== 'declined';
        const isDate = kind === 'answerDate' && asked.rule !== undefined;
        if (
          isOff ||
          (isDate &&
            (wallOf(asked.start) !== Date.parse(`${KEYS[0]}Z`) || asked.skippedDates.includes(key)))
        )
          return;
        guest.do(
          {
            kind: 'answerInvitation',
            uid: UID,
            key: isDate ? key : null,
            answer: ANSWERS[which % 3]!,
            line: '',
          },
          this.now,
        );
        return;
      }
      case 'propose': {
        if (!asked?.organizer || asked.removedAt !== undefined) return;
        const { start, end } = asked;
        guest.do(
          {
            kind: 'proposeTime',
            uid: UID,
            key: null,
            start: later(start, 2),
            end: later(end, 2),
            line: '',
          },
          this.now,
        );
        return;
      }
      case 'takeProposal': {
        const mail = organizer.records
          .all('mail')
          .find((one) => !one.isOut && one.method === 'counter' && !one.isDone);
        if (mail) organizer.do({ kind: 'takeProposal', mailId: mail.id }, this.now);
        return;
      }
      case 'passOn':
        if (!asked?.organizer || asked.removedAt !== undefined || guest.me.name === 'Wren') return;
        guest.do({ kind: 'passInvitationOn', uid: UID, to: partyOf('Wren'), line: '' }, this.now);
        return;
      case 'tell':
        this.tell();
        return;
      case 'hear':
        return this.hear(which);
      case 'hearTwice':
        return this.hear(which, true);
    }
  }

  /** Delivers everything, and tells guests what they do not know, until nothing is left. */
  settle(isCalledOff: boolean): void {
    if (isCalledOff) this.organizer.do({ kind: 'removeEvents', ids: ['m'] }, (this.now += 1000));
    for (let round = 0; round < 10; round++) {
      while (this.post.length) this.hear(round);
      if (!this.tell()) return;
    }
    throw new Error('It never comes to rest.');
  }
}

/** When a date is, what it is called, and what somebody answers to it. */
function seenOf(event: CalendarEvent, key: string | null, address: string) {
  const { title, start, end, attendees } = key === null ? event : dateAsEvent(event, key);
  const answer: Answer = partOf({ attendees }, address)?.answer ?? 'none';
  return { key, title, start, end, answer };
}

const seen = (event: CalendarEvent, address: string) => {
  const keys = event.rule
    ? Object.keys(event.changedDates).filter((key) => !event.skippedDates.includes(key))
    : [];
  return {
    rule: event.rule,
    skipped: event.skippedDates,
    whole: seenOf(event, null, address),
    keys,
  };
};

const DATES = (event: CalendarEvent) =>
  event.rule
    ? ['25', '26', '27'].map(
        (day) => `2026-11-${day}T${formatLocal(wallOf(event.start)).slice(11)}`,
      )
    : [];

test('whatever is late, doubled or out of order, all parties of an exchange end alike', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 3 }),
      fc.boolean(),
      fc.array(action, { maxLength: 24 }),
      fc.integer({ min: 0, max: 4 }),
      (guests, isSeries, actions, end) => {
        const exchange = new Exchange(guests, isSeries);
        for (const one of actions) exchange.do(one);
        exchange.settle(end === 0);
        const theirs = exchange.organizer.event(UID)!;
        for (const { address } of theirs.attendees) {
          const party = partyAt(exchange.parties, address);
          const mine = party.event(UID);
          if (end === 0) {
            expect([party.me.name, mine?.removedAt === undefined]).toEqual([party.me.name, false]);
            continue;
          }
          const look = (event: CalendarEvent) => ({
            ...seen(event, address),
            keys: [],
            dates: DATES(theirs)
              .filter((key) => !theirs.skippedDates.includes(key))
              .map((key) => seenOf(event, key, address)),
          });
          expect({ who: party.me.name, ...(mine && look(mine)) }).toEqual({
            who: party.me.name,
            ...look(theirs),
          });
        }
      },
    ),
    { numRuns: RUNS },
  );
});
