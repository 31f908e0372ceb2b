import type { Reminder } from '@/core/model/common';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  name: string;
  how: Reminder['how'];
  onChoose(how: Reminder['how']): void;
}

/** How a reminder comes: on screen, by mail, by text message. The browser's own list, which every hand knows. */
export function WayChoice({ name, how, onChoose }: Props) {
  const { ink, sheet, hairline } = usePalette();
  return (
    <select
      aria-label={name}
      className="way-choice"
      value={how ?? 'screen'}
      onChange={({ target }) =>
        onChoose(target.value === 'screen' ? undefined : (target.value as 'mail' | 'text'))
      }
      style={{ color: ink, backgroundColor: sheet, borderColor: hairline }}
    >
      <option value="screen">On screen</option>
      <option value="mail">Mail</option>
      <option value="text">Text message</option>
    </select>
  );
}
