import type { ReactNode } from 'react';
import type { GlossaryTerm } from '@steddo/text';
import { usePalette, type Palette } from './tokens';

const SIZE = { width: 72, height: 56 } as const;
const DASH = '3 3';

/** A small drawing of what a word means, as one would scratch it onto a piece of board. */
export function TermSketch({ term }: { term: GlossaryTerm }) {
  const palette = usePalette();
  const draw = SKETCHES[term];
  if (!draw) return null;
  return (
    <svg
      width={SIZE.width}
      height={SIZE.height}
      viewBox="0 0 72 56"
      aria-hidden="true"
      fill="none"
      stroke={palette.ink}
      strokeWidth={1.6}
      style={{ flexShrink: 0 }}
    >
      {draw(palette)}
    </svg>
  );
}

const stud = (x: number, { wood }: Palette) => (
  <rect x={x} y={2} width={9} height={52} fill={wood} fillOpacity={0.45} strokeDasharray={DASH} strokeWidth={1} />
);

/** Words that a line says better have none. */
const SKETCHES: Partial<Record<GlossaryTerm, (palette: Palette) => ReactNode>> = {
  verdicts: ({ go, caution, stop }) => (
    <g stroke="none">
      <circle cx={12} cy={28} r={9} fill={go} />
      <path d="M36 18l10 10-10 10-10-10z" fill={caution} />
      <path d="M56 19h8l6 6v8l-6 6h-8l-6-6v-8z" fill={stop} />
    </g>
  ),
  set: () => (
    <>
      <rect x={6} y={10} width={60} height={36} />
      <rect x={10} y={13} width={52} height={29} strokeWidth={1} />
      <path d="M10 42L62 13" strokeDasharray={DASH} strokeWidth={1} />
    </>
  ),
  pattern: () => (
    <>
      <rect x={6} y={8} width={60} height={40} />
      {[
        [26, 18],
        [46, 18],
        [26, 38],
        [46, 38],
      ].map(([x, y]) => (
        <circle key={`${x}-${y}`} cx={x} cy={y} r={3} />
      ))}
    </>
  ),
  plate: () => (
    <>
      <rect x={10} y={14} width={52} height={28} strokeDasharray={DASH} />
      {[18, 42].flatMap((x) => [
        <rect key={`${x}a`} x={x} y={18} width={12} height={4} rx={2} />,
        <rect key={`${x}b`} x={x} y={34} width={12} height={4} rx={2} />,
      ])}
    </>
  ),
  hook: ({ action }) => (
    <>
      <path d="M14 4v48" />
      <rect x={14} y={14} width={5} height={28} />
      <path d="M19 16h6v-6" stroke={action} strokeWidth={2.4} />
      <path d="M30 6v44h6V6zM25 10h5" />
    </>
  ),
  fold: () => (
    <>
      <path d="M6 6h60" />
      <path d="M36 6L54 22L34 36" strokeWidth={2.4} />
      <rect x={8} y={38} width={50} height={5} />
    </>
  ),
  bay: (p) => (
    <>
      {stud(6, p)}
      {stud(57, p)}
      <path d="M18 28h36M18 28l5-4M18 28l5 4M54 28l-5-4M54 28l-5 4" />
    </>
  ),
  nogging: (p) => (
    <>
      {stud(6, p)}
      {stud(57, p)}
      <rect x={15} y={22} width={42} height={9} fill={p.wood} fillOpacity={0.45} />
    </>
  ),
  ply: (p) => (
    <>
      {stud(26, p)}
      {stud(35, p)}
      <path d="M30.500 24v8M26.500 28h8" />
    </>
  ),
  joint: () => <path d="M2 12h68M2 28h68M2 44h68M24 12v16M54 12v16M10 28v16M40 28v16M24 44v10M54 44v10" />,
  lag: () => (
    <>
      <path d="M8 20h8v16H8zM16 25h46l8 3-8 3H16" />
      <path d="M30 24l4 8M38 24l4 8M46 24l4 8M54 24l4 8" strokeWidth={1} />
    </>
  ),
  pilot: ({ wood }) => (
    <>
      <rect x={20} y={4} width={50} height={48} fill={wood} fillOpacity={0.3} />
      <path d="M20 25h34v6H20" />
    </>
  ),
  flag: ({ tape, tapeEdge }) => (
    <>
      <path d="M4 28h64M58 24l10 4-10 4" />
      <path d="M30 28V14h12v8l-4-3-4 3v6" fill={tape} stroke={tapeEdge} />
    </>
  ),
};
