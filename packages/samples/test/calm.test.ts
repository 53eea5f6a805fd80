import { plan } from '@steddo/core';
import { findingText, wordingFor } from '@steddo/text';
import { ORDINARY, ordinaryJob } from './ordinaryJobs';

/* A list where everything is "mind" is a list nobody reads: what fifteen ordinary jobs are told. */

const found = (job: ReturnType<typeof ordinaryJob>, level: string) =>
  plan(job).findings.filter((f) => f.level === level);

describe.each(ORDINARY)('$name', (of) => {
  it('marked, and nobody has looked: at most one caution, and to look first at its holes is to be done', () => {
    const job = ordinaryJob(of, false);
    expect(found(job, 'stop')).toEqual([]);
    expect(found(job, 'caution').length).toBeLessThanOrEqual(1);
    const [look] = found(job, 'todo').filter((f) => f.code === 'look-first');
    expect(look!.values.holes).toEqual(plan(job).holes!.map((h) => h.id));
    expect(findingText(look!, wordingFor(job))).toMatch(/^Look first at/);
  });
  it('looked at: nothing to mind but a heavy lift or what the label covers', () => {
    const job = ordinaryJob(of, true);
    const codes = found(job, 'caution').map((f) => f.code);
    expect(codes.filter((c) => c !== 'lift-heavy' && c !== 'held-by-label')).toEqual([]);
    expect(plan(job).verdict).toBe(codes.length === 0 ? 'go' : 'caution');
  });
});

describe('what is dangerous keeps its voice', () => {
  const job = ordinaryJob(ORDINARY[0]!, false);
  const codes = (change: Partial<typeof job>) =>
    plan({ ...job, ...change }).findings.map((f) => `${f.level} ${f.code}`);
  it('something seen, felt, or a zone at a hole', () => {
    const [hole] = plan(job).holes!;
    const cable = {
      id: 'k',
      x: hole!.x,
      y: hole!.y,
      reach: 300,
      bay: 'both',
      found: 'cable',
      runs: 'vertical',
    } as const;
    expect(codes({ looks: [cable] })).toContain('stop seen-at-hole');
    const felt = { hole: 'h1', x: hole!.x, y: hole!.y, result: 'felt-something', at: '2026-03-01T10:00:00Z' } as const;
    expect(codes({ drilled: [felt] })).toContain('stop felt-something');
    const outlet = { id: 'o', kind: 'outlet', left: hole!.x - 35, right: hole!.x + 35, bottom: 300, top: 414 } as const;
    const zoned = plan({ ...job, room: { ...job.room, objects: [outlet] } });
    expect(zoned.findings.find((f) => f.code === 'look-first')!.values.zoneObject).toEqual(['o']);
  });
  it('a guess that can move a mark, a hole of doubt, an uneven wall', () => {
    expect(codes({ screen: { ...job.screen, patternCentre: undefined as never } })).toContain('todo still-guessed');
    expect(codes({ evidence: job.evidence!.slice(0, 3) }).join()).toMatch(/stud-doubtful|find-the-stud-first/);
    const step = { id: 'z', left: 1600, right: 1900, bottom: 0, top: 2400, face: 8 };
    const { wall } = job.room;
    expect(codes({ room: { ...job.room, wall: { ...wall, zones: [step] } } })).toContain('stop packing-needed');
  });
});
