import type { Hole, Mark, Working } from '@steddo/contract';
import { half, leaf, minus, named, sum } from '../working';

export interface MarkInput {
  centreX: Working;
  bottom: Working;
  width: Working;
  height: Working;
  hook?: Working;
  /** The height is absent while only the plate's bottom was measured. */
  plate?: { x: Working; bottom: Working; height?: number };
  holes: readonly Hole[];
}

/** Every pencil mark with its four distances, each with its working. mm. */
export function marksOf(input: MarkInput): Mark[] {
  const { centreX, bottom, width, height } = input;
  const top = sum('set-top', bottom, height);
  const centreY = sum('set-centre', bottom, half('half-height', height));
  const make = (id: string, x: Working, y: Working, sideways = false): Mark => mark(id, x, y, centreX, top, sideways);
  const halfWidth = half('half-width', width);
  const marks = [
    make('top', centreX, top),
    make('bottom', centreX, bottom),
    make('left', minus('set-left', centreX, halfWidth), centreY, true),
    make('right', sum('set-right', centreX, halfWidth), centreY, true),
    make('centre', centreX, centreY),
  ];
  const plateX = input.plate?.x ?? centreX;
  if (input.hook) marks.push(make('hook', plateX, input.hook));
  if (input.plate) {
    const { bottom: plateBottom, height: plateHeight } = input.plate;
    marks.push(make('plate-bottom', plateX, plateBottom));
    if (plateHeight !== undefined) {
      const size = leaf('plate-height', plateHeight, 'mm', { path: 'mount.plate.height' });
      marks.push(make('plate-top', plateX, sum('plate-top', plateBottom, size)));
    }
  }
  for (const hole of input.holes) marks.push(make(hole.id, hole.workings.x, hole.working));
  return marks;
}

function mark(id: string, x: Working, y: Working, centreX: Working, top: Working, sideways: boolean): Mark {
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
