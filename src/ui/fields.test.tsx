import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { ClockField } from './ClockField';
import { Choice } from './Choice';
import { Icon } from './icons/Icon';
import { inTheme } from './testing/inTheme';

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

test('what is no time is not taken: the last one comes back', () => {
  inTheme(<Clock hourCycle="24" />);
  expect(type('soon').value).toBe('09:00');
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
