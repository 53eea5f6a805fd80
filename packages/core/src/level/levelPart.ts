import type { Hole, LevelResult } from '@steddo/contract';
import type { Part } from '../primitives/part';
import type { Frame } from '../placement/placeSet';
import { usableSlots } from '../plate/usableSlots';
import { hasArms } from '../arm/joints';
import { readLevel, type LevelContext } from './readLevel';

/** The slope of plate or set as it was read, and what to do about it. */
export const levelPart = (frame: Frame, holes: readonly Hole[] = []): Part<LevelResult> =>
  readLevel(frame.job.levelReadings ?? [], levelContext(frame, holes));

/** The plate's span is between its outer holes; both ends of a slot's play count together. */
function levelContext(frame: Frame, holes: readonly Hole[]): LevelContext {
  const { mount } = frame.job;
  const xs = holes.map((h) => h.x);
  const holeSpan = xs.length > 0 ? Math.max(...xs) - Math.min(...xs) : 0;
  const span = holeSpan > 0 ? holeSpan : mount?.plate?.width;
  const fixing = holes[0]?.fixing;
  const slots = mount && fixing ? usableSlots({ mount, fixing }) : [];
  const plays = slots.map((s) => s.slot.height - fixing!.diameter);
  return {
    setWidthMm: frame.width.value,
    ...(span === undefined ? {} : { plateSpanMm: span }),
    ...(plays.length > 0 ? { slotPlayMm: Math.min(...plays) } : {}),
    ...(mount?.hook?.spacing === undefined ? {} : { hookSpacingMm: mount.hook.spacing }),
    ...(mount?.trim?.height === undefined ? {} : { trimHeightMm: mount.trim.height }),
    ...(mount?.trim?.pitch === undefined ? {} : { pitchMm: mount.trim.pitch }),
    ...(mount?.trim?.screwSpan === undefined ? {} : { screwSpanMm: mount.trim.screwSpan }),
    ...(mount?.trim?.roll === undefined ? {} : { rollDeg: mount.trim.roll }),
    ...(mount ? { arms: hasArms(mount) } : {}),
  };
}
