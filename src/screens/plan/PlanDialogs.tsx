import type { View } from '@/core/model/view';
import type { Preferences } from '@/data/preferences';
import type { useLensPicking } from './useLensPicking';
import type { SheetPlace, useSheetContent } from './useSheetContent';
import { DateDialog } from './view/DateDialog';
import { KeysDialog } from '@/features/keys/KeysDialog';
import { LensesDialog } from './view/LensesDialog';
import { PeriodsDialog } from './view/PeriodsDialog';

/** Dialogs over the sheet. The view's and the filter's belong to their buttons. */
export type Asked = 'date' | 'periods' | 'lenses' | 'view' | 'filter' | 'keys';

interface Props {
  asked: Asked | null;
  place: SheetPlace;
  content: ReturnType<typeof useSheetContent>;
  lensing: ReturnType<typeof useLensPicking>;
  view: View;
  shownIds: readonly string[];
  today: number;
  preferences: Preferences;
  onClose(): void;
}

/** Whatever is asked over the sheet. */
export function PlanDialogs(props: Props) {
  const { asked, place, content, lensing, view, preferences, onClose } = props;
  switch (asked) {
    case 'date':
      return (
        <DateDialog
          day={place.day}
          today={props.today}
          range={place.range}
          sight={content.sight}
          preferences={preferences}
          onClose={onClose}
          onGo={(day) => {
            onClose();
            place.goTo(day);
          }}
        />
      );
    case 'keys':
      return <KeysDialog onClose={onClose} />;
    case 'lenses':
      return (
        <LensesDialog
          lenses={lensing.lenses}
          view={view}
          shownIds={props.shownIds}
          day={place.range.from}
          title={content.title}
          preferences={preferences}
          onPick={lensing.pick}
          onClose={onClose}
        />
      );
    case 'periods':
      return (
        <PeriodsDialog
          preferences={preferences}
          day={place.range.from}
          onMade={(id) => {
            onClose();
            place.showMade(id);
          }}
          onClose={onClose}
        />
      );
    default:
      return null;
  }
}
