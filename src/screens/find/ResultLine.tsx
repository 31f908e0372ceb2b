import { StyleSheet } from 'react-native';
import { sayRule } from '@/core/recurrence/sayRule';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { FoundLine } from '@/core/find/results';
import type { Calendar } from '@/core/model/calendar';
import { titleOf } from '@/core/model/titleOf';
import { FIELD_NAMES } from '@/core/query/sayFilter';
import { civilDate } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { count, DATED_DAY, saySpan } from '@/core/time/words';
import { useBarState } from '@/features/bars/barState';
import { barName } from '@/features/bars/barName';
import { pressable } from '@/features/bars/pressable';
import { Mark } from '@/ui/Mark';
import { Pieces } from '@/ui/Pieces';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

export interface LineSetting {
  wording: Wording;
  today: DayNumber;
  onOpen(line: FoundLine): void;
}

/** How often a series takes place, and when it did last. */
function saySeries(
  { rule, next, last, dates }: FoundLine,
  shown: Occurrence,
  { wording, today }: LineSetting,
): string {
  const said =
    rule === undefined
      ? 'on dates of its own'
      : sayRule(rule, {
          start: shown.start,
          zone: shown.zone,
          wording,
          thisYear: civilDate(today).year,
          left: null,
        });
  return [
    said,
    dates && !dates.isEndless
      ? `${dates.isCut ? 'more than ' : ''}${count(dates.count, 'date')}`
      : '',
    next && last ? `last ${saySpan(last, wording, DATED_DAY)}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

/** An event that was found: its words marked, its next date, or its last where it is over. */
export function ResultLine({
  line,
  calendar,
  setting,
}: {
  line: FoundLine;
  calendar: Calendar;
  setting: LineSetting;
}) {
  const palette = usePalette();
  const { wording } = setting;
  const shown = line.next ?? line.last!;
  // A series is selected whole.
  const id = line.isSeries ? line.eventId : shown.id;
  const state = useBarState(id);
  const { place, where } = line;
  return (
    <div
      {...pressable({ ...shown, id }, true, () => setting.onOpen(line), state)}
      aria-label={barName(shown, calendar, wording, state)}
      className="found-line"
    >
      <span className="found-mark-of">
        <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={13} />
      </span>
      <span className="found-text">
        <span className="found-title">
          {line.title.length ? <Pieces pieces={line.title} /> : titleOf(shown)}
        </span>
        <span className="found-under">
          {saySpan(shown, wording, DATED_DAY)}
          {place.length > 0 && (
            <>
              {' · '}
              <Pieces pieces={place} />
            </>
          )}
          {` · ${calendar.name}`}
        </span>
        {line.isSeries && <span className="found-under">{saySeries(line, shown, setting)}</span>}
        {where && (
          <span className="found-under">
            <span style={styles.where}>{FIELD_NAMES[where.field]}: </span>
            <Pieces pieces={where.pieces} />
          </span>
        )}
      </span>
    </div>
  );
}

const styles = StyleSheet.create({ where: { fontStyle: 'italic' } });
