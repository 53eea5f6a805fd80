import type { Hole, Job, ObligationId, Plan } from '@steddo/contract';
import { checkPlan, plan, unproved } from '@steddo/core';
import { FORTY_JOBS } from './fortyJobs';
import { proofJob } from './proofJobs';
import { freshSeed } from './seeds';

/* A plan is proved: nothing is open without a finding that explains it, and no stop leaves a hand without a way on. */

/** Seeds that failed once. */
const FAILED: readonly number[] = [];
const RUNS = 90;

const ready = FORTY_JOBS.filter((j) => j.expected === 'go' && plan(j.job).verdict === 'go').map((j) => j.job);
const into = (what: Hole['into']): Job => {
  const job = ready.find((j) => plan(j).holes?.every((h) => h.into === what && h.wall === undefined));
  if (!job) throw new Error(`no job with all holes in ${what} is go`);
  return job;
};
const openOf = (job: Job, made: Plan): Set<ObligationId> =>
  new Set(
    checkPlan(job, made)
      .filter((o) => !o.holds)
      .map((o) => o.id),
  );

interface Broken {
  id: ObligationId;
  of: Hole['into'];
  what: string;
  /** Changes the job or its finished plan, both copies. */
  by: (job: Job, made: Plan, hole: Hole) => void;
}

const thingAt = (job: Job, { x, y }: Hole, id: string): void => {
  job.room.objects = [
    ...(job.room.objects ?? []),
    { id, kind: 'outlet', left: x - 30, right: x + 30, bottom: y - 30, top: y + 30 },
  ];
};

const BROKEN: readonly Broken[] = [
  { id: 'holes-there', of: 'stud', what: 'holes left out', by: (_, p) => delete p.holes },
  { id: 'count', of: 'stud', what: 'one hole of four', by: (_, p) => p.holes!.splice(1) },
  { id: 'on-wall', of: 'stud', what: 'a hole at the end of the wall', by: (_, __, h) => (h.x = 3) },
  {
    id: 'free-edge',
    of: 'masonry',
    what: 'a window that begins 40 over a sleeve',
    by: (job, _, h) => windowOver(job, h.x, h.y + 40),
  },
  { id: 'clear-of-things', of: 'stud', what: 'an outlet at a hole', by: (job, _, h) => thingAt(job, h, 'late') },
  {
    id: 'clear-of-hazards',
    of: 'stud',
    what: 'a cable seen at a hole',
    by: (job, _, h) => (job.looks = [{ id: 'k', x: h.x, y: h.y, reach: 300, found: 'cable', runs: 'vertical' }]),
  },
  { id: 'in-slot', of: 'stud', what: 'a hole beside its slot', by: (_, __, h) => (h.x += 90) },
  { id: 'sum', of: 'stud', what: 'a mark 5 mm too high', by: (_, __, h) => (h.y += 5) },
  { id: 'meets', of: 'stud', what: 'six holes in ten', by: (_, __, h) => (h.probability = 0.6) },
  { id: 'looked', of: 'stud', what: 'no look at all', by: (job) => delete job.looks },
  {
    id: 'balance',
    of: 'stud',
    what: 'one pull left out',
    by: (_, p) => p.loads!.cases.forEach((c) => c.fasteners.forEach((f) => (f.pullY = 0))),
  },
  {
    id: 'allowables',
    of: 'stud',
    what: 'a fifth more than the tables give',
    by: (_, p) => p.loads!.fasteners.forEach((f) => (f.allowableTension *= 1.2)),
  },
  {
    id: 'carries',
    of: 'stud',
    what: 'forty times the forces',
    by: (_, p) =>
      p.loads!.cases.forEach((c) =>
        c.fasteners.forEach((f) => {
          f.pullY *= 40;
          f.shearY *= 40;
        }),
      ),
  },
  { id: 'bites', of: 'stud', what: 'a lag of 25', by: (_, p) => p.holes!.forEach((h) => (h.fixing.length = 25)) },
  { id: 'mount', of: 'stud', what: 'a set over its limit', by: (job) => (job.screen.mass = job.mount!.maxMass + 1) },
  { id: 'screw', of: 'stud', what: 'no screw chosen', by: (_, p) => delete p.screen.screwCheck },
  {
    id: 'lift-on',
    of: 'stud',
    what: 'a shelf on top of the set',
    by: (job, { placement }) => {
      const { left, right, top } = placement!;
      job.room.objects = [
        ...(job.room.objects ?? []),
        { id: 'shelf', kind: 'shelf', left, right, bottom: top + 5, top: top + 30 },
      ];
    },
  },
  {
    id: 'guesses',
    of: 'stud',
    what: 'all that was entered is guessed, and nothing says so',
    by: (job, p) => {
      job.guessed = p.holes!.flatMap((h) => pathsOf(h.working)) as Job['guessed'];
    },
  },
  { id: 'numbers', of: 'stud', what: 'a number that is none', by: (_, p) => (p.placement!.centre.x = NaN) },
  {
    id: 'numbers',
    of: 'stud',
    what: 'a working that comes to something else',
    by: (_, __, h) => (h.working.value += 1),
  },
];

const pathsOf = (w: Hole['working']): string[] => [...(w.path ? [w.path] : []), ...(w.terms ?? []).flatMap(pathsOf)];
function windowOver(job: Job, x: number, bottom: number): void {
  job.room.objects = [
    ...(job.room.objects ?? []),
    { id: 'window', kind: 'window', left: x - 400, right: x + 400, bottom, top: bottom + 600 },
  ];
}

describe('what the checker proves', () => {
  it('of a job that is ready, everything', () => {
    expect(ready.length).toBeGreaterThan(3);
    for (const job of ready) expect([...openOf(job, plan(job))]).toEqual([]);
  });
  it.each(BROKEN)('$id does not hold with $what', ({ id, of, by }) => {
    const job = structuredClone(into(of));
    const made = structuredClone(plan(job));
    expect(openOf(job, made).has(id)).toBe(false);
    by(job, made, made.holes![0]!);
    expect([...openOf(job, made)]).toContain(id);
    // and the plan as it was says nothing that would explain it
    expect(unproved(checkPlan(job, made), made).map((o) => o.id)).toContain(id);
  });
  it('has a planted fault for every obligation that a plan is asked for', () => {
    const all = new Set(checkPlan(into('stud'), plan(into('stud'))).map((o) => o.id));
    const planted = new Set(BROKEN.map((b) => b.id));
    expect([...all].filter((id) => !planted.has(id))).toEqual([]);
  });
});

describe('what was called go and is not', () => {
  const stud = into('stud');
  const [hole] = plan(stud).holes!;
  it('a mount without a fixing for the wall: its lag is asked for, and nothing is marked with a borrowed one', () => {
    const job = structuredClone(stud);
    const kind = job.room.wall.build.kind;
    delete job.mount!.walls[kind]!.fixing;
    delete job.lags;
    const made = plan(job, { ways: 'tried' });
    expect(made.verdict).toBe('stop');
    expect(made.findings.filter((f) => f.level === 'stop').map((f) => f.code)).toContain('fixing-unknown');
    expect(made.remedies!.some((r) => r.code === 'fixing-unknown' && r.kind === 'enter')).toBe(true);
  });
  it('an outlet where a hole was: no hole is inside it', () => {
    const job = structuredClone(stud);
    thingAt(job, hole!, 'outlet');
    const made = plan(job);
    expect(made.verdict).not.toBe('go');
    for (const h of made.holes ?? []) expect(Math.abs(h.x - hole!.x) > 30 || Math.abs(h.y - hole!.y) > 30).toBe(true);
  });
  it('a plate past the end of the wall is a stop', () => {
    const job = structuredClone(stud);
    const { plate } = plan(job).placement!;
    job.room.wall.width = plate!.right - 20;
    expect(plan(job).verdict).toBe('stop');
  });
  it('a sleeve under a window is none, and no caution calls it one', () => {
    const brick = structuredClone(into('masonry'));
    const highest = Math.max(...plan(brick).holes!.map((h) => h.y));
    windowOver(brick, plan(brick).placement!.centre.x, highest + 40);
    const made = plan(brick);
    expect(made.verdict).not.toBe('go');
    for (const h of made.holes ?? []) expect(Math.abs(highest + 40 - h.y)).toBeGreaterThanOrEqual(60);
  });
});

describe('plans of any job', () => {
  const first = freshSeed('proved plans', FAILED);
  const jobs = Array.from({ length: RUNS }, (_, i) => first + i).flatMap((seed) => {
    const job = proofJob(seed);
    return job ? [{ seed, job, made: plan(job, { ways: 'tried' }) }] : [];
  });
  it('leave nothing open that no finding explains, and no go without its holes', () => {
    for (const { seed, job, made } of jobs) {
      expect([seed, unproved(checkPlan(job, made), made)]).toEqual([seed, []]);
      if (made.verdict === 'go') expect([seed, openOf(job, made)]).toEqual([seed, new Set()]);
      expect([seed, made.findings.filter((f) => f.code === 'not-proved')]).toEqual([seed, []]);
    }
  });
  it('have a way on from every stop', () => {
    for (const { seed, made } of jobs)
      for (const f of made.findings) {
        if (f.level !== 'stop' || f.acknowledged) continue;
        expect([seed, f.code, (made.remedies ?? []).some((r) => r.code === f.code)]).toEqual([seed, f.code, true]);
      }
  });
  it('are of every verdict', () => {
    expect(new Set(jobs.map((j) => j.made.verdict))).toEqual(new Set(['go', 'caution', 'stop']));
  });
});
