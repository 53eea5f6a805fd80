import { rem } from './rem';
import { target, usePalette } from './tokens';

/** A share from nothing to all, by a finger, a wheel or the arrow keys. */
export function Slider({
  label,
  value,
  onChange,
  testID,
  width = 140,
}: {
  label: string;
  value: number;
  onChange: (value: number) => void;
  testID: string;
  width?: number;
}) {
  const palette = usePalette();
  return (
    <input
      type="range"
      min={0}
      max={100}
      step={5}
      aria-label={label}
      data-testid={testID}
      value={Math.round(value * 100)}
      onChange={(e) => onChange(Number(e.target.value) / 100)}
      style={{ width: rem(width), height: target, margin: 0, accentColor: palette.action, touchAction: 'none' }}
    />
  );
}
