import type { Job, Packing, Plate } from '@steddo/contract';
import { SAME_MM } from '../primitives/epsilons';
import { isVehicle } from './roomKind';
import { onMainWall } from './roomThings';
import { mainZones, wallAt, type Fronted, type Wall } from './wallAt';

/** Faces of the wall that differ by more under one plate have to be packed, mm. Ours. */
export const FACE_STEP_MM = 2;

export interface Outline {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/** Where a plate is with its middle and its bottom there; one that is known by its rows alone by where its slots are. */
export function plateOutline(plate: Plate, x: number, bottom: number): Outline {
  if (plate.width > 0)
    return { left: x - plate.width / 2, right: x + plate.width / 2, bottom, top: bottom + plate.height };
  const slots = plate.slots ?? [];
  const reach = (
    of: (s: (typeof slots)[number]) => number,
    least: (...n: number[]) => number,
    by: -1 | 1,
    half: 'length' | 'height',
  ) => (slots.length === 0 ? 0 : least(...slots.map((s) => of(s) + (by * s[half]) / 2)));
  return {
    left: x + reach((s) => s.x, Math.min, -1, 'length'),
    right: x + reach((s) => s.x, Math.max, 1, 'length'),
    bottom: bottom + reach((s) => s.y, Math.min, -1, 'height'),
    top: bottom + reach((s) => s.y, Math.max, 1, 'height'),
  };
}

/** A part of what lies under an outline, and how far its face stands out, mm. */
type Part = Outline & { face: number };

/** What is under an outline, cut along the edges of the parts that differ. */
function partsUnder(wall: Wall, outline: Outline): Part[] {
  const zones = mainZones(wall);
  const cuts = (from: number, to: number, edges: number[]) =>
    [from, ...new Set(edges.filter((e) => e > from + SAME_MM && e < to - SAME_MM)), to].sort((a, b) => a - b);
  const xs = cuts(
    outline.left,
    outline.right,
    zones.flatMap((z) => [z.left, z.right]),
  );
  const ys = cuts(
    outline.bottom,
    outline.top,
    zones.flatMap((z) => [z.bottom, z.top]),
  );
  return ys.slice(1).flatMap((top, j) =>
    xs.slice(1).map((right, i) => {
      const [left, bottom] = [xs[i]!, ys[j]!];
      return { left, right, bottom, top, face: wallAt(wall, (left + right) / 2, (bottom + top) / 2).face };
    }),
  );
}

/** How the wall stands under a plate, mm: its foremost face, its rearmost, and the plane of the plate's back. */
export interface PlatePlane {
  foremost: number;
  rearmost: number;
  plane: number;
  /** The difference of the faces that nobody has packed yet; 0 where there is none, or it is planned for. */
  unpacked: number;
}

/**
 * The plane that a plate goes on: `choices.packing` is what is put under the part that stands furthest back, and the
 * plate can never be behind the part that stands furthest out.
 *
 *   plane = max(foremost, rearmost + packing)
 *
 * Brick 38 in front of panel, nothing chosen: plane 38, 38 still to be packed; with 38 chosen nothing is left.
 */
export function platePlane(wall: Wall, outline: Outline, chosen = 0): PlatePlane {
  if (!wall.zones?.length) return { foremost: 0, rearmost: 0, plane: chosen, unpacked: 0 };
  const faces = partsUnder(wall, outline).map((p) => p.face);
  const [foremost, rearmost] = [Math.max(...faces), Math.min(...faces)];
  const step = foremost - rearmost;
  return {
    foremost,
    rearmost,
    plane: Math.max(foremost, rearmost + chosen),
    unpacked: step > FACE_STEP_MM && chosen < step - FACE_STEP_MM ? step : 0,
  };
}

/** The wall as a plate meets it. */
export const frontedBy = (
  { room, choices, mount }: Pick<Job, 'room' | 'choices' | 'mount'>,
  outline: Outline,
): Fronted => ({
  wall: room.wall,
  plane: platePlane(room.wall, outline, choices?.packing).plane,
  chosen: choices?.packing ?? 0,
  things: onMainWall(room.objects),
  ...(isVehicle({ room, mount }) ? { vehicle: true } : {}),
});

/**
 * The pieces of packing under a plate: as thick as each part stands behind its plane, pieces of one thickness that
 * meet along a whole edge as one. A plate from 1200 to 1400 over brick below 1300 that stands out by 38: one piece
 * from 1300 to 1400, 38 thick.
 */
export function packingUnder(wall: Wall, outline: Outline, chosen = 0): Packing[] {
  const { plane } = platePlane(wall, outline, chosen);
  const pieces = partsUnder(wall, outline)
    .map(({ face, ...box }): Packing => ({ wall: 'main', ...box, thickness: plane - face }))
    .filter((p) => p.thickness > FACE_STEP_MM);
  const wide = merged(pieces, ['bottom', 'top'], ['left', 'right']);
  return merged(wide, ['left', 'right'], ['bottom', 'top']);
}

type Side = keyof Outline;

/** Pieces alike across, one after the other along, as one. */
function merged(pieces: readonly Packing[], across: readonly [Side, Side], along: readonly [Side, Side]): Packing[] {
  const found: Packing[] = [];
  for (const p of [...pieces].sort((a, b) => a[along[0]] - b[along[0]])) {
    const before = found.find(
      (f) =>
        Math.abs(f.thickness - p.thickness) < SAME_MM &&
        across.every((side) => f[side] === p[side]) &&
        Math.abs(f[along[1]] - p[along[0]]) < SAME_MM,
    );
    if (before) before[along[1]] = p[along[1]];
    else found.push({ ...p });
  }
  return found;
}
