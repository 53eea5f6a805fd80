import type { Finding, Height, Job } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { faceOut, type FurtherOut } from './viewerAngles';
import { COMFORT_CENTRE_DEG } from './isComfortable';

/** Picture's top within this of level, degrees: SMPTE EG 18, from memory. */
const COMFORT_TOP_DEG = 35;

/** Cautions about what the viewers see at the placed height, and viewers who would sit in the set. */
export function sightFindings(angles: Height['angles'], job: Job, out: FurtherOut): Finding[] {
  const outMm = faceOut(job, out).value;
  const name = (id: string) => job.room.viewers?.find((v) => v.id === id)?.name ?? id;
  const inside = (job.room.viewers ?? []).filter((v) => v.distance !== undefined && v.distance <= outMm);
  return [
    ...inside.map((v) =>
      finding('viewer-inside-set', 'stop', 'room', {
        viewer: name(v.id),
        distanceMm: v.distance ?? 0,
        outMm,
      }),
    ),
    ...angles
      .filter((a) => Math.abs(a.fromRest) > COMFORT_CENTRE_DEG)
      .map((a) =>
        finding(
          'centre-off-rest',
          'caution',
          'height',
          { viewer: name(a.viewer), degrees: a.fromRest, limit: COMFORT_CENTRE_DEG },
          'ergonomic practice',
        ),
      ),
    ...angles
      .filter((a) => a.top > COMFORT_TOP_DEG)
      .map((a) =>
        finding(
          'top-too-high',
          'caution',
          'height',
          { viewer: name(a.viewer), degrees: a.top, limit: COMFORT_TOP_DEG },
          'SMPTE EG 18, from memory',
        ),
      ),
  ];
}
