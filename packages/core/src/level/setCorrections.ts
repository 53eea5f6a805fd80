import type { Correction, Side, Working } from '@steddo/contract';
import { leaf, node } from '../primitives/working';

/** A set is level within so much over its width, mm: then it is left alone. Ours. */
export const LEVEL_GOOD_MM = 1;

/** Paper between hook and rail, mm a sheet: ordinary paper. Common practice. */
const SHEET_MM = 0.1;

/** More paper than this nobody puts under a hook, mm. Ours. */
const MOST_PAPER_MM = 20;

/** How far one arm goes down on its loosened screws, mm: the clearance of their holes. Ours. */
const DROP_MM = 2;

/** What a hung set has to be levelled with. Lengths mm. */
export interface SetTrim {
  setWidthMm: number;
  hookSpacingMm?: number;
  /** Up and down by the levelling screws, and how far one turn of them goes; between the two. */
  trimHeightMm?: number;
  pitchMm?: number;
  screwSpanMm?: number;
  rollDeg?: number;
  /** Its two arms sit on the set by screws that can be loosened. */
  arms?: boolean;
}

/** How much one end is higher over a span, with its working: 0.143 degrees over 300 mm is 0.75. */
export function riseWorking(spanMm: number, slope: Working): Working {
  const signed = node('signed-rise', '*', 'mm', [
    leaf('level-span', spanMm, 'mm'),
    node('slope-ratio', 'tan', 'ratio', [slope]),
  ]);
  return node('rise', 'abs', 'mm', [signed]);
}

/**
 * What levels a hung set, in the order of the trade: its levelling screws, one arm dropped a little, the head
 * rolled, sheets between hook and rail; each with what it leaves over the set's width. Nothing within a millimetre:
 * the plate is never loosened for the last one. 1.5 in 600 over screws 300 apart of pitch 1.25: 0.600 turn;
 * 0.25 degrees over hooks 400 apart: 17 sheets, 0.14 left over 1218.
 */
export function setCorrections(slope: Working, low: Side, trim: SetTrim): Correction[] {
  const { setWidthMm, hookSpacingMm } = trim;
  if (riseWorking(setWidthMm, slope).value <= LEVEL_GOOD_MM) return [];
  return [
    ...byScrews(slope, low, trim),
    ...(hookSpacingMm !== undefined && trim.arms ? [byDrop(slope, low, setWidthMm, hookSpacingMm)] : []),
    ...byRoll(slope, low, trim),
    ...(hookSpacingMm === undefined ? [] : bySheets(slope, low, setWidthMm, hookSpacingMm)),
  ];
}

const leftOver = (beyond: number, spanMm: number, setWidthMm: number): number =>
  (Math.max(0, beyond) * setWidthMm) / spanMm;

function byScrews(slope: Working, where: Side, trim: SetTrim): Correction[] {
  const { trimHeightMm, pitchMm, setWidthMm } = trim;
  const spanMm = trim.screwSpanMm ?? trim.hookSpacingMm;
  if (spanMm === undefined || (trimHeightMm === undefined && pitchMm === undefined)) return [];
  const rise = riseWorking(spanMm, slope);
  const beyond = trimHeightMm === undefined ? 0 : rise.value - trimHeightMm;
  const rest = { kind: 'screw', where, left: leftOver(beyond, spanMm, setWidthMm), fits: beyond <= 0 } as const;
  if (pitchMm === undefined) return [{ ...rest, by: rise.value, unit: 'mm', limit: trimHeightMm!, working: rise }];
  const turns = node('turns', '/', 'count', [rise, leaf('pitch', pitchMm, 'mm', { path: 'mount.trim.pitch' })]);
  const limit = trimHeightMm === undefined ? {} : { limit: trimHeightMm / pitchMm };
  return [{ ...rest, by: turns.value, unit: 'turn', ...limit, working: turns }];
}

/** The arm at the high end goes down. */
function byDrop(slope: Working, low: Side, setWidthMm: number, spanMm: number): Correction {
  const working = riseWorking(spanMm, slope);
  const beyond = working.value - DROP_MM;
  return {
    kind: 'drop',
    where: low === 'left' ? 'right' : 'left',
    by: working.value,
    unit: 'mm',
    limit: DROP_MM,
    left: leftOver(beyond, spanMm, setWidthMm),
    fits: beyond <= 0,
    working,
  };
}

function byRoll(slope: Working, where: Side, { rollDeg, setWidthMm }: SetTrim): Correction[] {
  if (rollDeg === undefined) return [];
  const working = node('roll', 'abs', 'deg', [slope]);
  const beyond = Math.max(0, working.value - rollDeg);
  const left = setWidthMm * Math.tan((beyond * Math.PI) / 180);
  return [{ kind: 'roll', where, by: working.value, unit: 'deg', limit: rollDeg, left, fits: beyond === 0, working }];
}

/** Whole sheets under the hook at the low end. */
function bySheets(slope: Working, where: Side, setWidthMm: number, spanMm: number): Correction[] {
  const rise = riseWorking(spanMm, slope);
  if (rise.value > MOST_PAPER_MM) return [];
  const working = node('sheets-thick', 'round', 'mm', [rise, leaf('sheet', SHEET_MM, 'mm')]);
  const left = leftOver(Math.abs(rise.value - working.value), spanMm, setWidthMm);
  const sheets = Math.round(working.value / SHEET_MM);
  return [{ kind: 'shim', where, by: working.value, unit: 'mm', sheets, left, fits: left <= LEVEL_GOOD_MM, working }];
}
