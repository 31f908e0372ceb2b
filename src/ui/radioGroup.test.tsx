import { act, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { Pressable } from 'react-native';
import { Choice } from './Choice';
import { RadioGroup } from './RadioGroup';
import { inTheme } from './testing/inTheme';

const OPTIONS = ['rows', 'columns', 'grid'].map((value) => ({ value, label: value }));

function Form({ onChoose }: { onChoose(value: string): void }) {
  const [value, setValue] = useState('columns');
  return (
    <Choice
      name="Drawn as"
      value={value}
      options={OPTIONS}
      onChoose={(next) => {
        setValue(next);
        onChoose(next);
      }}
    />
  );
}

const radio = (name: string) => screen.getByRole('radio', { name });
const stops = () => screen.getAllByRole('radio').filter(({ tabIndex }) => tabIndex === 0);
const press = (key: string) => fireEvent.keyDown(document.activeElement!, { key });

test('Tab stops at the chosen one alone, arrows go on and round, and choose', () => {
  const onChoose = jest.fn();
  inTheme(<Form onChoose={onChoose} />);
  expect(stops()).toEqual([radio('columns')]);
  act(() => radio('columns').focus());
  press('ArrowRight');
  expect(onChoose).toHaveBeenLastCalledWith('grid');
  expect(document.activeElement).toBe(radio('grid'));
  expect(stops()).toEqual([radio('grid')]);
  press('ArrowDown');
  expect(onChoose).toHaveBeenLastCalledWith('rows');
  press('ArrowLeft');
  expect(onChoose).toHaveBeenLastCalledWith('grid');
});

test('keys of a group are not those of the page, and other keys are', () => {
  const onPage = jest.fn();
  inTheme(
    <div onKeyDown={({ key }) => onPage(key)}>
      <Form onChoose={jest.fn()} />
    </div>,
  );
  act(() => radio('columns').focus());
  press('ArrowRight');
  press(' ');
  expect(onPage).not.toHaveBeenCalled();
  press('Escape');
  expect(onPage).toHaveBeenCalledWith('Escape');
});

test('what is refused is passed over', () => {
  const onPress = jest.fn();
  inTheme(
    <RadioGroup name="Which dates">
      {OPTIONS.map(({ value }, i) => (
        <Pressable
          key={value}
          role="radio"
          aria-label={value}
          aria-checked={i === 0}
          aria-disabled={i === 1}
          disabled={i === 1}
          onPress={() => onPress(value)}
        />
      ))}
    </RadioGroup>,
  );
  act(() => radio('rows').focus());
  press('ArrowRight');
  expect(document.activeElement).toBe(radio('grid'));
  expect(onPress.mock.calls).toEqual([['grid']]);
});
