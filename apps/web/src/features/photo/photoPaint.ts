import type { PhotoShape } from '@steddo/drawing/photo';
import type { Paint } from '../../worker/paint';
import { dark, light } from '../../ui/tokens';

/** As on the wall it hangs on, whatever the reader has set the device to. */
const COLOURS: Record<PhotoShape['role'], { colour: string; opacity: number; line?: number }> = {
  // four of them lie over each other
  shadow: { colour: light.ink, opacity: 0.13 },
  side: { colour: light.soft, opacity: 1 },
  face: { colour: dark.hairline, opacity: 1 },
  screen: { colour: dark.ground, opacity: 1 },
  plate: { colour: light.tape, opacity: 0.55 },
  outline: { colour: light.action, opacity: 1, line: 3 },
  hole: { colour: light.stop, opacity: 1, line: 3 },
};

/** Of shapes on a photograph how each is painted, in their order. */
export const paintsOf = (shapes: readonly PhotoShape[]): Paint[] =>
  shapes.map(({ role, points }) => ({ points, ...COLOURS[role] }));
