import type { Fit, Job, Mount, Plan } from '@steddo/contract';
import { centreRule } from '../placement/centreRule';
import { edges, placeSideways, spotAt, type Frame } from '../placement/placeSet';
import { wishOf } from '../placement/schools';
import { outlineOf } from '../screen/outlineOf';
import type { StudsFound } from '../wall/inferStuds';
import { masonryCourses } from '../wall/masonryCourses';
import { backingOf } from '../wall/otherTimber';
import { leaf } from '../working';
import { chooseScheme } from './chooseScheme';
import { planPlate } from './drillPlan';
import { passes } from './judgeScheme';
import { kitOf } from './kit';
import { hangingOf, platesOf } from './schemePart';
import { settingOf } from './schemeSearch';

/** So many of the list are given the whole search. */
export const SCHEMED = 20;

/**
 * A mount with the whole scheme search, as if it were picked: whether its holes find wood and hold. For the
 * first of a list; absent where its plate is not measured or the set finds no height with it.
 */
export function schemeRule(mount: Mount, job: Job, found: StudsFound): Fit[] {
  if (!mount.plate?.slots?.length) return [];
  const other: Job = { ...job, mount, choices: { ...job.choices } };
  delete other.choices!.plateX;
  delete other.choices!.armHole;
  delete other.choices!.scheme;
  delete other.measured;
  const { width, height } = outlineOf(job.screen, job.guessed ?? []);
  const centre = centreRule(other);
  if (!centre.ok) return [];
  const { centreX } = placeSideways(other, width, centre.x);
  const frame: Frame = { job: other, width, height, centreX };
  const chosen = job.choices?.centreY;
  const wish = wishOf(job.aim.height, other, height, edges(frame));
  const wanted = chosen !== undefined ? leaf('centre-chosen', chosen, 'mm') : wish.ok ? wish.centre : undefined;
  if (!wanted) return [];
  frame.plateX = planPlate(other, mount, found, centreX).x.value;
  const spot = spotAt(frame, wanted);
  if (spot.conflict) return [];
  const setting = settingOf({
    job: other,
    mount,
    found,
    plan: wallOf(job),
    centreX,
    plates: platesOf(frame, spot, mount),
    kit: kitOf(job),
  });
  if ('code' in setting) return [];
  const { best } = chooseScheme(setting, hangingOf(frame, spot, mount), 0);
  if (!best)
    return found.studs.length === 0
      ? []
      : [{ rule: 'scheme', ok: false, level: 'stop', value: 'none', limit: 1, margin: -1 }];
  const use = best.judged.ok ? best.judged.worst.use : Infinity;
  const ok = passes(best.judged);
  return [
    {
      rule: 'scheme',
      ok,
      level: ok ? 'info' : 'stop',
      value: Number.isFinite(use) ? use : 'none',
      limit: 1,
      margin: Number.isFinite(use) ? 1 - use : -1,
      unit: 'ratio',
      axis: best.candidate.way.kind,
    },
  ];
}

const wallOf = ({ room, evidence = [] }: Job): Pick<Plan, 'courses' | 'backing'> => {
  const main = evidence.filter((e) => (e.wall ?? 'main') === 'main');
  const courses = masonryCourses(room.wall.build, main, room.wall);
  const backing = backingOf(main);
  return { ...(courses ? { courses } : {}), ...(backing ? { backing } : {}) };
};
