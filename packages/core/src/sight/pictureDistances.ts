import type { Distances, Finding, Job, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { half, leaf, minus, node } from '../primitives/working';
import { eyeAhead, faceOut, type FurtherOut } from './viewerAngles';

/** Degrees of view that a picture should fill at least and at most: common practice, from memory. */
const FILLS_LEAST_DEG = 30;
const FILLS_MOST_DEG = 40;

/** What a sharp eye tells apart, degrees: one minute of arc (ITU-R BT.500 and BT.2022, from memory). */
const SHARP_DEG = 1 / 60;

/**
 * How far from the set's face its viewers would sit: where the picture fills 40 and 30 degrees
 * across, and where one line of 2160 or 1080 is as fine as a sharp eye can tell.
 * 16:9: 1.197 and 1.626 diagonals; 1.59 and 3.18 picture heights (ITU-R design distances 1.6 H and 3.2 H).
 */
export function pictureDistances(job: Job, width: Working, height: Working, out: FurtherOut = {}): Distances {
  return {
    bounds: [
      acrossBound('across-40', width, FILLS_MOST_DEG),
      acrossBound('across-30', width, FILLS_LEAST_DEG),
      linesBound('lines-2160', height, 2160),
      linesBound('lines-1080', height, 1080),
    ],
    viewers: (job.room.viewers ?? []).flatMap((v) => {
      const ahead = eyeAhead(v, job.guessed ?? [], out);
      if (!ahead) return [];
      const away = minus('eye-to-face', ahead, faceOut(job, out));
      if (away.value <= 0) return [];
      const fills = fillsAt(width, away);
      const verdict: Distances['viewers'][number]['verdict'] =
        fills.value > FILLS_MOST_DEG ? 'near' : fills.value < FILLS_LEAST_DEG ? 'far' : 'within';
      return [{ viewer: v.id, distance: away.value, fills: fills.value, verdict, working: fills }];
    }),
  };
}

function acrossBound(rule: 'across-30' | 'across-40', width: Working, degrees: number): Distances['bounds'][number] {
  const working = node('distance-for-view', '/', 'mm', [
    half('half-width', width),
    node('half-view', 'tan', 'ratio', [leaf('half-angle', degrees / 2, 'deg')]),
  ]);
  return { rule, distance: working.value, working };
}

function linesBound(rule: 'lines-1080' | 'lines-2160', height: Working, lines: number): Distances['bounds'][number] {
  const line = node('line-height', '/', 'mm', [height, leaf('lines', lines, 'count')]);
  const working = node('distance-for-lines', '/', 'mm', [
    line,
    node('sharp-eye', 'tan', 'ratio', [leaf('minute-of-arc', SHARP_DEG, 'deg')]),
  ]);
  return { rule, distance: working.value, working };
}

/** Degrees across that the picture fills, seen from straight ahead. */
const fillsAt = (width: Working, away: Working): Working =>
  node('picture-fills', '*', 'deg', [
    leaf('two', 2, 'count'),
    node('half-view', 'atan', 'deg', [half('half-width', width), away]),
  ]);

/** A note for each viewer who sits nearer or further than the picture's usual range. */
export function distanceFindings(distances: Distances, job: Job): Finding[] {
  const at = (rule: string) => distances.bounds.find((b) => b.rule === rule)?.distance ?? 0;
  return distances.viewers.flatMap((v) => {
    if (v.verdict === 'within') return [];
    const viewer = job.room.viewers?.find((o) => o.id === v.viewer)?.name ?? v.viewer;
    const values = {
      viewer,
      distanceMm: v.distance,
      fromMm: at('across-40'),
      toMm: at('across-30'),
      fills: v.fills,
    };
    const code = v.verdict === 'near' ? 'sits-near' : 'sits-far';
    return [finding(code, 'info', 'height', values, 'common practice')];
  });
}
