import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import { dayOfWall } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { useDo } from '@/data/commands';
import { useEvent, useWhereabouts } from '@/data/queries';
import { useSheetShown } from '@/data/sheetShown';
import { CopyLater, EditorLater } from '@/features/event/later';
import { later } from '@/ui/later';
import { ScopePanel } from '@/features/event/ScopePanel';
import { ZonesPanel } from '@/features/zones/ZonesPanel';
import { AddCard } from './panels/AddCard';
import { TasksPanel } from './panels/TasksPanel';
import { WorkdayPanel } from './panels/WorkdayPanel';
import { DayPanel } from './panels/DayPanel';
import { Details } from './panels/Details';
import { LoadPanel } from './panels/LoadPanel';
import { usePlan } from './PlanProvider';
import type { Panel, ScopeAsk } from './planState';
import { useLoadProps } from './load/useLoadProps';
import { bringDay } from './useReveal';

const PersonLater = later(() =>
  import('./panels/PersonPanel').then(({ PersonPanel }) => PersonPanel),
);

function StoredEditor({
  eventId,
  dateKey,
  onClose,
}: {
  eventId: string;
  dateKey: string | null;
  onClose(): void;
}) {
  const { own, preferences } = usePlan();
  const { data: event } = useEvent(eventId);
  if (!event) return null;
  return (
    <EditorLater
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
function AskScope({ ask, onClose }: { ask: ScopeAsk; onClose(): void }) {
  const { preferences, moves } = usePlan();
  const act = useDo();
  const { event, dateKey, occurrence, verb, done, edit } = ask;
  // A panel that is left in any way but by its button has done nothing.
  const isDone = useRef(false);
  const putBack = useRef(moves.putBack);
  useEffect(() => {
    putBack.current = moves.putBack;
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

/** The details of an event, and what can be done from there. */
function DetailsOf({ opened, onClose }: { opened: Occurrence; onClose(): void }) {
  const { calendars, content, preferences, moves, dispatch } = usePlan();
  // As it is now: it may have been moved since it was opened, here, by an answer or in another window.
  const inSight = content.found.find(({ id }) => id === opened.id);
  const sheet = useSheetShown();
  const { data: elsewhere } = useWhereabouts(inSight ? null : opened.id, sheet);
  const occurrence = inSight ?? elsewhere?.occurrence ?? opened;
  const router = useRouter();
  const calendar = calendars.find(({ id }) => id === occurrence.calendarId);
  if (!calendar) return null;
  const { eventId, dateKey, id, start } = occurrence;
  return (
    <Details
      occurrence={occurrence}
      calendar={calendar}
      preferences={preferences}
      onEdit={() =>
        dispatch({ do: 'open', panel: { kind: 'edit', eventId, dateKey, occurrenceId: id, start } })
      }
      onRemove={() => void moves.ask(occurrence, 'Remove')}
      onSweep={() => router.navigate({ pathname: '/tidy', params: { series: eventId } })}
      onCopy={() => dispatch({ do: 'open', panel: { kind: 'copy', occurrence } })}
      onClose={onClose}
    />
  );
}

type AddPanel = Panel & { kind: 'add' };

/** Adding to a day: by a line, or with all details. Who adds again while a line is being kept begins anew. */
function Adding({ panel, onClose }: { panel: AddPanel; onClose(): void }) {
  const { own, preferences, calendarNew, place, content, dispatch } = usePlan();
  const { span, day, isDay } = panel;
  const [isKeeping, setKeeping] = useState(false);
  const [card, setCard] = useState({ panel, nth: 0 });
  if (card.panel !== panel) {
    setCard({ panel, nth: card.nth + (isKeeping ? 1 : 0) });
    setKeeping(false);
  }
  const asked = useRef(panel);
  useEffect(() => {
    asked.current = panel;
  });
  return (
    <AddCard
      key={card.nth}
      span={span}
      day={day}
      calendars={own.filter(({ listed }) => listed)}
      preferences={preferences}
      defaultCalendarId={calendarNew?.id ?? ''}
      onAllDetails={(draft) => dispatch({ do: 'open', panel: { kind: 'new', draft } })}
      onDraft={(drafted) => dispatch({ do: 'draft', span: drafted })}
      onKeeping={(is) => {
        if (asked.current === panel) setKeeping(is);
      }}
      onKept={(kept) => {
        bringDay(place, content, dayOfWall(kept.start));
        if (asked.current === panel) onClose();
      }}
      onWork={isDay ? () => dispatch({ do: 'open', panel: { kind: 'workday', day } }) : null}
      onClose={onClose}
    />
  );
}

/** A day's events, beside a form that shows none. */
function DayBeside({ day, onClose }: { day: DayNumber; onClose(): void }) {
  const { calendars, categoryInks, preferences, place, dispatch } = usePlan();
  return (
    <DayPanel
      day={day}
      calendars={calendars}
      categoryInks={categoryInks}
      preferences={preferences}
      onOpen={(occurrence) => dispatch({ do: 'open', panel: { kind: 'details', occurrence } })}
      onAdd={() => dispatch({ do: 'open', panel: { kind: 'add', span: null, day } })}
      onShowDay={() => {
        place.showSpan({ kind: 'day' }, day);
        onClose();
      }}
      onClose={onClose}
    />
  );
}

/** Whatever is open beside the sheet. */
export function PlanPanel({ panel }: { panel: Panel }) {
  const { own, preferences, today, seenAs, seeAs, dispatch } = usePlan();
  const load = useLoadProps();
  const close = () => dispatch({ do: 'close', panel });
  switch (panel.kind) {
    case 'details':
      return <DetailsOf key={panel.occurrence.id} opened={panel.occurrence} onClose={close} />;
    case 'edit':
      return (
        <StoredEditor
          key={panel.occurrenceId}
          eventId={panel.eventId}
          dateKey={panel.dateKey}
          onClose={close}
        />
      );
    case 'new':
      return (
        <EditorLater
          event={panel.draft}
          dateKey={null}
          isNew
          calendars={own}
          preferences={preferences}
          onDone={close}
        />
      );
    case 'scope':
      return (
        <AskScope
          key={`${panel.ask.occurrence.id} ${panel.ask.verb}`}
          ask={panel.ask}
          onClose={close}
        />
      );
    case 'day':
      return <DayBeside key={panel.day} day={panel.day} onClose={close} />;
    case 'workday':
      return (
        <WorkdayPanel key={panel.day} day={panel.day} preferences={preferences} onClose={close} />
      );
    case 'load':
      return <LoadPanel {...load} onClose={close} />;
    case 'tasks':
      return <TasksPanel onClose={close} />;
    case 'person':
      return (
        <PersonLater
          key={`${panel.personId} ${panel.occurrence?.id}`}
          personId={panel.personId}
          occurrence={panel.occurrence}
          today={today}
          preferences={preferences}
          onClose={close}
        />
      );
    case 'zones':
      return (
        <ZonesPanel
          preferences={preferences}
          today={today}
          seenAs={seenAs}
          onSeeAs={seeAs}
          onClose={close}
        />
      );
    case 'copy':
      return (
        <CopyLater
          occurrence={panel.occurrence}
          calendars={own}
          preferences={preferences}
          onDone={close}
        />
      );
    case 'add':
      return (
        <Adding key={`${panel.span?.start} ${panel.span?.end}`} panel={panel} onClose={close} />
      );
  }
}
