import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator, Button, Text } from 'react-native-paper';
import { ME } from '@/core/people/hindrances';
import { spreadStarts } from '@/core/people/describeOffer';
import { shortName } from '@/core/people/sayOpenings';
import { dayOfWall } from '@/core/time/civil';
import type { DayNumber, EpochMs } from '@/core/time/units';
import { count, joinWords, sayLength } from '@/core/time/words';
import { useWallNow } from '@/data/now';
import { useOpenings, usePeople } from '@/data/people';
import { usePreferences } from '@/data/preferences';
import { useAskSheet } from '@/data/asked';
import { showOpenings } from '@/data/shownOpenings';
import type { Guest } from '@/engine/people/people';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { Fold } from '@/ui/Fold';
import { NumberField } from '@/ui/NumberField';
import { usePalette } from '@/ui/theme/theme';
import { GuestChoice } from './GuestChoice';
import { OfferDialog } from './OfferDialog';
import { OpeningList } from './OpeningList';
import { OpeningMonths } from './OpeningMonths';

/** What is taken over. */
export interface TakenOpening {
  start: EpochMs;
  minutes: number;
  guests: readonly Guest[];
}

interface Props {
  title?: string;
  guests: readonly Guest[];
  minutes: number;
  /** The first day that is looked at (day number); today where that is later. */
  day: DayNumber;
  /** The event that a time is looked for, so that it does not stand in its own way. */
  eventId?: string | null;
  /** What a press on a start does, in a word. */
  take: string;
  onTake(taken: TakenOpening): void;
  onClose(): void;
}

const LENGTHS = [15, 30, 45, 60, 90, 120];
const SPANS = [
  { value: 7, label: 'A week', said: 'a week' },
  { value: 14, label: 'Two', said: 'two weeks' },
  { value: 28, label: 'Four', said: 'four weeks' },
  { value: 56, label: 'Eight', said: 'eight weeks' },
];
/** Times that are listed at first, and by each press on more. */
const LISTED = 8;
/** Times that are offered at once when nobody chooses. */
const BEST = 3;

/** Times at which all who are asked could meet: how long, where, in which weeks, and what speaks against each. */
export function OpeningsDialog(props: Props) {
  const { eventId = null, take, onTake, onClose } = props;
  const palette = usePalette();
  const askSheet = useAskSheet();
  const { clock, wording, firstWeekday, settings } = usePreferences();
  const people = usePeople();
  const today = dayOfWall(useWallNow(clock));
  const [guests, setGuests] = useState<readonly Guest[]>(props.guests);
  const [minutes, setMinutes] = useState(props.minutes);
  const [days, setDays] = useState(14);
  const [place, setPlace] = useState('');
  const [travel, setTravel] = useState(30);
  const [chosen, setChosen] = useState<DayNumber | null>(null);
  const [listed, setListed] = useState(LISTED);
  const [isInHours, setInHours] = useState(false);
  const [hasPrivate, setHasPrivate] = useState(true);
  const [offered, setOffered] = useState<ReadonlySet<EpochMs> | null>(null);
  const [isWriting, setWriting] = useState(false);
  const fromDay = Math.max(today, props.day);
  const toDay = fromDay + days;
  const { data, isPlaceholderData } = useOpenings({
    guests,
    fromDay,
    toDay,
    minutes,
    slot: settings.slot,
    travel: place ? travel : 0,
    place,
    eventId,
    hasPrivate,
  });
  const around = {
    clock,
    wording,
    workweek: settings.workweek,
    me: ME,
    personOf: (id: string) => people.find((one) => one.id === id),
  };
  const invited = people.filter(({ id }) => guests.some((guest) => guest.id === id));
  const places = [
    ...new Set(
      [settings.workweek, ...invited.map(({ workweek }) => workweek)].flatMap((one) =>
        one.days.map(({ workplace }) => workplace),
      ),
    ),
  ].filter(Boolean);
  const runs = (data?.runs ?? []).filter(
    ({ day, inTheWay }) =>
      (chosen === null || day === chosen) &&
      !(isInHours && inTheWay.some(({ why }) => why === 'outside')),
  );
  const clear = data?.runs.filter(({ weight }) => weight === 0).length ?? 0;
  const lengths = [...new Set([...LENGTHS, props.minutes])].sort((a, b) => a - b);

  function choose(start: EpochMs) {
    const next = new Set(offered);
    if (!next.delete(start)) next.add(start);
    setOffered(next);
  }
  if (isWriting && offered)
    return (
      <OfferDialog
        starts={[...offered].sort((a, b) => a - b)}
        minutes={minutes}
        guests={guests}
        onBack={() => setWriting(false)}
        onClose={onClose}
      />
    );

  return (
    <Dialog
      title={props.title ?? 'Openings'}
      onClose={onClose}
      footer={
        offered ? (
          <>
            <Button onPress={() => setOffered(new Set(spreadStarts(runs, BEST)))}>
              {`The best ${BEST}`}
            </Button>
            <Button mode="contained" disabled={!offered.size} onPress={() => setWriting(true)}>
              {`Offer ${count(offered.size, 'time')}`}
            </Button>
          </>
        ) : (
          <>
            <Button
              disabled={!runs.length}
              onPress={() => {
                const names = joinWords(invited.map(shortName));
                const day = showOpenings(runs, { names, guests, minutes }, clock);
                onClose();
                askSheet({ kind: 'view', fields: {}, day });
              }}
            >
              On the sheet
            </Button>
            <Button disabled={!runs.length} onPress={() => setOffered(new Set())}>
              Offer some of these
            </Button>
          </>
        )
      }
    >
      <View style={styles.all}>
        <GuestChoice guests={guests} onChange={setGuests} />
        <Fold
          icon="tune-variant"
          name="How"
          said={[
            sayLength(minutes),
            `within ${SPANS.find(({ value }) => value === days)!.said}`,
            place === '' ? 'anywhere' : `all at ${place}`,
          ].join(', ')}
        >
          <Choice
            name="How long"
            value={minutes}
            options={lengths.map((value) => ({ value, label: sayLength(value) }))}
            onChoose={(value) => setMinutes(value)}
          />
          <Choice
            name="Weeks ahead"
            value={days}
            options={SPANS}
            onChoose={(value) => setDays(value)}
          />
          {places.length > 1 && (
            <Choice
              name="All at one place"
              value={place}
              options={[
                { value: '', label: 'Anywhere' },
                ...places.map((value) => ({ value, label: value })),
              ]}
              onChoose={(value) => setPlace(value)}
            />
          )}
          {place !== '' && (
            <NumberField
              label="Way for those who work elsewhere"
              value={travel}
              min={0}
              max={240}
              unit="min each"
              onChange={setTravel}
            />
          )}
          <Check label="Only while everybody works" isOn={isInHours} onChange={setInHours} />
          <Check
            label="My private events stand in the way too"
            isOn={hasPrivate}
            onChange={setHasPrivate}
          />
        </Fold>
        {!data && <ActivityIndicator aria-label="Looking for openings" />}
        {data?.unknown.map(({ id, why }) => (
          <Text key={id} variant="bodySmall" style={{ color: palette.amber }}>
            {`Only the hours of ${around.personOf(id) ? shortName(around.personOf(id)!) : 'somebody'} are known. ${why}`}
          </Text>
        ))}
        {data && (
          <View style={[styles.found, isPlaceholderData && styles.stale]}>
            <Text role="status" style={styles.sum}>
              {clear > 0
                ? `${count(clear, 'stretch', 'stretches')} clear for all`
                : 'No time is clear for all: the least in the way comes first'}
            </Text>
            <OpeningMonths
              fromDay={fromDay}
              toDay={toDay}
              standings={new Map(data.days)}
              chosen={chosen}
              firstWeekday={firstWeekday}
              wording={wording}
              onChoose={setChosen}
            />
            <OpeningList
              runs={runs.slice(0, listed)}
              people={invited}
              around={around}
              slot={settings.slot}
              take={take}
              chosen={offered ?? NONE}
              onChoose={offered && choose}
              onTake={(start) => onTake({ start, minutes, guests })}
            />
            {runs.length > listed && (
              <Button onPress={() => setListed(listed + LISTED)}>
                {`${runs.length - listed} more`}
              </Button>
            )}
          </View>
        )}
      </View>
    </Dialog>
  );
}

const NONE: ReadonlySet<EpochMs> = new Set();

const styles = StyleSheet.create({
  all: { gap: 10, width: 'min(86vw, 520px)' } as object,
  found: { gap: 8 },
  stale: { opacity: 0.6 },
  sum: { fontWeight: '600' },
});
