import { actionOf, KEY_ROWS } from './keys';

test.each([
  ['PageUp', { kind: 'turn', direction: -1 }],
  ['Home', { kind: 'today' }],
  ['R', { kind: 'form', form: 'rows' }],
  ['l', { kind: 'form', form: 'agenda' }],
  ['9', { kind: 'lens', nth: 8 }],
  ['?', { kind: 'help' }],
])('%s does what the list of keys says', (key, action) => {
  expect(actionOf(key)).toEqual(action);
});

test('keys of browsers and of moving about are left alone', () => {
  for (const key of ['Tab', 'Enter', ' ', 'Escape', 'F5', 'F6', 'ArrowLeft', '/', "'"])
    expect(actionOf(key)).toBeNull();
});

test('every key stands in the list once', () => {
  const keys = KEY_ROWS.map((row) => row.keys);
  expect(new Set(keys).size).toBe(keys.length);
});

test('two keys size the sheet against each other, and a third takes it back', () => {
  const factor = (key: string) => {
    const action = actionOf(key);
    return action?.kind === 'zoom' ? action.factor : undefined;
  };
  expect(factor('.')! * factor(',')!).toBeCloseTo(1);
  expect(factor('0')).toBeNull();
});
