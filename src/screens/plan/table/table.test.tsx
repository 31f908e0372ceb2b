import { fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import { DEFAULT_VIEW } from '@/core/model/view';
import type { TableSetup } from '@/core/model/view';
import { at, timed, TODAY } from '@/core/testing/occurrences';
import { HOUR } from '@/core/time/civil';
import { openDialogs } from '@/ui/testing/dialogs';
import { inTheme } from '@/ui/testing/inTheme';
import { CLIENTS, HANDS, LOOK } from '../testing/samples';
import type { SheetContent } from '../useSheetContent';
import { Table } from './Table';

let mockIsWide = true;
jest.mock('@/ui/useIsWide', () => ({ useIsWide: () => mockIsWide }));

const MONDAY = TODAY - 1;
const DAYS = { from: MONDAY, to: MONDAY + 7, days: [0, 1, 2, 3, 4, 5, 6].map((n) => MONDAY + n) };
const SETUP = DEFAULT_VIEW.table;
/** Heights of the room for the lines, and of a line, in px. */
const ROOM = 400;
const LINE = 37;

const CALL = timed('Osaka call', TODAY, at(9), at(10), {
  id: 'call',
  calendarId: CLIENTS.id,
  place: 'Small office',
});
const ROUND = timed('Bench round', MONDAY, at(9), at(10), { dateKey: '2026-11-23T09:00:00' });
const FREE = timed('Tea with Mei', TODAY, at(9), at(10), {
  calendarId: CLIENTS.id,
  availability: 'free',
});

// The page of a test lays nothing out: what is asked for heights gets these.
beforeAll(() => {
  openDialogs();
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { value: ROOM });
  Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { value: LINE });
});

beforeEach(() => {
  mockIsWide = true;
});

function draw(occurrences: Occurrence[], first: Partial<TableSetup> = {}) {
  const onOpen = jest.fn();
  const onMenu = jest.fn();
  const onSetup = jest.fn();
  function Held() {
    const [setup, setSetup] = useState({ ...SETUP, ...first });
    return (
      <Table
        place={{ view: { ...DEFAULT_VIEW, table: setup }, range: DAYS, drawn: DAYS }}
        content={{ name: 'Week', occurrences } as SheetContent}
        look={{ ...LOOK, selectedId: 'call' }}
        hands={{
          ...HANDS,
          onOpen,
          onMenu,
          onTableSetup: (next) => {
            onSetup(next);
            setSetup(next);
          },
        }}
      />
    );
  }
  inTheme(<Held />);
  return { onOpen, onMenu, onSetup };
}

const lines = () => {
  const [, ...rows] = within(screen.getByRole('region', { name: 'Week' })).getAllByRole('row');
  return rows.map((row) => row.textContent);
};
const head = (name: string) => screen.getByRole('columnheader', { name: new RegExp(`^${name}`) });

test('each event has a line, in order of its start, with the hours that it takes', () => {
  draw([CALL, ROUND, FREE]);
  expect(lines()).toEqual([
    expect.stringMatching(/^Mon,? 23 Nov09:001 h.*Bench roundWorkshop/),
    expect.stringMatching(/^Tue,? 24 Nov09:001 h.*Osaka callClientsSmall office/),
    expect.stringMatching(/^Tue,? 24 Nov09:00 *Tea with Mei/),
  ]);
  // Free ones count as events, and take no hours.
  expect(screen.getByRole('status')).toHaveTextContent('3 events · 2 h');
});

test('a narrow table begins with the title, and does not lose what has no room', () => {
  mockIsWide = false;
  const { onSetup } = draw([CALL]);
  expect(lines()).toEqual([expect.stringMatching(/^ ?Osaka callTue,? 24 Nov09:001 h$/)]);
  fireEvent.click(within(head('Hours')).getByRole('button'));
  expect(onSetup).toHaveBeenLastCalledWith({ ...SETUP, sortBy: 'hours' });
});

test('a press on a column sorts by it, another turns the order round', () => {
  const { onSetup } = draw([CALL, ROUND]);
  expect(head('Date')).toHaveAttribute('aria-sort', 'ascending');
  fireEvent.click(within(head('Title')).getByRole('button'));
  expect(head('Title')).toHaveAttribute('aria-sort', 'ascending');
  expect(head('Date')).toHaveAttribute('aria-sort', 'none');
  fireEvent.click(within(head('Title')).getByRole('button'));
  expect(head('Title')).toHaveAttribute('aria-sort', 'descending');
  expect(lines()[0]).toContain('Osaka call');
  expect(onSetup).toHaveBeenLastCalledWith({ ...SETUP, sortBy: 'title', isDescending: true });
});

test('groups say what they hold, and add up to the whole', () => {
  draw([CALL, ROUND, { ...CALL, id: 'second', end: CALL.end + HOUR, endMs: CALL.endMs + HOUR }], {
    groupBy: 'calendar',
  });
  const heads = screen.getAllByRole('columnheader').slice(SETUP.columns.length);
  expect(heads.map((each) => each.textContent)).toEqual([
    'Workshop 1 event · 1 h',
    'Clients 2 events · 3 h',
  ]);
  expect(screen.getByRole('status')).toHaveTextContent('3 events · 4 h');
});

test.each([
  ['day', 'Tuesday,? 24 November 2026'],
  ['category', 'No category'],
  ['place', 'Small office'],
] as const)('lines grouped by %s stand under “%s”', (groupBy, name) => {
  draw([CALL], { groupBy });
  expect(screen.getByRole('columnheader', { name: new RegExp(`^${name} 1 event`) })).toBeTruthy();
});

test('a line opens its event by press and by key, and its menu by the right button', () => {
  const { onOpen, onMenu } = draw([CALL, ROUND]);
  const call = screen.getByRole('button', { name: /^Osaka call, / });
  expect(call).toHaveAttribute('aria-pressed', 'true');
  fireEvent.click(call);
  fireEvent.keyDown(call, { key: 'Enter' });
  expect(onOpen.mock.calls).toEqual([[CALL], [CALL]]);
  fireEvent.contextMenu(screen.getByText('Bench round'));
  expect(onMenu).toHaveBeenCalledWith(ROUND);
});

test('of many lines those are drawn that fit, and all of them are counted', () => {
  const many = Array.from({ length: 5000 }, (_, i) => ({ ...CALL, id: `call ${i}` }));
  draw(many);
  expect(lines().length).toBeGreaterThan(5);
  expect(lines().length).toBeLessThan(60);
  expect(screen.getByRole('table')).toHaveAttribute('aria-rowcount', '5001');
  expect(screen.getByRole('status')).toHaveTextContent('5,000 events · 5000 h');
});

test('columns are chosen and moved, and the last one can’t be taken away', () => {
  const { onSetup } = draw([CALL], { columns: ['date', 'title'] });
  fireEvent.click(screen.getByRole('button', { name: 'Columns' }));
  const chosen = () => onSetup.mock.calls.at(-1)![0].columns;
  fireEvent.click(screen.getByRole('checkbox', { name: 'Place' }));
  expect(chosen()).toEqual(['date', 'title', 'place']);
  fireEvent.click(screen.getByRole('button', { name: 'Place: to the left' }));
  expect(chosen()).toEqual(['date', 'place', 'title']);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Date' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'Place' }));
  expect(chosen()).toEqual(['title']);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Title' }));
  expect(chosen()).toEqual(['title']);
});

test('a stretch without events says so', () => {
  draw([]);
  expect(screen.getByText(/^No events on the shown calendars/)).toBeTruthy();
  expect(screen.queryByRole('table')).toBeNull();
});
