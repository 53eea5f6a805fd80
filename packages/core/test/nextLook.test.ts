import type { Evidence, Job, NextLook } from '@steddo/contract';
import { nextLooks, plan, probeRoutine } from '../src';
import { leaf } from '../src/primitives/working';
import { lookOutcomes } from '../src/looks/lookOutcomes';
import { possibleStuds } from '../src/looks/possibleStuds';
import { IN, mark, marksShow, probe, testJob, testMount } from './jobs';

const best = (job: Job, skip?: string[]) => nextLooks(job, plan(job), skip)!;
const edges = (x: number, n = '') => [mark('edge-left', x - 19, `l${x}${n}`), mark('edge-right', x + 19, `r${x}${n}`)];

describe('the next best look', () => {
  it('nothing known: a pass where the slots will come', () => {
    const { looking, looks } = best(testJob({ evidence: [] }));
    expect(looking).toEqual({ now: 0 });
    expect(looks).toMatchObject([{ kind: 'edge', reason: 'find-first' }]);
    expect(looks[0]!.from!).toBeLessThan(2000 - 200);
    expect(looks[0]!.to!).toBeGreaterThan(2000 + 200);
  });
  it('two passes and still no place: it says so and asks no more', () => {
    const { from, to } = best(testJob({ evidence: [] })).looks[0]!;
    const scans = [1, 2].map((i) => ({
      id: `s${i}`,
      instrument: 'edge' as const,
      from: from!,
      to: to!,
      y: 1400,
    }));
    const one = best(testJob({ evidence: [], scans: scans.slice(1) }));
    expect(one.looks).toHaveLength(1);
    expect(best(testJob({ evidence: [], scans }))).toEqual({
      looking: { now: 0, enough: 'no-place' },
      looks: [],
    });
  });
  it('sure of every hole: enough', () => {
    const evidence = [1, 2, 3].flatMap((n) => [...edges(1800, `${n}`), ...edges(2200, `${n}`)]);
    const { looking, looks } = best(testJob({ evidence }));
    expect(looking.enough).toBe('sure');
    expect(looks).toEqual([]);
    expect(plan(testJob({ evidence })).holes!.every((h) => h.probability >= 0.98)).toBe(true);
  });
  it('one edge of each stud: a pass before a poke, and pokes at the edges that the plate hides', () => {
    const evidence = [mark('edge-left', 1781), mark('edge-left', 2181)];
    const { looking, looks } = best(testJob({ evidence }));
    expect(looks[0]).toMatchObject({ kind: 'edge', reason: 'sharpen' });
    expect(looks[0]!.gain).toBeGreaterThan(0.03);
    expect(looks[0]!.gain).toBeLessThanOrEqual(1 - looking.now);
    const poke = looks.find((l) => l.kind === 'probe')!;
    expect(poke.hidden).toBe(true);
    expect(Math.min(...[1781, 1819, 2181, 2219].map((x) => Math.abs(x - poke.x)))).toBeLessThan(6);
  });
  it('cannot get there: the next one; without the finder only pokes', () => {
    const evidence = [mark('edge-left', 1781), mark('edge-left', 2181)];
    const job = testJob({ evidence });
    const [first] = best(job).looks;
    const [second] = best(job, [`${first!.kind}@${first!.x}`]).looks;
    expect(Math.abs(second!.x - first!.x) > 40 || second!.kind !== first!.kind).toBe(true);
    expect(best(job, ['edge', 'centre']).looks.every((l) => l.kind === 'probe')).toBe(true);
    expect(best(job, ['edge', 'centre', 'probe']).looks).toEqual([]);
  });
  it('the gain is what is gained: done by hand for a poke that tells a stud from none', () => {
    // one stud for two lags; a screw alone says that it is there, 0.9
    const { 'timber-stud': timber } = testMount.walls;
    const walls = { 'timber-stud': { ...timber!, fixing: { ...timber!.fixing!, count: 2 } } };
    const oneStud = { ...testMount, studs: { count: 1 }, walls };
    const job = testJob({
      mount: oneStud,
      evidence: [mark('fastener', 1800)],
    });
    const p = plan(job);
    const { looking, looks } = best(job, ['edge', 'centre']);
    const look = looks[0] as NextLook;
    // after either outcome: the whole plan made anew from the job with that reading in it
    const after = (found: 'wood' | 'hollow') =>
      best({ ...job, evidence: [...job.evidence!, probe(look.x, found)] }).looking.now;
    const { belief, studs } = marksShow(job.evidence!, job.room.wall.build);
    const stud = studs.find((s) => Math.abs(s.centre - p.holes![0]!.x) < 1)!;
    const wood = lookOutcomes(possibleStuds(belief, stud), 'probe', look.x)[0]!.chance;
    const byHand = wood * after('wood') + (1 - wood) * after('hollow') - looking.now;
    expect(Math.abs(look.gain - byHand)).toBeLessThan(0.02);
  });
  it('the outcomes of a look weigh 1, and on average leave the stud as it was', () => {
    const { belief, studs } = marksShow([mark('edge-left', 1000), mark('fastener', 1020)]);
    const ways = possibleStuds(belief, studs[0]!);
    const there = ways.reduce((s, w) => s + w.p, 0);
    for (const kind of ['probe', 'edge', 'centre'] as const) {
      const outcomes = lookOutcomes(ways, kind, 1003);
      expect(outcomes.reduce((s, o) => s + o.chance, 0)).toBeCloseTo(1, 2);
      const later = outcomes.reduce((s, o) => s + o.chance * o.ways.reduce((t, w) => t + w.p, 0), 0);
      expect(later).toBeCloseTo(there, 2);
    }
  });
  it('is in the plan where it was asked for', () => {
    const job = testJob({ evidence: [mark('edge-left', 1781), mark('edge-left', 2181)] });
    expect(plan(job).nextLook).toBeUndefined();
    expect(plan(job, { nextLook: true }).nextLook).toEqual(best(job).looks[0]);
    expect(nextLooks({ ...job, mount: undefined } as unknown as Job, plan(job))).toBeUndefined();
  });
});

describe('poking along a line', () => {
  const plyWidth = leaf('stud-width', 38.1, 'mm');
  const step = (evidence: Evidence[], first: 'left' | 'right' = 'right') =>
    probeRoutine({ evidence, start: 1600, plyWidth, first });
  /** A stud from `left` on, poked until the routine has had enough. */
  function run(left: number, width = 38.1, first: 'left' | 'right' = 'right') {
    const evidence: Evidence[] = [];
    for (let i = 0; i < 40; i++) {
      const at = step(evidence, first);
      if (at.next === undefined) return { at, pokes: evidence.length };
      const wood = at.next >= left && at.next <= left + width;
      evidence.push(probe(at.next, wood ? 'wood' : 'hollow', `p${i}`));
    }
    throw new Error('never done');
  }
  it('nothing poked: where it was asked; then outward by 3/4 in', () => {
    expect(step([])).toEqual({ phase: 'find-wood', next: 1600 });
    expect(step([probe(1600, 'hollow')]).next).toBeCloseTo(1600 + 0.75 * IN, 9);
    expect(step([probe(1600, 'hollow'), probe(1619.05, 'hollow')]).next).toBeCloseTo(1600 - 0.75 * IN, 9);
  });
  it('wood: on to its edge, half-way between the last wood and the first hollow', () => {
    expect(step([probe(1600, 'wood')])).toMatchObject({ phase: 'first-edge', next: 1619.05 });
    expect(step([probe(1600, 'wood'), probe(1619.05, 'hollow')]).next).toBeCloseTo(1609.525, 9);
    expect(step([probe(1600, 'wood')], 'left').next).toBeCloseTo(1580.95, 9);
  });
  // common practice: probe until you have an edge, then 3/4 in in from it is the middle
  it('an edge: 3/4 in in from it is the middle', () => {
    const at = step([probe(1610, 'wood'), probe(1613, 'hollow')]);
    expect(at).toMatchObject({ phase: 'other-edge' });
    expect(at.right!.value).toBeCloseTo(1611.5, 9);
    expect(at.middle!.value).toBeCloseTo(1611.5 - 0.75 * IN, 9);
    // the other edge should be a ply to the left: poke just beyond it
    expect(at.next).toBeCloseTo(1611.5 - 38.1 - 1.6, 9);
  });
  it.each([1565, 1580, 1590, 1611.3])(
    'from anywhere near a stud at %s it comes to both edges and the middle',
    (left) => {
      for (const first of ['left', 'right'] as const) {
        const { at, pokes } = run(left, 38.1, first);
        expect(at.phase).toBe('done');
        expect(Math.abs(at.middle!.value - (left + 19.05))).toBeLessThan(1.7);
        expect(at.width).toBeUndefined();
        expect(pokes).toBeLessThanOrEqual(14);
      }
    },
  );
  it('twice as wide: a double; something else: says that no stud is so wide', () => {
    expect(run(1570, 76.2).at.width).toBe('double');
    expect(run(1580, 55).at.width).toBe('odd');
  });
  it('pokes at the next stud are not this one’s', () => {
    expect(step([probe(1800, 'wood')]).phase).toBe('find-wood');
  });
});
