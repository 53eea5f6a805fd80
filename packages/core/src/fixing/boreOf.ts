import type { HoleInto, Mount, Working } from '@steddo/contract';
import { gravityOf } from './lagTables';
import { leaf, minus, node, sum } from '../primitives/working';
import type { Fastener } from './kit';
import { inWall, leadBit, leadDepth, packingOf } from './leadHole';
import { buildPathAt, overAt, type Fronted } from '../room/wallAt';

/** How deep a bay is behind the board at least for a toggle, and how deep a hole through board goes beyond it, mm. Ours. */
const THROUGH_BOARD_MM = 10;

/** A hole in masonry goes beyond its sleeve, mm. Ours. */
const SLEEVE_OVERDRILL_MM = 10;

/** A fixing where it goes, and into what. mm on the wall. */
export interface FixingAt {
  x: number;
  y: number;
  into: HoleInto;
  fastener: Fastener;
}

/** How one hole is bored: with what bit, how deep, how far its screw goes in. mm. */
export interface Bore {
  bit: Working;
  depth: Working;
  penetration?: Working;
}

/** The bit and depth of a hole; undefined where no stock bit suits its lag. */
export function boreOf(mount: Pick<Mount, 'plate'>, place: FixingAt, front: Fronted): Bore | undefined {
  const { fastener, into } = place;
  const plate = mount.plate!;
  const { board, gap, packing, build } = overAt(front, place);
  const path = (field: 'board' | 'gap' | 'thickness') => buildPathAt(front.wall, place.x, place.y, field);
  const boardLeaf = leaf('board', board, 'mm', { path: path('board'), guess: build.board === undefined });
  if (into === 'board')
    return { bit: packBit(place), depth: sum('hole-depth', boardLeaf, leaf('through-board', THROUGH_BOARD_MM, 'mm')) };
  const hollow = gap > 0 ? [leaf('hollow-behind', gap, 'mm', { path: path('gap') })] : [];
  const packed = packingOf(packing, front.chosen);
  const within = inWall(fastener, plate, packed);
  if (front.vehicle) return inVehicle(place, front, { within, over: [boardLeaf, ...hollow] });
  if (into === 'masonry')
    return { bit: packBit(place), depth: sum('hole-depth', within, leaf('overdrill', SLEEVE_OVERDRILL_MM, 'mm')) };
  if (into === 'metal-stud')
    return {
      bit: packBit(place),
      depth: sum('hole-depth', boardLeaf, ...hollow, leaf('through-board', THROUGH_BOARD_MM, 'mm')),
    };
  const penetration = minus('penetration', within, boardLeaf, ...hollow);
  if (into === 'backing') {
    const solid = build.thickness;
    // never out of the other side: a camper's skin is behind it
    const most =
      solid === undefined
        ? []
        : [
            sum(
              'board-and-backing',
              boardLeaf,
              ...hollow,
              leaf('backing-thickness', solid, 'mm', { path: path('thickness') }),
            ),
          ];
    // a thread holds in the sheet alone
    const thick = solid === undefined ? [] : [leaf('backing-thickness', solid, 'mm', { path: path('thickness') })];
    const held = thick.length > 0 ? node('engaged', 'min', 'mm', [penetration, ...thick]) : penetration;
    return { bit: packBit(place), depth: node('hole-depth', 'min', 'mm', [within, ...most]), penetration: held };
  }
  const bit = fastener.kind === 'lag' ? leadBit(fastener, gravityOf(build)) : packBit(place);
  return bit && { bit, depth: leadDepth(fastener, plate, packed), penetration };
}

/** Left of a vehicle's wall behind a point and behind the drill, at least, mm. Ours. */
export const SKIN_MM = 3;

/**
 * Into the backing of a vehicle: drilled as far as the screw goes and no further, and never to the skin; what holds is
 * the backing where the screw passes it. 19 mm through a plate of 1.5: 17.5 deep.
 */
function inVehicle(place: FixingAt, front: Fronted, { within, over }: { within: Working; over: Working[] }): Bore {
  const { build } = overAt(front, place);
  const path = (field: 'depth' | 'thickness') => buildPathAt(front.wall, place.x, place.y, field);
  const skin =
    build.depth === undefined
      ? []
      : [
          minus(
            'before-skin',
            leaf('wall-depth', build.depth, 'mm', { path: path('depth') }),
            leaf('skin-kept', SKIN_MM, 'mm'),
          ),
        ];
  const solid =
    build.thickness === undefined
      ? []
      : [leaf('backing-thickness', build.thickness, 'mm', { path: path('thickness') })];
  return {
    bit: packBit(place),
    // one that ends in its own plate, or has no wall before its skin, makes no hole at all
    depth: node('hole-depth', 'max', 'mm', [
      leaf('nothing', 0, 'mm'),
      node('hole-depth', 'min', 'mm', [within, ...skin]),
    ]),
    penetration: node('engaged', 'min', 'mm', [minus('behind-board', within, ...over), ...solid]),
  };
}

/** The bit that the pack or leaflet asks for; one as thick as the fixing where it is silent. */
const packBit = ({ fastener }: FixingAt): Working =>
  leaf('leaflet-bit', fastener.hole ?? fastener.diameter, 'mm', {
    path: `${fastener.path}.${fastener.path.startsWith('mount') ? 'pilot' : 'hole'}`,
    guess: fastener.hole === undefined,
  });
