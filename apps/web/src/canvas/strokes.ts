import type { SVGAttributes } from 'react';
import type { Role } from '@steddo/drawing';
import type { Palette } from '../ui/tokens';

export const DASH = '5 4';

type Stroke = Pick<
  SVGAttributes<SVGElement>,
  'fill' | 'fillOpacity' | 'stroke' | 'strokeWidth' | 'strokeDasharray' | 'strokeLinejoin'
>;

/** Fill and stroke of the roles that are plain outlines. */
export function strokeOf(role: Role, palette: Palette): Stroke {
  const { ink, soft, sheet, raised, action, wood, tape, tapeEdge } = palette;
  switch (role) {
    // outlines that are no upright boxes: walls and things of a corner seen from above
    case 'cut':
      return { fill: raised, stroke: ink, strokeWidth: 1 };
    case 'object':
      return { fill: raised, fillOpacity: 0.7, stroke: ink, strokeWidth: 1.3 };
    case 'plate':
      return { fill: wood, stroke: ink, strokeWidth: 1.2 };
    case 'set-cut':
      return { fill: ink, stroke: ink, strokeWidth: 1 };
    case 'set-tilted':
      return { fill: 'none', stroke: ink, strokeWidth: 1.2, strokeDasharray: DASH };
    case 'seat':
      return { fill: raised, stroke: soft, strokeWidth: 1 };
    case 'body':
      return { fill: 'none', stroke: ink, strokeWidth: 1.8, strokeLinejoin: 'round' };
    case 'band':
      return { fill: soft, fillOpacity: 0.12, stroke: 'none' };
    case 'zone':
      return { fill: tape, fillOpacity: 0.28, stroke: tapeEdge, strokeDasharray: '2 4' };
    case 'packing':
      return { fill: wood, fillOpacity: 0.45, stroke: wood, strokeWidth: 1.4, strokeDasharray: '7 2' };
    case 'cut-out':
      return { fill: sheet, fillOpacity: 0.6, stroke: ink, strokeWidth: 1.2, strokeDasharray: '2 4' };
    case 'timber':
      return { fill: wood, fillOpacity: 0.3, stroke: ink, strokeWidth: 1, strokeDasharray: DASH };
    case 'stud-cut':
      return { fill: wood, fillOpacity: 0.3, stroke: wood, strokeWidth: 1.2 };
    case 'cover-cut':
      return { fill: raised, stroke: soft, strokeWidth: 1 };
    case 'mortar':
      return { fill: soft, fillOpacity: 0.12, stroke: 'none' };
    case 'unit-cut':
      return { fill: tape, fillOpacity: 0.45, stroke: tapeEdge, strokeWidth: 1.2 };
    case 'skin':
      return { fill: ink, stroke: ink, strokeWidth: 1.4 };
    case 'slot-cut':
      return { fill: sheet, stroke: 'none' };
    case 'bore':
      return { fill: sheet, stroke: action, strokeWidth: 1.2, strokeDasharray: '3 2' };
    case 'insert':
      return { fill: sheet, stroke: ink, strokeWidth: 2.2 };
    case 'arm':
      return { fill: raised, fillOpacity: 0.8, stroke: ink, strokeWidth: 1.4 };
    case 'arm-hole':
      return { fill: 'none', stroke: soft, strokeWidth: 1 };
    case 'plug':
      return { fill: soft, stroke: soft };
    case 'lead':
      return { fill: 'none', stroke: action, strokeWidth: 2, strokeLinejoin: 'round' };
    case 'bracket':
      return { fill: wood, fillOpacity: 0.5, stroke: ink, strokeWidth: 1.2 };
    case 'washer':
      return { fill: soft, stroke: ink, strokeWidth: 1 };
    case 'spacer':
      return { fill: tape, stroke: ink, strokeWidth: 1 };
    case 'screw':
      return { fill: sheet, stroke: ink, strokeWidth: 1.6 };
    case 'link':
      return { fill: 'none', stroke: ink, strokeWidth: 4, strokeLinejoin: 'round' };
    case 'joint':
      return { fill: sheet, stroke: ink, strokeWidth: 1.4 };
    case 'swept':
      return { fill: soft, fillOpacity: 0.16, stroke: 'none' };
    case 'furthest':
      return { fill: 'none', stroke: soft, strokeWidth: 1, strokeDasharray: '1 5' };
    case 'swing':
      return { fill: soft, fillOpacity: 0.06, stroke: soft, strokeWidth: 1, strokeDasharray: DASH };
    case 'stand':
      return { fill: tape, stroke: ink, strokeWidth: 1.4 };
    case 'map-good':
      return { fill: tape, fillOpacity: 0.75, stroke: 'none' };
    case 'map-fair':
      return { fill: tape, fillOpacity: 0.3, stroke: 'none' };
    case 'map-poor':
      return { fill: 'url(#poor)', stroke: 'none' };
    case 'stud-doubt':
      return { fill: wood, fillOpacity: 0.1, stroke: 'none' };
    case 'nogging':
      return { fill: wood, fillOpacity: 0.3, stroke: wood, strokeDasharray: DASH };
    case 'backing':
      return { fill: wood, fillOpacity: 0.2, stroke: wood, strokeWidth: 1.6 };
    case 'poke':
      return { fill: sheet, stroke: ink, strokeWidth: 1.6 };
    case 'poke-wood':
      return { fill: wood, stroke: ink, strokeWidth: 1.6 };
    case 'look':
      return { fill: sheet, stroke: palette.go, strokeWidth: 3 };
    case 'look-met':
      return { fill: sheet, stroke: palette.stop, strokeWidth: 3 };
    case 'hazard-zone':
      return { fill: palette.caution, fillOpacity: 0.1, stroke: 'none' };
    case 'zone-behind':
      return {
        fill: palette.caution,
        fillOpacity: 0.05,
        stroke: palette.caution,
        strokeDasharray: '1 6',
      };
    case 'hazard-seen':
      return {
        fill: palette.stop,
        fillOpacity: 0.22,
        stroke: palette.stop,
        strokeWidth: 1.2,
        strokeDasharray: '6 3',
      };
    case 'ribbon-ground':
      return { fill: sheet, fillOpacity: 0.85, stroke: palette.hairline, strokeWidth: 1 };
    case 'ribbon':
      return {
        fill: wood,
        fillOpacity: 0.85,
        stroke: ink,
        strokeWidth: 1,
        strokeLinejoin: 'round',
      };
    case 'run-cable':
      // a cable is hardly thicker than its outline: that has its colour too
      return { fill: palette.stop, fillOpacity: 0.7, stroke: palette.stop, strokeWidth: 1.4 };
    case 'run-metal':
      return { fill: soft, stroke: ink, strokeWidth: 1.4 };
    case 'run-plastic':
      return { fill: sheet, stroke: ink, strokeWidth: 1.4 };
    case 'gap':
      return { fill: sheet, stroke: action, strokeWidth: 1.2, strokeDasharray: '2 3' };
    default:
      return { fill: 'none', stroke: soft, strokeWidth: 1.2, strokeDasharray: DASH };
  }
}
