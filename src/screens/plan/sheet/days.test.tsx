import { fireEvent, screen } from '@testing-library/react';
import type { Workweek } from '@/core/model/others';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { TODAY } from '@/core/testing/occurrences';
import { inTheme } from '@/ui/testing/inTheme';
import type { DayNumber } from '@/core/time/units';
import { GridCell } from '../grid/GridCell';
import { WORDING } from '../testing/samples';
import { CountChip } from './CountChip';
import { DayButton } from './DayButton';
import { WorkIcon } from './WorkIcon';

/** Work is at the workshop. */
const workweek = {
  ...DEFAULT_SETTINGS.workweek,
  days: DEFAULT_SETTINGS.workweek.days.map((day) => ({
    ...day,
    workplace: day.hours ? 'workshop' : '',
  })),
};
const SATURDAY = TODAY + 4;

function drawDay(fields: Partial<Parameters<typeof DayButton>[0]> = {}) {
  const onAdd = jest.fn();
  const onWorkday = jest.fn();
  inTheme(
    <DayButton
      of="row"
      day={TODAY}
      at={{ left: 0, top: 40, width: 68, height: 65 }}
      bookedMinutes={330}
      isToday={false}
      awayZone={null}
      workweek={workweek}
      wording={WORDING}
      onAdd={onAdd}
      onWorkday={onWorkday}
      {...fields}
    />,
  );
  const head = screen.getByRole('button', { name: /Add$/ });
  return { head, icon: screen.getByRole('button', { name: /Change$/ }), onAdd, onWorkday };
}

describe('the head of a day', () => {
  test('says the day, how booked it is and where the work is; a press adds to it', () => {
    const { head, onAdd, onWorkday } = drawDay();
    expect(head).toHaveAccessibleName(
      /^Tuesday,? 24 November 2026, 5\.5 h booked, workshop\. Add$/,
    );
    expect(head).toHaveTextContent('TUE245.5h');
    fireEvent.click(head);
    expect(onAdd).toHaveBeenCalledWith(TODAY);
    expect(onWorkday).not.toHaveBeenCalled();
  });

  test('today is told by name, and not by colour alone', () => {
    const { head } = drawDay({ isToday: true });
    expect(head).toHaveAccessibleName(/2026, today, /);
    expect(head).toHaveClass('sheet-today');
  });

  test('a day spent elsewhere names the clock that counts; only a row has room for the place', () => {
    const { head } = drawDay({ awayZone: 'Asia/Tokyo' });
    expect(head).toHaveAccessibleName(/by the clock of Tokyo/);
    expect(head).toHaveTextContent('Tokyo');
  });

  test('a column that is narrow puts its parts under each other', () => {
    const { head } = drawDay({
      of: 'column',
      at: { left: 0, top: 40, width: 39, height: 46 },
      awayZone: 'Asia/Tokyo',
    });
    expect(head).toHaveClass('day-button-narrow');
    expect(head).not.toHaveTextContent('Tokyo');
  });

  test('nothing booked is said to screen readers alone', () => {
    const { head } = drawDay({ bookedMinutes: 0 });
    expect(head).toHaveAccessibleName(/, 0 h booked/);
    expect(head).toHaveTextContent(/^TUE24$/);
  });
});

describe('the icon of where the work is', () => {
  const draw = (day: DayNumber, week: Workweek) => {
    const onPress = jest.fn();
    inTheme(
      <WorkIcon
        day={day}
        left={0}
        top={0}
        of="row"
        workweek={week}
        wording={WORDING}
        onPress={onPress}
      />,
    );
    return { icon: screen.getByRole('button'), onPress };
  };

  test('says the place of its weekday, and asks to change it', () => {
    const { icon, onPress } = draw(TODAY, workweek);
    expect(icon).toHaveAccessibleName(/^Work on Tue,? 24 Nov: workshop\. Change$/);
    fireEvent.click(icon);
    expect(onPress).toHaveBeenCalledWith(TODAY);
  });

  test('says a day off', () => {
    const { icon } = draw(SATURDAY, workweek);
    expect(icon).toHaveAccessibleName(/: off\. Change$/);
    expect(icon).not.toHaveClass('work-icon-own');
  });

  test('says a date that was changed', () => {
    const own = { hours: { from: 600, to: 720 }, workplace: 'pilot station' };
    const { icon } = draw(SATURDAY, { ...workweek, exceptions: { '2026-11-28': own } });
    expect(icon).toHaveAccessibleName(/: pilot station, changed\. Change$/);
    expect(icon).toHaveClass('work-icon-own');
  });
});

test('counts of what lies outside the shown hours say whose day it is, and show them', () => {
  const onPress = jest.fn();
  inTheme(
    <CountChip events={1} side="earlier" dayName="Sat 28 Nov" place={{ top: 2 }} onPress={onPress}>
      ‹ 1 earlier
    </CountChip>,
  );
  const chip = screen.getByRole('button', { name: '1 earlier event on Sat 28 Nov: show' });
  expect(chip).toHaveTextContent('‹ 1 earlier');
  fireEvent.click(chip);
  expect(onPress).toHaveBeenCalled();
});

describe('a cell of the grid', () => {
  const USUAL = {
    today: false,
    within: true,
    open: false,
    draft: false,
    tall: false,
    narrow: false,
  };

  function drawCell(fields: Partial<Parameters<typeof GridCell>[0]> = {}) {
    const onOpenDay = jest.fn();
    const { container } = inTheme(
      <GridCell
        day={TODAY}
        at={{ left: 0, top: 0, width: 100, height: 90 }}
        is={USUAL}
        head={22}
        bookedMinutes={330}
        facts={[]}
        washes={[]}
        workweek={workweek}
        wording={WORDING}
        onOpenDay={onOpenDay}
        {...fields}
      />,
    );
    const cell = container.querySelector('.grid-cell')!;
    return { cell, head: screen.getByRole('button'), onOpenDay };
  }

  test('opens its day in place, and says whether it is open', () => {
    const { head, onOpenDay } = drawCell();
    expect(head).toHaveAccessibleName(/^Tuesday,? 24 November 2026, 5\.5 h booked.*Open the day$/);
    expect(head).toHaveAttribute('aria-expanded', 'false');
    fireEvent.click(head);
    expect(onOpenDay).toHaveBeenCalledWith(TODAY);
  });

  test('an open one closes', () => {
    const { head } = drawCell({ is: { ...USUAL, open: true } });
    expect(head).toHaveAccessibleName(/Close the day$/);
    expect(head).toHaveAttribute('aria-expanded', 'true');
  });

  test('the first of a month is named with it', () => {
    const { head } = drawCell({ day: TODAY + 7 });
    expect(head).toHaveTextContent('1 Dec');
  });

  test('days off, days beyond the span and the draft are told apart', () => {
    expect(drawCell({ day: SATURDAY }).cell).toHaveClass('grid-cell-off');
  });

  test('a day of another month, where something is being added', () => {
    const { cell } = drawCell({ is: { ...USUAL, within: false, draft: true } });
    expect(cell).toHaveClass('grid-cell-beyond', 'grid-cell-draft');
    expect(cell).not.toHaveClass('grid-cell-off');
  });

  test('each event that takes the day leaves a wash', () => {
    const { cell } = drawCell({
      washes: [
        { colour: '#123456', isClosure: false },
        { colour: '#654321', isClosure: true },
      ],
    });
    const [leave, closure] = cell.querySelectorAll('.sheet-wash');
    // Whose it is shows at the edge alone.
    expect(leave).not.toHaveClass('sheet-wash-closure');
    expect(closure).toHaveClass('sheet-wash-closure');
  });
});
