import { inOneWindow } from './inOneWindow';

let isElsewhere = false;
beforeEach(() => {
  isElsewhere = false;
  Object.defineProperty(navigator, 'locks', {
    configurable: true,
    value: {
      request: async (_name: string, _how: object, work: (lock: object | null) => unknown) =>
        work(isElsewhere ? null : {}),
    },
  });
});

test('what is asked for while it is at it is done once more afterwards, the last alone', async () => {
  const done: string[] = [];
  let finish = () => {};
  const ask = inOneWindow('mail');
  const first = ask(async () => {
    done.push('first');
    await new Promise<void>((resolve) => (finish = resolve));
  });
  void ask(async () => void done.push('second'));
  void ask(async () => void done.push('third'));
  await Promise.resolve();
  expect(done).toEqual(['first']);
  finish();
  await first;
  expect(done).toEqual(['first', 'third']);
});

test('what another window is at is not done here, and what failed does not stop the next', async () => {
  const done: string[] = [];
  const ask = inOneWindow('mail');
  isElsewhere = true;
  await ask(async () => void done.push('while another is at it'));
  isElsewhere = false;
  await expect(ask(() => Promise.reject(new Error('away')))).rejects.toThrow('away');
  await ask(async () => void done.push('afterwards'));
  expect(done).toEqual(['afterwards']);
});
