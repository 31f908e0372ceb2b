import { closeNotices, showNotices } from './notices';

/** What the browser shows, by tag; it answers when it is told to. */
let shown: string[] = [];
let answers: (() => void)[] = [];

const registration = {
  showNotification: (_title: string, { tag }: { tag: string }) => {
    shown.push(tag);
    return Promise.resolve();
  },
  getNotifications: async () => {
    await new Promise<void>((resolve) => answers.push(resolve));
    return shown.map((tag) => ({
      tag,
      close: () => (shown = shown.filter((other) => other !== tag)),
    }));
  },
};

beforeEach(() => {
  shown = [];
  answers = [];
  Object.assign(window, { Notification: { permission: 'granted' } });
  Object.assign(navigator, {
    serviceWorker: { getRegistration: () => Promise.resolve(registration) },
  });
});
afterEach(() => {
  Reflect.deleteProperty(window, 'Notification');
  Reflect.deleteProperty(navigator, 'serviceWorker');
});

const notice = (id: string) => ({ id, title: id, body: '' });

/** Lets what was begun come to where the browser is asked. */
const asked = async () => {
  for (let i = 0; i < 5; i++) await Promise.resolve();
};

async function close(...waiting: string[]) {
  const closing = closeNotices(new Set(waiting));
  await asked();
  answers.at(-1)!();
  await closing;
}

test('what waits no longer is taken away, also what another page left', async () => {
  shown = ['left', 'waits'];
  await close('waits');
  expect(shown).toEqual(['waits']);
});

test('what is shown while others are taken away stays, until it was done', async () => {
  const closing = closeNotices(new Set());
  await asked();
  await showNotices('demo', [notice('crate')], true);
  answers[0]!();
  await closing;
  expect(shown).toEqual(['crate']);
  // It waits by now; what is worked out after that may take it away.
  await close('crate');
  expect(shown).toEqual(['crate']);
  await close();
  expect(shown).toEqual([]);
});

test('a browser that is slow to say what it shows takes nothing away that waits by then', async () => {
  const slow = closeNotices(new Set());
  await asked();
  await showNotices('demo', [notice('crate')], true);
  await close('crate');
  answers[0]!();
  await slow;
  expect(shown).toEqual(['crate']);
});
