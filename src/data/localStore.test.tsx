import { act, render, screen } from '@testing-library/react';
import { z } from '@/core/model/zod';
import { localStore } from './localStore';
import { readAhead } from './smallTexts';

const KEY = 'lamps';
const store = () => localStore(() => KEY, z.array(z.string()), []);

/** A page that begins on what was kept. */
async function begin(kept: Record<string, string> = {}): Promise<void> {
  window.localStorage.clear();
  for (const [key, text] of Object.entries(kept)) window.localStorage.setItem(key, text);
  await readAhead();
}

beforeEach(() => begin());
afterEach(() => jest.restoreAllMocks());

/** Another window writes, and the browser tells of it. */
function writeElsewhere(text: string): void {
  window.localStorage.setItem(KEY, text);
  act(() => void window.dispatchEvent(new StorageEvent('storage', { key: KEY, newValue: text })));
}

test('a value is kept for the next page, and none again', async () => {
  store().put(['brass']);
  expect(window.localStorage.getItem(KEY)).toBe('["brass"]');
  await readAhead();
  expect(store().get()).toEqual(['brass']);
  store().put(null);
  expect([store().get(), window.localStorage.length]).toEqual([[], 0]);
});

test('what does not fit is none, and bare texts of before are read', async () => {
  await begin({ [KEY]: '{"a":1}', word: 'yes' });
  expect(store().get()).toEqual([]);
  expect(localStore(() => 'word', z.literal('yes').nullable(), null).get()).toBe('yes');
});

test('the same text is the same value', async () => {
  await begin({ [KEY]: '["brass"]' });
  const lamps = store();
  expect(lamps.get()).toBe(lamps.get());
});

test('who reads without listening reads what another window wrote, or took away', () => {
  const lamps = store();
  lamps.put(['brass']);
  writeElsewhere('["tin"]');
  expect(lamps.get()).toEqual(['tin']);
  window.dispatchEvent(new StorageEvent('storage'));
  expect(lamps.get()).toEqual([]);
});

test('a screen follows this window and others', () => {
  const lamps = store();
  function Shown() {
    return <p>{lamps.useValue((all) => all.join(' '))}</p>;
  }
  const { unmount } = render(<Shown />);
  act(() => lamps.put(['brass']));
  expect(screen.getByText('brass')).toBeTruthy();
  writeElsewhere('["tin","zinc"]');
  expect(screen.getByText('tin zinc')).toBeTruthy();
  unmount();
  writeElsewhere('["lead"]');
  render(<Shown />);
  expect(screen.getByText('lead')).toBeTruthy();
});

test('where nothing can be kept a value holds on the page', async () => {
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  const lamps = store();
  lamps.put(['brass']);
  expect(lamps.get()).toEqual(['brass']);
  jest.spyOn(window, 'localStorage', 'get').mockImplementation(() => {
    throw new DOMException('denied', 'SecurityError');
  });
  await readAhead();
  expect(store().get()).toEqual([]);
});
