import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { job as jobSchema } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { demoCatalogue } from '../src';

/* Jobs with what an independent computation expects of them: another language, another form of the same formulas. */

const folder = join(import.meta.dirname, 'cases');
const read = (name: string): unknown => JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8'));
interface Expected {
  worstUtilisation: number | null;
  loads: 'go' | 'caution' | 'stop' | null;
}
const expected = read('expected') as Record<string, Expected>;
const planOf = (name: string) => plan(withKit(jobSchema.parse(read(name)), demoCatalogue));

/** What the loads alone come to. */
function loadsOf(name: string): Expected['loads'] {
  const codes = planOf(name).findings.map((f) => f.code);
  if (codes.includes('load-too-great')) return 'stop';
  return codes.includes('held-by-label') ? 'caution' : 'go';
}

describe('a case', () => {
  const known = Object.entries(expected).filter(([, e]) => e.worstUtilisation !== null);
  it.each(known)('%s has the utilisation that another computation gives, within 5 %', (name, { worstUtilisation }) => {
    const worst = planOf(name).loads!.worst;
    expect(Math.abs(worst / worstUtilisation! - 1)).toBeLessThan(0.05);
  });
  it.each(known)('%s comes to the same verdict on its loads', (name, { loads }) => {
    expect(loadsOf(name)).toBe(loads);
  });
  it('a short lag over packing is a stop whose first remedy is the longer lag of the kit, and not anchors', () => {
    const p = planOf('short-lag-over-packing');
    expect(p.verdict).toBe('stop');
    expect(p.scheme!.kind).toBe('lags-in-studs');
    expect(p.findings.filter((f) => f.level === 'stop').map((f) => f.code)).toEqual(['lag-too-short']);
    expect(p.remedies![0]).toMatchObject({ kind: 'longer-lag', result: { verdict: 'go' } });
  });
  it('a marked joint stops no brick', () => {
    const stops = planOf('brick-joint-marked').findings.filter((f) => f.level === 'stop');
    expect(stops.map((f) => f.code)).not.toContain('in-joint');
    expect(planOf('brick-joint-marked').holes!.every((h) => h.probability >= 0.9)).toBe(true);
  });
  it('an arm on board is a stop', () => {
    const p = planOf('arm-on-board');
    expect(p.verdict).toBe('stop');
  });
});
