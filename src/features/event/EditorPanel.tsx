import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { homeTimes } from '@/core/editing/bothTimes';
import { spanOf, spanOn } from '@/core/editing/form';
import type { DateEdit } from '@/core/editing/series/edit';
import { saySeries } from '@/core/editing/series/sayScopes';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries } from '@/core/model/event';
import { cityOf } from '@/core/time/zoneNames';
import { zoneOnDay } from '@/core/time/sheetClock';
import { instantOf } from '@/core/time/zones';
import { titleOf } from '@/core/model/titleOf';
import { useDo } from '@/data/commands';
import { NEW_EVENT } from '@/data/drafts';
import { useNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { useCategories } from '@/data/queries';
import { Consequences } from './Consequences';
import { PanelFrame } from '@/ui/PanelFrame';
import { Understood } from './Understood';
import { CategoryChips } from '@/ui/CategoryChips';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { Choice } from '@/ui/Choice';
import { Unreadable, useReadable } from '@/ui/unreadable';
import { usePalette } from '@/ui/theme/theme';
import { AVAILABILITIES } from './choices';
import { ExceptionList } from './ExceptionList';
import { AttentionPart } from '@/features/reminders/AttentionPart';
import { RoomPart } from '@/features/rooms/RoomPart';
import { EditorGuests } from './EditorGuests';
import { EventText } from './EventText';
import { Foresight } from './Foresight';
import { LooksPart } from './LooksPart';
import { RepeatFields } from './RepeatFields';
import { ScopePanel } from './ScopePanel';
import { TimesFields } from './TimesFields';
import { useEditor } from './useEditor';
import { useLeaving } from './useLeaving';
import { ZoneFields } from './ZoneFields';

const VISIBILITIES = [
  { value: 'public' as const, label: 'Public' },
  { value: 'private' as const, label: 'Private' },
];

interface Props {
  event: CalendarEvent;
  /** The date of a series through which it is edited; null for a single event. */
  dateKey: string | null;
  isNew: boolean;
  calendars: readonly Calendar[];
  preferences: Preferences;
  onDone(): void;
}

/** Every field of an event, in place beside the week. */
export function EditorPanel(props: Props) {
  const { event: latest, dateKey, isNew, calendars, preferences, onDone } = props;
  const { zone: home, clock, wording } = preferences;
  const palette = usePalette();
  const instant = useNow();
  const act = useDo();
  const [asking, setAsking] = useState<DateEdit | null>(null);
  const [isRepeatOpen, setRepeatOpen] = useState(false);
  const categories = useCategories();
  const { isReadable, report } = useReadable();
  const name = isNew ? NEW_EVENT : dateKey === null ? latest.id : `${latest.id}@${dateKey}`;
  const editor = useEditor(latest, dateKey, preferences, { name, isNew });
  const close = useLeaving(editor, isNew, onDone);
  const { event, date, form, setValue, problem, isInSeries, repeat, draft } = editor;

  const keeping = (draft: CalendarEvent) =>
    isNew
      ? ({ kind: 'addEvent', event: draft } as const)
      : ({ kind: 'editEvent', before: event, after: draft } as const);

  const keep = editor.handleSubmit(async (values) => {
    if (isInSeries) {
      const change = editor.dateEdit(values);
      if (editor.changes(change)) setAsking(change);
      else close.done();
    } else if (!isNew && !editor.isChanged) close.done();
    else if (draft && (await act(keeping(draft)))) close.done();
  });

  if (asking && dateKey !== null)
    return (
      <ScopePanel
        event={latest}
        dateKey={dateKey}
        verb="Change"
        edit={asking}
        preferences={preferences}
        onChoose={async (reach) =>
          (await act({
            kind: 'editSeriesDates',
            id: event.id,
            key: dateKey,
            edit: asking,
            reach,
            verb: 'Changed',
          })) && close.done()
        }
        onCancel={() => setAsking(null)}
      />
    );

  const span = problem ? null : spanOn(form, clock);
  const shownZone = zoneOnDay(clock, form.startDay);
  const elsewhere =
    span && form.zone !== null && (form.zone !== home || form.endZone !== home)
      ? (homeTimes(spanOn(form, form.zone), form.zone, home, wording) ??
        (shownZone === home ? null : `${cityOf(shownZone)} is on the sheet`))
      : null;
  const said = (draft && saySeries(draft, instant, wording)) ?? 'Once';

  return (
    <Unreadable value={report}>
      <PanelFrame
        title={isNew ? 'New event' : `Edit “${titleOf(date)}”`}
        onClose={onDone}
        footer={
          <>
            <Button onPress={close.done}>Cancel</Button>
            <Button
              mode="contained"
              onPress={() => void keep()}
              disabled={problem !== null || !isReadable}
            >
              Keep
            </Button>
          </>
        }
      >
        {editor.isTakenUp && (
          <View role="status" style={[styles.takenUp, { backgroundColor: palette.amberWash }]}>
            <Text style={styles.grow}>With your changes from before, which were not kept yet.</Text>
            <Button compact onPress={editor.startOver}>
              Start over
            </Button>
          </View>
        )}
        {isInSeries && (
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            One date of a series. Which dates a change reaches is asked when you keep it.
          </Text>
        )}
        <EventText editor={editor} name="title" label="Title" />
        <CalendarChoice
          calendars={calendars}
          chosenId={form.calendarId}
          onChoose={(id) => setValue('calendarId', id)}
        />
        <TimesFields
          times={form}
          preferences={preferences}
          onChange={(times) => {
            setValue('wholeDay', times.wholeDay);
            setValue('startDay', times.startDay);
            setValue('endDay', times.endDay);
            setValue('startMinute', times.startMinute);
            setValue('endMinute', times.endMinute);
          }}
        />
        {!form.wholeDay && (
          <ZoneFields
            zone={form.zone}
            endZone={form.endZone}
            at={instantOf(spanOf(form).start, form.zone, home)}
            preferences={preferences}
            elsewhere={elsewhere}
            onChange={(zones) => {
              setValue('zone', zones.zone);
              setValue('endZone', zones.endZone);
            }}
          />
        )}
        <Understood
          icon="repeat"
          name="Repeats"
          value={said}
          isOpen={isRepeatOpen}
          onPress={() => setRepeatOpen((last) => !last)}
        />
        {isRepeatOpen && (
          <RepeatFields
            repeat={repeat}
            day={form.startDay}
            preferences={preferences}
            onChange={editor.setRepeat}
          />
        )}
        {span && (isInSeries || draft?.rule === undefined) && (
          <Consequences
            span={span}
            isBooked={form.availability !== 'free'}
            travel={form}
            ownEventId={event.id}
            preferences={preferences}
          />
        )}
        {draft && isSeries(draft) && <Foresight event={draft} preferences={preferences} />}
        {isInSeries && <ExceptionList event={latest} wording={wording} />}
        <EventText editor={editor} name="place" label="Place" />
        <EventText editor={editor} name="notes" label="Notes" lines={4} />
        <EventText editor={editor} name="link" label="Link" />
        <EditorGuests editor={editor} preferences={preferences} />
        <RoomPart room={form.room} onChange={(room) => setValue('room', room)} />
        <Choice
          name="While it lasts I am"
          value={form.availability}
          options={AVAILABILITIES}
          onChoose={(value) => setValue('availability', value)}
        />
        <AttentionPart
          editor={editor}
          calendar={calendars.find(({ id }) => id === form.calendarId)}
          preferences={preferences}
        />
        {categories.length > 0 && (
          <>
            <Text variant="bodySmall" style={{ color: palette.dim }}>
              Categories
            </Text>
            <CategoryChips
              categories={categories}
              chosen={form.categoryIds}
              onChange={(ids) => setValue('categoryIds', ids)}
            />
          </>
        )}
        <LooksPart form={form} setValue={setValue} />
        <Choice
          name="Who may see what it is"
          value={form.visibility}
          options={VISIBILITIES}
          onChoose={(value) => setValue('visibility', value)}
        />
      </PanelFrame>
    </Unreadable>
  );
}

const styles = StyleSheet.create({
  takenUp: { flexDirection: 'row', alignItems: 'center', borderRadius: 8, paddingLeft: 10 },
  grow: { flex: 1 },
});
