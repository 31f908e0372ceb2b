import { screen } from '@testing-library/react';
import { newCalendar } from '@/core/model/calendar';
import { at, timed, TODAY, wholeDays } from '@/core/testing/occurrences';
import { DAY, MINUTE } from '@/core/time/civil';
import { inTheme } from '@/ui/testing/inTheme';
import { AgendaLines } from '@/features/agenda/AgendaLines';
import { GridLine } from '../grid/GridLine';
import { PastUntil } from '@/features/bars/barColours';
import { WholeDayBar } from './WholeDayBar';

const wording = { locale: 'en-GB', hourCycle: '24' } as const;
const calendar = newCalendar({
  id: 'workshop',
  name: 'Workshop',
  ink: '#1F5A4C',
  mark: 'square',
  order: 0,
});
const NOON = TODAY * DAY + 720 * MINUTE;
const over = timed('Bench round', TODAY, at(8, 30), at(9));
const coming = timed('Barometer', TODAY, at(14), at(16));

const shared = { calendar, ink: '#1F5A4C', wording, isSelected: false, isTabStop: false };
const box = { left: 0, top: 0, width: 120, height: 18 };

function dayBackgroundOf(title: string) {
  return screen.getByRole('button', { name: new RegExp(`^${title}`) }).style.backgroundColor;
}

function lines(until: number) {
  return inTheme(
    <PastUntil value={until}>
      {[over, coming].map((occurrence) => (
        <GridLine
          key={occurrence.id}
          at={box}
          {...shared}
          occurrence={occurrence}
          says="all"
          isDragged={false}
          onOpen={jest.fn()}
        />
      ))}
    </PastUntil>,
  );
}

test('what is over stands back from what is to come, where that is wished', () => {
  lines(NOON);
  expect(dayBackgroundOf('Bench round')).not.toBe(dayBackgroundOf('Barometer'));
});

test('else all events of an ink look alike', () => {
  lines(-Infinity);
  expect(dayBackgroundOf('Bench round')).toBe(dayBackgroundOf('Barometer'));
});

test('a whole day stands back once its last day is over', () => {
  const draw = (days: number) =>
    inTheme(
      <PastUntil value={NOON}>
        <WholeDayBar
          at={box}
          {...shared}
          occurrence={wholeDays(`For ${days}`, TODAY - 2, days)}
          part=""
          onOpen={jest.fn()}
        />
      </PastUntil>,
    );
  draw(2);
  draw(3);
  expect(dayBackgroundOf('For 2')).not.toBe(dayBackgroundOf('For 3'));
});

test('the agenda tells what goes on over midnight, and what is clear between', () => {
  const night = timed('Night watch', TODAY, at(22), at(30));
  const setting = {
    calendarOf: new Map([['workshop', calendar]]),
    categoryInks: null,
    wording,
    selectedId: null,
    onOpen: jest.fn(),
  };
  const clear = { kind: 'clear', start: NOON, end: NOON + 90 * MINUTE } as const;
  inTheme(
    <>
      <AgendaLines
        day={TODAY}
        lines={[clear, { kind: 'event', occurrence: night }]}
        setting={setting}
      />
      <AgendaLines
        day={TODAY + 1}
        lines={[{ kind: 'event', occurrence: night }]}
        setting={setting}
      />
    </>,
  );
  expect(screen.getByText('1 h 30 min clear')).toBeTruthy();
  expect(screen.getByText('from 22:00')).toBeTruthy();
  expect(screen.getByText('until 06:00')).toBeTruthy();
});
