import { useRef } from 'react';
import type { Span } from '@/core/layout/drag';
import { snapDown } from '@/core/layout/drag';
import { ARROWS, nudge, stepOf } from '@/core/layout/nudge';
import { daytimeOf } from '@/core/model/workweek';
import type { Task } from '@/core/model/task';
import { titleOf } from '@/core/model/titleOf';
import { calendarForNew } from '@/core/calendars/showing';
import { DAY, dayOfWall, MINUTE } from '@/core/time/civil';
import type { WallMs } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { useMessages } from '@/data/messages';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import { lastSheetShown, sheetClock } from '@/data/sheetShown';
import { sheetTarget } from '@/data/sheetTarget';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

/** How far a pointer goes before it drags, in px. */
const SLACK = 4;
/** While something is put on the sheet, what lies over the sheet steps back. */
const PLACING = 'is-placing';

/**
 * Where a task is taken hold of, to be given time on the sheet: by mouse or finger it is dragged there;
 * by keys, Enter takes it up, the arrows move it, Enter puts it down and Escape takes it back.
 */
export function TaskHandle({ task }: { task: Task }) {
  const palette = usePalette();
  const act = useDo();
  const { say } = useMessages();
  const { clock, settings } = usePreferences();
  const calendars = useCalendars();
  const held = useRef<Span | null>(null);
  const from = useRef<{ x: number; y: number } | null>(null);
  const length = (task.estimate ?? settings.defaultLength) * MINUTE;
  const title = titleOf(task);

  function show(start: WallMs | null) {
    held.current = start === null ? null : { start, end: start + length, wholeDay: false };
    if (held.current) sheetTarget()?.show(held.current);
    else sheetTarget()?.hide();
  }
  function letGo() {
    from.current = null;
    document.body.classList.remove(PLACING);
    show(null);
  }
  function drop() {
    const span = held.current;
    letGo();
    if (!span) return;
    const calendarId = calendarForNew(calendars, settings.defaultCalendarId)?.id ?? '';
    const block = { taskId: task.id, start: span.start, end: span.end };
    void act({ kind: 'placeBlocks', blocks: [block], calendarId, clock: sheetClock() ?? clock });
  }

  function startAt(x: number, y: number): WallMs | null {
    const target = sheetTarget();
    const spot = target?.spotAt(x, y);
    if (!target || !spot) return null;
    const minute =
      target.axis === 'days'
        ? daytimeOf(spot.day, settings.workweek).from
        : snapDown(spot.minute, target.slot);
    return spot.day * DAY + minute * MINUTE;
  }

  /** By keys it begins at the next slot, or as the first day that is shown does. */
  function takeUp() {
    const target = sheetTarget();
    const shown = lastSheetShown();
    if (!target || !shown) return;
    const now = wallFromInstant(Date.now(), shown.clock);
    const today = dayOfWall(now);
    const step = target.slot * MINUTE;
    const isHere = today >= shown.fromDay && today < shown.toDay;
    const first = shown.fromDay * DAY + daytimeOf(shown.fromDay, settings.workweek).from * MINUTE;
    document.body.classList.add(PLACING);
    show(isHere ? Math.ceil(now / step) * step : first);
    say('The arrows move it, Enter puts it down, Escape takes it back.');
  }

  return (
    <button
      type="button"
      className="drag-handle"
      aria-label={`Give time to ${title}`}
      title="Drag it onto the sheet; or press Enter, and use the arrows"
      style={{ color: palette.dim }}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, y: event.clientY };
      }}
      onPointerMove={({ clientX: x, clientY: y }) => {
        const at = from.current;
        if (!at) return;
        const isFar = Math.abs(x - at.x) > SLACK || Math.abs(y - at.y) > SLACK;
        if (!isFar && !document.body.classList.contains(PLACING)) return;
        document.body.classList.add(PLACING);
        show(startAt(x, y));
      }}
      onPointerUp={drop}
      onPointerCancel={letGo}
      onBlur={letGo}
      onKeyDown={(event) => {
        const arrow = ARROWS[event.key];
        const span = held.current;
        const target = sheetTarget();
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          if (span) drop();
          else takeUp();
        } else if (event.key === 'Escape' && span) {
          event.preventDefault();
          event.stopPropagation();
          letGo();
        } else if (arrow && span && target) {
          event.preventDefault();
          show(nudge(span, stepOf(arrow, target.axis), target.slot, false).start);
        }
      }}
    >
      <Icon name="drag" size={20} />
    </button>
  );
}
