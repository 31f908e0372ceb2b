import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import type { Repeat } from '@/core/recurrence/repeat';
import { parseDate } from '@/core/time/civil';
import type { Preferences } from '@/data/preferences';
import { inTheme } from '@/ui/testing/inTheme';
import { RepeatFields } from './RepeatFields';

const PREFERENCES = {
  firstWeekday: 0,
  wording: { locale: 'en-GB', hourCycle: '24' },
} as unknown as Preferences;

const FIRST: Repeat = {
  pattern: { kind: 'weekly', interval: 2, weekdays: [0, 2, 4], weekStart: 0 },
  end: { kind: 'after', count: 6 },
};

function Form({ onChange }: { onChange(repeat: Repeat): void }) {
  const [repeat, setRepeat] = useState(FIRST);
  return (
    <RepeatFields
      repeat={repeat}
      day={parseDate('2026-11-25')}
      preferences={PREFERENCES}
      onChange={(next) => {
        setRepeat(next);
        onChange(next);
      }}
    />
  );
}

test('another rhythm and back loses neither weekdays nor the end', () => {
  const onChange = jest.fn();
  inTheme(<Form onChange={onChange} />);
  const choose = (name: string) => fireEvent.click(screen.getByRole('radio', { name }));
  choose('Monthly');
  expect(onChange).toHaveBeenLastCalledWith({
    pattern: { kind: 'monthDay', interval: 1, day: 25 },
    end: FIRST.end,
  });
  choose('Once');
  choose('Weekly');
  expect(onChange).toHaveBeenLastCalledWith(FIRST);
});
