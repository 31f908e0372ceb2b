import { nanoid } from 'nanoid';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { calendarForNew } from '@/core/calendars/showing';
import { wantsRoom } from '@/core/calendars/rooms';
import { ownTimes, sayTimes } from '@/core/editing/bothTimes';
import { draftOf } from '@/core/editing/drafting';
import { NO_EXTRAS, sayExtras, formatStanding } from '@/core/jot/extras';
import { formatNamedDays } from '@/core/jot/namedDays';
import { sayReminders } from '@/core/reminders/words';
import { saySeries } from '@/core/editing/series/sayScopes';
import type { Calendar } from '@/core/model/calendar';
import { quotedTitle } from '@/core/model/titleOf';
import type { DayNumber } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { TODAY_LINE } from '@/data/drafts';
import { useMessages } from '@/data/messages';
import { useNow } from '@/data/now';
import { NO_CALENDAR, useOnceOpen } from '@/data/onceOpen';
import type { Preferences } from '@/data/preferences';
import { usePalette } from '@/ui/theme/theme';
import { ByRule } from '@/features/tidy/ByRule';
import { useRooms } from '@/data/rooms';
import { useRuled } from '@/data/rules';
import { saidFields } from './saidFields';
import { JotHints } from './JotHints';
import { TypedLine, useTypedLine } from './TypedLine';
import { useJot } from './useJot';

interface Props {
  /** The day (day number) that a line without a date means. */
  day: DayNumber;
  calendars: readonly Calendar[];
  preferences: Preferences;
}

/** One line that becomes an event; what it was understood to mean stands under it. */
export function JotLine({ day, calendars, preferences }: Props) {
  const { clock, wording, settings, workdays } = preferences;
  const palette = usePalette();
  const act = useDo();
  const { say } = useMessages();
  const rooms = useRooms();
  const [line, type] = useTypedLine(TODAY_LINE);
  const instant = useNow();
  const own = useMemo(
    () => calendars.filter(({ kind, listed }) => kind === 'own' && listed),
    [calendars],
  );
  const defaultCalendarId = calendarForNew(calendars, settings.defaultCalendarId)?.id ?? '';
  const read = useJot(line, { day, calendars: own, defaultCalendarId, preferences });
  const { jot, span } = read;
  const calendar = own.find(({ id }) => id === jot.calendarId);
  const isGood = line.trim() !== '' && calendar !== undefined;

  function made(at: number) {
    const { title, place, categoryIds, link, calendarId, repeat, zone, reminders, extras } = jot;
    const fields = { id: nanoid(12), calendarId, title, place, categoryIds, link, ...extras };
    const when = { span, repeat, reminders, clock, zone, named: jot, workdays, now: at };
    return draftOf({ ...when, fields, calendar });
  }
  const byRule = useRuled(made(instant), saidFields(jot));
  const onCalendar = own.find(({ id }) => id === byRule.event.calendarId) ?? calendar;
  const hasZone = isGood && (jot.zone !== null || calendar.zone !== undefined);
  const itsOwn = hasZone ? ownTimes(made(instant), clock, wording) : null;

  async function keep() {
    if (line.trim() === '') return;
    if (!isGood) return say(NO_CALENDAR);
    const { event } = byRule;
    const hasRoom = wantsRoom(event, onCalendar, settings);
    const roomed = hasRoom ? { ...event, room: await rooms.give() } : event;
    if (await act({ kind: 'addEvent', event: roomed })) type('');
  }

  // A person types faster than the store opens.
  const keepOnceOpen = useOnceOpen(keep, line);

  return (
    <View style={styles.jot}>
      <TypedLine
        label="What, when, where"
        placeholder="Freight call 14:00 for 90 min"
        button="Add"
        line={line}
        isGood={isGood}
        onType={type}
        onKeyPress={read.onKeyPress}
        onKeep={keepOnceOpen}
      />
      {isGood && (
        <JotHints
          jot={{ ...read, title: jot.title, zone: jot.zone }}
          other={read.other}
          now={wallFromInstant(instant, clock)}
          wording={wording}
          onOther={read.takeOther}
        />
      )}
      {isGood && <ByRule {...byRule} />}
      {isGood && (
        <Text role="status" variant="bodySmall" style={{ color: palette.dim }}>
          {[
            quotedTitle(jot),
            sayTimes(made(instant), wallFromInstant(instant, clock), clock, wording),
            isGood ? saySeries(made(instant), instant, wording) : null,
            formatNamedDays(jot, wording),
            jot.place,
            onCalendar?.name,
            itsOwn,
            isGood && wantsRoom(byRule.event, onCalendar, settings) ? 'with a room link' : '',
            jot.reminders && sayReminders(jot.reminders, span, { ...wording, clock }),
            sayExtras({ ...NO_EXTRAS, ...jot.extras }),
            formatStanding(jot.extras),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  jot: { gap: 4 },
});
