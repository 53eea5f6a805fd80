import type { Mount } from '@steddo/contract';
import type { Carried } from '../arm/hung';
import { heartAt } from '../corner/cornerFeet';
import { onSet, toWall } from '../corner/cornerGeometry';
import { armReach, type ByArm } from '../corner/mountInCorner';
import { leaf, minus, sum } from '../primitives/working';
import { atWall } from './cornerFindings';
import { footBase, onWall, type Held } from './cornerInput';
import type { Walls } from './cornerSections';
import { byTrouble, footTrouble } from './footTrouble';
import { footOnWall } from './footWall';

export interface HeldByArm extends Held {
  arm: ByArm;
}

/** An arm: its plate over the main wall's wood, where its links reach the set in the corner from. */
export function armHeld(held: HeldByArm): Walls {
  const { job, mount, place, arm, main, things } = held;
  const half = (mount.plate?.width ?? 0) / 2;
  const width = leaf('wall-width', main.job.room.wall.width, 'mm', { path: 'room.wall.width' });
  const stretches = arm.stretches
    .map(([from, to]): [number, number] => [Math.max(from, half), Math.min(to, width.value - half)])
    .filter(([from, to]) => from < to);
  const out = heartAt(job, place, place.main);
  const carried = carriedBy(held);
  const { arm: links, ...rest } = mount;
  const still: Mount = { ...rest, arm: { kind: 'links', ...(links?.head === undefined ? {} : { head: links.head }) } };
  const tried = stretches.map(([from, to]) => {
    const aside = leaf('plate-span', (from + to) / 2 - arm.pivot.along.value, 'mm');
    const middle = sum('plate-from-corner', arm.pivot.along, aside);
    return footOnWall({
      ...footBase(held, main),
      x: onWall(job, place, place.main, middle),
      plate: { ...still, slide: (to - from) / 2 },
      moving: mount,
      share: 1,
      carried: [carried],
    });
  });
  const [best] = tried.sort((a, b) => byTrouble(footTrouble(a), footTrouble(b)));
  const findings = [...things, ...(best?.findings ?? []).map((f) => atWall(f, 'main'))];
  if (!best) return { place, arm, findings };
  const at = best.x && (place.main === 'right' ? best.x : minus('plate-from-corner', width, best.x));
  if (!at) return { place, arm, main: best, findings };
  return {
    ...{ place, arm, main: best, findings },
    plans: [{ wall: 'main', x: at.value, working: at, share: 1, pullsAt: out.out.value }],
    reach: armReach(arm, at),
  };
}

/** The set where it hangs in the corner, as the plate on the main wall feels it. */
function carriedBy({ job, place }: HeldByArm): Carried {
  const out = heartAt(job, place, place.main);
  const front = onSet(place.set, place.standOff.value, { along: 0, out: place.set.thickness });
  const to = toWall(place.angle, place.main, front);
  return {
    x: onWall(job, place, place.main, out.along).value,
    standoff: out.out.value,
    frontX: onWall(job, place, place.main, leaf('front-x', to.along, 'mm')).value,
    frontStandoff: to.out,
    working: out.out,
  };
}
