import type { Calendar } from '@/core/model/calendar';
import type { Category } from '@/core/model/others';
import type { Span } from '@/core/layout/drag';
import type { Preferences } from '@/data/preferences';
import { Agenda } from './agenda/Agenda';
import { Columns } from './columns/Columns';
import { Grid } from './grid/Grid';
import { Rows } from './rows/Rows';
import type { SheetGestures } from './sheet/sheetGestures';
import { Table } from './table/Table';
import type { SheetPlace, useSheetContent } from './useSheetContent';
import { Year } from './year/Year';

interface Props extends SheetGestures {
  place: SheetPlace;
  content: ReturnType<typeof useSheetContent>;
  today: number;
  calendars: readonly Calendar[];
  categories: readonly Category[];
  categoryInks: ReadonlyMap<string, string> | null;
  newLength: number;
  preferences: Preferences;
  selectedId: string | null;
  /** The day whose events are listed beside. */
  chosenDay: number | null;
  draft: Span | null;
  covered: number;
  onOpenDay(day: number): void;
  onSeeAs(zone: string | null): void;
}

/** The sheet in the form that was chosen. */
export function SheetForm(props: Props) {
  const { place, content, onOpenDay, onSeeAs, categories, ...hands } = props;
  const { view, range, drawn } = place;
  const { occurrences, hours, isWidened, setWidened, bookedOn, name, tracks, form } = content;
  const common = {
    ...hands,
    name,
    days: drawn.days,
    tracks,
    hours,
    isWidened,
    onWiden: setWidened,
    occurrences,
    bookedOn,
  };
  switch (form) {
    case 'rows':
      return <Rows {...common} onSeeAs={onSeeAs} />;
    case 'columns':
      return <Columns {...common} />;
    case 'grid':
      return (
        <Grid
          {...common}
          within={range}
          detail={view.detail}
          onShowWeek={(day) => place.showSpan({ kind: 'week' }, day)}
        />
      );
    case 'year':
      return (
        <Year
          fromDay={range.from}
          toDay={range.to}
          loads={content.loads}
          today={props.today}
          chosen={props.chosenDay}
          preferences={props.preferences}
          covered={props.covered}
          onChoose={onOpenDay}
        />
      );
    case 'agenda':
      return (
        <Agenda
          {...common}
          fromDay={content.agendaDay}
          agenda={content.agenda}
          onSeen={place.setSeenDay}
        />
      );
    case 'table':
      return (
        <Table
          {...common}
          categories={categories}
          within={range}
          setup={view.table}
          onSetup={(table) => place.show({ ...view, table })}
        />
      );
  }
}
