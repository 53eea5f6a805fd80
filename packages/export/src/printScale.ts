/** A template whose outermost crosses are this far from their span, mm, is no template. Ours. */
export const SPAN_WITHIN_MM = 1;

/** What the measured span of a printed template says: whether it may be used, and at what scale to print it anew. */
export interface PrintScale {
  fits: boolean;
  /** In percent of what the printer was told. */
  printAt: number;
}

/**
 * The outermost crosses of a glued template, measured. Within a millimetre of their span it may be used; else it says at what
 * scale to print. 400 measured as 388: not, 103.1 %.
 */
export const printScale = (spanMm: number, measuredMm: number): PrintScale => ({
  fits: Math.abs(measuredMm - spanMm) <= SPAN_WITHIN_MM,
  printAt: (100 * spanMm) / measuredMm,
});

/** The two holes that are furthest apart, and how far; undefined for fewer than two. */
export function outermost(
  holes: readonly { id: string; x: number; y: number }[],
): { from: string; to: string; span: number } | undefined {
  let best: { from: string; to: string; span: number } | undefined;
  holes.forEach((a, i) =>
    holes.slice(i + 1).forEach((b) => {
      const span = Math.hypot(a.x - b.x, a.y - b.y);
      if (!best || span > best.span) best = { from: a.id, to: b.id, span };
    }),
  );
  return best;
}

/** A pair of crosses to measure, of one wall's template. */
export interface TemplateSpan {
  wall: 'main' | 'left' | 'right';
  from: string;
  to: string;
  span: number;
}

/** What is measured on each wall's template: its outermost crosses; nothing for a wall with fewer than two. */
export function templateSpans(
  holes: readonly { id: string; x: number; y: number; wall?: TemplateSpan['wall'] | undefined }[],
): TemplateSpan[] {
  const walls = [...new Set(holes.map((h) => h.wall ?? 'main'))];
  return walls.flatMap((wall) => {
    const span = outermost(holes.filter((h) => (h.wall ?? 'main') === wall));
    return span ? [{ wall, ...span }] : [];
  });
}
