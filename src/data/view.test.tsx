import { act, renderHook } from '@testing-library/react';
import { DEFAULT_VIEW } from '@/core/model/view';
import { readAhead } from './smallTexts';
import type { WindowView } from './view';
import { useView } from './view';

const KEY = 'orderly-week-view';
const MONTH: WindowView = {
  view: { ...DEFAULT_VIEW, form: 'grid', span: { kind: 'month' } },
  lensId: 'early',
};

beforeEach(async () => {
  window.sessionStorage.clear();
  window.localStorage.clear();
  await readAhead();
});

const shownIn = (text: string) => {
  window.sessionStorage.setItem(KEY, text);
  return renderHook(useView).result.current;
};

test('a window finds its view again, also as the first versions stored it', () => {
  const { result } = renderHook(useView);
  act(() => result.current.show(MONTH));
  const { shown, isNew } = renderHook(useView).result.current;
  expect([shown, isNew]).toEqual([MONTH, false]);
  expect(shownIn(JSON.stringify(MONTH)).shown).toEqual(MONTH);
});

test.each([
  ['a newer version’s view', JSON.stringify({ version: 99, data: MONTH })],
  ['a damaged one', '{"view"'],
  ['something else', '"month"'],
])('%s gives the usual one, and stays until the person chooses', (_what, text) => {
  const { shown, isNew } = shownIn(text);
  expect([shown, isNew]).toEqual([{ view: DEFAULT_VIEW, lensId: null }, true]);
  expect(window.sessionStorage.getItem(KEY)).toBe(text);
});
