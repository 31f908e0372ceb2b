import { act, renderHook } from '@testing-library/react';
import { useState } from 'react';
import { useMessages, MessageProvider } from './messages';
import { useOnceOpen } from './onceOpen';

let mockIsOpen = false;
jest.mock('./queries', () => ({ useAreCalendarsOpen: () => mockIsOpen }));

const done = jest.fn();

function useLine() {
  const [line, type] = useState('Freight call');
  const keep = useOnceOpen(() => done(line), line);
  return { keep, type, said: useMessages().message?.text ?? null };
}

const opened = () => renderHook(useLine, { wrapper: MessageProvider });

/** The calendars come, which draws all that waits for them. */
function calendarsCome({ rerender }: { rerender(): void }) {
  mockIsOpen = true;
  rerender();
}

beforeEach(() => {
  mockIsOpen = false;
  done.mockReset();
});

test('once calendars are open it is done at once, and nothing is said', () => {
  mockIsOpen = true;
  const hook = opened();
  act(() => hook.result.current.keep());
  expect(done.mock.calls).toEqual([['Freight call']]);
  expect(hook.result.current.said).toBeNull();
});

test('what is pressed before is said, and done once, as soon as they are open', () => {
  const hook = opened();
  act(() => hook.result.current.keep());
  expect(hook.result.current.said).toMatch(/still being opened: it is done as soon/);
  expect(done).not.toHaveBeenCalled();
  calendarsCome(hook);
  hook.rerender();
  expect(done.mock.calls).toEqual([['Freight call']]);
});

test('a line that was typed on meanwhile is not added half typed', () => {
  const hook = opened();
  act(() => hook.result.current.keep());
  act(() => hook.result.current.type('Freight call with'));
  calendarsCome(hook);
  expect(done).not.toHaveBeenCalled();
  // Pressed again, it is.
  act(() => hook.result.current.keep());
  expect(done.mock.calls).toEqual([['Freight call with']]);
});

test('what was never pressed is not done when they come', () => {
  calendarsCome(opened());
  expect(done).not.toHaveBeenCalled();
});
