import { useRouter } from 'expo-router';
import type { ComponentProps } from 'react';
import { useEffect, useRef } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import { calendarForNew } from '@/core/calendars/showing';
import type { Span } from '@/core/layout/drag';
import type { Calendar } from '@/core/model/calendar';
import { dayOfWall } from '@/core/time/civil';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import type { Preferences } from '@/data/preferences';
import { useEvent } from '@/data/queries';
import { CopyPanel } from '@/features/event/CopyPanel';
import { EditorPanel } from '@/features/event/EditorPanel';
import { ScopePanel } from '@/features/event/ScopePanel';
import { ZonesPanel } from '@/features/zones/ZonesPanel';
import { AddCard } from './panels/AddCard';
import { LoadPanel } from './panels/LoadPanel';
import { WorkdayPanel } from './panels/WorkdayPanel';
import { DayPanel } from './panels/DayPanel';
import { Details } from './panels/Details';
import type { Panel, ScopeAsk } from './usePlan';

interface Props {
  panel: Panel;
  calendars: readonly Calendar[];
  /** What the hours are reckoned from. */
  load: Omit<ComponentProps<typeof LoadPanel>, 'onClose'>;
  /** Calendars that can be added to. */
  own: readonly Calendar[];
  categoryInks: ReadonlyMap<string, string> | null;
  preferences: Preferences;
  onPanel(panel: Panel): void;
  /** Told of the time of what is being added. */
  onDraft(span: Span | null): void;
  /** Brings a day into sight; as the only one with `alone`. */
  onShow(day: number, alone?: boolean): void;
  /** Day number */
  today: number;
  seenAs: string | null;
  onSeeAs(zone: string | null): void;
  /** Puts back what was shown at its new place before its scope was known. */
  onPutBack(occurrence: Occurrence): void;
  onClose(): void;
}

function StoredEditor({
  eventId,
  dateKey,
  own,
  preferences,
  onClose,
}: { eventId: string; dateKey: string | null } & Pick<Props, 'own' | 'preferences' | 'onClose'>) {
  const { data: event } = useEvent(eventId);
  if (!event) return null;
  return (
    <EditorPanel
      event={event}
      dateKey={dateKey}
      isNew={false}
      calendars={own}
      preferences={preferences}
      onDone={onClose}
    />
  );
}

/** Asks which dates a move, a stretch or a removal reaches, and does it. */
function AskScope({
  ask,
  preferences,
  onPutBack,
  onClose,
}: { ask: ScopeAsk } & Pick<Props, 'preferences' | 'onPutBack' | 'onClose'>) {
  const act = useDo();
  const { event, dateKey, occurrence, verb, done, edit } = ask;
  // A panel that is left in any way but by its button has done nothing.
  const isDone = useRef(false);
  const putBack = useRef(onPutBack);
  useEffect(() => {
    putBack.current = onPutBack;
  });
  useEffect(() => {
    isDone.current = false;
    return () => {
      if (!isDone.current) putBack.current(occurrence);
    };
  }, [occurrence]);
  return (
    <ScopePanel
      event={event}
      dateKey={dateKey}
      verb={verb}
      edit={edit}
      preferences={preferences}
      onChoose={async (reach) => {
        const series = { id: event.id, key: dateKey };
        isDone.current = await act(
          edit
            ? { kind: 'editSeriesDates', ...series, edit, reach, verb: done }
            : { kind: 'removeSeriesDates', ...series, scope: reach.scope },
        );
        onClose();
      }}
      onCancel={onClose}
    />
  );
}

/** Whatever is open beside the week. */
export function PlanPanel(props: Props) {
  const { panel, calendars, own, preferences, onPanel, onDraft, onShow, onClose } = props;
  const router = useRouter();
  const { engine } = useEngine();

  async function askToRemove(occurrence: Occurrence) {
    const event = await engine?.queries.event(occurrence.eventId);
    const { dateKey } = occurrence;
    if (event && dateKey !== null)
      onPanel({
        kind: 'scope',
        ask: { occurrence, event, dateKey, verb: 'Remove', done: 'Removed', edit: null },
      });
  }

  switch (panel.kind) {
    case 'details': {
      const { occurrence } = panel;
      const calendar = calendars.find(({ id }) => id === occurrence.calendarId);
      return (
        calendar && (
          <Details
            key={occurrence.id}
            occurrence={occurrence}
            calendar={calendar}
            preferences={preferences}
            onEdit={() =>
              onPanel({
                kind: 'edit',
                eventId: occurrence.eventId,
                dateKey: occurrence.dateKey,
                occurrenceId: occurrence.id,
                start: occurrence.start,
              })
            }
            onRemove={() => void askToRemove(occurrence)}
            onSweep={() =>
              router.navigate({ pathname: '/tidy', params: { series: occurrence.eventId } })
            }
            onCopy={() => onPanel({ kind: 'copy', occurrence })}
            onClose={onClose}
          />
        )
      );
    }
    case 'edit':
      return (
        <StoredEditor
          key={panel.occurrenceId}
          eventId={panel.eventId}
          dateKey={panel.dateKey}
          own={own}
          preferences={preferences}
          onClose={onClose}
        />
      );
    case 'new':
      return (
        <EditorPanel
          event={panel.draft}
          dateKey={null}
          isNew
          calendars={own}
          preferences={preferences}
          onDone={onClose}
        />
      );
    case 'scope':
      return (
        <AskScope
          key={`${panel.ask.occurrence.id} ${panel.ask.verb}`}
          ask={panel.ask}
          preferences={preferences}
          onPutBack={props.onPutBack}
          onClose={onClose}
        />
      );
    case 'day':
      return (
        <DayPanel
          key={panel.day}
          day={panel.day}
          calendars={calendars}
          categoryInks={props.categoryInks}
          preferences={preferences}
          onOpen={(occurrence) => onPanel({ kind: 'details', occurrence })}
          onAdd={() => onPanel({ kind: 'add', span: null, day: panel.day })}
          onShowDay={() => {
            onShow(panel.day, true);
            onClose();
          }}
          onClose={onClose}
        />
      );
    case 'workday':
      return (
        <WorkdayPanel key={panel.day} day={panel.day} preferences={preferences} onClose={onClose} />
      );
    case 'load':
      return <LoadPanel {...props.load} onClose={onClose} />;
    case 'zones':
      return (
        <ZonesPanel
          preferences={preferences}
          today={props.today}
          seenAs={props.seenAs}
          onSeeAs={props.onSeeAs}
          onClose={onClose}
        />
      );
    case 'copy':
      return (
        <CopyPanel
          occurrence={panel.occurrence}
          calendars={own}
          preferences={preferences}
          onDone={onClose}
        />
      );
    case 'add':
      return (
        <AddCard
          key={`${panel.span?.start} ${panel.span?.end}`}
          span={panel.span}
          day={panel.day}
          calendars={own.filter(({ listed }) => listed)}
          preferences={preferences}
          defaultCalendarId={
            calendarForNew(calendars, preferences.settings.defaultCalendarId)?.id ?? ''
          }
          onAllDetails={(draft) => onPanel({ kind: 'new', draft })}
          onDraft={onDraft}
          onKept={(span: Span) => {
            onShow(dayOfWall(span.start));
            onClose();
          }}
          onWork={panel.isDay ? () => onPanel({ kind: 'workday', day: panel.day }) : null}
          onClose={onClose}
        />
      );
  }
}
