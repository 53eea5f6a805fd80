import type { Fixing, Hole, Job, Mount, Working } from '@steddo/contract';
import { holeChance } from '../wall/holeChance';
import type { StudsFound } from '../wall/inferStuds';
import { leaf, sum } from '../working';
import type { PlateOnStuds } from './placePlate';

export interface HoleInput {
  job: Job;
  mount: Mount;
  fixing: Fixing;
  found: StudsFound;
  plate: PlateOnStuds;
  plateBottom: Working;
  bit: Working;
  depth: Working;
}

/** How close to a ticked hole the plan must be for it to be the same hole, mm. */
const TICKED_MM = 3;

/**
 * The holes in drilling order: the top row first (level on it), left to right, then the rows below.
 * Each sits on the middle of its stud, or of one ply of a double, at the middle of its slot's height.
 */
export function holesOf(input: HoleInput): Hole[] {
  const { plate, mount } = input;
  const rowCount = plate.columns[0]?.slots.length ?? 0;
  const places = Array.from({ length: rowCount }, (_, row) =>
    plate.columns.map((column) => ({ row, column, slot: column.slots[row]! })),
  ).flat();
  return places.map(({ row, column, slot }, index) => {
    const name = row === 0 ? 'top' : row === rowCount - 1 ? 'bottom' : 'middle';
    const slotY = mount.plate?.slots?.[slot]?.y ?? 0;
    const y = sum(
      'hole-height',
      input.plateBottom,
      leaf('slot-up', slotY, 'mm', { path: `mount.plate.slots.${slot}.y` }),
    );
    return holeAt(input, {
      id: `h${index + 1}`,
      order: index + 1,
      row: name,
      slot,
      stud: column.stud,
      y,
    });
  });
}

interface Place {
  id: string;
  order: number;
  row: Hole['row'];
  slot: number;
  stud: number;
  y: Working;
}

function holeAt({ job, fixing, found, bit, depth }: HoleInput, place: Place): Hole {
  const stud = found.studs[place.stud]!;
  const at = stud.drillAt ?? stud.working ?? leaf('stud-centre', stud.centre, 'mm');
  const x = at.value;
  const { y, ...rest } = place;
  const chance = holeChance(found.belief, x, fixing.diameter);
  const done = (job.drilled ?? []).some(
    (d) => d.hole === place.id && Math.hypot(d.x - x, d.y - y.value) <= TICKED_MM,
  );
  return {
    ...rest,
    x,
    y: y.value,
    into: 'stud',
    fixing: { kind: fixing.kind, diameter: fixing.diameter, length: fixing.length },
    bit: bit.value,
    depth: depth.value,
    probability: chance.value,
    hazard: 'nobody-looked',
    done,
    working: y,
    workings: { x: at, bit, depth, probability: chance },
  };
}
