import { fireEvent, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import type { RowBar } from '@/core/layout/rows';
import { INKS } from '@/core/model/inks';
import { HOUR, MINUTE } from '@/core/time/civil';
import { at, timed, TODAY } from '@/core/testing/occurrences';
import { CLIENTS } from '../testing/samples';
import { themeOf } from '@/ui/theme/theme';
import { BarView } from './BarView';
import { nudge, stepOf } from '@/core/layout/nudge';
import { neighbour } from '../sheet/useSheetKeys';

const occurrence = timed('Osaka call', TODAY, at(9), at(10), {
  id: 'call',
  calendarId: CLIENTS.id,
  availability: 'tentative',
  zone: 'Asia/Tokyo',
});
const NINE = occurrence.start;
const bar: RowBar = {
  occurrence,
  x: 10,
  width: 40,
  lane: 0,
  labelSide: 'right',
  labelOffset: 21,
  labelRoom: 90,
  wayBefore: 0,
  wayAfter: 0,
  cutStart: false,
  cutEnd: false,
};

function draw(fields: Partial<Parameters<typeof BarView>[0]> = {}) {
  const onOpen = jest.fn();
  const wording = { locale: 'en-GB', hourCycle: '24' } as const;
  const place = {
    at: { top: 0, left: 50, height: 20 },
    second: '',
    isSelected: false,
    isDragged: false,
    isTabStop: true,
  };
  render(
    <PaperProvider theme={themeOf(false, 'spruce', 1)}>
      <BarView
        bar={bar}
        calendar={CLIENTS}
        ink={INKS.Kelp}
        wording={wording}
        onOpen={onOpen}
        {...place}
        {...fields}
      />
    </PaperProvider>,
  );
  return { onOpen, button: screen.getByRole('button') };
}

test('a bar says title, time, calendar and availability', () => {
  expect(draw().button.getAttribute('aria-label')).toMatch(
    /^Osaka call, Tue,? 24 Nov, 09:00 – 10:00, Clients, tentative$/,
  );
});

test('it is opened by a press, by Enter and by Space, not by Alt with them', () => {
  const { button, onOpen } = draw();
  fireEvent.click(button);
  fireEvent.keyDown(button, { key: 'Enter' });
  fireEvent.keyDown(button, { key: ' ' });
  fireEvent.keyDown(button, { key: 'Enter', altKey: true });
  expect(onOpen).toHaveBeenCalledTimes(3);
});

test('a tentative event has a dashed line below, the selected one has handles', () => {
  const { button } = draw({ isSelected: true });
  expect(button).toHaveClass('sheet-soft-tentative');
  expect(button.querySelectorAll('[data-handle]')).toHaveLength(2);
});

test('arrows find the next bar of a row, and the like one of the next row that has any', () => {
  const order = [['a', 'b'], [], ['c']];
  expect(neighbour(order, 'a', { along: 1, across: 0 })).toBe('b');
  expect(neighbour(order, 'b', { along: 1, across: 0 })).toBeNull();
  expect(neighbour(order, 'b', { along: 0, across: 1 })).toBe('c');
  expect(neighbour(order, 'a', { along: 0, across: -1 })).toBeNull();
});

test('keys move by the slot and the day, and stretch no further than one slot', () => {
  const span = { start: NINE, end: NINE + 30 * MINUTE, wholeDay: false };
  expect(nudge(span, stepOf({ x: -1, y: 0 }, 'across'), 15, false).start).toBe(NINE - 15 * MINUTE);
  expect(nudge(span, stepOf({ x: 0, y: 1 }, 'across'), 15, false).start).toBe(NINE + 24 * HOUR);
  const short = nudge(
    nudge(span, stepOf({ x: -1, y: 0 }, 'across'), 15, true),
    stepOf({ x: -1, y: 0 }, 'across'),
    15,
    true,
  );
  expect(short).toEqual({ ...span, end: NINE + 15 * MINUTE });
});

test('arrows go by time where it runs down, and by days and weeks where only days are', () => {
  const span = { start: NINE, end: NINE + 30 * MINUTE, wholeDay: false };
  const moved = (x: number, y: number, axis: 'down' | 'days') =>
    nudge(span, stepOf({ x, y }, axis), 15, false).start - NINE;
  expect(moved(0, 1, 'down')).toBe(15 * MINUTE);
  expect(moved(1, 0, 'down')).toBe(24 * HOUR);
  expect(moved(0, -1, 'days')).toBe(-7 * 24 * HOUR);
  expect(moved(1, 0, 'days')).toBe(24 * HOUR);
});
