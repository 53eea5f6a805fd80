import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import type { Scene } from '@steddo/drawing';
import { LAYER_NAMES, layerOf, lettersOf } from './layers';
import { strokesOf } from './shapesAsLines';

/** Plain ink, whatever ground it opens on. */
const INK = 7;

/** A drawing in millimetres at 1:1, y up from the floor, a layer each for wall, holes and so on; labels on `labels`. */
export function toDxf({ shapes, labels, bounds }: Scene): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const layer of [...LAYER_NAMES, 'labels']) dxf.addLayer(layer, INK, 'Continuous');
  for (const shape of shapes) {
    const layerName = layerOf(shape.role);
    for (const stroke of strokesOf(shape)) {
      if (stroke.kind === 'circle') {
        dxf.addCircle(point3d(stroke.x, stroke.y), stroke.r, { layerName });
        continue;
      }
      const [first, second] = stroke.points;
      if (!first || !second) continue;
      if (stroke.points.length === 2) dxf.addLine(point3d(...first), point3d(...second), { layerName });
      else
        dxf.addLWPolyline(
          stroke.points.map(([x, y]) => ({ point: point2d(x, y) })),
          { layerName, flags: stroke.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None },
        );
    }
  }
  const high = lettersOf(bounds);
  for (const { x, y, text } of labels) dxf.addText(point3d(x, y), high, asOneLine(text), { layerName: 'labels' });
  return dxf.stringify();
}

/** A value of the format ends with its line. */
const asOneLine = (text: string): string => text.replace(/\p{Cc}+/gu, ' ');
