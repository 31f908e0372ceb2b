import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { eventOver } from '@/core/editing/edits';
import type { Times } from '@/core/editing/form';
import { spanOf, timesOf, timesProblem } from '@/core/editing/form';
import type { Jot } from '@/core/jot/jot';
import { readJot } from '@/core/jot/jot';
import type { Span } from '@/core/layout/drag';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { MINUTE } from '@/core/time/civil';
import { sayLength, saySpan } from '@/core/time/words';
import { useActions } from '@/data/actions';
import { useWallNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { TimesFields } from '@/screens/event/TimesFields';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { Icon } from '@/ui/icons/Icon';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { Consequences } from './Consequences';
import { JottedLine } from './JottedLine';
import { PanelFrame } from './PanelFrame';
import { Understood } from './Understood';

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
  onClose(): void;
}

/** What the person has put right by hand; it holds against what the line says. */
interface Corrections {
  times?: Times;
  place?: string;
  calendarId?: string;
}

/** The span that counts: corrected, said in the line, pressed on the sheet; in that order. */
function spanMeant(corrections: Corrections, jot: Jot, pressed: Span | null): Span {
  if (corrections.times) return spanOf(corrections.times);
  const says = jot.parts.some(({ kind }) => kind === 'when');
  if (!pressed || says) return jot;
  if (jot.length === null || pressed.wholeDay) return pressed;
  return { ...pressed, end: pressed.start + jot.length * MINUTE };
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
    onClose,
  } = props;
  const { zone, wording, settings } = preferences;
  const palette = usePalette();
  const { add } = useActions();
  const [line, setLine] = useState('');
  const [corrections, setCorrections] = useState<Corrections>({});
  const [open, setOpen] = useState<'when' | 'where' | null>(null);
  const correct = (fields: Corrections) => setCorrections((last) => ({ ...last, ...fields }));

  const now = useWallNow(zone);
  const jot = readJot(line, {
    now,
    day,
    calendars,
    defaultCalendarId,
    defaultLength: settings.defaultLength,
  });
  const span = spanMeant(corrections, jot, pressed);
  const place = corrections.place ?? jot.place;
  const calendarId = corrections.calendarId ?? jot.calendarId;
  const calendar = calendars.find(({ id }) => id === calendarId);
  const times = corrections.times ?? timesOf(span);
  const problem = timesProblem(times);

  const { start, end, wholeDay } = span;
  useEffect(() => {
    onDraft({ start, end, wholeDay });
    return () => onDraft(null);
  }, [onDraft, start, end, wholeDay]);

  function draft(): CalendarEvent {
    const availability = calendar?.defaultAvailability ?? 'busy';
    const fields = { id: nanoid(12), calendarId, title: jot.title, place, availability };
    return eventOver(span, fields, zone, Date.now());
  }

  async function keep() {
    if (problem || !calendar) return;
    if (await add(draft())) onKept(span);
  }

  const toggle = (part: 'when' | 'where') => setOpen((last) => (last === part ? null : part));
  const length = span.wholeDay ? '' : ` · ${sayLength((span.end - span.start) / MINUTE)}`;
  return (
    <PanelFrame
      title="Add an event"
      onClose={onClose}
      footer={
        <>
          <Button onPress={() => problem === null && onAllDetails(draft())}>All details</Button>
          <Button
            mode="contained"
            onPress={() => void keep()}
            disabled={problem !== null || !calendar}
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
        onChangeText={setLine}
        onSubmitEditing={() => void keep()}
        autoFocus
      />
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
      <Understood
        icon="map-marker-outline"
        name="Where"
        value={place || 'No place'}
        isOpen={open === 'where'}
        onPress={() => toggle('where')}
      />
      {open === 'where' && (
        <TextField label="Place" value={place} onChangeText={(text) => correct({ place: text })} />
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
      {!problem && (
        <Consequences
          span={span}
          isBooked={calendar?.defaultAvailability !== 'free'}
          ownEventId={null}
          preferences={preferences}
        />
      )}
    </PanelFrame>
  );
}

const styles = StyleSheet.create({
  calendar: { flexDirection: 'row', alignItems: 'center', gap: 10, marginBottom: -6 },
});
