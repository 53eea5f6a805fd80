import type { Fit, Job, Mount } from '@steddo/contract';
import type { YieldTable } from '../fixing/fastenerCapacity';
import { mainWallJob } from '../room/wallView';
import { cornerPart } from '../twoWalls/cornerPart';
import type { SideWall } from '../twoWalls/sideWall';
import type { FitContext } from './fitContext';
import { frameOf, wantedHeight } from '../placement/frameOf';
import { spotAt, type Frame } from '../placement/placeSet';
import { planPlate } from '../plate/planPlate';
import { chooseScheme, fasteningOf } from '../scheme/chooseScheme';
import { roomLoads } from './roomLoads';
import { hungOf, platesOf } from '../scheme/schemePart';
import { settingOf } from '../scheme/schemeSearch';
import { outlineOf } from '../screen/outlineOf';
import type { StudsFound } from '../wall/inferStuds';
import { solidSections } from '../wall/wallPart';
import { isPortrait } from '../room/hungSides';

type Kept = Pick<FitContext, 'yieldTable' | 'reachOf' | 'corner'>;

/** So many of the list are given the whole search. */
export const SCHEMED = 20;

/**
 * A mount with the whole scheme search, as if it were picked: whether its holes find wood and hold. For the
 * first of a list; absent where its plate is not measured or the set finds no height with it.
 */
export function schemeRule(mount: Mount, job: Job, found: StudsFound, context: Kept): Fit[] {
  const { yieldTable } = context;
  if (!mount.plate?.slots?.length) return [];
  const { plateX: _, armHole: _a, scheme: _s, ...choices } = job.choices ?? {};
  const { measured: _m, ...rest } = job;
  const other: Job = { ...rest, mount, choices };
  const framed = frameOf(other, outlineOf(job.screen, job.guessed ?? [], isPortrait(job)));
  if (!framed.ok) return [];
  if (context.corner) return cornerRule(other, framed.frame, found, context.corner.side(), yieldTable);
  const { centreX } = framed.frame;
  const frame = { ...framed.frame, plateX: planPlate(other, mount, found, centreX).x.value };
  const wanted = wantedHeight(frame).section;
  const spot = wanted && spotAt(frame, wanted);
  if (!spot || spot.conflict) return [];
  const plates = platesOf(frame, spot, mount);
  const setting = settingOf({
    job: other,
    mount,
    found,
    plan: solidSections(job),
    centreX,
    plates,
    yieldTable,
    spacer: frame.spacer?.value ?? 0,
  });
  if ('code' in setting) return [];
  const hung = hungOf(frame, spot, mount);
  const { best } = chooseScheme(setting, hung, 0);
  if (!best)
    return found.studs.length === 0
      ? []
      : [{ rule: 'scheme', ok: false, level: 'stop', value: 'none', limit: 1, margin: -1 }];
  // over the poses that its plan has, so that list and plan say the same
  const checked = best.checked.ok
    ? roomLoads(fasteningOf(hung, best.candidate), yieldTable, context.reachOf(mount))
    : best.checked;
  const axis = best.candidate.way.kind;
  if (!checked.ok) return [{ rule: 'scheme', ok: false, level: 'stop', value: 'none', limit: 1, margin: -1, axis }];
  const { verdict, worst } = checked;
  return [
    {
      rule: 'scheme',
      ok: verdict === 'go',
      level: verdict === 'go' ? 'info' : verdict,
      value: worst.utilisation,
      limit: 1,
      margin: 1 - worst.utilisation,
      unit: 'ratio',
      axis,
    },
  ];
}

/** In a corner: the worse of what holds it on either wall, as its plan has it. */
function cornerRule(job: Job, frame: Frame, found: StudsFound, side: SideWall, yieldTable: YieldTable): Fit[] {
  const wanted = wantedHeight(frame).section;
  const spot = wanted && spotAt(frame, wanted);
  if (!spot || spot.conflict) return [];
  const main = { job: mainWallJob(job), found, wall: solidSections(job) };
  const made = cornerPart({ job, frame, spot, main, side, yieldTable });
  const { corner, scheme, loads } = made;
  if (!corner.feet || found.studs.length + side.found.studs.length === 0) return [];
  const base = { rule: 'scheme', limit: 1, ...(scheme ? { axis: scheme.kind } : {}) } as const;
  const held = loads && made.holes.length > 0 && (job.mount?.corner === undefined || made.sideHoles.length > 0);
  if (!held) return [{ ...base, ok: false, level: 'stop', value: 'none', margin: -1 }];
  const labelled = made.findings.some((f) => f.code === 'held-by-label');
  const level =
    loads.worst <= 1
      ? 'info'
      : labelled && !made.findings.some((f) => f.code === 'load-too-great')
        ? 'caution'
        : 'stop';
  return [{ ...base, ok: level === 'info', level, value: loads.worst, margin: 1 - loads.worst, unit: 'ratio' }];
}
