import type { Job, Plan } from '@steddo/contract';
import { formatTape, tapeOf } from '@steddo/core';
import { grow, type Label, type Scene, type Shape } from './scene';
import { evidenceShapes, hazardShapes, insideShapes } from './wallShapes';

/** About a box so much of the wall is in view, mm: both studs of its bay. */
const AROUND_MM = 130;

/** What is sawn for a box, and the smaller opening that is made first inside it. */
export function boxCuts({ recess }: Plan): Shape[] {
  if (!recess) return [];
  const { cut, first } = recess;
  const outline = { left: cut.left, right: cut.right, bottom: cut.bottom, top: cut.top };
  const small = { left: first.left, right: first.right, bottom: first.bottom, top: first.top };
  return [
    { kind: 'rect', role: cut.done ? 'open' : 'cut-out', id: 'box-cut', ...outline },
    ...(cut.done ? [] : [{ kind: 'rect', role: first.done ? 'open' : 'asked', id: 'first-cut', ...small } as const]),
  ];
}

/** From the side: the box in the wall, behind its face. */
export function boxInWall({ recess }: Plan): Shape[] {
  if (!recess) return [];
  const { depth, bottom, top } = recess.cut;
  return [{ kind: 'rect', role: 'cut-out', id: 'box-in-wall', left: -depth, right: 0, bottom, top }];
}

/** Which measures are in the hand: the first opening, the tape to both faces, or the outline. */
export type BoxMeasures = 'first' | 'faces' | 'outline';

/** The bay with both cuts, for one step after the other; undefined where no box is to be cut for. */
export function boxScene(job: Job, plan: Plan, measures: BoxMeasures): Scene | undefined {
  const { recess } = plan;
  if (!recess) return undefined;
  const { cut, bay } = recess;
  const view = grow(
    {
      left: Math.min(cut.left, bay?.left ?? cut.left),
      right: Math.max(cut.right, bay?.right ?? cut.right),
      bottom: cut.bottom,
      top: cut.top,
    },
    AROUND_MM,
  );
  const inside = insideShapes(job, plan, view).filter(
    (s) => s.kind !== 'line' || (Math.max(s.y1, s.y2) > view.bottom && Math.min(s.y1, s.y2) < view.top),
  );
  return {
    ...{ bounds: view, focus: view },
    shapes: [
      ...inside,
      ...hazardShapes(plan),
      ...boxCuts(plan),
      ...faceLines(plan, measures),
      ...evidenceShapes(job, plan),
    ],
    labels: labelsOf(job, plan, measures),
  };
}

/** The tape through the opening, to one face and to the other. */
function faceLines({ recess }: Plan, measures: BoxMeasures): Shape[] {
  if (measures !== 'faces' || !recess?.bay) return [];
  const { first, bay } = recess;
  const y = (first.bottom + first.top) / 2;
  return [
    { kind: 'line', role: 'measure', id: 'to-left-face', x1: first.left, y1: y, x2: bay.left, y2: y },
    { kind: 'line', role: 'measure', id: 'to-right-face', x1: first.right, y1: y, x2: bay.right, y2: y },
  ];
}

function labelsOf(job: Job, { recess }: Plan, measures: BoxMeasures): Label[] {
  if (!recess) return [];
  const show = (mm: number) => formatTape(mm, tapeOf(job.units));
  if (measures === 'faces') {
    const { bay, first } = recess;
    const y = (first.bottom + first.top) / 2;
    return bay
      ? [
          { id: 'left-face', text: show(bay.left), x: bay.left, y, side: 'left' },
          { id: 'right-face', text: show(bay.right), x: bay.right, y, side: 'right' },
        ]
      : [];
  }
  // how large it is stands beside the drawing: more labels than two hide what they are about
  const { left, right, bottom, top } = measures === 'first' ? recess.first : recess.cut;
  return [
    { id: 'cut-left', text: `${show(left)} from the left`, x: left, y: top, side: 'above' },
    { id: 'cut-bottom', text: `${show(bottom)} up`, x: right, y: bottom, side: 'right' },
  ];
}
