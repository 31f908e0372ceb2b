import { act, render, screen } from '@testing-library/react';
import { z } from '@/core/model/zod';
import { localStore } from './localStore';

const KEY = 'lamps';
const store = () => localStore(() => KEY, z.array(z.string()), []);

beforeEach(() => window.localStorage.clear());
afterEach(() => jest.restoreAllMocks());

/** Another window writes, and the browser tells of it. */
function writeElsewhere(text: string): void {
  window.localStorage.setItem(KEY, text);
  act(() => void window.dispatchEvent(new StorageEvent('storage', { key: KEY })));
}

test('a value is kept for the next page, and none again', () => {
  store().put(['brass']);
  expect(store().get()).toEqual(['brass']);
  store().put(null);
  expect([store().get(), window.localStorage.length]).toEqual([[], 0]);
});

test('what does not fit is none, and bare texts of before are read', () => {
  window.localStorage.setItem(KEY, '{"a":1}');
  expect(store().get()).toEqual([]);
  window.localStorage.setItem('word', 'yes');
  expect(localStore(() => 'word', z.literal('yes').nullable(), null).get()).toBe('yes');
});

test('the same text is the same value', () => {
  window.localStorage.setItem(KEY, '["brass"]');
  const lamps = store();
  expect(lamps.get()).toBe(lamps.get());
});

test('who reads without listening reads what another window wrote', () => {
  const lamps = store();
  lamps.put(['brass']);
  window.localStorage.setItem(KEY, '["tin"]');
  expect(lamps.get()).toEqual(['tin']);
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
  window.localStorage.setItem(KEY, '["lead"]');
  render(<Shown />);
  expect(screen.getByText('lead')).toBeTruthy();
});

test('where nothing can be kept a value holds on the page', () => {
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  const lamps = store();
  lamps.put(['brass']);
  expect(lamps.get()).toEqual(['brass']);
  jest.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
    throw new DOMException('denied', 'SecurityError');
  });
  expect(store().get()).toEqual([]);
});
