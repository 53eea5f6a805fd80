import type { Fit, Job, Mount } from '@steddo/contract';
import type { FitContext } from './fitContext';
import { frameOf, wantedHeight } from '../placement/frameOf';
import { spotAt } from '../placement/placeSet';
import { planPlate } from '../plate/planPlate';
import { chooseScheme, fasteningOf } from '../scheme/chooseScheme';
import { roomLoads } from './roomLoads';
import { hungOf, platesOf } from '../scheme/schemePart';
import { settingOf } from '../scheme/schemeSearch';
import { outlineOf } from '../screen/outlineOf';
import type { StudsFound } from '../wall/inferStuds';
import { solidSections } from '../wall/wallPart';

type Kept = Pick<FitContext, 'yieldTable' | 'reachOf'>;

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
  const framed = frameOf(other, outlineOf(job.screen, job.guessed ?? []));
  if (!framed.ok) return [];
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
