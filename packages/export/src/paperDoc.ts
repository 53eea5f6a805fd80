import PDFDocument from 'pdfkit';
import type { Scene } from '@steddo/drawing';
import { NotMade } from './roomAndPlan';
import { runsOf, type Covers, type GlyphRun } from './glyphRuns';
import { inkOf } from './inkOf';
import { toPoints, type SheetSize } from './paper';
import { strokesOf } from './shapesAsLines';

/** The faces of type that a sheet is set in, as the files have them (`.woff` or `.ttf`). */
export interface SheetFonts {
  plain: Uint8Array;
  bold: Uint8Array;
  /** For every letter that the others lack. */
  fallback: Uint8Array;
}

export type Face = 'plain' | 'bold';

export interface PaperInput {
  title: string;
  fonts: SheetFonts;
  /** When it was made. */
  at: Date;
}

export interface TextAt {
  x: number;
  y: number;
  size: number;
  face?: Face;
}

/** A document in millimetres from the upper left corner of each page; every piece of text is part of its structure. */
export class PaperDoc {
  readonly doc: PDFKit.PDFDocument;
  private readonly root: PDFKit.PDFStructureElement;
  private readonly covers: Record<Face | 'fallback', Covers>;
  private page: SheetSize | undefined;

  constructor({ title, fonts, at }: PaperInput) {
    this.doc = new PDFDocument({
      autoFirstPage: false,
      bufferPages: true,
      pdfVersion: '1.7',
      tagged: true,
      displayTitle: true,
      lang: 'en-GB',
      // none to begin with: one that is opened before it has its name is opened again at every use of the name
      font: '',
      info: { Title: title, Creator: 'steddo', Producer: 'steddo', CreationDate: at, ModDate: at },
    } as PDFKit.PDFDocumentOptions);
    this.doc.registerFont('plain', fonts.plain as Buffer);
    this.doc.registerFont('bold', fonts.bold as Buffer);
    this.doc.registerFont('fallback', fonts.fallback as Buffer);
    this.covers = { plain: this.coverOf('plain'), bold: this.coverOf('bold'), fallback: this.coverOf('fallback') };
    this.root = this.doc.struct('Document');
    this.doc.addStructure(this.root);
  }

  private coverOf(name: string): Covers {
    this.doc.font(name);
    const { font } = (this.doc as unknown as { _font: { font: { hasGlyphForCodePoint: (code: number) => boolean } } })
      ._font;
    return { has: (code) => font.hasGlyphForCodePoint(code) };
  }

  addPage(size: SheetSize): void {
    this.page = size;
    this.doc.addPage({ size: [toPoints(size.width), toPoints(size.height)], margin: 0 });
  }

  get size(): SheetSize {
    if (!this.page) throw new NotMade('there is no page yet');
    return this.page;
  }

  /** How wide a line is, mm. */
  widthOf(text: string, size: number, face: Face = 'plain'): number {
    return this.runs(text, face).reduce((sum, r) => sum + this.runWidth(r, size, face), 0);
  }

  /** A text in lines that are no wider than that: between words, and within one that is wider by itself. */
  linesOf(text: string, widthMm: number, size: number, face: Face = 'plain'): string[] {
    const space = this.widthOf(' ', size, face);
    return text.split(/\r?\n/).flatMap((paragraph) => {
      const lines: string[] = [];
      let [line, wide] = ['', 0];
      for (const word of paragraph.split(/ +/)) {
        // words are drawn one by one: a line is as wide as its words and the spaces between them
        const more = this.widthOf(word, size, face);
        if (line !== '' && wide + space + more <= widthMm) {
          line = `${line} ${word}`;
          wide += space + more;
          continue;
        }
        if (line !== '') lines.push(line);
        const pieces = this.piecesOf(word, widthMm, size, face);
        lines.push(...pieces.slice(0, -1));
        line = pieces.at(-1) ?? '';
        wide = pieces.length > 1 ? this.widthOf(line, size, face) : more;
      }
      return [...lines, line];
    });
  }

  private piecesOf(word: string, widthMm: number, size: number, face: Face): string[] {
    if (this.widthOf(word, size, face) <= widthMm) return [word];
    const pieces: string[] = [];
    let piece = '';
    for (const letter of word) {
      if (piece !== '' && this.widthOf(piece + letter, size, face) > widthMm) {
        pieces.push(piece);
        piece = '';
      }
      piece += letter;
    }
    return [...pieces, piece];
  }

  /** Lines of one block, each so far below the last; its baseline is at y. */
  block(tag: string, lines: readonly string[], { x, y, size, face = 'plain' }: TextAt, leading = LEADING): void {
    const content = this.doc.markStructureContent(tag);
    lines.forEach((line, i) => this.line(line, { x, y: y + i * size * MM_PER_POINT * leading, size, face }));
    this.doc.endMarkedContent();
    this.root.add(this.doc.struct(tag, {}, [content]));
  }

  /** What is on the page and no part of what is read: numbers of pages, letters of tiles. */
  artifact(draw: () => void): void {
    this.doc.markContent('Artifact', { type: 'Pagination' });
    draw();
    this.doc.endMarkedContent();
  }

  line(text: string, { x, y, size, face = 'plain' }: TextAt): void {
    let at = x;
    this.doc.fillColor('black');
    for (const run of this.runs(text, face)) {
      this.doc.font(run.fallback ? 'fallback' : face).fontSize(size);
      if (run.text.trim() !== '')
        this.doc.text(run.text, toPoints(at), toPoints(y), { lineBreak: false, baseline: 'alphabetic' });
      at += this.runWidth(run, size, face);
    }
  }

  private runs(text: string, face: Face): GlyphRun[] {
    return runsOf(text, this.covers[face], this.covers.fallback);
  }

  private runWidth({ text, fallback }: GlyphRun, size: number, face: Face): number {
    this.doc.font(fallback ? 'fallback' : face).fontSize(size);
    return this.doc.widthOfString(text) * MM_PER_POINT;
  }

  /** A drawing as a figure with its words for those who do not see it; `toMm` from mm of the wall to mm of the page. */
  figure(alt: string, draw: () => void): void {
    const content = this.doc.markStructureContent('Figure');
    draw();
    this.doc.endMarkedContent();
    this.root.add(this.doc.struct('Figure', { alt }, [content]));
  }

  /** A picture (JPEG) with its words for those who do not see it, mm. */
  picture(alt: string, bytes: Uint8Array, at: { x: number; y: number; width: number; height: number }): void {
    const [x, y, width, height] = [at.x, at.y, at.width, at.height].map(toPoints);
    // the whole of a buffer, and of no other file that is in it
    const file = bytes.slice().buffer;
    this.figure(alt, () => this.doc.image(file, x!, y!, { width: width!, height: height! }));
  }

  /** The lines of a scene; those outside of the box are cut off. */
  scene({ shapes }: Pick<Scene, 'shapes'>, toMm: (x: number, y: number) => [number, number], scale: number): void {
    const { doc } = this;
    for (const shape of shapes) {
      const ink = inkOf(shape.role);
      if (!ink) continue;
      for (const stroke of strokesOf(shape)) {
        doc.lineWidth(toPoints(ink.width)).strokeColor(greyOf(ink.grey));
        if (ink.dash) doc.dash(toPoints(ink.dash[0]), { space: toPoints(ink.dash[1]) });
        else doc.undash();
        if (stroke.kind === 'circle') {
          const [x, y] = toMm(stroke.x, stroke.y);
          doc.circle(toPoints(x), toPoints(y), toPoints(stroke.r * scale)).stroke();
          continue;
        }
        const [first, ...rest] = stroke.points.map(([x, y]) => toMm(x, y));
        if (!first) continue;
        doc.moveTo(toPoints(first[0]), toPoints(first[1]));
        for (const [x, y] of rest) doc.lineTo(toPoints(x), toPoints(y));
        if (stroke.closed) doc.closePath();
        if (stroke.closed && ink.fill !== undefined) doc.fillColor(greyOf(ink.fill)).fillAndStroke();
        else doc.stroke();
      }
    }
    doc.undash();
  }

  /** Paper again over what was drawn there. */
  blank(x: number, y: number, width: number, height: number): void {
    this.doc.rect(toPoints(x), toPoints(y), toPoints(width), toPoints(height)).fill('white');
  }

  rule(x1: number, y1: number, x2: number, y2: number, width = 0.2): void {
    this.doc.undash().lineWidth(toPoints(width)).strokeColor('black');
    this.doc.moveTo(toPoints(x1), toPoints(y1)).lineTo(toPoints(x2), toPoints(y2)).stroke();
  }

  /** The pages so far, gone through once more: what stands on each when it is known how many there are. */
  onEachPage(draw: (page: number, of: number) => void): void {
    const { start, count } = this.doc.bufferedPageRange();
    for (let i = 0; i < count; i++) {
      this.doc.switchToPage(start + i);
      draw(i + 1, count);
    }
  }

  /** The whole of it as a file. */
  async bytes(): Promise<Uint8Array> {
    const chunks: Uint8Array[] = [];
    const done = new Promise<void>((resolve, reject) => {
      this.doc.on('data', (chunk: Uint8Array) => chunks.push(chunk));
      this.doc.on('end', () => resolve());
      this.doc.on('error', reject);
    });
    this.root.end();
    this.doc.end();
    await done;
    const whole = new Uint8Array(chunks.reduce((n, c) => n + c.length, 0));
    let at = 0;
    for (const chunk of chunks) {
      whole.set(chunk, at);
      at += chunk.length;
    }
    return whole;
  }
}

export const MM_PER_POINT = 25.4 / 72;
export const LEADING = 1.35;

const greyOf = (grey: number): string => {
  const value = Math.round(grey * 255);
  return `#${value.toString(16).padStart(2, '0').repeat(3)}`;
};
