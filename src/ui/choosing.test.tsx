import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { parseDate } from '@/core/time/civil';
import { Check } from './Check';
import { DayPicker, DaysPicker } from './DayPicker';
import { MenuList } from './Menu';
import { NumberField } from './NumberField';
import { ToggleGroup } from './ToggleGroup';
import { openDialogs } from './testing/dialogs';
import { inTheme } from './testing/inTheme';
import { Unreadable } from './unreadable';
import { Today } from './today';
import { WeekNumbers } from './weekNumbers';

beforeAll(openDialogs);
// Finding by role takes long among the years that a month can be of.

const TODAY = parseDate('2026-11-24');
const WORDING = { locale: 'en-GB', hourCycle: '24' } as const;
const shown = { title: 'A day', wording: WORDING, firstWeekday: 0 };
const day = (name: RegExp) => screen.getByRole('button', { name });
/** Months come a moment later. */
async function inThemeSoon(element: React.ReactElement) {
  const drawn = inTheme(element);
  await waitFor(() => expect(document.querySelector('.months')).not.toBeNull());
  return drawn;
}

test('a day is taken from its month by one press, and other months are a press away', async () => {
  const onPick = jest.fn();
  await inThemeSoon(<DayPicker {...shown} day={TODAY} onClose={jest.fn()} onPick={onPick} />);
  fireEvent.click(day(/\b26 November 2026$/));
  expect(onPick).toHaveBeenLastCalledWith(TODAY + 2);
  fireEvent.click(screen.getByRole('button', { name: 'Month after' }));
  fireEvent.click(day(/\b1 December 2026$/));
  expect(onPick).toHaveBeenLastCalledWith(parseDate('2026-12-01'));
});

test('months mark today, the days with events, and the weeks by number where that is wished', async () => {
  await inThemeSoon(
    <Today value={TODAY}>
      <DayPicker
        {...shown}
        day={TODAY}
        marks={{ isShown: () => false, isBusy: (each) => each === TODAY + 1 }}
        onClose={jest.fn()}
        onPick={jest.fn()}
      />
    </Today>,
  );
  expect(day(/\b24 November 2026$/).closest('.rdp-today')).not.toBeNull();
  expect(day(/\b25 November 2026$/).closest('.months-busy')).not.toBeNull();
  expect(day(/\b26 November 2026$/).closest('.months-busy')).toBeNull();
  // 2026 begins on a Thursday, so that its 1 January lies in week 1, and 24 November in week 48.
  const row = day(/\b24 November 2026$/).closest('tr')!;
  expect(within(row).getByRole('rowheader', { name: 'Week 48' })).toBeTruthy();
});

test('without week numbers a month has days alone', async () => {
  await inThemeSoon(
    <WeekNumbers value={false}>
      <DayPicker {...shown} day={TODAY} onClose={jest.fn()} onPick={jest.fn()} />
    </WeekNumbers>,
  );
  expect(screen.queryAllByRole('rowheader')).toEqual([]);
});

test('several days are marked one by one and taken together', async () => {
  const onPick = jest.fn();
  await inThemeSoon(
    <DaysPicker {...shown} days={[TODAY]} near={TODAY} onClose={jest.fn()} onPick={onPick} />,
  );
  fireEvent.click(day(/\b26 November 2026/));
  fireEvent.click(day(/\b24 November 2026/));
  fireEvent.click(day(/\b30 November 2026/));
  expect(onPick).not.toHaveBeenCalled();
  fireEvent.click(screen.getByRole('button', { name: 'Take 2 days' }));
  expect(onPick).toHaveBeenCalledWith([TODAY + 2, TODAY + 6]);
});

function Days() {
  const [days, setDays] = useState(7);
  return (
    <NumberField label="Days on" value={days} min={1} max={60} unit="days" onChange={setDays} />
  );
}

test('a number is stepped within its ends, and what is no such number stays, is told and not taken', () => {
  const onReport = jest.fn();
  inTheme(
    <Unreadable value={onReport}>
      <Days />
    </Unreadable>,
  );
  const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'Days on' });
  const type = (text: string) => {
    fireEvent.change(field, { target: { value: text } });
    fireEvent.blur(field);
  };
  fireEvent.click(screen.getByRole('button', { name: 'Days on: more' }));
  expect(field.value).toBe('8');
  for (const wrong of ['0', '61', '2.5', 'many', '']) {
    type(wrong);
    expect(field.value).toBe(wrong);
    expect(screen.getByRole('alert')).toHaveTextContent('A whole number from 1 to 60.');
    expect(onReport).toHaveBeenLastCalledWith(expect.anything(), true);
  }
  // A step goes on from the last good one.
  fireEvent.click(screen.getByRole('button', { name: 'Days on: more' }));
  expect(field.value).toBe('9');
  expect(screen.queryByRole('alert')).toBeNull();
  expect(onReport).toHaveBeenLastCalledWith(expect.anything(), false);
  type('60');
  expect(field.value).toBe('60');
  expect(screen.getByRole('button', { name: 'Days on: more' }).getAttribute('aria-disabled')).toBe(
    'true',
  );
});

test('any of a group are on or off for themselves', () => {
  const onChange = jest.fn();
  const options = ['busy', 'away', 'free'].map((value) => ({ value, label: value }));
  inTheme(
    <ToggleGroup name="Availability" options={options} chosen={['away']} onChange={onChange} />,
  );
  const group = screen.getByRole('group', { name: 'Availability' });
  fireEvent.click(within(group).getByText('free'));
  expect(onChange).toHaveBeenLastCalledWith(['away', 'free']);
  fireEvent.click(within(group).getByText('away'));
  expect(onChange).toHaveBeenLastCalledWith([]);
});

test('a box is ticked by its words as well', () => {
  const onChange = jest.fn();
  inTheme(<Check label="Week numbers" isOn={false} onChange={onChange} />);
  fireEvent.click(screen.getByText('Week numbers'));
  expect(onChange).toHaveBeenCalledWith(true);
});

test('arrow keys go through a menu and round its ends', () => {
  const items = ['Open', 'Copy', 'Remove'].map((label) => ({
    label,
    icon: 'close',
    onPress: jest.fn(),
  }));
  inTheme(<MenuList name="Event" items={items} />);
  const buttons = screen.getAllByRole('button');
  act(() => buttons[0]!.focus());
  act(() => void fireEvent.keyDown(buttons[0]!, { key: 'ArrowUp' }));
  expect(document.activeElement).toBe(buttons[2]);
  act(() => void fireEvent.keyDown(buttons[2]!, { key: 'ArrowDown' }));
  expect(document.activeElement).toBe(buttons[0]);
});
