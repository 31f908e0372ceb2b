import { KeysLater } from '@/features/keys/later';
import { usePlan } from './PlanProvider';
import { later } from '@/ui/later';

const EventMenu = later(() => import('@/features/event/EventMenu').then((part) => part.EventMenu));
const DateDialog = later(() => import('./view/DateDialog').then((part) => part.DateDialog));
const LensesLater = later(() =>
  import('./view/LensesDialog').then(({ LensesDialog }) => LensesDialog),
);
const PeriodsLater = later(() =>
  import('./view/PeriodsDialog').then(({ PeriodsDialog }) => PeriodsDialog),
);

/** Whatever is asked over the sheet. The view's and the filter's dialogs belong to their buttons. */
export function PlanDialogs() {
  const { dialog, menuFor } = usePlan();
  return (
    <>
      {menuFor && <MenuOfEvent key={menuFor.id} />}
      {dialog === 'date' && <GoToDate />}
      {dialog === 'keys' && <Keys />}
      {dialog === 'lenses' && <Lenses />}
      {dialog === 'periods' && <Periods />}
    </>
  );
}

function useClose(): () => void {
  const { dispatch } = usePlan();
  return () => dispatch({ do: 'ask', dialog: null });
}

function MenuOfEvent() {
  const { menuFor, calendars, moves, dispatch } = usePlan();
  if (!menuFor) return null;
  return (
    <EventMenu
      occurrence={menuFor}
      calendars={calendars}
      onOpen={() => dispatch({ do: 'open', panel: { kind: 'details', occurrence: menuFor } })}
      onCopy={() => dispatch({ do: 'open', panel: { kind: 'copy', occurrence: menuFor } })}
      onRemove={() => void moves.remove(menuFor.id)}
      onNextWorkday={() => void moves.toNextWorkday(menuFor)}
      onChangeDate={(event, fields) => void moves.ask(menuFor, 'Change', event, fields)}
      onClose={() => dispatch({ do: 'menu', of: null })}
    />
  );
}

function GoToDate() {
  const { place, content, today, preferences } = usePlan();
  const close = useClose();
  return (
    <DateDialog
      day={place.day}
      today={today}
      range={place.range}
      query={content.query}
      preferences={preferences}
      onClose={close}
      onGo={(day) => {
        close();
        place.goTo(day);
      }}
    />
  );
}

function Keys() {
  return <KeysLater onClose={useClose()} />;
}

function Lenses() {
  const { place, content, lensing, calendars, preferences } = usePlan();
  return (
    <LensesLater
      lenses={lensing.lenses}
      view={place.view}
      shownIds={calendars.flatMap(({ id, shown }) => (shown ? [id] : []))}
      day={place.range.from}
      title={content.title}
      preferences={preferences}
      onPick={lensing.pick}
      onClose={useClose()}
    />
  );
}

function Periods() {
  const { place, preferences } = usePlan();
  const close = useClose();
  return (
    <PeriodsLater
      preferences={preferences}
      day={place.range.from}
      onMade={(id) => {
        close();
        place.showMade(id);
      }}
      onClose={close}
    />
  );
}
