import type { Working, Zone } from '@steddo/contract';
import { half, leaf, minus, named, sum } from '../primitives/working';
import type { Outline } from '../room/platePlane';
import { boardOf, wallAt, type Wall } from '../room/wallAt';
import { HOLE_CAUTION } from '../wall/holeVerdict';
import {
  rowsMiddle,
  studLag,
  studLines,
  withPieces,
  type ScrewLine,
  type TimberAsked,
  type TimberPlaced,
} from './timberPlaced';
import { asideOf } from '../arm/arm';

/** An upright cleat on the side of each stud, so wide and so deep, that a nogging is screwed onto, mm. 2 x 2, common practice. */
export const CLEAT_MM = 38;

/** Bays that take a nogging, clear, mm: room for its cleats, and no stud left out between. Ours. */
const CLEAR_MM = { least: 150, most: 760 } as const;

/** The board is cut so far over and under a nogging, mm. Ours. */
const OPENED_MM = 25;

type Lines = ReturnType<typeof studLines>;

/**
 * Noggings in every bay that the plate's slots reach, flush with the studs, each on a cleat at either end: for the plate
 * solid wood behind the board, between the cleats. Undefined where no such bay has both of its studs sure. Studs 38 wide
 * at 1600 and 2006: a piece from 1619 to 1987, screwed at 1638 and 1968.
 */
export function placeNoggings({ job, mount, found, timber, x, bottom }: TimberAsked): TimberPlaced | undefined {
  const middle = rowsMiddle(mount, bottom);
  const lag = studLag(mount, job);
  if (middle === undefined || !lag) return undefined;
  const { wall } = job.room;
  const upright = { bottom: middle - timber.height / 2, top: middle + timber.height / 2 };
  const reach = reachOf(mount.plate!.slots!, x, asideOf(mount));
  const bays = baysOf(studLines(found, lag)).filter(
    (b) => b.left < reach.right && b.right > reach.left && isStudWall(wall, (b.left + b.right) / 2, upright),
  );
  if (bays.length === 0) return undefined;
  const pieces = bays.map(({ left, right }) => ({ left, right, ...upright }));
  const zones = pieces.map((p, i) => noggingZone(wall, p, timber.thickness, i));
  const box = { ...upright, left: pieces[0]!.left, right: pieces.at(-1)!.right };
  return { ...withPieces(job, mount, zones), box, pieces, lines: bays.flatMap((b, i) => cleatsOf(b, i)) };
}

/** From the first end of a slot to the last, with the plate slid to either side. */
function reachOf(slots: readonly { x: number; length: number }[], x: number, slide: number) {
  const left = Math.min(...slots.map((s) => s.x - s.length / 2));
  const right = Math.max(...slots.map((s) => s.x + s.length / 2));
  return { left: x + left - slide, right: x + right + slide };
}

interface Bay {
  from: Lines[number];
  to: Lines[number];
  left: number;
  right: number;
}

/** Between each two studs that follow one another and are both sure, as wide as the bay is clear. */
const baysOf = (studs: Lines): Bay[] =>
  studs.slice(1).flatMap((to, i) => {
    const from = studs[i]!;
    const [left, right] = [from.x + from.width / 2, to.x - to.width / 2];
    const sure = from.chance >= HOLE_CAUTION && to.chance >= HOLE_CAUTION;
    return sure && right - left >= CLEAR_MM.least && right - left <= CLEAR_MM.most ? [{ from, to, left, right }] : [];
  });

const isStudWall = (wall: Wall, x: number, { bottom, top }: { bottom: number; top: number }): boolean =>
  [bottom, top].every((y) => wallAt(wall, x, y).build.kind === 'timber-stud');

/** The middles of the two cleats of a bay; the wall is open when they go in, so that nobody has to guess. */
function cleatsOf({ from, to }: Bay, piece: number): ScrewLine[] {
  const off = (width: number): Working =>
    sum('cleat-off', half('half-stud', leaf('stud-width', width, 'mm')), leaf('half-cleat', CLEAT_MM / 2, 'mm'));
  const lines = [
    sum('cleat-middle', named('stud-centre', from.across), off(from.width)),
    minus('cleat-middle', named('stud-centre', to.across), off(to.width)),
  ];
  return lines.map((across) => ({ piece, x: across.value, across, chance: 1 }));
}

/** A nogging as a part of the wall, between its cleats; the board before it is a patch. No zone of a job is called so. */
export function noggingZone(wall: Wall, piece: Outline, thickness: number, i: number): Zone {
  const { build } = wallAt(wall, (piece.left + piece.right) / 2, (piece.bottom + piece.top) / 2);
  return {
    id: `nogging ${i + 1}`,
    ...piece,
    left: piece.left + CLEAT_MM,
    right: piece.right - CLEAT_MM,
    build: {
      kind: 'timber-backing',
      thickness,
      board: boardOf(build),
      cover: build.cover ?? 'gypsum',
      state: 'patched',
    },
  };
}

/** What of the board is cut out: to the middle of the studs beside the pieces, a little over and under them. */
export function openingOf(pieces: readonly Outline[], studWidth: number): Outline {
  return {
    left: Math.min(...pieces.map((p) => p.left)) - studWidth / 2,
    right: Math.max(...pieces.map((p) => p.right)) + studWidth / 2,
    bottom: Math.min(...pieces.map((p) => p.bottom)) - OPENED_MM,
    top: Math.max(...pieces.map((p) => p.top)) + OPENED_MM,
  };
}
