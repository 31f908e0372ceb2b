import { fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import type { Filter } from '@/core/model/filter';
import { EMPTY_FILTER } from '@/core/model/filter';
import { WEEKDAYS } from '@/core/time/words';
import { openDialogs } from '@/ui/testing/dialogs';
import { inTheme } from '@/ui/testing/inTheme';
import { DatesField } from './DatesField';
import { PartChips } from './PartChips';

jest.mock('@/data/queries', () => ({ useCalendars: () => [], useCategories: () => [] }));
jest.mock('@/data/preferences', () => ({
  usePreferences: () => ({
    wording: { locale: 'en-GB', hourCycle: '24' },
    clock: 'Europe/London',
    firstWeekday: 0,
  }),
}));

beforeAll(openDialogs);

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

test('a part is added by name, turned round and taken away', () => {
  const onFilter = jest.fn();
  function Held() {
    const [filter, setFilter] = useState<Filter>({ ...EMPTY_FILTER, kinds: ['series'] });
    return (
      <PartChips
        filter={filter}
        onFilter={(next) => {
          onFilter(next);
          setFilter(next);
        }}
      />
    );
  }
  inTheme(<Held />);
  press('More exact');
  press('People');
  fireEvent.change(screen.getByRole('textbox', { name: 'A name or an address' }), {
    target: { value: 'Mei' },
  });
  press('Turned round: not');
  expect(onFilter).toHaveBeenLastCalledWith({
    ...EMPTY_FILTER,
    kinds: ['series'],
    people: 'Mei',
    not: ['people'],
  });
  const dialog = screen.getByRole('dialog', { name: 'People' });
  fireEvent.click(within(dialog).getByRole('button', { name: 'Done' }));
  expect(screen.getByRole('button', { name: 'People: not with Mei. Change' })).toBeTruthy();
  press('Take away: not with Mei');
  expect(onFilter).toHaveBeenLastCalledWith({ ...EMPTY_FILTER, kinds: ['series'] });
});

test('weekdays, a time of day and a length are asked for by chips, clocks and words', () => {
  const onFilter = jest.fn();
  function Held() {
    const [filter, setFilter] = useState<Filter>(EMPTY_FILTER);
    onFilter(filter);
    return <PartChips filter={filter} onFilter={setFilter} />;
  }
  inTheme(<Held />);
  const ask = (part: string, answer: () => void) => {
    press('More exact');
    press(part);
    answer();
    press('Done');
  };
  ask('Weekdays', () => {
    expect(
      within(screen.getByRole('group', { name: 'On any of these weekdays' }))
        .getAllByRole('button')
        .map(({ textContent }) => textContent),
    ).toEqual(WEEKDAYS);
    press('Monday');
    press('Friday');
  });
  ask('Time of day', () => {
    press('Morning');
    fireEvent.change(screen.getByRole('textbox', { name: 'Begins before' }), {
      target: { value: '11:30' },
    });
    fireEvent.blur(screen.getByRole('textbox', { name: 'Begins before' }));
  });
  const words = () => screen.getByRole('textbox', { name: 'Length in words' });
  ask('Length', () => {
    press('30 min to 1 h');
    fireEvent.change(words(), { target: { value: '1 to 2 lamps' } });
    expect(screen.getByText(/^That is no length/)).toBeTruthy();
    fireEvent.change(words(), { target: { value: 'over 3 h' } });
  });
  expect(onFilter).toHaveBeenLastCalledWith({
    ...EMPTY_FILTER,
    weekdays: [0, 4],
    timeOfDay: { from: 300, to: 690 },
    length: { from: 180, to: null },
  });
  expect(
    screen.getByRole('button', { name: 'Time of day: from 05:00 until 11:30. Change' }),
  ).toBeTruthy();
  press('Take away: at least 3 h');
  expect(onFilter.mock.lastCall[0].length).toBeNull();
});

test('days are asked for in words, and what names none is told', () => {
  const onChange = jest.fn();
  inTheme(<DatesField dates={null} onChange={onChange} />);
  const words = screen.getByRole('textbox', { name: 'Days in words' });
  fireEvent.change(words, { target: { value: 'march 2027' } });
  expect(onChange).toHaveBeenLastCalledWith({ from: '2027-03-01', to: '2027-03-31' });
  fireEvent.change(words, { target: { value: 'lamp' } });
  expect(screen.getByText(/^That names no days/)).toBeTruthy();
});
