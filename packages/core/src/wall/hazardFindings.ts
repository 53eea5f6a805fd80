import type { Finding, Hazards, Hole, Item, Job, Stud } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { overlaps, type WallBox } from './hazardZones';
import { lookedAt, seenAt, type Looked } from './lookedAt';

/** A hole that is to be drilled, whatever it is for. */
export interface Spot extends Pick<Hole, 'id' | 'x' | 'y' | 'into' | 'done'> {
  fixing: { diameter: number };
}

/** What is known of the wall behind a spot. */
export type Behind = Pick<Hole, 'hazard' | 'zones' | 'look'>;

/** A hole as a spot on the wall: as wide as its lag. */
const spotOf = ({ x, y, fixing }: Spot): WallBox => {
  const r = fixing.diameter / 2;
  return { left: x - r, right: x + r, bottom: y - r, top: y + r };
};

/**
 * Each hole with what is known of the wall behind it: the zones that it is in, and what looks have shown.
 * A live mark counts as seen until both bays were looked at and are clear; what a look has met stays.
 */
export function holesWithHazards<S extends Spot>(
  job: Job,
  studs: readonly Stud[],
  holes: readonly S[],
  hazards: Hazards,
): (S & Behind)[] {
  return holes.map((hole) => {
    const spot = spotOf(hole);
    const looked = lookedAt(job, studs, spot);
    const met = metAt(hazards, spot, looked);
    const zones = hazards.zones.filter((z) => overlaps(z, spot)).map((z) => z.id);
    const look = met?.id ?? looked.left?.id ?? looked.right?.id;
    return {
      ...hole,
      hazard: met ? 'seen' : looked.state,
      ...(zones.length > 0 ? { zones } : {}),
      ...(look === undefined ? {} : { look }),
    };
  });
}

function metAt({ seen }: Hazards, spot: WallBox, looked: Looked) {
  const byEye = seenAt(
    seen.filter((s) => s.what !== 'live'),
    spot,
  );
  if (byEye || looked.state === 'clear') return byEye;
  return seenAt(
    seen.filter((s) => s.what === 'live'),
    spot,
  );
}

/** Everything to be said about what is in the wall, for the holes, the planned openings and the drill. */
export function hazardFindings(
  job: Job,
  studs: readonly Stud[],
  holes: readonly (Spot & Behind)[],
  hazards: Hazards,
  opening?: WallBox,
): Finding[] {
  const found = [...feltFindings(job, studs), ...openingFindings(job, studs, hazards, opening)];
  const seen = holes.filter((h) => h.hazard === 'seen');
  for (const what of new Set(seen.map((h) => whatAt(h, hazards)))) {
    const ids = seen.filter((h) => whatAt(h, hazards) === what).map((h) => h.id);
    found.push(finding('seen-at-hole', 'stop', 'wall', { holes: ids, what }));
  }
  return [...found, ...lookFirst(holes, hazards)];
}

/**
 * What nobody has looked at, what was looked at from one side, the zones of cables and pipes that holes are in, and what no
 * finder can see: one thing to do, and one sentence.
 */
function lookFirst(holes: readonly (Spot & Behind)[], hazards: Hazards): Finding[] {
  const open = holes.filter((h) => !h.done && (h.hazard === 'nobody-looked' || h.hazard === 'one-side'));
  if (open.length === 0) return [];
  const zones = new Map<string, Zoned>();
  for (const h of open)
    for (const id of h.zones ?? []) {
      const { what, way, object = '' } = hazards.zones.find((z) => z.id === id)!;
      const key = [what, way, object].join();
      const known = zones.get(key) ?? { what, way, object, holes: [] };
      zones.set(key, { ...known, holes: [...known.holes, h.id] });
    }
  const each = <T>(of: (z: Zoned) => T): T[] => [...zones.values()].map(of);
  return [
    finding(
      'look-first',
      'todo',
      'wall',
      {
        holes: open.map((h) => h.id),
        oneSide: open.filter((h) => h.hazard === 'one-side').map((h) => h.id),
        into: [...new Set(open.map((h) => h.into))],
        zoneHoles: each((z) => [...new Set(z.holes)].join(' ')),
        zoneWhat: each((z) => z.what),
        zoneWay: each((z) => z.way),
        zoneObject: each((z) => z.object),
      },
      'NEC 300.4, from memory',
    ),
  ];
}

interface Zoned {
  what: string;
  way: string;
  object: string;
  holes: string[];
}

const whatAt = (hole: Behind, { seen }: Hazards): string => seen.find((s) => s.id === hole.look)?.what ?? 'unsure';

/** Something felt in the wall stops the work until somebody has looked there, both ways, since then. */
function feltFindings(job: Job, studs: readonly Stud[]): Finding[] {
  return (job.drilled ?? []).flatMap((d) => {
    if (d.result !== 'felt-something') return [];
    const spot = { left: d.x, right: d.x, bottom: d.y, top: d.y };
    const later = { ...job, looks: (job.looks ?? []).filter((k) => d.at === undefined || (k.at ?? '') >= d.at) };
    const settled = lookedAt(later, studs, spot).state === 'clear';
    return [finding('felt-something', settled ? 'caution' : 'stop', 'wall', { hole: d.hole, xMm: d.x, yMm: d.y })];
  });
}

/** What the opening for noggings is called where a thing of the room would have its name. */
const NO_THING = '';

/** A box let into the wall is an opening to be cut, and so is the board before noggings: the questions of a hole, over all of it. */
function openingFindings(job: Job, studs: readonly Stud[], hazards: Hazards, opening?: WallBox): Finding[] {
  const boxes = (job.room.objects ?? []).filter(
    // one that is still to be cut for has its own part of the plan
    (o) => o.kind === 'box' && !o.cut && (o.wall ?? 'main') === 'main',
  );
  const cut = opening ? [...boxes, { ...opening, id: NO_THING }] : boxes;
  return cut.flatMap((box: WallBox & Pick<Item, 'id'>) => {
    const looked = lookedAt(job, studs, box);
    const met = metAt(hazards, box, looked);
    if (met) return [finding('seen-at-opening', 'stop', 'wall', { object: box.id, what: met.what })];
    const found: Finding[] = [];
    if (looked.state === 'clear') return found;
    const zone = hazards.zones.find((z) => overlaps(z, box) && z.object !== box.id);
    found.push(
      finding('opening-unlooked', 'todo', 'wall', {
        object: box.id,
        from: zone?.object ?? '',
        what: zone?.what ?? '',
      }),
    );
    return found;
  });
}
