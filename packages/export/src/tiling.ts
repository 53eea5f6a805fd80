import type { SheetSize } from './paper';

/** Kept free at each edge of the paper, mm: printers do not reach further. Ours. */
export const MARGIN_MM = 12;

/** Tiles lie over each other by so much, to be glued. Ours. */
export const GLUE_MM = 10;

/** One sheet of a drawing that is larger than the paper: its letter and number, and what of the drawing is on it. mm of the drawing. */
export interface Tile {
  name: string;
  column: number;
  row: number;
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/**
 * A drawing cut into sheets, rows from the top, each a strip of glue over the last. 500 by 200 on A4 upright (186 by 273 to
 * print on): three in a row, A1 to A3.
 */
export function tilesOf(box: { left: number; right: number; bottom: number; top: number }, paper: SheetSize): Tile[] {
  const [wide, high] = [paper.width - 2 * MARGIN_MM, paper.height - 2 * MARGIN_MM - FOOT_MM];
  const columns = countOf(box.right - box.left, wide);
  const rows = countOf(box.top - box.bottom, high);
  return Array.from({ length: rows }, (_, row) =>
    Array.from({ length: columns }, (_c, column): Tile => {
      const left = box.left + column * (wide - GLUE_MM);
      const top = box.top - row * (high - GLUE_MM);
      return {
        ...{ name: `${letterOf(row)}${column + 1}`, column, row, left, top },
        ...{ right: left + wide, bottom: top - high },
      };
    }),
  ).flat();
}

/** For the bars and the words under a tile, mm. */
export const FOOT_MM = 22;

const countOf = (length: number, sheet: number): number =>
  Math.max(1, Math.ceil((length - GLUE_MM) / (sheet - GLUE_MM) - 1e-9));

/** A, B … Z, AA: rows of tiles. */
const letterOf = (row: number): string =>
  row < 26 ? String.fromCharCode(65 + row) : letterOf(Math.floor(row / 26) - 1) + letterOf(row % 26);
