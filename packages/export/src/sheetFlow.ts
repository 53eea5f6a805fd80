import { jpegHead } from '@steddo/contract';
import { fitView, placeLabels, type Box, type Scene } from '@steddo/drawing';
import { sizeOf, type Paper, type SheetSize } from './paper';
import { LEADING, MM_PER_POINT, PaperDoc, type Face, type PaperInput } from './paperDoc';

/** Kept free at the edges of a printed page, mm. */
const EDGE_MM = 16;
const FOOT_MM = 14;

/** What a drawing needs below it, for its scale, mm. */
const SCALE_LINE_MM = 6;

/** Points. */
export const SIZE = { title: 20, heading: 12.5, text: 9.5, small: 8 } as const;

export interface Column {
  name: string;
  /** Of all widths together. */
  share: number;
}

/** A picture of the record, or only what it is of. */
export interface Pictured {
  caption: string;
  bytes?: Uint8Array | undefined;
}

const GAP_MM = 6;
/** As high as a picture that was held upright may be, mm. */
const HIGHEST_MM = 90;

/** How large a picture is on paper, mm; nothing where there is none. */
function framed({ bytes }: Pictured, wide: number): { width: number; height: number } {
  const head = bytes && jpegHead(bytes);
  if (!head) return { width: 0, height: 0 };
  const scale = Math.min(wide / head.width, HIGHEST_MM / head.height);
  return { width: head.width * scale, height: head.height * scale };
}

/** A document that flows: each block below the last, on a new page where it does not fit whole. */
export class SheetFlow {
  readonly paper: PaperDoc;
  private readonly size: SheetSize;
  private y = EDGE_MM;

  constructor(input: PaperInput, paper: Exclude<Paper, 'roll'>) {
    this.paper = new PaperDoc(input);
    this.size = sizeOf(paper);
    this.newPage();
  }

  private get wide(): number {
    return this.size.width - 2 * EDGE_MM;
  }

  newPage(): void {
    this.paper.addPage(this.size);
    this.y = EDGE_MM;
  }

  /** So much room, or a new page. */
  private need(height: number): void {
    const most = this.size.height - FOOT_MM - EDGE_MM;
    if (this.y + Math.min(height, most) > this.size.height - FOOT_MM) this.newPage();
  }

  private heightOf = (lines: number, size: number): number => lines * size * MM_PER_POINT * LEADING;

  private put(tag: string, text: string, size: number, face: Face, after: number): void {
    const lines = this.paper.linesOf(text, this.wide, size, face);
    // a block longer than a page goes on on the next
    for (let from = 0; from < lines.length;) {
      const room = Math.floor((this.size.height - FOOT_MM - this.y) / this.heightOf(1, size));
      const part = lines.slice(from, from + Math.max(1, Math.min(room, lines.length - from)));
      if (room < Math.min(2, lines.length - from)) {
        this.newPage();
        continue;
      }
      this.paper.block(tag, part, { x: EDGE_MM, y: this.y + size * MM_PER_POINT, size, face });
      this.y += this.heightOf(part.length, size);
      from += part.length;
    }
    this.y += after;
  }

  title(text: string): void {
    this.put('H1', text, SIZE.title, 'bold', 1.5);
  }

  /** A heading on the page of what it heads: of its first lines, or of a drawing so high (mm). */
  heading(text: string, drawing?: number): void {
    const below = drawing === undefined ? this.heightOf(3, SIZE.text) : drawing + SCALE_LINE_MM;
    this.need(this.heightOf(1, SIZE.heading) + 3.5 + below);
    this.y += 2.5;
    this.put('H2', text, SIZE.heading, 'bold', 1);
  }

  text(text: string, face: Face = 'plain'): void {
    this.put('P', text, SIZE.text, face, 0.9);
  }

  small(text: string): void {
    this.put('P', text, SIZE.small, 'plain', 0.7);
  }

  /** Rows of cells that wrap; the names of the columns once more on each page. */
  table(columns: readonly Column[], rows: readonly (readonly string[])[]): void {
    const total = columns.reduce((n, c) => n + c.share, 0);
    const lefts: number[] = [];
    let x = EDGE_MM;
    for (const c of columns) {
      lefts.push(x);
      x += (this.wide * c.share) / total;
    }
    const widthAt = (i: number) => (this.wide * columns[i]!.share) / total - 2;
    const draw = (cells: readonly string[], face: Face): void => {
      const wrapped = cells.map((cell, i) => this.paper.linesOf(cell, widthAt(i), SIZE.small, face));
      const height = this.heightOf(Math.max(1, ...wrapped.map((l) => l.length)), SIZE.small) + 1;
      if (this.y + height > this.size.height - FOOT_MM) {
        this.newPage();
        if (face === 'plain')
          draw(
            columns.map((c) => c.name),
            'bold',
          );
      }
      wrapped.forEach((lines, i) =>
        this.paper.block(face === 'bold' ? 'TH' : 'TD', lines, {
          ...{ x: lefts[i]!, y: this.y + SIZE.small * MM_PER_POINT, size: SIZE.small, face },
        }),
      );
      this.y += height;
      this.paper.artifact(() => this.paper.rule(EDGE_MM, this.y - 0.6, EDGE_MM + this.wide, this.y - 0.6, 0.1));
    };
    this.need(this.heightOf(3, SIZE.small));
    draw(
      columns.map((c) => c.name),
      'bold',
    );
    for (const row of rows) draw(row, 'plain');
    this.y += 1.5;
  }

  /** A drawing as large as the width or the height allows, its labels beside what they are about; says its scale. */
  drawing(
    scene: Scene,
    box: Box,
    { alt, height, stands }: { alt: string; height: number; stands: 'floor' | 'middle' },
  ): void {
    this.need(height + SCALE_LINE_MM);
    const top = this.y;
    const view = fitView(box, { width: this.wide, height, padPx: 3, stands });
    const toMm = (x: number, y: number): [number, number] => {
      const at = view.toPx(x, y);
      return [EDGE_MM + at.x, top + at.y];
    };
    const { paper } = this;
    paper.figure(alt, () => {
      const k = 72 / 25.4;
      paper.doc.save();
      paper.doc.rect(EDGE_MM * k, top * k, this.wide * k, height * k).clip();
      paper.scene(scene, toMm, view.scale);
      paper.doc.restore();
    });
    const inView = scene.labels.filter(
      (l) => l.x >= box.left && l.x <= box.right && l.y >= box.bottom && l.y <= box.top,
    );
    const placed = placeLabels(inView, {
      view: { width: this.wide, height },
      keepClear: scene.shapes.flatMap((s) => {
        if (s.kind !== 'cross') return [];
        const { x, y } = view.toPx(s.x, s.y);
        return [{ x: x - 2, y: y - 2, width: 4, height: 4 }];
      }),
      toPx: view.toPx,
      charPx: SIZE.small * MM_PER_POINT * 0.55,
      heightPx: SIZE.small * MM_PER_POINT * 1.4,
    });
    for (const l of placed) {
      if (l.leader) {
        const { from, to } = l.leader;
        paper.artifact(() => paper.rule(EDGE_MM + from.x, top + from.y, EDGE_MM + to.x, top + to.y, 0.1));
      }
      // on white, whatever is drawn under it
      paper.artifact(() => paper.blank(EDGE_MM + l.x, top + l.y, l.width, l.height));
      paper.block('P', [l.text], { x: EDGE_MM + l.x + 1, y: top + l.y + l.height * 0.75, size: SIZE.small });
    }
    this.y += height + 1;
    this.small(`Drawn to scale, 1 : ${Math.round(1 / view.scale)}.`);
  }

  /** Pictures two in a row, each with what it is of below it; one that is not there has only its words. */
  pictures(all: readonly Pictured[]): void {
    const wide = (this.wide - GAP_MM) / 2;
    for (let i = 0; i < all.length; i += 2) {
      const row = all.slice(i, i + 2).map((p) => ({
        ...p,
        ...framed(p, wide),
        lines: this.paper.linesOf(p.caption, wide, SIZE.small),
      }));
      const high = Math.max(...row.map((p) => p.height));
      const below = this.heightOf(Math.max(...row.map((p) => p.lines.length)), SIZE.small);
      this.need(high + below + 2);
      row.forEach(({ caption, bytes, width, height, lines }, at) => {
        const x = EDGE_MM + at * (wide + GAP_MM);
        if (bytes) this.paper.picture(caption, bytes, { x, y: this.y, width, height });
        this.paper.block('P', lines, { x, y: this.y + height + SIZE.small * MM_PER_POINT, size: SIZE.small });
      });
      this.y += high + below + 2;
    }
  }

  /** The title and the page on each, and the whole as a file. */
  async finish(title: string): Promise<Uint8Array> {
    const { paper } = this;
    const short = paper.linesOf(title, this.wide - 34, SIZE.small)[0] ?? '';
    paper.onEachPage((page, of) =>
      paper.artifact(() => {
        const y = this.size.height - 8;
        paper.line(short, { x: EDGE_MM, y, size: SIZE.small });
        const text = `page ${page} of ${of}`;
        paper.line(text, { x: this.size.width - EDGE_MM - paper.widthOf(text, SIZE.small), y, size: SIZE.small });
      }),
    );
    return paper.bytes();
  }
}
