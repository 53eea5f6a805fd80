import { iconPaths } from './iconPaths';
import { usePalette } from './tokens';

export type IconName = keyof typeof iconPaths;

/** An icon out of the few that ship with the app; what it means is said by the button's label. */
export function Icon({ name, size = 24, color }: { name: IconName; size?: number; color?: string }) {
  const palette = usePalette();
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true">
      <path d={iconPaths[name]} fill={color ?? palette.ink} />
    </svg>
  );
}
