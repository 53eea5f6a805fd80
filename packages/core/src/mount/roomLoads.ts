import { reachModel, seatsOf, type ReachMemory } from '../arm/reachModel';
import type { YieldTable } from '../fixing/fastenerCapacity';
import { checkFastening, type Checked } from '../load/checkFastening';
import type { Fastening } from '../load/fastening';
import { reachablePoses } from '../load/loadPoses';
import { toDeg } from '../primitives/convert';
import { bestPose } from '../reach/seatPose';

/** What a fastening has to hold over the poses that this room leaves its arm, as the plan of its mount has it. */
export function roomLoads(fastening: Fastening, table: YieldTable, memory: ReachMemory): Checked {
  const { hung } = fastening;
  const model = reachModel(hung, memory);
  const seats = model
    ? seatsOf(hung.job).flatMap((seat) => {
        const served = bestPose(model.reach, model.table, [seat]);
        return served ? [{ x: served.x, z: served.z, yaw: toDeg(served.yaw) }] : [];
      })
    : [];
  return checkFastening(fastening, reachablePoses(hung, model, seats), table);
}
