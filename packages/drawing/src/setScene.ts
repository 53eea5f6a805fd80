import type { Job, Plan } from '@steddo/contract';
import { armHoles, armsOnBack, formatTape, patternPlace, tapeOf } from '@steddo/core';
import { grow, type Box, type Label, type Scene, type Shape } from './scene';

/** What a step of the measuring asks for; drawn strong. */
export type SetAsk =
  | 'diagonal'
  | 'width'
  | 'height'
  | 'thickness'
  | 'pattern'
  | 'pattern-top'
  | 'pattern-bottom'
  | 'pattern-side'
  | 'none';

const INSERT_MM = 9;
const ARM_MM = 34;
const PROFILE_GAP_MM = 160;

/**
 * The set as it was measured, its back or its face, with its profile beside it. Origin at the
 * outline's centre; on the back right and left are swapped, as one sees them.
 */
export function setScene(job: Job, plan: Plan, view: 'back' | 'front', ask: SetAsk): Scene {
  const { width, height } = plan.screen.outline;
  const outline: Box = { left: -width / 2, right: width / 2, bottom: -height / 2, top: height / 2 };
  const mirror = view === 'back' ? -1 : 1;
  const cx = mirror * (job.screen.patternCentre?.right ?? 0);
  const cy = job.screen.patternCentre?.up ?? 0;
  const shapes: Shape[] = [
    { kind: 'rect', role: 'set', id: 'outline', ...outline },
    ...(view === 'front' ? pictureShapes(outline) : []),
    ...(view === 'back' ? armShapes(job, plan, cx, cy) : []),
    ...insertShapes(job, cx, cy, view),
    ...profileShapes(job, outline),
    ...askShapes(job, outline, cx, cy, ask),
  ];
  const right = outline.right + PROFILE_GAP_MM + (job.screen.thickness ?? 60) + (job.screen.plugDepth ?? 0);
  const bounds = grow({ ...outline, right }, 90);
  return { bounds, focus: bounds, shapes, labels: labelsOf(job, plan, { outline, cx, cy }, view) };
}

const FRAME_MM = 12;
const pictureShapes = (o: Box): Shape[] => [{ kind: 'rect', role: 'picture', id: 'picture', ...grow(o, -FRAME_MM) }];

function insertShapes(job: Job, cx: number, cy: number, view: 'back' | 'front'): Shape[] {
  const { width, height } = job.screen.pattern;
  const role = view === 'back' ? 'insert' : 'cover';
  return [-1, 1].flatMap((sx) =>
    [-1, 1].map((sy): Shape => ({
      kind: 'circle',
      role,
      id: `insert-${sx}-${sy}`,
      x: cx + (sx * width) / 2,
      y: cy + (sy * height) / 2,
      r: INSERT_MM,
    })),
  );
}

/**
 * The mount's two arms over the inserts, their hooks at the rail and a mark at each arm hole; a
 * small pattern takes a plate in the middle instead.
 */
function armShapes(job: Job, plan: Plan, cx: number, cy: number): Shape[] {
  const { mount, screen } = job;
  const holes = mount ? armHoles(mount) : [];
  const index = plan.placement?.armHole ?? job.choices?.armHole ?? 0;
  const above = holes[index];
  if (!mount || above === undefined) return [];
  const { width, height } = screen.pattern;
  const rail = cy - above;
  // from behind right and left are swapped
  const parts = armsOnBack(screen, mount, above).map((r) => ({ ...r, left: -r.right, right: -r.left }));
  const [only] = parts;
  if (parts.length === 1) return [{ kind: 'rect', role: 'arm', id: 'centre-plate', ...only! }];
  return [
    ...[-1, 1].flatMap((side): Shape[] => {
      const x = cx + (side * width) / 2;
      // seen from behind the left one comes last
      const box = parts[side < 0 ? 1 : 0]!;
      return [
        { kind: 'rect', role: 'arm', id: `arm-${side}`, ...box },
        ...holes.map((h, i): Shape => ({
          kind: 'circle',
          role: i === index ? 'insert' : 'arm-hole',
          id: `arm-hole-${side}-${i}`,
          x,
          y: rail + h + height / 2,
          r: INSERT_MM * 0.7,
        })),
      ];
    }),
    {
      kind: 'line',
      role: 'hook',
      id: 'rail',
      x1: cx - width / 2 - ARM_MM,
      y1: rail,
      x2: cx + width / 2 + ARM_MM,
      y2: rail,
    },
  ];
}

/** From the side: how thick it is, and how far plugs stick out behind. */
function profileShapes(job: Job, o: Box): Shape[] {
  const left = o.right + PROFILE_GAP_MM;
  const { thickness, plugDepth, ports, back } = job.screen;
  const right = left + (thickness ?? 60);
  const middle = (o.top + o.bottom) / 2;
  const points =
    back === 'stepped'
      ? ([
          [left, o.bottom],
          [right, o.bottom],
          [right, middle],
          [(left + right) / 2, middle],
          [(left + right) / 2, o.top],
          [left, o.top],
        ] as const)
      : back === 'curved'
        ? ([
            [left, o.bottom],
            [(left + right) / 2, o.bottom],
            [right, middle],
            [(left + right) / 2, o.top],
            [left, o.top],
          ] as const)
        : ([
            [left, o.bottom],
            [right, o.bottom],
            [right, o.top],
            [left, o.top],
          ] as const);
  const plug = ports === 'back' && plugDepth !== undefined && plugDepth > 0;
  return [
    { kind: 'poly', role: thickness === undefined ? 'cover' : 'set-cut', id: 'profile', points, closed: true },
    ...(plug
      ? [
          {
            kind: 'rect',
            role: 'plug',
            id: 'plug',
            left: right,
            right: right + plugDepth,
            bottom: middle - 12,
            top: middle + 12,
          } satisfies Shape,
        ]
      : []),
  ];
}

/** The line along which the tape goes now. */
function askShapes(job: Job, o: Box, cx: number, cy: number, ask: SetAsk): Shape[] {
  const { width, height } = job.screen.pattern;
  const line = (x1: number, y1: number, x2: number, y2: number): Shape[] => [
    { kind: 'line', role: 'asked', id: 'asked', x1, y1, x2, y2 },
  ];
  const profile = o.right + PROFILE_GAP_MM;
  switch (ask) {
    case 'diagonal':
      return line(o.left, o.bottom, o.right, o.top);
    case 'width':
      return line(o.left, 0, o.right, 0);
    case 'height':
      return line(o.left / 2, o.bottom, o.left / 2, o.top);
    case 'thickness':
      return line(profile, o.bottom - 30, profile + (job.screen.thickness ?? 60), o.bottom - 30);
    case 'pattern':
      return [
        ...line(cx - width / 2, cy + height / 2, cx + width / 2, cy + height / 2),
        {
          kind: 'line',
          role: 'asked',
          id: 'asked-2',
          x1: cx + width / 2,
          y1: cy + height / 2,
          x2: cx + width / 2,
          y2: cy - height / 2,
        },
      ];
    case 'pattern-top':
      return line(cx, o.top, cx, cy + height / 2);
    case 'pattern-bottom':
      return line(cx, o.bottom, cx, cy - height / 2);
    case 'pattern-side':
      return line(o.left, cy, cx - width / 2, cy);
    case 'none':
      return [];
  }
}

/** The set's measures; the pattern's beside its middle. */
function labelsOf(
  job: Job,
  plan: Plan,
  { outline: o, cx, cy }: { outline: Box; cx: number; cy: number },
  view: 'back' | 'front',
): Label[] {
  const show = (mm: number) => formatTape(mm, tapeOf(job.units)).replace(/ in$/, '');
  const { pattern } = job.screen;
  const { top, bottom } = patternPlace(job.screen);
  const guess = (path: string) => (job.guessed?.includes(path) ? ' ?' : '');
  const side = (axis: 'width' | 'height') => (job.screen[axis] === undefined ? ' ?' : guess(`screen.${axis}`));
  const labels: Label[] = [
    { id: 'width', text: `${show(plan.screen.outline.width)}${side('width')} wide`, x: 0, y: o.bottom, side: 'below' },
    { id: 'height', text: `${show(plan.screen.outline.height)}${side('height')}`, x: o.left, y: 0, side: 'right' },
    {
      id: 'pattern',
      text: `${Math.round(pattern.width)} x ${Math.round(pattern.height)}${guess('screen.pattern')}`,
      x: cx + pattern.width / 2 + ARM_MM,
      y: cy,
      side: 'right',
    },
  ];
  if (view === 'front') return labels;
  const measured = job.screen.patternCentre ? '' : ' ?';
  return [
    ...labels,
    {
      id: 'pattern-top',
      text: `${show(top)}${measured}`,
      x: cx,
      y: (o.top + cy + pattern.height / 2) / 2,
      side: 'right',
    },
    {
      id: 'pattern-bottom',
      text: `${show(bottom)}${measured}`,
      x: cx,
      y: (o.bottom + cy - pattern.height / 2) / 2,
      side: 'right',
    },
  ];
}
