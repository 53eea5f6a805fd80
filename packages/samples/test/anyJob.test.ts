import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkFile, job as jobFormat, plan as planFormat, type Job, type Plan, type Working } from '@steddo/contract';
import { evaluate, plan, withKit } from '@steddo/core';
import { planFile } from '@steddo/text';
import fc from 'fast-check';
import { atticSnug, breakfastBar, stoveParlour, demoCatalogue, guestRoom, hallwayNiche, narrowboatCabin } from '../src';
import { edited, edits, isTree } from './randomJobs';

/* Any valid job has a valid plan: the samples with fields left out and numbers changed at random. */

function workingsIn(value: unknown): Working[] {
  if (!isTree(value)) return [];
  if ('label' in value && 'unit' in value && 'value' in value) return [value as unknown as Working];
  return Object.values(value).flatMap(workingsIn);
}

const SAYS_LOAD = [
  'loads-checked',
  'load-too-great',
  'held-by-label',
  'load-unknown',
  'no-rating',
  'never-in-board',
  'lag-off-table',
  'lag-too-short',
  'lags-too-close',
  'rated-for-board',
  'grip-outside',
  'head-through-slot',
  'board-unsound',
  'sheet-too-thin',
  'masonry-too-short',
  'unrated-on-lath',
];

function checkPlan(p: Plan, job: Job): void {
  const text = JSON.stringify(planFile(p, job));
  const checked = checkFile(planFormat, JSON.parse(text));
  expect(checked.ok ? [] : checked.faults).toEqual([]);
  expect(text).not.toMatch(/NaN|Infinity|undefined|\[object/);
  for (const w of workingsIn(p)) expect(evaluate(w)).toBeCloseTo(w.value, 6);
  if (p.holes) {
    const codes = p.findings.map((f) => f.code);
    // every list of holes says what its load comes to, or why nobody can say; where nothing holds, what is drilled stays listed
    const held = p.scheme!.kind !== 'none';
    expect(codes.filter((c) => SAYS_LOAD.includes(c)).length).toBe(held ? 1 : 0);
    if (!held) expect(p.verdict).toBe('stop');
    if (!held) expect(p.holes.every((h) => job.drilled?.some((d) => d.hole === h.id))).toBe(true);
    expect(p.loads === undefined).toBe(
      !codes.some((c) => ['loads-checked', 'held-by-label', 'load-too-great'].includes(c)),
    );
    if (p.holes.some((h) => h.hazard !== 'clear')) expect(p.verdict).not.toBe('go');
    // a screw that ends in its own plate, or has a skin right behind the face, makes no hole, and the plan says so
    const short = codes.includes('backing-not-reached') || codes.includes('screw-through');
    expect(p.holes.every((h) => (h.depth > 0 || short) && h.depth >= 0 && h.bit > 0)).toBe(true);
    expect(new Set(p.holes.map((h) => h.id)).size).toBe(p.holes.length);
    if (p.verdict === 'go') expect(p.loads!.worst).toBeLessThanOrEqual(1);
  }
}

describe('any valid job', () => {
  const full = JSON.parse(readFileSync(join(import.meta.dirname, '../jobs/every-field.json'), 'utf8')) as Job;
  it('with every field of the format is valid and has a plan', () => {
    expect(checkFile(jobFormat, full)).toMatchObject({ ok: true });
    checkPlan(plan(withKit(full, demoCatalogue), { mounts: demoCatalogue.mounts }), full);
  });
  it('found once: a plate without thickness, which no load can be worked out for, is refused at its path', () => {
    const { plate, ...mount } = guestRoom.mount!;
    const job = { ...guestRoom, mount: { ...mount, plate: { ...plate, thickness: 0 } } };
    const checked = checkFile(jobFormat, job);
    expect(checked.ok ? [] : checked.faults.map((f) => f.path)).toEqual(['mount.plate.thickness']);
  });
  it('found once: where nothing holds any more, the holes that were drilled stay listed', () => {
    const narrow = structuredClone(full);
    narrow.room.wall.build.spacing = 170.5867560920377;
    const p = plan(narrow, {});
    expect(p.scheme?.kind).toBe('none');
    expect(p.holes?.map((h) => h.id)).toEqual(narrow.drilled?.map((d) => d.hole).slice(0, p.holes?.length));
    checkPlan(p, narrow);
  });
  it('found once: with nothing behind its face a cabin’s wall is not drilled, and every screw is a stop', () => {
    const { build } = narrowboatCabin.room.wall;
    const job = structuredClone({
      ...narrowboatCabin,
      room: { ...narrowboatCabin.room, wall: { ...narrowboatCabin.room.wall, build: { ...build, depth: 0 } } },
    });
    const p = plan(job, {});
    expect(p.findings).toContainEqual(expect.objectContaining({ code: 'screw-through', level: 'stop' }));
    expect(p.holes!.map((h) => h.depth)).toEqual(p.holes!.map(() => 0));
    checkPlan(p, job);
  });
  it.each([
    ['guest room', guestRoom],
    ['attic snug', atticSnug],
    ['breakfast bar', breakfastBar],
    ['stove parlour', stoveParlour],
    ['hallway niche', hallwayNiche],
    ['narrowboat cabin', narrowboatCabin],
    ['every field', full],
  ])('made from the %s has a valid plan, without a number that is none', (_, base) => {
    fc.assert(
      fc.property(edits, (list) => {
        const job = edited(base, list);
        // most of what is drawn is no valid job: it draws until there are enough that are
        fc.pre(job !== undefined);
        checkPlan(plan(job!, { mounts: demoCatalogue.mounts.slice(0, 4) }), job!);
      }),
      { numRuns: 7, maxSkipsPerRun: 60 },
    );
  });
});
