import type { Op, Working } from '@steddo/contract';
import type { Wording } from './wording';
import { termOf } from './terms';

/** The sign or word between the terms of a working. */
export const opWord: Record<Op, string> = {
  '+': '+',
  '-': '-',
  '*': 'x',
  '/': '÷',
  min: 'lesser of',
  max: 'greater of',
  mean: 'average of',
  atan: 'angle of rise over run',
  tan: 'rise per run of',
  sin: 'sine of',
  cos: 'cosine of',
  abs: 'size of',
  hypot: 'straight line over',
  sqrt: 'square root of',
  pow: 'to the power:',
  round: 'rounded to',
};

const BETWEEN: readonly Op[] = ['+', '-', '*', '/'];

/** One line of arithmetic: `33 11/16 in bottom + 15 1/8 in bottom edge to hook = 48 13/16 in`. */
export function workingLine(working: Working, say: Wording): string {
  const result = say.value(working.value, working.unit);
  if (!working.op || !working.terms) return `${result} ${termOf(working.label)}`;
  const terms = working.terms.map((t) => `${say.value(t.value, t.unit)} ${termOf(t.label)}`);
  const line = BETWEEN.includes(working.op)
    ? terms.join(` ${opWord[working.op]} `)
    : `${opWord[working.op]} ${terms.join(', ')}`;
  return `${line} = ${result}`;
}
