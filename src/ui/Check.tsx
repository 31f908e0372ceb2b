import { usePalette } from './theme/theme';

interface Props {
  label: string;
  /** Whether the label is for screen readers alone, since what stands beside it says it. */
  isLabelHidden?: boolean;
  isOn: boolean;
  onChange(isOn: boolean): void;
}

/** A box to tick, with a target for fingers. */
export function Check({ label, isLabelHidden = false, isOn, onChange }: Props) {
  const { ink } = usePalette();
  return (
    <label className="check" style={{ color: ink }}>
      <input
        type="checkbox"
        aria-label={isLabelHidden ? label : undefined}
        checked={isOn}
        onChange={(event) => onChange(event.target.checked)}
      />
      {!isLabelHidden && <span>{label}</span>}
    </label>
  );
}
