import type { Finding, Fit, Job, Mount } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { TILT_PLAIN_DEG } from './typeAdvice';
import { isUnnamedSteel } from '../room/wallKinds';
import { toMeasure } from './toMeasure';

/** What the chosen mount's failed rules mean for this job, and what its label leaves to measure. */
export function mountFindings(mount: Mount, fits: readonly Fit[], job: Job): Finding[] {
  const failed = fits.filter((f) => !f.ok || isNote(f)).flatMap((f) => ruleFinding(f, mount, job) ?? []);
  return [...failed, ...extensionFinding(mount, job), ...measureFinding(mount, job)];
}

/** Tilt that is lacking and no caution yet is worth a note. */
const isNote = (f: Fit): boolean => f.rule === 'tilt' && f.ok && f.margin < -TILT_PLAIN_DEG;

function ruleFinding(fit: Fit, mount: Mount, job: Job): Finding | undefined {
  const value = Number(fit.value);
  const limit = Number(fit.limit);
  switch (fit.rule) {
    case 'mass':
      return finding('mount-mass', fit.level, 'mount', {
        massKg: value,
        limitKg: limit,
        marginKg: fit.margin,
      });
    case 'pattern':
      return finding('mount-pattern', fit.level, 'mount', {
        axis: fit.axis ?? 'width',
        valueMm: value,
        limitMm: limit,
        shortMm: -fit.margin,
      });
    case 'screen-size': {
      const { min: minMm, max: maxMm } = mount.screenSize;
      return finding('mount-size', fit.level, 'mount', { diagonalMm: value, minMm, maxMm });
    }
    case 'room-kind':
      return finding('mount-room-kind', fit.level, 'mount', { type: fit.value, kind: fit.limit });
    case 'corner-reach':
      // the corner's own findings say which wall, and by how much
      return undefined;
    case 'wall-kind':
      // on metal studs that the label does not name the holes say what holds it, or why nothing does
      if (isUnnamedSteel(mount, { kind: fit.value }) && mount.plate?.slots?.length) return undefined;
      return finding('mount-wall', fit.level, 'mount', {
        kind: String(fit.value),
        takes: Object.keys(mount.walls),
      });
    case 'covering':
      return finding('mount-covering', fit.level, 'mount', { boardMm: value, limitMm: limit }, 'common practice');
    case 'stud-spacing':
      return finding('mount-spacing', fit.level, 'mount', {
        spacingMm: value,
        minMm: mount.studs?.minSpacing ?? 0,
        maxMm: mount.studs?.maxSpacing ?? value,
      });
    case 'plate-room':
      return finding('mount-plate-room', fit.level, 'mount', { shortMm: -fit.margin });
    case 'reach': {
      const viewer = job.room.viewers?.find((v) => v.id === fit.axis)?.name ?? fit.axis ?? '';
      return finding('mount-reach', fit.level, 'mount', { viewer, degrees: value, limit });
    }
    case 'tilt':
      return finding('mount-tilt', fit.level, 'mount', {
        way: fit.axis ?? 'down',
        neededDeg: value,
        limitDeg: limit,
      });
    case 'holds':
    case 'scheme':
    case 'people':
      // the picked mount's own loads say it, with the pose and the fastener, and its own lift
      return undefined;
  }
}

function extensionFinding(mount: Mount, job: Job): Finding[] {
  const above = mount.pattern.extendedAbove;
  const { width, height } = job.screen.pattern;
  if (!above || (width <= above.width && height <= above.height)) return [];
  const values = { widthMm: above.width, heightMm: above.height };
  return [finding('extension-arms-needed', 'info', 'mount', values)];
}

function measureFinding(mount: Mount, job: Job): Finding[] {
  const fields = toMeasure(mount, job.measured);
  return fields.length === 0 ? [] : [finding('mount-to-measure', 'todo', 'mount', { fields })];
}
