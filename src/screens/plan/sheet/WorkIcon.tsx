import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { formatDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { SHORT_DAY, sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { PlainIcon } from '@/ui/icons/PlainIcon';
import { useHasFingers } from '@/ui/useMedia';

const WORKPLACE_ICONS: Record<string, string> = {
  workshop: 'tools',
  office: 'briefcase-clock-outline',
  home: 'home-outline',
  away: 'airplane',
};

interface Props {
  day: DayNumber;
  /** Place of its upper left corner, in px. */
  left: number;
  top: number;
  /** What the day is: in a row it stands a line lower. */
  of: 'row' | 'column';
  workweek: Workweek;
  wording: Wording;
  onPress(day: DayNumber): void;
}

/**
 * Where the work of a day is; a press changes that for the one date. Amber where it was changed.
 * Fingers have no room for it beside the day's head: there it is a sign, and the card that the
 * head opens changes the work.
 */
export function WorkIcon({ day, left, top, of, workweek, wording, onPress }: Props) {
  const { workplace, hours } = workdayOf(day, workweek);
  const isOwn = formatDate(day) in workweek.exceptions;
  const name = WORKPLACE_ICONS[workplace] ?? (hours ? 'map-marker-outline' : 'bed-outline');
  const said = hours ? workplace || 'at work' : workplace || 'off';
  const hasFingers = useHasFingers();
  const className = `work-icon work-icon-${of}${isOwn ? ' work-icon-own' : ''}`;
  const icon = <PlainIcon name={name} size={13} />;
  if (hasFingers)
    return (
      <span aria-hidden className={className} style={{ left, top, pointerEvents: 'none' }}>
        {icon}
      </span>
    );
  return (
    <button
      type="button"
      data-nodrag
      aria-label={`Work on ${sayDay(day, wording, SHORT_DAY)}: ${said}${isOwn ? ', changed' : ''}. Change`}
      onClick={() => onPress(day)}
      className={className}
      style={{ left, top }}
    >
      {icon}
    </button>
  );
}
