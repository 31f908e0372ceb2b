import { render, screen } from '@testing-library/react';
import { useRef } from 'react';
import type { DayNumber } from '@/core/time/units';
import { useHeldPlace } from './useHeldPlace';

const HIGH = 100;

// The test's page lays nothing out: each day is as high as the last, in order.
beforeAll(() => {
  Object.defineProperties(HTMLElement.prototype, {
    offsetHeight: { configurable: true, get: () => HIGH },
    offsetTop: {
      configurable: true,
      get(this: HTMLElement) {
        return [...(this.parentElement?.children ?? [])].indexOf(this) * HIGH;
      },
    },
  });
  HTMLElement.prototype.scrollTo = function scrollTo(this: HTMLElement, to?: unknown) {
    this.scrollTop = (to as ScrollToOptions).top!;
  } as typeof HTMLElement.prototype.scrollTo;
});

interface Props {
  days: number[];
  opensAt: number;
  onSeen(day: DayNumber): void;
}

function List({ days, opensAt, onSeen }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const listed = days.map((day) => ({ day }));
  const noteScroll = useHeldPlace(scroller, listed, onSeen, opensAt);
  return (
    <div key={opensAt} ref={scroller} role="list" onScroll={noteScroll}>
      {days.map((day) => (
        <div key={day} data-day={day} />
      ))}
    </div>
  );
}

const list = () => screen.getByRole('list');

function scrollTo(top: number) {
  list().scrollTop = top;
  list().dispatchEvent(new Event('scroll', { bubbles: true }));
}

test('days that are put before leave the first day in sight where it is', () => {
  const onSeen = jest.fn();
  const { rerender } = render(<List days={[10, 11, 12]} opensAt={10} onSeen={onSeen} />);
  scrollTo(130);
  rerender(<List days={[7, 8, 9, 10, 11, 12]} opensAt={10} onSeen={onSeen} />);
  expect(list().scrollTop).toBe(430);
  expect(onSeen.mock.calls.map(([day]) => day as number)).toEqual([10, 11]);
});

test('days that are taken away before it leave it there too', () => {
  const { rerender } = render(<List days={[7, 8, 9, 10]} opensAt={7} onSeen={jest.fn()} />);
  scrollTo(350);
  rerender(<List days={[9, 10]} opensAt={7} onSeen={jest.fn()} />);
  expect(list().scrollTop).toBe(150);
});

test('another list opens at its beginning, whatever was in sight before', () => {
  const onSeen = jest.fn();
  const { rerender } = render(<List days={[10, 11, 12]} opensAt={10} onSeen={onSeen} />);
  scrollTo(250);
  rerender(<List days={[12, 13, 14]} opensAt={12} onSeen={onSeen} />);
  expect(list().scrollTop).toBe(0);
});
