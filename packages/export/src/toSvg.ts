import type { Scene, Shape } from '@steddo/drawing';
import { LAYER_NAMES, layerOf, lettersOf } from './layers';
import { strokesOf, type Stroke } from './shapesAsLines';

const LINE_MM = 0.6;

/** Drawn dashed: what is not there yet, or only thought of. */
const DASHED = new Set([
  'cover',
  'slot',
  'cut-out',
  'asked',
  'eye-line',
  'centre-line',
  'set-tilted',
  'stud-doubt',
  'zone',
]);

/**
 * A drawing in millimetres at 1:1, a group for each layer: `width` and `height` carry mm, so that it prints and opens at its
 * true size. A wall of 3000 by 2400 is `3000mm` by `2400mm`.
 */
export function toSvg({ bounds, shapes, labels }: Scene, title: string): string {
  const [width, height] = [bounds.right - bounds.left, bounds.top - bounds.bottom];
  const x = (mm: number) => number(mm - bounds.left);
  const y = (mm: number) => number(bounds.top - mm);
  const drawn = (s: Shape) =>
    strokesOf(s)
      .map((stroke, i) => elementOf(stroke, { x, y, id: i === 0 ? s.id : `${s.id}.${i}`, dashed: DASHED.has(s.role) }))
      .join('');
  const groups = LAYER_NAMES.flatMap((layer) => {
    const own = shapes.filter((s) => layerOf(s.role) === layer);
    return own.length > 0 ? [`<g id="layer-${layer}">${own.map(drawn).join('')}</g>`] : [];
  });
  const texts = labels.map((l) => `<text x="${x(l.x)}" y="${y(l.y)}" dx="2" dy="-2">${escaped(l.text)}</text>`);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${number(height)}mm" viewBox="0 0 ${number(width)} ${number(height)}" role="img">`,
    `<title>${escaped(title)}</title>`,
    `<g fill="none" stroke="#1f2328" stroke-width="${LINE_MM}" stroke-linejoin="round">${groups.join('')}</g>`,
    `<g id="labels" fill="#1f2328" font-family="sans-serif" font-size="${number(lettersOf(bounds))}">${texts.join('')}</g>`,
    '</svg>',
    '',
  ].join('\n');
}

interface Placing {
  x: (mm: number) => string;
  y: (mm: number) => string;
  id: string;
  dashed: boolean;
}

function elementOf(stroke: Stroke, { x, y, id, dashed }: Placing): string {
  const more = ` id="${escaped(id)}"${dashed ? ' stroke-dasharray="6 4"' : ''}`;
  if (stroke.kind === 'circle')
    return `<circle${more} cx="${x(stroke.x)}" cy="${y(stroke.y)}" r="${number(stroke.r)}"/>`;
  const points = stroke.points.map(([px, py]) => `${x(px)},${y(py)}`).join(' ');
  return stroke.closed ? `<polygon${more} points="${points}"/>` : `<polyline${more} points="${points}"/>`;
}

/** To a thousandth of a millimetre. */
const number = (mm: number): string => String(Math.round(mm * 1000) / 1000 + 0);

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&apos;' };

/** What XML does not allow at all is left out. */
const escaped = (text: string): string =>
  text.replace(/[^\P{Cc}\t\n\r]|[\ufffe\uffff]/gu, '').replace(/[&<>"']/g, (c) => ESCAPES[c]!);
