import { coveringOf, overAt, wallAt } from '../room/wallAt';
import { HOLE_GO } from '../wall/holeVerdict';
import type { Fastening } from './fastening';
import { movingMassOf } from './setPushes';

/** Studs a leaflet asks for are not nearer or further apart than it says by more than a tape reads, mm. */
const SPACING_SLACK_MM = 3;

/**
 * Whether the maker's label covers a plate as it is fastened: set and brackets within the mount's mass, the
 * leaflet's own screws and at least their count, as many studs, as far apart, under no thicker a covering, no
 * packing, and every hole sure. Then its rating is evidence beyond the tables, up to where they say that it ends.
 */
export function labelCovers({ hung, plate, front, carrying, pulling, beside }: Fastening): boolean {
  const { job, mount } = hung;
  const [first] = carrying;
  const label = first && mount.walls[wallAt(job.room.wall, first.x, first.y).build.kind];
  const { fixing } = label ?? {};
  if (!label || !fixing || beside.length + pulling.length > 0 || plate.width === 0) return false;
  const studs = [...new Set(carrying.flatMap((s) => s.stud ?? []))];
  const lines = studs.map((n) => carrying.find((s) => s.stud === n)!.x).sort((a, b) => a - b);
  const apart = lines.slice(1).map((x, i) => x - lines[i]!);
  const { minSpacing = 0, maxSpacing = Infinity, count = 2 } = mount.studs ?? {};
  const boards = carrying.map((s) => coveringOf(wallAt(job.room.wall, s.x, s.y).build));
  return (
    job.screen.mass + (mount.massOf === 'set' ? 0 : movingMassOf(mount)) <= mount.maxMass &&
    carrying.every((s) => s.fastener.path.startsWith('mount.')) &&
    carrying.length >= fixing.count &&
    studs.length >= count &&
    apart.every((a) => a >= minSpacing - SPACING_SLACK_MM && a <= maxSpacing + SPACING_SLACK_MM) &&
    boards.every((b) => b <= (label.maxBoard ?? Infinity)) &&
    carrying.every((s) => overAt(front, s).packing === 0) &&
    carrying.every((s) => s.chance >= HOLE_GO && !s.edgeOpen)
  );
}
