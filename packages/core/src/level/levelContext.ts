import type { Plan } from '@steddo/contract';
import type { Frame } from '../placement/placeSet';
import { usableSlots } from '../scheme/placePlate';
import type { LevelContext } from './readLevel';

/** The plate's span is between its outer holes; both ends of a slot's play count together. */
export function levelContext(frame: Frame, base: Plan): LevelContext {
  const { mount } = frame.job;
  const xs = (base.holes ?? []).map((h) => h.x);
  const holeSpan = xs.length > 0 ? Math.max(...xs) - Math.min(...xs) : 0;
  const span = holeSpan > 0 ? holeSpan : mount?.plate?.width;
  const fixing = base.holes?.[0]?.fixing;
  const slots = mount && fixing ? usableSlots({ mount, fixing }) : [];
  const plays = slots.map((s) => s.slot.height - fixing!.diameter);
  return {
    setWidthMm: frame.width.value,
    ...(span === undefined ? {} : { plateSpanMm: span }),
    ...(plays.length > 0 ? { slotPlayMm: Math.min(...plays) } : {}),
    ...(mount?.hook?.spacing === undefined ? {} : { hookSpacingMm: mount.hook.spacing }),
    ...(mount?.trim?.height === undefined ? {} : { trimHeightMm: mount.trim.height }),
    ...(mount?.trim?.roll === undefined ? {} : { rollDeg: mount.trim.roll }),
  };
}
