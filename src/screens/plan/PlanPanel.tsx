import type { Span } from '@/core/layout/drag';
import type { Calendar } from '@/core/model/calendar';
import { dayOfWall } from '@/core/time/civil';
import type { Preferences } from '@/data/preferences';
import { useEvent } from '@/data/queries';
import { CopyPanel } from '@/screens/event/CopyPanel';
import { EditorPanel } from '@/screens/event/EditorPanel';
import { AddCard } from './panels/AddCard';
import { Details } from './panels/Details';
import type { Panel } from './usePlan';

interface Props {
  panel: Panel;
  calendars: readonly Calendar[];
  /** Calendars that can be added to. */
  own: readonly Calendar[];
  preferences: Preferences;
  onPanel(panel: Panel): void;
  /** Told of the time of what is being added. */
  onDraft(span: Span | null): void;
  /** Shows the week of a day. */
  onShow(day: number): void;
  onClose(): void;
}

/** The calendar that new events go to: the one shown alone, else the chosen or first one. */
function defaultCalendar(own: readonly Calendar[], chosenId: string | null): string {
  const shown = own.filter((calendar) => calendar.shown);
  const [first] = shown.length ? shown : own;
  const chosen = shown.length !== 1 && own.find(({ id }) => id === chosenId);
  return (chosen || first)?.id ?? '';
}

function StoredEditor({
  eventId,
  own,
  preferences,
  onClose,
}: { eventId: string } & Pick<Props, 'own' | 'preferences' | 'onClose'>) {
  const { data: event } = useEvent(eventId);
  if (!event) return null;
  return (
    <EditorPanel
      event={event}
      isNew={false}
      calendars={own}
      preferences={preferences}
      onDone={onClose}
    />
  );
}

/** Whatever is open beside the week. */
export function PlanPanel({
  panel,
  calendars,
  own,
  preferences,
  onPanel,
  onDraft,
  onShow,
  onClose,
}: Props) {
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
            onEdit={() => onPanel({ kind: 'edit', eventId: occurrence.eventId })}
            onCopy={() => onPanel({ kind: 'copy', occurrence })}
            onClose={onClose}
          />
        )
      );
    }
    case 'edit':
      return (
        <StoredEditor
          key={panel.eventId}
          eventId={panel.eventId}
          own={own}
          preferences={preferences}
          onClose={onClose}
        />
      );
    case 'new':
      return (
        <EditorPanel
          event={panel.draft}
          isNew
          calendars={own}
          preferences={preferences}
          onDone={onClose}
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
          calendars={own}
          preferences={preferences}
          defaultCalendarId={defaultCalendar(own, preferences.settings.defaultCalendarId)}
          onAllDetails={(draft) => onPanel({ kind: 'new', draft })}
          onDraft={onDraft}
          onKept={(span: Span) => {
            onShow(dayOfWall(span.start));
            onClose();
          }}
          onClose={onClose}
        />
      );
  }
}
