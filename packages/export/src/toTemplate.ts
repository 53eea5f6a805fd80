import type { WallTemplate } from '@steddo/drawing';
import { holeNumber, wallName, wordingFor, type Wording } from '@steddo/text';
import { NotMade, templatesOf, type Exported } from './roomAndPlan';
import { sizeOf, toPoints, type Paper, type SheetSize } from './paper';
import { PaperDoc, type SheetFonts } from './paperDoc';
import { templateSpans, type TemplateSpan } from './printScale';
import { FOOT_MM, GLUE_MM, MARGIN_MM, tilesOf, type Tile } from './tiling';

/** A roll of this width where nobody has said another, mm. Ours: as the usual plotters take. */
export const ROLL_MM = 610;

export interface TemplateOptions {
  paper: Paper;
  /** Of a roll, mm. */
  width?: number | undefined;
  fonts: SheetFonts;
  at: Date;
}

/**
 * The template at full size: tiled on A4 or letter with edges to glue, each tile with its name, the plan of all of them, and two bars
 * for a first look; or in one piece on a roll. In a corner each wall has its own.
 */
export async function toTemplate(
  exported: Exported,
  { paper, width, fonts, at }: TemplateOptions,
): Promise<Uint8Array> {
  const { job, plan } = exported;
  const templates = templatesOf(exported);
  const doc = new PaperDoc({ title: `${job.title}: template`, fonts, at });
  const spans = templateSpans(plan.holes ?? []);
  for (const template of templates) {
    const { bounds } = template.scene;
    const sheet = paper === 'roll' ? rollFor(bounds, width ?? ROLL_MM) : sizeOf(paper);
    const name = templates.length > 1 ? `${job.title}, ${wallName(template.wall)}` : job.title;
    const span = spans.find((s) => s.wall === template.wall);
    wallSheets(doc, template, { sheet, name, span, say: wordingFor(job) });
  }
  doc.onEachPage((page, of) =>
    doc.artifact(() =>
      doc.line(`page ${page} of ${of}`, { x: doc.size.width - MARGIN_MM - 24, y: doc.size.height - 5, size: 8 }),
    ),
  );
  return doc.bytes();
}

interface WallSheets {
  sheet: SheetSize;
  /** Of the room, and of the wall where there are two. */
  name: string;
  /** The crosses to be measured. */
  span: TemplateSpan | undefined;
  say: Wording;
}

/** The sheets of one wall's template. */
function wallSheets(doc: PaperDoc, { scene }: WallTemplate, { sheet, name, span, say }: WallSheets): void {
  const tiles = tilesOf(scene.bounds, sheet);
  for (const tile of tiles) {
    doc.addPage(sheet);
    const toMm = (x: number, y: number): [number, number] => [MARGIN_MM + x - tile.left, MARGIN_MM + tile.top - y];
    doc.figure(`Template, sheet ${tile.name} of ${tiles.length}, at full size`, () => {
      const { doc: pdf } = doc;
      pdf.save();
      const [wide, high] = [tile.right - tile.left, tile.top - tile.bottom];
      pdf.rect(toPoints(MARGIN_MM), toPoints(MARGIN_MM), toPoints(wide), toPoints(high)).clip();
      doc.scene(scene, toMm, 1);
      pdf.restore();
      edges(doc, tile, tiles);
    });
    const labels = scene.labels.filter(
      (l) => l.x >= tile.left && l.x <= tile.right && l.y >= tile.bottom && l.y <= tile.top,
    );
    const crosses = new Set(scene.shapes.flatMap((s) => (s.kind === 'cross' ? [s.id] : [])));
    for (const label of labels) {
      const [x, y] = toMm(label.x, label.y);
      const size = crosses.has(label.id) ? 16 : 9;
      const room = doc.size.width - MARGIN_MM - doc.widthOf(label.text, size);
      doc.block('P', [label.text], { x: Math.max(MARGIN_MM, Math.min(x + 3, room)), y: y - 2, size });
    }
    foot(doc, tile, tiles, [
      `${name}: template, sheet ${tile.name}. Print at 100 %, not fitted to the page.`,
      span
        ? `Glued together, measure from cross ${holeNumber(span.from)} to cross ${holeNumber(span.to)}: ${say.length(span.span)} within 1 mm, or do not use it.`
        : 'Glued together, measure it against the cut list before it is used.',
    ]);
  }
}

/** A roll in one piece: as long as the drawing and its foot; refused where it is too narrow. */
function rollFor(bounds: { left: number; right: number; bottom: number; top: number }, width: number): SheetSize {
  const need = bounds.right - bounds.left + 2 * MARGIN_MM;
  if (width < need)
    throw new NotMade(`the roll is ${Math.round(width)} mm wide and the template needs ${Math.ceil(need)}`);
  return { width, height: bounds.top - bounds.bottom + 2 * MARGIN_MM + FOOT_MM };
}

/** Where the next sheet is glued on, and the fold for it. */
function edges(doc: PaperDoc, { column, row, left, right, top, bottom }: Tile, tiles: readonly Tile[]): void {
  const [x, y, wide, high] = [MARGIN_MM, MARGIN_MM, right - left, top - bottom];
  doc.rule(x, y, x + wide, y, 0.1);
  doc.rule(x, y + high, x + wide, y + high, 0.1);
  doc.rule(x, y, x, y + high, 0.1);
  doc.rule(x + wide, y, x + wide, y + high, 0.1);
  const { doc: pdf } = doc;
  pdf.dash(toPoints(1), { space: toPoints(1) });
  if (tiles.some((t) => t.row === row && t.column === column + 1)) {
    const at = toPoints(x + wide - GLUE_MM);
    pdf
      .moveTo(at, toPoints(y))
      .lineTo(at, toPoints(y + high))
      .stroke();
  }
  if (tiles.some((t) => t.column === column && t.row === row + 1)) {
    const at = toPoints(y + high - GLUE_MM);
    pdf
      .moveTo(toPoints(x), at)
      .lineTo(toPoints(x + wide), at)
      .stroke();
  }
  pdf.undash();
}

/** The bars, which tile this is among all, and what to do with it. */
function foot(doc: PaperDoc, tile: Tile, tiles: readonly Tile[], words: readonly string[]): void {
  const top = doc.size.height - MARGIN_MM - FOOT_MM;
  const bar = (y: number, mm: number, name: string) => {
    doc.figure(`bar of ${name}`, () => {
      doc.rule(MARGIN_MM, y, MARGIN_MM + mm, y, 0.4);
      for (const x of [0, mm]) doc.rule(MARGIN_MM + x, y - 1.5, MARGIN_MM + x, y + 1.5, 0.4);
    });
    doc.block('P', [name], { x: MARGIN_MM + mm + 2, y: y + 1, size: 8 });
  };
  bar(top + 4, 100, '100 mm');
  bar(top + 9, 101.6, '4 in');
  const room = doc.size.width - 2 * MARGIN_MM;
  doc.block('P', words.flatMap((w) => doc.linesOf(w, room, 8)).slice(0, 4), { x: MARGIN_MM, y: top + 15, size: 8 });
  doc.figure(`this is sheet ${tile.name}`, () => {
    const size = 3;
    for (const t of tiles) {
      const [x, y] = [doc.size.width - MARGIN_MM - 40 + t.column * size, top + 1 + t.row * size];
      if (x > doc.size.width - MARGIN_MM - size || y > top + FOOT_MM - size) continue;
      const { doc: pdf } = doc;
      pdf.lineWidth(toPoints(0.15)).rect(toPoints(x), toPoints(y), toPoints(size), toPoints(size));
      if (t === tile) pdf.fillColor('black').fillAndStroke();
      else pdf.stroke();
    }
  });
}
