import Papa from 'papaparse';
import { NotMade, type Exported } from './roomAndPlan';

/** Which table. */
export const TABLES = ['holes', 'parts'] as const;
export type Table = (typeof TABLES)[number];

/** A table of the holes, or of the parts to take, with millimetres as they are in the plan; the first row names the columns. */
export function toCsv(exported: Exported, what: Table): string {
  const rows = what === 'holes' ? holeRows(exported) : partRows(exported);
  // what begins like a formula would be one in a spreadsheet
  return `${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: /^[=@\t\r]|^[+-](?![\d.])/ })}\r\n`;
}

type Row = Record<string, string | number>;

function holeRows({ plan }: Exported): Row[] {
  const holes = plan.holes ?? [];
  if (holes.length === 0) throw new NotMade('there are no holes yet');
  const marks = new Map((plan.marks ?? []).map((m) => [m.id, m]));
  return holes.map((h) => ({
    id: h.id,
    wall: h.wall ?? 'main',
    order: h.order,
    x: h.x,
    y: h.y,
    fromCentre: marks.get(h.id)?.fromCentre ?? '',
    into: h.into,
    fixing: h.fixing.kind,
    diameter: h.fixing.diameter,
    length: h.fixing.length ?? '',
    bit: h.bit,
    depth: h.depth,
    packing: h.packing,
    probability: h.probability,
    hazard: h.hazard,
    done: String(h.done),
  }));
}

function partRows({ plan }: Exported): Row[] {
  const parts = plan.scheme?.parts ?? [];
  if (parts.length === 0) throw new NotMade('there are no parts yet: nothing is to be drilled');
  return parts.map((p) => ({
    what: p.what,
    kind: p.kind,
    count: p.count,
    spare: p.spare,
    diameter: p.diameter ?? '',
    length: p.length ?? '',
    thickness: p.thickness ?? '',
    height: p.height ?? '',
    from: p.from,
    id: p.id ?? '',
  }));
}
