import type { Finding, Item, Job, Placement } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { onMainWall } from '../room/roomThings';
import { firesOf, ruleOf } from './mantelClearance';

/** As warm as a set may be where its maker says nothing, degrees C. Ours. */
const MOST_C = 40;

/** A thermometer was at the set within so much of it, mm. Ours. */
const AT_SET_MM = 150;

/** A vent nearer than this to a set over a fire is asked about where nobody has given its distance, mm. Ours. */
const VENT_NEAR_MM = 300;

/** What hangs there, edge to edge. */
type Set = Pick<Placement, 'left' | 'right' | 'bottom' | 'top' | 'centre'>;

/** What heat, flues and the opening have to say of a set where it is to hang. */
export function fireFindings(job: Job, set: Set): Finding[] {
  const over = firesOf(job).filter((f) => f.left < set.right && set.left < f.right && f.top <= set.bottom);
  return [
    ...heatFindings(job, set, over),
    ...flueFindings(job, set),
    ...over.slice(0, 1).map((f) => overFinding(job, set, f)),
  ];
}

function heatFindings(job: Job, set: Set, over: readonly Item[]): Finding[] {
  const { heat } = job.room;
  const limitC = ruleOf(job, 'ambient') ?? job.screen.maxAmbient ?? MOST_C;
  const isHere =
    heat !== undefined && apart(set, { left: heat.x, right: heat.x, bottom: heat.y, top: heat.y }) <= AT_SET_MM;
  const [fire] = over;
  return [
    ...(isHere && heat.celsius > limitC
      ? [finding('heat-at-set', 'stop', 'room', { celsius: heat.celsius, limitC })]
      : []),
    ...(fire && !isHere
      ? [finding('heat-unmeasured', 'todo', 'room', { over: fire.id, elsewhere: heat !== undefined })]
      : []),
  ];
}

/** Vents by the distance that was given for them; in a room with a fire those that are near are asked about. */
function flueFindings(job: Job, set: Set): Finding[] {
  const leastMm = ruleOf(job, 'flue-clearance');
  const isFire = firesOf(job).length > 0;
  return onMainWall(job.room.objects)
    .filter((o) => o.kind === 'vent')
    .flatMap(({ id: object, ...vent }): Finding[] => {
      const distanceMm = apart(set, vent);
      if (leastMm !== undefined)
        return distanceMm < leastMm ? [finding('flue-clearance', 'stop', 'room', { object, distanceMm, leastMm })] : [];
      return isFire && distanceMm < VENT_NEAR_MM
        ? [finding('flue-unasked', 'todo', 'room', { object, distanceMm })]
        : [];
    });
}

/** How far the set is off the opening's middle, the wall's and the breast's; to the right positive. */
function overFinding({ room }: Job, { centre }: Set, fire: Item): Finding {
  const from = ({ left, right }: Pick<Item, 'left' | 'right'>) => centre.x - (left + right) / 2;
  const breast = onMainWall(room.objects).find(
    (o) => o.kind === 'chimney' && o.left <= fire.left && o.right >= fire.right,
  );
  return finding('over-fire', 'info', 'height', {
    object: fire.id,
    offMm: from(fire),
    wallMm: centre.x - room.wall.width / 2,
    ...(breast ? { breastMm: from(breast) } : {}),
  });
}

type Box = Pick<Item, 'left' | 'right' | 'bottom' | 'top'>;

/** The gap between two boxes on the wall, mm; 0 where they touch. */
const apart = (a: Box, b: Box): number =>
  Math.hypot(Math.max(0, a.left - b.right, b.left - a.right), Math.max(0, a.bottom - b.top, b.bottom - a.top));
