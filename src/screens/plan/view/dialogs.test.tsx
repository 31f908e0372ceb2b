import { fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import type { Filter } from '@/core/model/filter';
import type { Lens, View } from '@/core/model/view';
import { EMPTY_FILTER } from '@/core/model/filter';
import { DEFAULT_VIEW } from '@/core/model/view';
import type { SpanSetting } from '@/core/view/spans';
import { openDialogs } from '@/ui/testing/dialogs';
import { inTheme } from '@/ui/testing/inTheme';
import { FilterDialog } from './FilterDialog';
import { KeysDialog } from '@/features/keys/KeysDialog';
import { ViewDialog } from './ViewDialog';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: mockNavigate }) }));
jest.mock('@/data/queries', () => ({ useCalendars: () => [], useCategories: () => [] }));
jest.mock('@/data/preferences', () => ({
  usePreferences: () => ({
    wording: { locale: 'en-GB', hourCycle: '24' },
    clock: 'Europe/London',
    firstWeekday: 0,
  }),
}));

beforeAll(openDialogs);

const press = (role: string, name: string | RegExp) =>
  fireEvent.click(screen.getByRole(role, { name }));

describe('what the sheet lets through', () => {
  function draw(first: Partial<Filter> = {}) {
    const onFilter = jest.fn();
    const onClose = jest.fn();
    function Held() {
      const [filter, setFilter] = useState({ ...EMPTY_FILTER, ...first });
      return (
        <FilterDialog
          filter={filter}
          categories={[{ id: 'quay', name: 'Quay', ink: '#1D5480', order: 0 }]}
          hidden={3}
          onFilter={(next) => {
            onFilter(next);
            setFilter(next);
          }}
          onClose={onClose}
        />
      );
    }
    inTheme(<Held />);
    return { onFilter, onClose };
  }

  test('every choice works at once, and they add up', () => {
    const { onFilter } = draw();
    const text = screen.getByRole('textbox', { name: /^Words/ });
    fireEvent.change(text, { target: { value: 'lens' } });
    press('button', 'Quay');
    press('button', 'Tentative');
    press('button', 'Repeating');
    press('button', 'High');
    press('checkbox', 'Hide what is past');
    expect(onFilter).toHaveBeenLastCalledWith({
      ...EMPTY_FILTER,
      text: 'lens',
      categoryIds: ['quay'],
      availability: ['tentative'],
      kinds: ['series'],
      importance: ['high'],
      isPastHidden: true,
    });
  });

  test('a second press takes a choice back', () => {
    const { onFilter } = draw({ availability: ['busy', 'free'] });
    press('button', 'Busy');
    expect(onFilter.mock.calls.at(-1)![0].availability).toEqual(['free']);
  });

  test('says how many are hidden, and clears everything in one press', () => {
    const { onFilter, onClose } = draw({ text: 'lens', kinds: ['wholeDay'] });
    expect(screen.getByRole('status')).toHaveTextContent('3 hidden');
    press('button', 'Clear');
    expect(onFilter).toHaveBeenLastCalledWith(EMPTY_FILTER);
    expect(screen.getByRole('textbox', { name: /^Words/ })).toHaveValue('');
    press('button', 'Done');
    expect(onClose).toHaveBeenCalled();
  });
});

describe('how the sheet is seen', () => {
  const SETTING: SpanSetting = {
    firstWeekday: 0,
    workdays: [0, 1, 2, 3, 4],
    periods: [{ id: 'refit', name: 'Refit season', from: '2026-03-01', to: '2026-05-31' }],
    periodRuns: [],
  };
  const LENS: Lens = {
    id: 'mine',
    name: 'My week',
    icon: 'tools',
    view: DEFAULT_VIEW,
    day: null,
    order: 0,
  };

  type Props = Parameters<typeof ViewDialog>[0];
  function draw(fields: Partial<Props> = {}, ofLenses: Partial<Props['lenses']> = {}) {
    const onLens = { onPick: jest.fn(), onEdit: jest.fn(), onUpdate: jest.fn() };
    const lenses = { all: [], current: null, isChanged: false, ...onLens, ...ofLenses };
    const told = {
      onView: jest.fn(),
      colourBy: 'calendar' as const,
      onColourBy: jest.fn(),
      hasFactCalendars: false,
      onNextSeven: jest.fn(),
      onPeriods: jest.fn(),
      onClose: jest.fn(),
    };
    inTheme(
      <ViewDialog
        view={DEFAULT_VIEW}
        setting={SETTING}
        days={7}
        lenses={lenses}
        {...told}
        {...fields}
      />,
    );
    const group = (name: string) => within(screen.getByRole('radiogroup', { name }));
    const seen = () => told.onView.mock.calls.at(-1)![0] as View;
    return { ...told, ...onLens, group, seen };
  }

  test('a span keeps its form where that suits, and gets one that does where it does not', () => {
    const { group, seen } = draw();
    fireEvent.click(group('Days').getByRole('radio', { name: '3' }));
    expect(seen()).toMatchObject({ span: { kind: 'days', count: 3 }, form: 'rows' });
    fireEvent.click(group('How long').getByRole('radio', { name: 'Year' }));
    expect(seen()).toMatchObject({ span: { kind: 'year' }, form: 'year' });
  });

  test('forms that do not suit say for what they are, and can’t be pressed', () => {
    const { group, onView } = draw();
    const year = group('Drawn as').getByRole('radio', { name: 'Year: for a year' });
    expect(year).toHaveAttribute('aria-disabled', 'true');
    fireEvent.click(year);
    expect(onView).not.toHaveBeenCalled();
  });

  test('no choice closes the question; Done does', () => {
    const { group, seen, onClose } = draw();
    fireEvent.click(group('Drawn as').getByRole('radio', { name: /^Columns: a column a day/ }));
    expect(seen()).toEqual({ ...DEFAULT_VIEW, form: 'columns' });
    fireEvent.click(group('How long').getByRole('radio', { name: 'Month' }));
    expect(onClose).not.toHaveBeenCalled();
    press('button', 'Done');
    expect(onClose).toHaveBeenCalledTimes(1);
  });

  test('a period of one’s own is a press away', () => {
    const { group, seen } = draw();
    fireEvent.click(group('Periods').getByRole('radio', { name: 'Refit season' }));
    expect(seen().span).toEqual({ kind: 'period', id: 'refit' });
  });

  test('only forms with rows or columns can be split, only the grid has detail', () => {
    const { group, seen } = draw();
    fireEvent.click(
      group('Each row or column stands for').getByRole('radio', { name: 'A calendar' }),
    );
    expect(seen().split).toBe('calendar');
    expect(screen.queryByRole('radiogroup', { name: 'Detail of the grid' })).toBeNull();
  });

  test('the grid says how much it tells of each event', () => {
    const { group, seen } = draw({ view: { ...DEFAULT_VIEW, form: 'grid' } });
    fireEvent.click(group('Detail of the grid').getByRole('radio', { name: 'Marks' }));
    expect(seen().detail).toBe('marks');
    expect(screen.queryByRole('radiogroup', { name: /stands for$/ })).toBeNull();
  });

  test('a lens is picked, and offers to be updated once the sheet differs from it', () => {
    const { group, onPick, onUpdate } = draw({}, { all: [LENS], current: LENS, isChanged: true });
    press('button', 'Update My week');
    expect(onUpdate).toHaveBeenCalled();
    fireEvent.click(group('Lenses').getByRole('radio', { name: 'My week' }));
    expect(onPick).toHaveBeenCalledWith(LENS);
  });

  test('without lenses there is only the way to the first', () => {
    const { onEdit, onClose } = draw();
    expect(screen.queryByRole('radiogroup', { name: 'Lenses' })).toBeNull();
    press('button', 'Save as a lens');
    expect(onEdit).toHaveBeenCalled();
    expect(onClose).toHaveBeenCalled();
  });

  test('sizes and colours are in the settings, which it leads to', () => {
    draw();
    press('button', 'Weekends, sizes, colours');
    expect(mockNavigate).toHaveBeenCalledWith('/settings');
  });
});

describe('the keys', () => {
  const rows = () => screen.queryAllByRole('listitem').map((row) => row.textContent);

  test('are looked up by what they do, and by themselves', () => {
    inTheme(<KeysDialog onClose={jest.fn()} />);
    const all = rows().length;
    const look = screen.getByRole('textbox', { name: 'Look for a key' });
    fireEvent.change(look, { target: { value: 'today' } });
    expect(rows().length).toBeGreaterThan(0);
    expect(rows().length).toBeLessThan(all);
    for (const row of rows()) expect(row!.toLowerCase()).toContain('today');
    fireEvent.change(look, { target: { value: 'no such thing' } });
    expect(rows()).toEqual([]);
    expect(screen.getByText('No key does that.')).toBeVisible();
  });
});
