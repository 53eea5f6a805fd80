import type { Job, Plan } from '@steddo/contract';
import { formatTape, platedJob, stagedNumber, tapeOf } from '@steddo/core';
import { measuredName } from '@steddo/text';
import { grow, type Box, type Label, type Scene, type Shape } from './scene';
import { setScene } from './setScene';

const PORT_MM = 8;

/**
 * The set's back with the mount on it as it will hang: arms on the holes that are used, the plate staged on them, the
 * ports of its leads, and the one number that is read there. Origin at the outline's centre, right and left swapped.
 */
export function fitScene(job: Job, plan: Plan): Scene {
  const back = setScene(job, plan, 'back', 'none');
  const { width, height } = plan.screen.outline;
  const outline: Box = { left: -width / 2, right: width / 2, bottom: -height / 2, top: height / 2 };
  const staged = stagedPlate(job, plan);
  const one = stagedNumber(job, plan);
  const y = one && (one.from === 'bottom' ? outline.bottom + one.working.value : outline.top - one.working.value);
  const cx = -(job.screen.patternCentre?.right ?? 0);
  const x = Math.max(outline.left + 30, cx - job.screen.pattern.width / 2 - 90);
  const edge = one?.from === 'top' ? outline.top : outline.bottom;
  const show = (mm: number) => formatTape(mm, tapeOf(job.units)).replace(/ in$/, '');
  const shapes: Shape[] = [
    // the measures of the set are another view's
    ...back.shapes.filter((s) => s.id !== 'profile' && s.id !== 'plug'),
    ...staged,
    ...leadsBehind(plan, outline),
    ...portShapes(job),
    ...(one && y !== undefined
      ? [
          { kind: 'line', role: 'asked', id: 'one-number', x1: x, y1: edge, x2: x, y2: y } satisfies Shape,
          { kind: 'line', role: 'level-mark', id: 'one-row', x1: x - 25, y1: y, x2: -x, y2: y } satisfies Shape,
        ]
      : []),
  ];
  const labels: Label[] = [
    ...(one && y !== undefined
      ? [
          {
            id: 'one-number',
            text: `${show(one.working.value)} ${one.from} to ${measuredName(one.to)}`,
            x,
            y: edge,
            side: one.from === 'bottom' ? 'below' : 'above',
          } satisfies Label,
        ]
      : []),
    ...holeLabel(job, plan, outline),
  ];
  const bounds = grow(outline, 90);
  return { bounds, focus: bounds, shapes, labels };
}

/** Where the plate sits on the set once it hangs, seen from behind. */
function stagedPlate(job: Job, plan: Plan): Shape[] {
  const { placement } = plan;
  const plate = placement?.plate;
  if (!placement || !plate) return [];
  const { x, y } = placement.centre;
  const sag = job.aim.sag ?? 0;
  const up = (value: number) => value - y - sag;
  const box = { left: x - plate.right, right: x - plate.left, bottom: up(plate.bottom), top: up(plate.top) };
  const slots = (platedJob(job, plan).mount?.plate?.slots ?? []).map((s, i): Shape => {
    const middle = x - plate.x - s.x;
    const at = box.bottom + s.y;
    const [half, tall] = [s.length / 2, s.height / 2];
    return {
      kind: 'rect',
      role: 'slot',
      id: `staged-${i}`,
      left: middle - half,
      right: middle + half,
      bottom: at - tall,
      top: at + tall,
    };
  });
  return [{ kind: 'rect', role: 'cover', id: 'staged-plate', ...box }, ...slots];
}

/** So far a lead is drawn beyond the set's edge, mm. */
const BEYOND_MM = 60;

/** Each lead from its port as far as the set covers it, right and left swapped. */
function leadsBehind({ leads = [], placement }: Plan, outline: Box): Shape[] {
  if (!placement) return [];
  const { x, y } = placement.centre;
  const within = (value: number, low: number, high: number) =>
    Math.min(high + BEYOND_MM, Math.max(low - BEYOND_MM, value));
  return leads.flatMap(({ id, path }): Shape[] => {
    if (path.length < 2) return [];
    const points = path.map(
      (p) => [within(x - p.x, outline.left, outline.right), within(p.y - y, outline.bottom, outline.top)] as const,
    );
    return [{ kind: 'poly', role: 'lead', id: `lead-${id}`, points, closed: false }];
  });
}

/** Ports that leads are plugged into. */
const portShapes = ({ leads = [] }: Job): Shape[] =>
  leads.flatMap(({ id, port, what }) =>
    port
      ? [
          {
            kind: 'circle',
            role: 'plug',
            id: `port-${id}`,
            name: what,
            x: -port.right,
            y: port.up,
            r: PORT_MM,
          } satisfies Shape,
        ]
      : [],
  );

/** Which hole of the arms is used, where there are several. */
function holeLabel(job: Job, { placement }: Plan, outline: Box): Label[] {
  const above = job.mount?.patternAboveHook;
  const count = Array.isArray(above) ? above.length : 0;
  if (count < 2 || placement?.armHole === undefined) return [];
  const cx = -(job.screen.patternCentre?.right ?? 0);
  const { width, height } = job.screen.pattern;
  const cy = job.screen.patternCentre?.up ?? 0;
  return [
    {
      id: 'arm-hole',
      text: `hole ${placement.armHole + 1} of ${count}, both`,
      x: Math.min(outline.right, cx + width / 2 + 20),
      y: cy + height / 2,
      side: 'right',
    },
  ];
}
