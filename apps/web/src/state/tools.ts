import type { FinderKind, Instruments, Pass } from '@steddo/core';
import { type MarkKind } from '@steddo/text';

/** An instrument in the hand: which, where it is held, and what its pass has come to. */
export interface Tool {
  kind: FinderKind | 'drill' | 'camera';
  instruments: Instruments;
  x: number;
  y: number;
  pass?: Pass;
  lit: boolean;
  /** Where its lamp changed on this pass, the latest last. */
  changes: readonly Change[];
  /** How far this pass has come. */
  swept?: { from: number; to: number };
}

export interface Change {
  x: number;
  y: number;
  /** It lit up there, or went out. */
  on: boolean;
  going: 'left' | 'right';
  /** It is a sheet that holds it, no screw. */
  sheet?: boolean;
}

export const isFinder = (kind: Tool['kind']): kind is FinderKind => kind !== 'drill' && kind !== 'camera';

/** A finder is asked at every so many millimetres of its way, so that a fast hand misses nothing. */
const EVERY_MM = 1;

/** The tool slid to a place: where it lit up or went out on the way is kept. */
export function slid(tool: Tool, x: number, y: number): Tool {
  if (!isFinder(tool.kind) || !tool.pass) return { ...tool, x, y };
  const steps = Math.max(1, Math.ceil(Math.abs(x - tool.x) / EVERY_MM));
  const going = x >= tool.x ? 'right' : 'left';
  const changes = [...tool.changes];
  let { lit } = tool;
  for (let i = 1; i <= steps; i++) {
    const at = tool.x + ((x - tool.x) * i) / steps;
    const signal = tool.pass.at(at);
    if (signal.lit !== lit)
      changes.push({ x: at, y: signal.y ?? y, on: signal.lit, going, ...(signal.sheet ? { sheet: true } : {}) });
    lit = signal.lit;
  }
  const { from, to } = tool.swept ?? { from: tool.x, to: tool.x };
  const swept = { from: Math.min(from, x), to: Math.max(to, x) };
  return { ...tool, x, y, lit, changes, swept };
}

/** A new pass begins when the finder is put on the wall. */
export function putDown(tool: Tool): Tool {
  if (!isFinder(tool.kind)) return tool;
  const pass = tool.instruments.begin(tool.kind, tool.y);
  const swept = { from: tool.x, to: tool.x };
  return { ...tool, pass, lit: pass.at(tool.x).lit, changes: [], swept };
}

export interface PassMark {
  kind: MarkKind;
  x: number;
  y: number;
}

/**
 * What the changes of a lamp say: it lights at a stud's left edge when slid to the right and at its right
 * edge when slid to the left; a centre is half-way between on and off; a magnet and a live scan where
 * they light.
 */
export function passMarksOf({ kind, changes }: Tool): PassMark[] {
  const lights = changes.filter((c) => c.on);
  switch (kind) {
    case 'edge':
      return changes.map(({ x, y, on, going }) => ({
        kind: on === (going === 'right') ? 'edge-left' : 'edge-right',
        x,
        y,
      }));
    case 'centre':
      return changes.slice(1).flatMap((c, i) => {
        const before = changes[i]!;
        return before.on && !c.on ? [{ kind: 'centre' as const, x: (before.x + c.x) / 2, y: c.y }] : [];
      });
    case 'magnet':
      if (changes.some((c) => c.sheet))
        return changes.map(({ x, y, on, going }) => ({
          kind: on === (going === 'right') ? 'backing-left' : 'backing-right',
          x,
          y,
        }));
      return lights.map(({ x, y, going }) => ({
        kind: 'fastener',
        x: x + (going === 'right' ? MAGNET_HALF_MM : -MAGNET_HALF_MM),
        y,
      }));
    case 'live':
      return lights.map(({ x, y }) => ({ kind: 'live', x, y }));
    default:
      return [];
  }
}

/** A magnet takes hold this far before the screw, mm. */
const MAGNET_HALF_MM = 4;
