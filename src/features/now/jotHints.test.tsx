import { fireEvent, screen } from '@testing-library/react';
import { readJot } from '@/core/jot/jot';
import { TUESDAY } from '@/core/jot/testing/context';
import { inTheme } from '@/ui/testing/inTheme';
import { JotHints } from './JotHints';

function shown(line: string, onOther = jest.fn()) {
  const { other, ...jot } = readJot(line, TUESDAY);
  const wording = { locale: 'en-GB', hourCycle: '24' } as const;
  return inTheme(<JotHints {...{ jot, other, wording, onOther }} now={TUESDAY.now} />);
}

test.each([
  ['call 3/12', /^Or Fri,? 12 Mar/],
  ['sun cream', /^Or “sun cream”, /],
  ['flight 13:00 halifax fri', /^Or by Halifax’s clock: Fri,? 27 Nov, 13:00/],
])('“%s”: what else it may mean is told by what differs', (line, name) => {
  const onOther = jest.fn();
  shown(line, onOther);
  fireEvent.click(screen.getByRole('button', { name }));
  expect(onOther).toHaveBeenCalledTimes(1);
});

test('a time that is none is told, and nothing where all is plain', () => {
  shown('call 25:00').unmount();
  const { container } = shown('call 15:00');
  expect(container.textContent).toBe('');
  shown('party 31 feb');
  expect(screen.getByRole('status')).toHaveTextContent(
    'February has no day 31. It stays in the title.',
  );
});
