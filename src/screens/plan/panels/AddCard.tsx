import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { homeTimes, ownTimes } from '@/core/editing/bothTimes';
import { draftOf } from '@/core/editing/drafting';
import type { Times } from '@/core/editing/form';
import { spanOf, timesOf, timesProblem } from '@/core/editing/form';
import { saySeries } from '@/core/editing/series/sayScopes';
import type { Jot } from '@/core/jot/jot';
import { readJot } from '@/core/jot/jot';
import type { Span } from '@/core/layout/drag';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { sayWorkday, workdayOf } from '@/core/model/workweek';
import type { Repeat } from '@/core/recurrence/repeat';
import { firstStart } from '@/core/recurrence/repeat';
import type { Weekday } from '@/core/time/civil';
import { dayOfWall, MINUTE } from '@/core/time/civil';
import { sayLength, saySpan } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { LINE, NEW_EVENT, useDraft } from '@/data/drafts';
import { useMessages } from '@/data/messages';
import { useNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { useCategories } from '@/data/queries';
import { Foresight } from '@/features/event/Foresight';
import { RepeatFields } from '@/features/event/RepeatFields';
import { TimesFields } from '@/features/event/TimesFields';
import { CategoryChips } from '@/ui/CategoryChips';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { Icon } from '@/ui/icons/Icon';
import { TextField } from '@/ui/TextField';
import { Unreadable, useReadable } from '@/ui/unreadable';
import { usePalette } from '@/ui/theme/theme';
import { Consequences } from '@/features/event/Consequences';
import { JottedLine } from './JottedLine';
import { PanelFrame } from '@/ui/PanelFrame';
import { Understood } from '@/features/event/Understood';

interface Props {
  /** The time that was pressed or drawn; null when the line has to say it. */
  span: Span | null;
  /** The day that a line without a date means. */
  day: number;
  calendars: readonly Calendar[];
  preferences: Preferences;
  defaultCalendarId: string;
  onAllDetails(draft: CalendarEvent): void;
  /** Told of the draft's time as it changes, so that it can be shown on the sheet. */
  onDraft(span: Span | null): void;
  onKept(span: Span): void;
  /** Asks about the work of the day that was pressed; null when no day was. */
  onWork: (() => void) | null;
  onClose(): void;
}

/** What the person has put right by hand; it holds against what the line says. */
interface Corrections {
  times?: Times;
  place?: string;
  calendarId?: string;
  repeat?: Repeat;
  categoryIds?: string[];
}

type Part = 'when' | 'where' | 'repeat';

/** The span that counts: corrected, said in the line, pressed on the sheet; in that order. */
function spanMeant(corrections: Corrections, jot: Jot, pressed: Span | null): Span {
  if (corrections.times) return spanOf(corrections.times);
  const says = jot.parts.some(({ kind }) => kind === 'when');
  if (!pressed || says) return jot;
  if (jot.length === null || pressed.wholeDay) return pressed;
  return { ...pressed, end: pressed.start + jot.length * MINUTE };
}

/** The span on the first day from its own on that a repeat has. */
function begun(span: Span, { pattern }: Repeat, workdays: readonly Weekday[]): Span {
  const start = firstStart(pattern, span.start, workdays);
  return { ...span, start, end: span.end + (start - span.start) };
}

/** A new event in one line: what was typed, what it was understood to mean, and each part open to correction. */
export function AddCard(props: Props) {
  const {
    span: pressed,
    day,
    calendars,
    preferences,
    defaultCalendarId,
    onAllDetails,
    onDraft,
    onKept,
    onWork,
    onClose,
  } = props;
  const { zone: home, clock, wording, settings, workdays } = preferences;
  const palette = usePalette();
  const act = useDo();
  const { say } = useMessages();
  const categories = useCategories();
  const { isReadable, report } = useReadable();
  const [id] = useState(() => nanoid(12));
  const [line, setLine] = useState('');
  const { draft: lineBefore, keep: putBy, drop } = useDraft(LINE);
  const { draft: eventBefore, drop: dropEvent } = useDraft(NEW_EVENT);
  const before = line === '' ? (eventBefore ?? lineBefore) : undefined;
  function type(next: string) {
    setLine(next);
    if (next.trim()) putBy({ title: next.trim(), values: null });
    else drop();
  }
  const [corrections, setCorrections] = useState<Corrections>({});
  const [open, setOpen] = useState<Part | null>(null);
  const correct = (fields: Corrections) => setCorrections((last) => ({ ...last, ...fields }));

  const instant = useNow();
  const now = wallFromInstant(instant, clock);
  const jot = readJot(line, {
    now,
    day,
    calendars,
    categories,
    defaultCalendarId: corrections.calendarId ?? defaultCalendarId,
    defaultLength: settings.defaultLength,
    workdays,
  });
  const repeat = corrections.repeat ?? jot.repeat;
  const span = begun(spanMeant(corrections, jot, pressed), repeat, workdays);
  const place = corrections.place ?? jot.place;
  const calendarId = corrections.calendarId ?? jot.calendarId;
  const calendar = calendars.find(({ id }) => id === calendarId);
  const categoryIds = corrections.categoryIds ?? jot.categoryIds;
  const times = corrections.times ?? timesOf(span);
  const problem = timesProblem(times);
  const event = draft();
  const atHome = homeTimes(span, clock, home, wording);
  // A calendar may have a zone of its own.
  const itsOwn = calendar?.zone ? ownTimes(event, clock, wording) : null;

  const { start, end, wholeDay } = span;
  useEffect(() => {
    onDraft({ start, end, wholeDay });
    return () => onDraft(null);
  }, [onDraft, start, end, wholeDay]);

  function draft(): CalendarEvent {
    const fields = { id, calendarId, title: jot.title, place, categoryIds, link: jot.link };
    return draftOf({ span, fields, calendar, repeat, clock, workdays, now: Date.now() });
  }

  async function keep() {
    if (problem || !isReadable) return;
    // Typed faster than the store opens: not kept, and not without a word.
    if (!calendar) return say('Your calendars are still being opened. Try again in a moment.');
    if (!(await act({ kind: 'addEvent', event }))) return;
    drop();
    onKept(span);
  }

  /** Goes on with what was begun before: a line, or an event that had all its details open. */
  function goOn() {
    if (eventBefore) onAllDetails(event);
    else if (lineBefore) setLine(lineBefore.title);
  }

  const toggle = (part: Part) => setOpen((last) => (last === part ? null : part));
  const length = span.wholeDay ? '' : ` · ${sayLength((span.end - span.start) / MINUTE)}`;
  return (
    <Unreadable value={report}>
      <PanelFrame
        title="Add an event"
        onClose={onClose}
        footer={
          <>
            <Button onPress={() => problem === null && onAllDetails(event)}>All details</Button>
            <Button
              mode="contained"
              onPress={() => void keep()}
              disabled={problem !== null || !calendar || !isReadable}
            >
              Keep
            </Button>
          </>
        }
      >
        <TextField
          label="What, when, where"
          placeholder="Freight call Thu 14:00 for 90 min at Quay 3"
          value={line}
          onChangeText={type}
          onSubmitEditing={() => void keep()}
          autoFocus
        />
        {before && (
          <View role="status" style={[styles.before, { backgroundColor: palette.amberWash }]}>
            <Text style={styles.grow} numberOfLines={2}>
              Begun and not added: “{before.title}”
            </Text>
            <Button compact onPress={goOn}>
              Go on
            </Button>
            <Button
              compact
              onPress={() => {
                drop();
                dropEvent();
              }}
            >
              Let go
            </Button>
          </View>
        )}
        {jot.parts.length > 0 && <JottedLine line={line} parts={jot.parts} />}
        <Understood
          icon="clock-outline"
          name="When"
          value={saySpan(span, wording) + length}
          isOpen={open === 'when'}
          onPress={() => toggle('when')}
        />
        {open === 'when' && (
          <TimesFields
            times={times}
            preferences={preferences}
            onChange={(next) => correct({ times: next })}
          />
        )}
        {onWork && (
          <Understood
            icon="briefcase-clock-outline"
            name="Work that day"
            value={sayWorkday(workdayOf(day, settings.workweek), wording.hourCycle)}
            isOpen={false}
            hasName
            onPress={onWork}
          />
        )}
        {atHome && (
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            {atHome}
          </Text>
        )}
        {itsOwn && (
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            {itsOwn}, the zone of {calendar!.name}
          </Text>
        )}
        <Understood
          icon="repeat"
          name="Repeats"
          value={saySeries(event, instant, wording) ?? 'Once'}
          isOpen={open === 'repeat'}
          onPress={() => toggle('repeat')}
        />
        {open === 'repeat' && (
          <RepeatFields
            repeat={repeat}
            day={dayOfWall(span.start)}
            preferences={preferences}
            onChange={(next) => correct({ repeat: next })}
          />
        )}
        <Understood
          icon="map-marker-outline"
          name="Where"
          value={place || 'No place'}
          isOpen={open === 'where'}
          onPress={() => toggle('where')}
        />
        {open === 'where' && (
          <TextField
            label="Place"
            value={place}
            onChangeText={(text) => correct({ place: text })}
          />
        )}
        <View style={styles.calendar}>
          <Icon name="layers-outline" size={18} color={palette.dim} />
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            Calendar
          </Text>
        </View>
        <CalendarChoice
          calendars={calendars}
          chosenId={calendarId}
          onChoose={(id) => correct({ calendarId: id })}
        />
        {categories.length > 0 && (
          <>
            <View style={styles.calendar}>
              <Icon name="tag-outline" size={18} color={palette.dim} />
              <Text variant="bodySmall" style={{ color: palette.dim }}>
                Categories
              </Text>
            </View>
            <CategoryChips
              categories={categories}
              chosen={categoryIds}
              onChange={(ids) => correct({ categoryIds: ids })}
            />
          </>
        )}
        {!problem && event.rule === undefined && (
          <Consequences
            span={span}
            isBooked={calendar?.defaultAvailability !== 'free'}
            ownEventId={null}
            preferences={preferences}
          />
        )}
        {!problem && event.rule !== undefined && (
          <Foresight event={event} preferences={preferences} />
        )}
      </PanelFrame>
    </Unreadable>
  );
}

const styles = StyleSheet.create({
  before: { flexDirection: 'row', alignItems: 'center', borderRadius: 8, paddingLeft: 10 },
  grow: { flex: 1 },
  calendar: { flexDirection: 'row', alignItems: 'center', gap: 10, marginBottom: -6 },
});
