import { closeNotices, showNotices } from './notices';

/** What the browser shows, by tag, and what it was asked for, in order. */
let shown: string[] = [];
let asked: string[] = [];
/** Lets the browser answer what it was asked last; it takes its time. */
let answer = () => {};

const taking = (question: string) => {
  asked.push(question);
  return new Promise<void>((resolve) => (answer = resolve));
};

const registration = {
  showNotification: async (title: string, { tag }: { tag: string }) => {
    await taking(`show ${tag}`);
    if (title === 'refused') throw new TypeError('It may not be shown.');
    shown.push(tag);
  },
  getNotifications: async () => {
    await taking('list');
    return shown.map((tag) => ({
      tag,
      close: () => (shown = shown.filter((other) => other !== tag)),
    }));
  },
};

beforeEach(() => {
  shown = [];
  asked = [];
  Object.assign(window, { Notification: { permission: 'granted' } });
  const serviceWorker = { getRegistration: () => Promise.resolve(registration) };
  Object.assign(navigator, { serviceWorker });
});
afterEach(() => {
  Reflect.deleteProperty(window, 'Notification');
  Reflect.deleteProperty(navigator, 'serviceWorker');
});

/** What was begun comes to where the browser is asked. */
const settle = async () => {
  for (let i = 0; i < 20; i++) await Promise.resolve();
};

/** The browser answers; what waited for that goes on. */
async function answered() {
  answer();
  await settle();
}

const show = (id: string, title = id) => showNotices('demo', [{ id, title, body: '' }], true);
const close = (...waiting: string[]) => closeNotices(new Set(waiting));

test('what waits no longer is taken away, also what another page left', async () => {
  shown = ['left', 'waits'];
  const closing = close('waits');
  await settle();
  await answered();
  await closing;
  expect(shown).toEqual(['waits']);
});

test('the browser is asked for one thing at a time', async () => {
  const all = [show('crate'), close('crate'), show('gale')];
  await settle();
  expect(asked).toEqual(['show crate']);
  await answered();
  expect(asked).toEqual(['show crate', 'list']);
  await answered();
  expect(asked).toEqual(['show crate', 'list', 'show gale']);
  await answered();
  await Promise.all(all);
  expect(shown).toEqual(['crate', 'gale']);
});

test('what came to wait while the browser took its time stays', async () => {
  shown = ['crate'];
  const slow = close();
  await settle();
  const after = close('crate');
  await answered();
  await answered();
  await Promise.all([slow, after]);
  expect(shown).toEqual(['crate']);
});

test('one that may not be shown is told to whoever asked, and holds up no other', async () => {
  const refused = show('crate', 'refused');
  const next = show('gale');
  await settle();
  const told = expect(refused).rejects.toThrow('It may not be shown.');
  await answered();
  await told;
  await answered();
  await next;
  expect(shown).toEqual(['gale']);
});
