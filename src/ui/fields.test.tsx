import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { ClockField } from './ClockField';
import { Choice } from './Choice';
import { Icon } from './icons/Icon';
import { inTheme } from './testing/inTheme';
import { Unreadable } from './unreadable';

function Clock({ hourCycle }: { hourCycle: '12' | '24' }) {
  const [minute, setMinute] = useState(540);
  return <ClockField label="Start" minute={minute} hourCycle={hourCycle} onChange={setMinute} />;
}

function type(text: string) {
  const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'Start' });
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
  return field;
}

test.each([
  ['24', '1415', '14:15'],
  ['24', '2pm', '14:00'],
  ['12', '14:15', '2:15 pm'],
] as const)('on a %s-hour clock, “%s” becomes %s', (hourCycle, typed, shown) => {
  inTheme(<Clock hourCycle={hourCycle} />);
  expect(type(typed).value).toBe(shown);
});

test('what is no time stays as it was typed, is told at the field, and keeps its form from being kept', () => {
  const onReport = jest.fn();
  inTheme(
    <Unreadable value={onReport}>
      <Clock hourCycle="24" />
    </Unreadable>,
  );
  expect(type('16:99').value).toBe('16:99');
  expect(screen.getByRole('alert')).toHaveTextContent('“16:99” is no time of day.');
  expect(onReport).toHaveBeenLastCalledWith(expect.anything(), true);
  expect(type('16:59').value).toBe('16:59');
  expect(screen.queryByRole('alert')).toBeNull();
  expect(onReport).toHaveBeenLastCalledWith(expect.anything(), false);
});

test('a choice tells which of its options is chosen, and is changed by a press', () => {
  function Slots() {
    const [slot, setSlot] = useState(15);
    const options = [5, 15].map((value) => ({ value, label: String(value) }));
    return <Choice<number> name="Slot" value={slot} options={options} onChoose={setSlot} />;
  }
  inTheme(<Slots />);
  fireEvent.click(screen.getByRole('radio', { name: '5' }));
  expect(screen.getByRole('radio', { name: '5' }).getAttribute('aria-checked')).toBe('true');
  expect(screen.getByRole('radio', { name: '15' }).getAttribute('aria-checked')).toBe('false');
});

test('an icon that was not drawn is missed at once', () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(() => inTheme(<Icon name="no-such-icon" size={20} />)).toThrow(
    'There is no icon “no-such-icon”',
  );
  quiet.mockRestore();
});
