import type { Finding, Job, Mount, Side, Working } from '@steddo/contract';
import type { Pivot } from '../corner/cornerFeet';
import type { WallSide } from '../corner/cornerGeometry';
import type { CornerPlace } from '../corner/cornerPlace';
import type { YieldTable } from '../fixing/fastenerCapacity';
import type { Frame, Spot } from '../placement/placeSet';
import { leaf, minus } from '../primitives/working';
import type { CornerWall, FootInput } from './footWall';
import type { SideWall } from './sideWall';

export interface CornerInput {
  /** The whole job, and the frame of what is seen along the corner's middle line. */
  job: Job;
  frame: Frame;
  spot: Spot;
  main: CornerWall;
  side: SideWall;
  yieldTable: YieldTable;
  /** Whether to look for how it would have to stand where a foot is not held. */
  ways?: boolean;
}

/** The same with what hangs there, where the set stands, and what stands in its way. */
export interface Held extends CornerInput {
  mount: Mount;
  place: CornerPlace;
  things: Finding[];
}

/** The wall that lies to one side of whoever looks into the corner, by its name. */
export const wallThere = (place: CornerPlace, wall: WallSide): 'main' | Side =>
  wall === place.main ? 'main' : place.side;

/** From the corner into a wall's own x. */
export function onWall(job: Job, place: CornerPlace, wall: WallSide, fromCorner: Working): Working {
  if (wall !== place.main || place.main === 'right') return fromCorner;
  return minus('from-left', leaf('wall-width', job.room.wall.width, 'mm', { path: 'room.wall.width' }), fromCorner);
}

/** A pivot by its numbers. */
export const placeOf = ({ along, out }: Pivot) => ({ along: along.value, out: out.value });

/** What is the same for all that is screwed to either wall. */
export const footBase = (
  { frame, spot, yieldTable }: CornerInput,
  here: CornerWall,
): Pick<FootInput, 'frame' | 'spot' | 'here' | 'yieldTable'> => ({ frame, spot, here, yieldTable });
