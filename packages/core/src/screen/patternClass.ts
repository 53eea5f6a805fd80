import type { Extent, Finding, Screen } from '@steddo/contract';
import { finding } from '../primitives/findings';

/** Two pattern widths closer than this are the same pattern, mm: inserts are drilled to the millimetre. */
export const PATTERN_MM = 1;

/** Classes of the flat-display mounting interface standard (VESA FDMI, from memory). */
export interface PatternClass {
  /** Part of the standard with its size; `between` for the common sizes that it does not list. */
  name: string;
  thread: string;
  /** Most mass that the class is meant for, kg; absent for sizes between. */
  limitKg?: number;
  /** Every thread that the class has and the most that it is meant for. */
  takes: readonly { thread: string; limitKg?: number }[];
}

/** Part F goes upward from 200 x 200 in steps of 200 mm. */
const STEP_MM = 200;
const M6_LIMIT_KG = 50;
const M8_LIMIT_KG = 113.6;

const is = (a: number, b: number): boolean => Math.abs(a - b) < PATTERN_MM;

/**
 * The class of a hole pattern. `patternClass({ width: 100, height: 100 }, 10)` is part D, M4, 14 kg.
 * In part F the thread follows the mass: M6 to 50 kg, M8 to 113.6 kg.
 */
export function patternClass({ width, height }: Extent, massKg: number): PatternClass {
  if (is(width, 75) && is(height, 75)) return withM4('D 75', 8);
  if (is(width, 100) && is(height, 100)) return withM4('D 100', 14);
  if (is(width, 200) && is(height, 100)) return withM4('E', 22.7);
  const thread = massKg > M6_LIMIT_KG ? 'M8' : 'M6';
  if (isStep(width) && isStep(height)) return { name: 'F', thread, limitKg: M8_LIMIT_KG, takes: PART_F };
  return { name: 'between', thread, takes: [{ thread }] };
}

const withM4 = (name: string, limitKg: number): PatternClass => ({
  name,
  thread: 'M4',
  limitKg,
  takes: [{ thread: 'M4', limitKg }],
});

const PART_F = [
  { thread: 'M6', limitKg: M6_LIMIT_KG },
  { thread: 'M8', limitKg: M8_LIMIT_KG },
] as const;

const isStep = (mm: number): boolean => mm > STEP_MM - PATTERN_MM && is(mm, Math.round(mm / STEP_MM) * STEP_MM);

/** Caution where the set is heavier than its pattern's class, or its thread, is meant for. */
export function classFindings(screen: Screen): Finding[] {
  const found = patternClass(screen.pattern, screen.mass);
  const own = found.takes.find((t) => t.thread === screen.insert?.thread);
  const limitKg = own?.limitKg ?? found.limitKg;
  if (limitKg === undefined || screen.mass <= limitKg) return [];
  return [
    finding(
      'mass-above-class',
      'caution',
      'set',
      { patternClass: found.name, massKg: screen.mass, limitKg },
      'VESA FDMI, from memory',
    ),
  ];
}
