import { enGB, registerTranslation, TimePickerModal } from 'react-native-paper-dates';
import type { HourCycle } from '@/core/time/words';

registerTranslation('en-GB', enGB);

interface Props {
  label: string;
  /** Minute of the day */
  minute: number;
  hourCycle: HourCycle;
  onPick(minute: number): void;
  onClose(): void;
}

/** A time of day, picked from a clock's face. */
export default function TimePicker({ label, minute, hourCycle, onPick, onClose }: Props) {
  return (
    <TimePickerModal
      visible
      label={label}
      locale="en-GB"
      use24HourClock={hourCycle === '24'}
      hours={Math.floor(minute / 60)}
      minutes={minute % 60}
      onDismiss={onClose}
      onConfirm={({ hours, minutes }) => onPick(hours * 60 + minutes)}
    />
  );
}
