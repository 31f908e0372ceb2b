import type { SheetAction } from '@/data/asked';
import type { Form } from '@/core/model/view';

/** What a key does on the Plan screen. */
export type KeyAction = SheetAction;

/** A key with what it does, as the list of keys says it. */
export interface KeyRow {
  keys: string;
  says: string;
}

const FORM_KEYS: Record<string, Form> = {
  r: 'rows',
  c: 'columns',
  k: 'grid',
  u: 'year',
  l: 'agenda',
  b: 'table',
};

const SINGLE: Record<string, KeyAction> = {
  PageUp: { kind: 'turn', direction: -1 },
  PageDown: { kind: 'turn', direction: 1 },
  Home: { kind: 'today' },
  Insert: { kind: 'add' },
  '+': { kind: 'add' },
  o: { kind: 'filter' },
  '#': { kind: 'date' },
  v: { kind: 'view' },
  h: { kind: 'load' },
  f: { kind: 'find' },
  '.': { kind: 'zoom', factor: 1.2 },
  ',': { kind: 'zoom', factor: 1 / 1.2 },
  '0': { kind: 'zoom', factor: null },
  '?': { kind: 'help' },
};

/** What a key without Ctrl, Alt or Cmd does; null when nothing. */
export function actionOf(key: string): KeyAction | null {
  if (/^[1-9]$/.test(key)) return { kind: 'lens', nth: Number(key) - 1 };
  const form = FORM_KEYS[key.toLowerCase()];
  if (form) return { kind: 'form', form };
  return SINGLE[key] ?? SINGLE[key.toLowerCase()] ?? null;
}

export const KEY_ROWS: readonly KeyRow[] = [
  { keys: 'Page Up, Page Down', says: 'back and on by what is shown' },
  { keys: 'Home', says: 'to today' },
  { keys: 'Insert or +', says: 'add an event' },
  { keys: '#', says: 'go to a date' },
  { keys: 'V', says: 'how the sheet is seen' },
  { keys: 'R', says: 'rows' },
  { keys: 'C', says: 'columns' },
  { keys: 'K', says: 'grid' },
  { keys: 'U', says: 'year' },
  { keys: 'L', says: 'agenda' },
  { keys: 'B', says: 'table' },
  { keys: '1 to 9', says: 'lenses, in their order' },
  { keys: 'O', says: 'show only: the filter' },
  { keys: 'H', says: 'hours: booked and clear' },
  { keys: 'F', says: 'find, from every screen' },
  { keys: '. and ,', says: 'the sheet larger and smaller; Ctrl and the wheel do it too' },
  { keys: '0', says: 'the sheet in its usual size' },
  { keys: 'Arrows', says: 'from event to event, or from day to day in the year' },
  { keys: 'Enter', says: 'open the event in focus' },
  { keys: 'Alt + arrows', says: 'move the event in focus' },
  { keys: 'Alt + Shift + arrows', says: 'stretch the event in focus' },
  { keys: 'Delete', says: 'remove the event in focus' },
  { keys: 'Menu key, or Shift + F10', says: 'what can be done with the event in focus' },
  { keys: 'Ctrl + press, Ctrl + Space', says: 'select an event, or let it go' },
  { keys: 'Shift + press, Shift + Space', says: 'select up to there' },
  { keys: 'Shift + drag', says: 'select by a frame' },
  { keys: 'Escape', says: 'close what is open, let a selection go, or take a drag back' },
  { keys: 'Ctrl + Z', says: 'undo' },
  { keys: 'Ctrl + Shift + Z', says: 'do again' },
  { keys: 'Ctrl + P', says: 'print' },
  { keys: '/', says: 'a box for everything that can be done, from every screen' },
  { keys: '?', says: 'these keys' },
];
