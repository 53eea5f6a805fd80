import type { Hole, Packing, Part, TimberPlan } from '@steddo/contract';
import type { Fastener, Kit } from '../fixing/kit';
import { LOOK } from '../wall/hazardZones';

/** Two bits this close are the same bit, mm. */
const SAME_BIT_MM = 0.08;

/** Fixings that are spoiled when their bolt comes out, or that spin: one more is taken along. */
const ONE_TO_SPARE = 1;

/**
 * What a scheme asks to be taken along: fixings with one to spare, a washer for each head that needs one, every
 * bit once, a flag of tape for the depth, and the thin bit to probe with. What is there already is not counted.
 */
export function partsOf(
  holes: readonly Hole[],
  fasteners: readonly Fastener[],
  kit: Kit,
  packing: readonly Packing[] = [],
): Part[] {
  const open = holes.filter((h) => !h.done);
  const parts: Part[] = [];
  for (const fastener of [...new Set(fasteners)]) {
    const count = open.filter((h) => h.fixing.kind === fastener.kind && h.fixing.id === fastener.id).length;
    if (count === 0) continue;
    const from = fastener.id === undefined ? 'mount' : 'kit';
    const { kind, diameter, length, id } = fastener;
    parts.push({
      what: 'fixing',
      kind,
      count,
      spare: ONE_TO_SPARE,
      diameter,
      from,
      ...(length === undefined ? {} : { length }),
      ...(id === undefined ? {} : { id }),
    });
    if (fastener.washer) parts.push({ what: 'washer', kind, count, spare: ONE_TO_SPARE, diameter, from });
  }
  if (open.length > 0) parts.push(...packingParts(packing));
  const bits = new Map<string, Hole>();
  for (const h of open) bits.set(`${bitKind(h)}:${h.bit.toFixed(2)}`, h);
  for (const h of bits.values()) parts.push(bitPart(h, kit));
  if (open.length > 0) parts.push({ what: 'depth-flag', kind: 'tape', count: bits.size, spare: 0, from: 'kit' });
  if (open.some((h) => h.into === 'stud' || h.into === 'board'))
    parts.push({
      what: 'probe-bit',
      kind: 'wood',
      count: 1,
      spare: 0,
      diameter: PROBE_BIT_MM,
      from: kitHas(kit, PROBE_BIT_MM) ? 'kit' : 'get',
    });
  if (open.some((h) => h.hazard !== 'clear' && h.into !== 'masonry'))
    parts.push({
      what: 'bit',
      kind: 'look',
      count: 1,
      spare: 0,
      diameter: LOOK.drillMm,
      from: kitHas(kit, LOOK.drillMm) ? 'kit' : 'get',
    });
  return parts;
}

/** Pieces of one thickness together, by the longest of them. */
function packingParts(packing: readonly Packing[]): Part[] {
  const long = (p: Packing) => Math.max(p.right - p.left, p.top - p.bottom);
  return [...new Set(packing.map((p) => p.thickness))].map((thickness): Part => {
    const own = packing.filter((p) => p.thickness === thickness);
    const length = Math.max(...own.map(long));
    return { what: 'packing', kind: 'timber', count: own.length, spare: 0, thickness, length, from: 'get' };
  });
}

/** A small drill to probe with: 3 mm. Common practice. */
const PROBE_BIT_MM = 3;

const bitKind = (hole: Hole): 'wood' | 'masonry' | 'metal' =>
  hole.into === 'masonry' ? 'masonry' : hole.into === 'metal-stud' ? 'metal' : 'wood';

const isBit = (a: number, b: number): boolean => Math.abs(a - b) <= SAME_BIT_MM;

const kitHas = (kit: Kit, diameter: number): boolean => kit.bits.some((b) => isBit(b.diameter, diameter));

/** The kit's bit for a hole: its diameter, and made for what it is drilled into. */
export function bitFor(kit: Kit, hole: Hole): Kit['bits'][number] | undefined {
  const kind = bitKind(hole);
  return kit.bits.find((b) => Math.abs(b.diameter - hole.bit) <= SAME_BIT_MM && (b.kind ?? kind) === kind);
}

function bitPart(hole: Hole, kit: Kit): Part {
  const own = bitFor(kit, hole);
  return {
    what: 'bit',
    kind: bitKind(hole),
    count: 1,
    spare: 0,
    diameter: hole.bit,
    ...(own ? { id: own.id } : {}),
    from: own ? 'kit' : 'get',
  };
}

/** What the timber itself asks to be taken along: its pieces, cleats and lags; nothing once its holes are there. */
export function timberParts(timber: TimberPlan, kit: Kit, taken: readonly Part[]): Part[] {
  const { pieces, thickness, fixing, holes, cleat, top, bottom } = timber;
  const open = holes.filter((h) => !h.done).length;
  if (open === 0 || !fixing) return [];
  const height = top - bottom;
  const long = pieces ? Math.max(...pieces.map((p) => p.right - p.left)) : timber.right - timber.left;
  const wood = { what: 'timber' as const, spare: 0, from: 'get' as const };
  const { kind, diameter, length, id, bit } = fixing;
  const known = taken.some((p) => p.what === 'bit' && p.kind === 'wood' && isBit(p.diameter ?? 0, bit));
  const from = kitHas(kit, bit) ? 'kit' : 'get';
  const ownBit: Part = { what: 'bit', kind: 'wood', count: 1, spare: 0, diameter: bit, from };
  return [
    { ...wood, kind: pieces ? 'nogging' : 'across', count: pieces?.length ?? 1, thickness, height, length: long },
    ...(pieces && cleat
      ? [{ ...wood, kind: 'cleat', count: 2 * pieces.length, thickness: cleat, height: cleat, length: height }]
      : []),
    {
      ...{ what: 'fixing', kind, count: cleat ? 2 * open : open, spare: 1, diameter, length, from: 'kit' },
      ...(id === undefined ? {} : { id }),
    },
    ...(known ? [] : [ownBit]),
  ];
}
