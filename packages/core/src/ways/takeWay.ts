import type { Fixing, Job, Plan, Remedy } from '@steddo/contract';
import type { Command } from '../edit/command';
import { moves } from '../arm/arm';
import { lagKind } from '../scheme/remedies';
import { stockTimber } from '../scheme/timberAcross';
import { fixedKind } from './fixedKind';

/**
 * What a tap on a way on changes in the job; undefined where it opens a field, or asks for what only a hand at the wall
 * can do. `{ kind: 'shift-height', by: 44 }` puts the TV's middle 44 mm higher.
 */
export function takeWay(way: Remedy, job: Job, plan: Plan): Command | undefined {
  const { kind, by } = way;
  const { placement } = plan;
  const wall = job.mount ? lagKind({ job, mount: job.mount }) : job.room.wall.build.kind;
  const fixing = job.mount?.walls[wall]?.fixing;
  const path = `mount.walls.${wall}.fixing` as const;
  switch (kind) {
    case 'limit-swing':
      return { do: 'put', path: 'choices.maxAside', value: Math.floor(Number(by)) };
    case 'more-rows':
      return { do: 'put', path: `${path}.count`, value: Number(by) };
    case 'longer-lag':
      return fixing && kitLag(job, fixing, path, String(by));
    case 'other-fastener':
      return kitAnchor(job, plan, String(by));
    case 'two-studs':
      return { do: 'put', path: 'mount.studs.count', value: 2 };
    case 'shift-set':
      return placement && { do: 'put', path: 'choices.centreX', value: placement.centre.x + Number(by) };
    case 'shift-height':
      return placement && { do: 'put', path: 'choices.centreY', value: placement.centre.y + Number(by) };
    case 'pack':
      return { do: 'put', path: 'choices.packing', value: Number(by) };
    case 'corner-gap':
      return cornerCommand(way);
    case 'let-go':
      return { do: 'drop', path: `choices.${by as 'plateX' | 'armHole' | 'fold' | 'timber'}` };
    case 'anchors':
    case 'other-stud':
      return { do: 'put', path: 'choices.scheme', value: String(by) };
    case 'timber':
    case 'noggings': {
      const stock = job.mount && stockTimber(job.mount, kind === 'timber' ? 'across' : kind);
      return stock && { do: 'put', path: 'choices.timber', value: stock };
    }
    case 'acknowledge':
      return way.code === undefined
        ? undefined
        : { do: 'put', path: 'fixing.acknowledged', value: [...(job.fixing?.acknowledged ?? []), { code: way.code }] };
    case 'other-mount':
    case 'poke-edge':
    case 'enter':
    case 'evidence':
    case 'not-here':
      return undefined;
  }
}

function kitLag(job: Job, fixing: Fixing, path: `mount.walls.${string}.fixing`, by: string): Command | undefined {
  const lag = job.lags?.find((l) => l.id === by);
  if (!lag) return undefined;
  const { name: _, ...size } = lag;
  return { do: 'put', path, value: { kind: fixing.kind, count: fixing.count, ...size } };
}

/** An anchor of the kit in place of the mount's own, as many of it. */
function kitAnchor(job: Job, plan: Plan, by: string): Command | undefined {
  const kind = fixedKind(job, plan);
  const anchor = job.anchors?.find((a) => a.id === by);
  const wall = job.mount?.walls[kind];
  if (!anchor?.diameter || !anchor.length || !wall) return undefined;
  const { id, diameter, length, hole, tension, shear, head, washer } = anchor;
  const given = { pilot: hole, tension, shear, head, washer };
  const known = Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined));
  const value = { id, kind: anchor.kind, diameter, length, count: wall.fixing?.count ?? 4, ...known };
  return { do: 'put', path: `mount.walls.${kind}.fixing`, value };
}

/** Pulled out of the corner, and turned in it where the way says so. */
function cornerCommand({ by, turn }: Remedy): Command {
  const gap: Command = { do: 'put', path: 'choices.cornerGap', value: Number(by) };
  return turn === undefined
    ? gap
    : { do: 'all', commands: [gap, { do: 'put', path: 'choices.cornerTurn', value: turn }] };
}

/** Where a way holds something that was only agreed: the swing of an arm counts once something stops it. */
export const isHeldBy = (way: Remedy, job: Job): boolean =>
  way.kind === 'limit-swing' && job.mount !== undefined && moves(job.mount);
