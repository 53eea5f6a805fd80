import type { Job, Viewer, ViewerAngles, Working } from '@steddo/contract';
import { leaf, minus, node } from '../primitives/working';
import { eyeOf } from './eyeOf';
import type { Facing } from './facing';
import { SET_THICKNESS_MM } from '../room/usualSizes';
import type { Term } from '../primitives/terms';

/** Share of the recline by which the resting gaze rises. Ours. */
export const RECLINE_SHARE = 0.3;

export interface SetPose {
  centreX: Working;
  centre: Working;
  top: Working;
  bottom: Working;
  out: FurtherOut;
}

/** What brings a set's face further out than its mount does. */
export interface FurtherOut {
  /** Spacers between bracket and set. */
  spacer?: Working | undefined;
  /** How far the plate's back is in front of the wall: packing, a timber, a part that stands out. */
  plane?: Working | undefined;
  /** Where it does not face straight out of the wall: then this alone counts. */
  facing?: Facing | undefined;
}

/** From the wall to a viewer's eye; in a corner along the line that the set stands on. */
export function eyeAhead(viewer: Viewer, guessed: readonly string[], { facing }: FurtherOut): Working | undefined {
  if (viewer.distance === undefined) return undefined;
  if (facing) return facing.ahead(viewer);
  const path = `room.viewers.${viewer.id}.distance`;
  return leaf('eye-distance', viewer.distance, 'mm', { path, guess: guessed.includes(path) });
}

/** How far a viewer sits to the right of the set's middle; undefined where nobody said. */
export function eyeAcross(viewer: Viewer, centreX: Working, { facing }: FurtherOut): Working | undefined {
  if (viewer.x === undefined) return undefined;
  const at = facing ? facing.across(viewer) : leaf('eye-x', viewer.x, 'mm', { path: `room.viewers.${viewer.id}.x` });
  return at && minus('eye-across', at, centreX);
}

/**
 * How far up or down one viewer looks at the set's centre, top and bottom, and how far the centre
 * is from the resting gaze. Degrees, positive up. Undefined without an eye or a distance, or for
 * a viewer who would sit inside the set.
 *
 *   elevation = atan((y - eye) / hypot(distance - out, across))        resting gaze = share x recline
 *
 * Eye 1100, centre 1400, 2700 mm away, face 100 mm out: atan(300 / 2600) = 6.58 degrees up.
 */
export function viewerAngles(viewer: Viewer, pose: SetPose, job: Job): ViewerAngles | undefined {
  const eye = eyeOf(viewer, job.guessed ?? []);
  const run = runTo(viewer, pose, job);
  if (!eye || !run) return undefined;
  const up = (label: Term, y: Working): Working => node(label, 'atan', 'deg', [minus('above-eye', y, eye), run]);
  const centre = up('look-centre', pose.centre);
  const fromRest = node('from-rest', '-', 'deg', [centre, restingGaze(viewer, job)]);
  return {
    viewer: viewer.id,
    centre: centre.value,
    top: up('look-top', pose.top).value,
    bottom: up('look-bottom', pose.bottom).value,
    fromRest: fromRest.value,
    workings: { centre, fromRest },
  };
}

/** How far the set's face stands out from the wall, mm: what is under the plate, the folded mount, spacers, the set's thickness. */
export function faceOut(job: Job, { spacer, plane, facing }: FurtherOut = {}): Working {
  if (facing) return facing.front;
  const path = 'screen.thickness';
  const thickness = leaf('set-thickness', job.screen.thickness ?? SET_THICKNESS_MM, 'mm', {
    path,
    guess: job.screen.thickness === undefined || (job.guessed ?? []).includes(path),
  });
  const folded = leaf('mount-folded', job.mount?.depth.folded ?? 0, 'mm', {
    path: 'mount.depth.folded',
  });
  const behind = [...(job.mount ? [...(plane ? [plane] : []), folded] : []), ...(spacer ? [spacer] : [])];
  return node('face-out', '+', 'mm', [...behind, thickness]);
}

function runTo(viewer: Viewer, pose: SetPose, job: Job): Working | undefined {
  const ahead = eyeAhead(viewer, job.guessed ?? [], pose.out);
  if (!ahead) return undefined;
  const along = minus('eye-to-face', ahead, faceOut(job, pose.out));
  if (along.value <= 0) return undefined;
  const across = eyeAcross(viewer, pose.centreX, pose.out);
  if (!across) return along;
  return node('eye-run', 'hypot', 'mm', [along, across]);
}

function restingGaze(viewer: Viewer, job: Job): Working {
  const share = job.aim.schools?.eyes?.reclineShare;
  return node('resting-gaze', '*', 'deg', [
    leaf('recline-share', share ?? RECLINE_SHARE, 'ratio', {
      path: 'aim.schools.eyes.reclineShare',
    }),
    leaf('recline', viewer.recline ?? 0, 'deg', { path: `room.viewers.${viewer.id}.recline` }),
  ]);
}
