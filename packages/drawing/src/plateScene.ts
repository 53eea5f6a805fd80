import type { Mount } from '@steddo/contract';
import { formatTape, tapeOf } from '@steddo/core';
import { grow, type Box, type Label, type Scene, type Shape } from './scene';

export type PlateAsk = 'size' | 'rows' | 'columns' | 'slot' | 'hook' | 'none';

/** The mount's plate as it was measured: outline, open areas, slots, hook rail. Origin at its bottom middle. */
export function plateScene(mount: Pick<Mount, 'plate' | 'hook'>, units: 'imperial' | 'metric', ask: PlateAsk): Scene {
  const { plate, hook } = mount;
  const width = plate?.width ?? 400;
  const height = plate?.height ?? 200;
  const outline: Box = { left: -width / 2, right: width / 2, bottom: 0, top: height };
  const show = (mm: number) => formatTape(mm, tapeOf(units)).replace(/ in$/, '');
  const slots = plate?.slots ?? [];
  const shapes: Shape[] = [
    { kind: 'rect', role: plate ? 'arm' : 'cover', id: 'plate', ...outline },
    ...(plate?.open ?? []).map((o, i): Shape => ({ kind: 'rect', role: 'gap', id: `open-${i}`, ...o })),
    ...slots.map((s, i): Shape => ({
      kind: 'rect',
      role: 'slot',
      id: `slot-${i}`,
      left: s.x - s.length / 2,
      right: s.x + s.length / 2,
      bottom: s.y - s.height / 2,
      top: s.y + s.height / 2,
    })),
    ...(hook
      ? [
          {
            kind: 'line',
            role: 'hook',
            id: 'hook',
            x1: outline.left - 20,
            y1: hook.above,
            x2: outline.right + 20,
            y2: hook.above,
          } satisfies Shape,
        ]
      : []),
    ...askShapes(mount, outline, ask),
  ];
  const rows = [...new Set(slots.map((s) => s.y))];
  const labels: Label[] = [
    ...(plate ? [{ id: 'width', text: `${show(width)} wide`, x: 0, y: 0, side: 'below' } satisfies Label] : []),
    ...rows.map((y, i): Label => ({ id: `row-${i}`, text: `row ${show(y)}`, x: outline.right, y, side: 'right' })),
    ...(hook
      ? [{ id: 'hook', text: `hook ${show(hook.above)}`, x: outline.left, y: hook.above, side: 'left' } satisfies Label]
      : []),
  ];
  const bounds = grow({ ...outline, top: Math.max(height, hook?.above ?? 0) }, width * 0.22);
  return { bounds, focus: bounds, shapes, labels };
}

function askShapes({ plate, hook }: Pick<Mount, 'plate' | 'hook'>, o: Box, ask: PlateAsk): Shape[] {
  const line = (id: string, x1: number, y1: number, x2: number, y2: number): Shape => ({
    kind: 'line',
    role: 'asked',
    id,
    x1,
    y1,
    x2,
    y2,
  });
  const slots = plate?.slots ?? [];
  const first = slots[0];
  switch (ask) {
    case 'size':
      return [line('asked', o.left, o.top, o.right, o.top), line('asked-2', o.left, 0, o.left, o.top)];
    case 'rows':
      return slots.length > 0
        ? [...new Set(slots.map((s) => s.y))].map((y, i) => line(`asked-${i}`, i * 14, 0, i * 14, y))
        : [line('asked', 0, 0, 0, o.top * 0.8)];
    case 'columns':
      return slots.length > 1
        ? [line('asked', Math.min(...slots.map((s) => s.x)), first!.y, Math.max(...slots.map((s) => s.x)), first!.y)]
        : [line('asked', o.left * 0.8, o.top / 2, o.right * 0.8, o.top / 2)];
    case 'slot':
      return first ? [line('asked', first.x - first.length / 2, first.y, first.x + first.length / 2, first.y)] : [];
    case 'hook':
      return [line('asked', o.right + 10, 0, o.right + 10, hook?.above ?? o.top)];
    case 'none':
      return [];
  }
}
