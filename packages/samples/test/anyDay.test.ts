import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Job, StepId } from '@steddo/contract';
import { plan } from '@steddo/core';
import fc from 'fast-check';
import { atticSnug, breakfastBar, guestRoom } from '../src';
import { edited, edits } from './randomJobs';

const everyField = JSON.parse(readFileSync(join(import.meta.dirname, '../jobs/every-field.json'), 'utf8')) as Job;
const SAMPLES: readonly Job[] = [atticSnug, breakfastBar, everyField, guestRoom];
const anyPlan = fc
  .tuple(fc.constantFrom(...SAMPLES), edits)
  .map(([base, list]) => edited(base, list))
  .filter((job) => job !== undefined)
  .map((job) => plan(job));

/** What holds of the day of any job that the contract lets through. */
describe('the day of any job', () => {
  it('is in an order in which every step comes after what it waits for', () => {
    fc.assert(
      fc.property(anyPlan, ({ day }) => {
        const before = new Set<StepId>();
        for (const s of day?.steps ?? []) {
          for (const a of s.after) expect(before).toContain(a);
          before.add(s.id);
        }
        expect(before.size).toBe(day?.steps.length ?? 0);
        expect(day?.minutes ?? 0).toBe((day?.steps ?? []).reduce((sum, s) => sum + s.minutes, 0));
      }),
      { numRuns: 40 },
    );
  });
  it('packs every tool of every step, a fixing and a bit for every hole, and one to spare', () => {
    fc.assert(
      fc.property(anyPlan, ({ day, holes = [] }) => {
        if (!day) return;
        const tools = day.pack.filter((p) => p.what === 'tool').map((p) => p.kind);
        for (const s of day.steps) if (!s.done) expect(tools).toEqual(expect.arrayContaining(s.tools));
        const open = holes.filter((h) => !h.done);
        const fixings = day.pack.filter((p) => p.what === 'fixing');
        for (const kind of new Set(open.map((h) => h.fixing.kind)))
          expect(fixings.filter((p) => p.kind === kind).reduce((sum, p) => sum + p.count, 0)).toBe(
            open.filter((h) => h.fixing.kind === kind).length,
          );
        for (const p of fixings) expect(p.spare).toBeGreaterThan(0);
        const bits = day.pack.filter((p) => p.what === 'bit').map((p) => p.diameter!.toFixed(1));
        for (const h of open) expect(bits).toContain(h.bit.toFixed(1));
        expect(new Set(day.pack.map((p) => p.id)).size).toBe(day.pack.length);
      }),
      { numRuns: 40 },
    );
  });
});
