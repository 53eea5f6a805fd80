import type { Hole, Mark, Working } from '@steddo/contract';
import type { Frame, Spot } from './placeSet';
import { isDrawn } from './stagedPlate';
import { half, leaf, minus, named, sum } from '../primitives/working';

export interface MarkInput {
  frame: Frame;
  spot: Pick<Spot, 'bottom'>;
  plateX: Working;
  holes: readonly Hole[];
  /** Absent while nobody knows where the mount's hook and plate come to sit. */
  hook?: Working;
  plateBottom?: Working;
}

/** Every pencil mark with its four distances, each with its working. mm. */
export function marksOf({ frame, spot, plateX, holes, hook, plateBottom }: MarkInput): Mark[] {
  const { job, centreX, width, height } = frame;
  const { bottom } = spot;
  const top = sum('set-top', bottom, height);
  const centreY = sum('set-centre', bottom, half('half-height', height));
  const make = (id: string, x: Working, y: Working, sideways = false): Mark =>
    mark({ id, x, y, sideways }, centreX, top);
  const halfWidth = half('half-width', width);
  const outline = job.mount?.plate;
  const drawn = !outline || isDrawn(outline);
  const plateTop = (from: Working, mm: number) =>
    sum('plate-top', from, leaf('plate-height', mm, 'mm', { path: 'mount.plate.height' }));
  return [
    make('top', centreX, top),
    make('bottom', centreX, bottom),
    make('left', minus('set-left', centreX, halfWidth), centreY, true),
    make('right', sum('set-right', centreX, halfWidth), centreY, true),
    make('centre', centreX, centreY),
    ...(hook ? [make('hook', plateBottom ? plateX : centreX, hook)] : []),
    ...(plateBottom && drawn ? [make('plate-bottom', plateX, plateBottom)] : []),
    ...(plateBottom && outline && drawn ? [make('plate-top', plateX, plateTop(plateBottom, outline.height))] : []),
    ...holes.map((hole) => make(hole.id, hole.workings.x, hole.working)),
  ];
}

interface Marked {
  id: string;
  x: Working;
  y: Working;
  sideways: boolean;
}

function mark({ id, x, y, sideways }: Marked, centreX: Working, top: Working): Mark {
  const fromFloor = named('from-floor', y);
  const fromLeft = named('from-left', x);
  const fromCentre = minus('from-centre', x, centreX);
  const belowTop = minus('below-top', top, y);
  return {
    id,
    fromFloor: fromFloor.value,
    fromCentre: fromCentre.value,
    fromLeft: fromLeft.value,
    belowTop: belowTop.value,
    working: sideways ? fromLeft : fromFloor,
    workings: { fromFloor, fromCentre, fromLeft, belowTop },
  };
}
