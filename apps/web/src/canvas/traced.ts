import type { Job, Zone } from '@steddo/contract';
import { freeId, type Command, type SnapBox } from '@steddo/core';
import type { Trace } from '../state/canvasState';
import { markOf, nextNumber } from '../state/marks';

/** What a traced rectangle becomes in the job: a part that differs, or the four edges of the backing; and its id. */
export function tracedAs(trace: Trace, job: Job, box: SnapBox): { command: Command; id?: string } {
  if (trace === 'zone') {
    const zone: Zone = { id: freeId(job, 'z'), ...box };
    return { command: { do: 'put', path: `room.wall.zones.${zone.id}`, value: zone }, id: zone.id };
  }
  const middle = { x: (box.left + box.right) / 2, y: (box.bottom + box.top) / 2 };
  const base = nextNumber(job);
  const edges = [
    markOf('backing-left', `e${base}`, box.left, middle.y),
    markOf('backing-right', `e${base + 1}`, box.right, middle.y),
    markOf('backing-bottom', `e${base + 2}`, middle.x, box.bottom),
    markOf('backing-top', `e${base + 3}`, middle.x, box.top),
  ];
  return {
    command: {
      do: 'all',
      commands: [
        // what was traced before is traced anew
        ...(job.evidence ?? [])
          .filter((e) => e.kind === 'backing-edge' && (e.wall ?? 'main') === 'main')
          .map((e): Command => ({ do: 'drop', path: `evidence.${e.id}` })),
        ...edges.map((e): Command => ({ do: 'put', path: `evidence.${e.id}`, value: e })),
      ],
    },
  };
}
