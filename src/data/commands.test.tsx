import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { CommandProgress, Done } from '@/engine/commands/commands';
import { watchWorker } from '@/engine/interruption';
import { UserError } from '@/core/userError';
import { newArrival } from './arrival';
import { useDo } from './commands';
import type { Message } from './messages';
import { MessageProvider, useMessages } from './messages';

const mockCommands = { do: jest.fn(), stop: jest.fn() };
let mockEngine: { commands: typeof mockCommands } | null = { commands: mockCommands };
jest.mock('comlink', () => ({ proxy: (value: unknown) => value }));
const mockWhenOpen = jest.fn();
jest.mock('./engineContext', () => ({
  useEngine: () => ({ engine: mockEngine, whenOpen: mockWhenOpen, store: 'demo' }),
}));
jest.mock('./preferences', () => ({
  usePreferences: () => ({
    wording: { locale: 'en-GB', hourCycle: '24' },
    clock: 'Europe/London',
  }),
}));

const REMOVAL = { kind: 'removeLens', id: 'desk' } as const;
const wrapper = ({ children }: { children: ReactNode }) => (
  <MessageProvider>{children}</MessageProvider>
);

/** Does a removal; whether it was done, and what is said then. */
async function doing(how?: { isQuiet: boolean }): Promise<{ done: boolean; said: Message | null }> {
  const hook = renderHook(() => ({ run: useDo(), message: useMessages().message }), { wrapper });
  let done = false;
  await act(async () => void (done = await hook.result.current.run(REMOVAL, how)));
  return { done, said: hook.result.current.message };
}

const answers = (done: Done | null) => mockCommands.do.mockResolvedValueOnce(done);
/** As an error of the worker arrives. */
const fails = (code: string | undefined, message: string) =>
  mockCommands.do.mockRejectedValueOnce(Object.assign(new Error(message), code && { code }));

beforeEach(() => {
  mockEngine = { commands: mockCommands };
  mockCommands.do.mockReset();
});

test('what was done is said, with Undo and what it is about', async () => {
  answers({ label: 'Removed the lens Desk', about: 'call', isKept: true, met: [] });
  const { done, said } = await doing();
  expect(done).toBe(true);
  expect(said).toMatchObject({
    text: 'Removed the lens Desk',
    offers: ['undo'],
    about: 'call',
    isProblem: false,
  });
  expect(mockCommands.do.mock.calls[0]![0]).toBe(REMOVAL);
});

test('what is seen anyway is not said, unless it is not kept', async () => {
  answers({ label: 'Changed the size', isKept: true, met: [] });
  expect(await doing({ isQuiet: true })).toEqual({ done: true, said: null });
  answers({ label: 'Changed the size', isKept: false, met: [] });
  const { said } = await doing({ isQuiet: true });
  expect(said?.text).toBe('Changed the size. It is on this page only.');
});

test('nothing to do is no message, and not done', async () => {
  answers(null);
  expect(await doing()).toEqual({ done: false, said: null });
});

test.each([
  ['gone', 'This event is not here any more.', 'This event is not here any more.'],
  ['stopped', 'It was stopped. Nothing was changed.', 'It was stopped. Nothing was changed.'],
  ['readOnly', 'A newer version writes here.', 'Not saved. A newer version writes here.'],
  [undefined, 'Invalid time zone specified: Moon', expect.stringMatching(/^Something in the app/)],
])('a failure (%s) is told in words of the app', async (code, message, text) => {
  fails(code, message);
  const { done, said } = await doing();
  expect(done).toBe(false);
  expect(said).toMatchObject({ text, isProblem: true });
});

describe('where the app restarts while something is saved', () => {
  const label = 'Removed the lens Desk';
  async function interrupted(isKept: boolean) {
    const fail = watchWorker();
    mockCommands.do.mockImplementationOnce((_command, { now }: { now: number }) => {
      const done = isKept ? [{ id: 'c1', label, at: now, isHere: false }] : [];
      const changes = () => Promise.resolve({ done, undone: [] });
      mockWhenOpen.mockResolvedValueOnce({ commands: { changes } });
      void Promise.resolve().then(fail);
      return new Promise(() => undefined);
    });
    return doing();
  }

  test('it is said that it was kept, where the history has it', async () => {
    expect(await interrupted(true)).toMatchObject({
      done: true,
      said: { text: `${label}. The app restarted meanwhile.` },
    });
  });

  test('else that it was not, and to do it again', async () => {
    expect(await interrupted(false)).toMatchObject({
      done: false,
      said: { text: 'The app restarted before this was saved: do it again.', isProblem: true },
    });
  });
});

test('before the store is open, that is said, and it is done once it is', async () => {
  mockEngine = null;
  const opening = newArrival<object>();
  mockWhenOpen.mockReturnValueOnce(opening.wait());
  const hook = renderHook(() => ({ run: useDo(), message: useMessages().message }), { wrapper });
  let running: Promise<boolean>;
  act(() => void (running = hook.result.current.run(REMOVAL)));
  expect(hook.result.current.message?.text).toMatch(/are being opened: it is done as soon/);
  expect(mockCommands.do).not.toHaveBeenCalled();
  answers({ label: 'Removed the lens Desk', isKept: true, met: [] });
  await act(async () => {
    opening.came({ commands: mockCommands });
    expect(await running).toBe(true);
  });
  expect(hook.result.current.message?.text).toBe('Removed the lens Desk');
});

test('where the store can’t be opened, that is said, and it is not done', async () => {
  mockEngine = null;
  mockWhenOpen.mockRejectedValueOnce(new UserError('storage', 'It is damaged.'));
  expect(await doing()).toMatchObject({
    done: false,
    said: { text: 'Not saved. It is damaged.', isProblem: true },
  });
});

test('a long one tells how far it is in one message, with a way to stop it', async () => {
  const hook = renderHook(() => ({ run: useDo(), message: useMessages().message }), { wrapper });
  let end = (_: null) => {};
  let tell = (_: CommandProgress) => {};
  mockCommands.do.mockImplementationOnce((_command, _manner, onProgress) => {
    tell = onProgress;
    return new Promise((resolve) => (end = resolve));
  });
  let running: Promise<boolean>;
  act(() => void (running = hook.result.current.run(REMOVAL)));
  act(() => tell({ done: 800, total: 20_000 }));
  const first = hook.result.current.message!;
  expect(first.text).toBe('800 of 20,000 …');
  act(() => tell({ done: 1600, total: 20_000 }));
  expect(hook.result.current.message).toMatchObject({ text: '1,600 of 20,000 …', id: first.id });
  const [stop] = first.offers;
  (stop as { run(): void }).run();
  expect(mockCommands.stop).toHaveBeenCalledTimes(1);
  await act(async () => {
    end(null);
    await running;
  });
});
