import type { Drilled, Evidence, Job } from '@steddo/contract';
import { plan } from '../src';
import { mark, testJob } from './jobs';

const edges = (...xs: number[]): Evidence[] =>
  xs.flatMap((x, s) => [mark('edge-left', x - 19, `l${s}`), mark('edge-right', x + 19, `r${s}`)]);
const strap = {
  ...{ id: 'strap', kind: 'strap-toggle' as const, board: 12.7, tension: 1000, shear: 1000, hole: 13, diameter: 4.8 },
  ...{ head: 9, washer: 1.6, grip: { min: 9, max: 60 } },
};
const job = (change: Partial<Job> = {}): Job => testJob({ evidence: edges(1800, 2206), anchors: [strap], ...change });
const hollowAt = (hole: { id: string; x: number; y: number }): Drilled => ({
  ...{ hole: hole.id, x: hole.x, y: hole.y, result: 'hollow', into: 'stud', at: '2026-03-01T10:00:00Z' },
});

describe('a drill that met nothing where two edges show a stud', () => {
  const before = plan(job());
  const [first, second] = before.holes!;
  const drilled = [{ ...hollowAt(first!), result: 'good' as const }, hollowAt(second!)];
  const p = plan(job({ drilled }));

  it('stops, and plans nothing anew', () => {
    expect(p.verdict).toBe('stop');
    expect(p.findings[0]).toMatchObject({
      code: 'stud-disputed',
      level: 'stop',
      values: { hole: second!.id, edges: 2 },
    });
    expect(p.holes!.map((h) => [h.id, h.into])).toEqual(before.holes!.map((h) => [h.id, h.into]));
    expect(p.holes!.map((h) => Math.round(h.x))).toEqual(before.holes!.map((h) => Math.round(h.x)));
    expect(p.holes![0]!.done).toBe(true);
    expect(p.holes![1]).toMatchObject({ done: false, met: 'hollow' });
  });
  it('offers the ways out in the order of the trade, each with what it comes to', () => {
    const kinds = p.remedies!.map((r) => r.kind);
    expect(kinds[0]).toBe('poke-edge');
    expect(kinds.at(-1)).toBe('anchors');
    const poke = Number(p.remedies![0]!.by);
    expect(Math.abs(poke - second!.x)).toBeLessThan(19);
    expect(p.remedies!.at(-1)!.result.utilisation).toBeGreaterThan(0);
  });
  it('is settled by what is marked there afterwards', () => {
    const later = { at: '2026-03-01T10:05:00Z', y: 1400 };
    const found = (kind: 'hollow' | 'wood', x: number, id: string): Evidence => ({
      id,
      kind: 'probe',
      found: kind,
      x,
      ...later,
    });
    const gone = plan(
      job({
        drilled,
        evidence: [
          ...edges(1800, 2206),
          found('hollow', 2190, 'n1'),
          found('hollow', 2200, 'n2'),
          found('hollow', 2212, 'n3'),
        ],
      }),
    );
    expect(gone.findings.map((f) => f.code)).not.toContain('stud-disputed');
    const there = plan(
      job({ drilled, evidence: [...edges(1800, 2206), found('wood', 2193, 'w1'), found('wood', 2219, 'w2')] }),
    );
    expect(there.findings.map((f) => f.code)).not.toContain('stud-disputed');
    // new holes have new ids: the old ones are in the wall
    for (const q of [gone, there])
      for (const h of q.holes ?? []) if (!h.done) expect(drilled.map((d) => d.hole)).not.toContain(h.id);
  });
  it('a second miss beside the same stud settles it too, and a stud by its spacing alone is not disputed', () => {
    const twice = plan(job({ drilled: [...drilled, { ...hollowAt(second!), hole: 'h4', y: second!.y - 120 }] }));
    expect(twice.findings.map((f) => f.code)).not.toContain('stud-disputed');
    // one centre mark is not enough to hold out against the drill
    const centre = job({ evidence: [...edges(1800), mark('centre', 2206)] });
    const unsure = plan({ ...centre, drilled: [{ ...hollowAt(second!), x: 2206 }] });
    expect(unsure.findings.map((f) => f.code)).not.toContain('stud-disputed');
    const vague = job({ evidence: edges(1800) });
    const guess = plan({ ...vague, drilled: [{ ...hollowAt(second!), x: 2206 }] });
    expect(guess.findings.map((f) => f.code)).not.toContain('stud-disputed');
  });
  it('is settled by a choice that is elsewhere: nothing is planned onto board without it', () => {
    expect(p.holes!.every((h) => h.into === 'stud')).toBe(true);
    const key = String(p.remedies!.at(-1)!.by);
    const chosen = plan(job({ drilled, choices: { scheme: key } }));
    expect(chosen.findings.map((f) => f.code)).not.toContain('stud-disputed');
    expect(chosen.holes!.some((h) => h.into === 'board')).toBe(true);
    expect(chosen.holes!.filter((h) => h.done).map((h) => h.id)).toEqual([first!.id]);
  });
});
