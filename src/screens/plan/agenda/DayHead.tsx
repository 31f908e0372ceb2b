import { Pressable, StyleSheet, Text, View } from 'react-native';
import type { AgendaDay } from '@/core/agenda/agendaDays';
import type { Occurrence } from '@/core/agenda/occurrence';
import { bookedMinutes } from '@/core/agenda/booked';
import { clearMinutes } from '@/core/agenda/clear';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayDay, sayHours, sayLength, travelZone } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { DayNumber } from '@/core/time/units';
import { FactsLine } from '@/features/facts/FactsLine';
import { Icon } from '@/ui/icons/Icon';
import { SANS, SLAB, usePalette, textPx } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';

interface Props {
  agendaDay: AgendaDay;
  isToday: boolean;
  thisYear: number;
  workplace: string;
  /** The zone on whose clock the day is. */
  zone: string;
  wording: Wording;
  facts: readonly Occurrence[];
  onWorkday(day: DayNumber): void;
}

/** The head of a day in the agenda: its date, how booked it is and how much is clear. */
export function DayHead({
  agendaDay,
  isToday,
  thisYear,
  workplace,
  zone,
  wording,
  facts,
  onWorkday,
}: Props) {
  const palette = usePalette();
  const isWide = useIsWide();
  const { day, lines } = agendaDay;
  const events = lines.flatMap((line) => (line.kind === 'event' ? [line.occurrence] : []));
  const booked = bookedMinutes(events, day, day + 1, zone)[0] ?? 0;
  const clear = clearMinutes(
    lines.filter((line) => line.kind === 'clear'),
    zone,
  );
  const { year } = civilDate(day);
  const date = sayDay(day, wording, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    ...(year !== thisYear && { year: 'numeric' }),
  });
  const away = travelZone(day, wording);
  const awayCity = away && cityOf(away);
  const standing = [
    ...(isToday ? ['today'] : []),
    ...(awayCity ? [`clock of ${awayCity}`] : []),
    ...(workplace ? [workplace] : []),
    `${sayHours(booked)} booked`,
    ...(clear > 0 ? [`${sayLength(clear)} clear`] : []),
  ].join(' · ');
  return (
    <View
      style={[
        styles.head,
        isWide && styles.beside,
        {
          borderColor: palette.hairline,
          backgroundColor: isToday ? palette.amberWash : palette.paper,
        },
      ]}
    >
      <Text
        role="heading"
        aria-level={2}
        style={[styles.date, { color: isToday ? palette.amber : palette.ink }]}
      >
        {date}
      </Text>
      <Text style={[styles.words, { color: palette.dim }]}>{standing}</Text>
      <FactsLine day={day} facts={facts} wording={wording} />
      <Pressable
        role="button"
        aria-label={`Work on ${date}: ${workplace || 'off'}. Change`}
        onPress={() => onWorkday(day)}
        style={styles.work}
      >
        <Icon name="briefcase-clock-outline" size={16} color={palette.dim} />
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  head: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'baseline',
    columnGap: 10,
    paddingHorizontal: 14,
    paddingTop: 10,
    paddingBottom: 4,
    borderTopWidth: 1,
  },
  beside: { paddingBottom: 10, alignContent: 'flex-start' },
  date: { fontFamily: SLAB, fontSize: textPx(17), fontWeight: '600' },
  work: {
    marginLeft: 'auto',
    width: 40,
    height: 30,
    alignItems: 'center',
    justifyContent: 'center',
  },
  words: { fontFamily: SANS, fontSize: textPx(12), fontVariant: ['tabular-nums'] },
});
