import type { Mount, Placement, Side, Working } from '@steddo/contract';
import { asPairs, feasible } from '../primitives/intervals';
import { armHoles } from './chain';
import { isDrawn } from './stagedPlate';
import { anglesAt, edges, hangsAt, sidewaysLimits, tiltOf, type Frame, type Spot } from './placeSet';

/** The plate's middle, and the way that its arm folds. */
export interface HungPlate {
  x: Working;
  fold?: Side | undefined;
}

/** The same with the angles at which it is watched there, and the tilt that they ask for. */
export function hungAt(
  frame: Frame,
  spot: Spot,
  plate: HungPlate | undefined,
): { placement: Placement; angles: ReturnType<typeof anglesAt> } {
  const angles = anglesAt(frame, spot);
  const tilt = tiltOf(angles, frame.job);
  const tilted = tilt ? { tiltNeeded: tilt.value, tiltWorking: tilt } : {};
  return { placement: { ...placementOf(frame, spot, plate), angles, ...tilted }, angles };
}

/** The set and its plate as they hang, and where else they could. */
export function placementOf(frame: Frame, spot: Spot, plate: HungPlate | undefined): Placement {
  const { job, width, height, centreX } = frame;
  const bottom = spot.bottom.value;
  const top = bottom + height.value;
  return {
    centre: { x: centreX.value, y: spot.centre.value },
    bottom,
    top,
    ...edges(frame),
    ...(frame.plane ? { plane: frame.plane.value } : {}),
    ...plateBox(job.mount, plate, hangsAt(spot, job).plateBottom),
    ...(spot.chain && job.mount && armHoles(job.mount).length > 0 ? { armHole: spot.chain.armHole } : {}),
    ...(plate?.fold ? { fold: plate.fold } : {}),
    feasible: asPairs(spot.feasible),
    feasibleX: asPairs(feasible(sidewaysLimits(job, width, { bottom, top }))),
    binding: spot.binding,
    ...(spot.conflict ? { conflict: spot.conflict } : {}),
  };
}

function plateBox(
  mount: Mount | undefined,
  plate: HungPlate | undefined,
  bottom: Working | undefined,
): Pick<Placement, 'plate'> {
  if (!mount?.plate || !isDrawn(mount.plate) || !plate || !bottom) return {};
  const halfWidth = mount.plate.width / 2;
  return {
    plate: {
      left: plate.x.value - halfWidth,
      right: plate.x.value + halfWidth,
      bottom: bottom.value,
      top: bottom.value + mount.plate.height,
      x: plate.x.value,
    },
  };
}
