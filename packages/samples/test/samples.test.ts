import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { catalogue, checkFile, plan as planFormat } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { planFile } from '@steddo/text';
import { atticSnug, breakfastBar, demoCatalogue, demoRooms, guestRoom } from '../src';

const samplePlan: unknown = JSON.parse(readFileSync(join(__dirname, '../plans/guest-room.plan.json'), 'utf8'));

describe('samples', () => {
  it('the catalogue is valid, about thirty mounts of all types', () => {
    expect(checkFile(catalogue, demoCatalogue)).toMatchObject({ ok: true });
    expect(demoCatalogue.mounts.length).toBeGreaterThanOrEqual(28);
    expect(new Set(demoCatalogue.mounts.map((m) => m.type)).size).toBe(7);
    expect(new Set(demoCatalogue.mounts.map((m) => m.id)).size).toBe(demoCatalogue.mounts.length);
    expect(demoCatalogue.screens).toHaveLength(12);
  });
  it('the whole plan is valid, and is what the guest room gives', () => {
    expect(checkFile(planFormat, samplePlan)).toMatchObject({ ok: true });
    const made = planFile(
      plan(withKit(guestRoom, demoCatalogue), { mounts: demoCatalogue.mounts, nextLook: true }),
      guestRoom,
    );
    expect(JSON.parse(JSON.stringify(made))).toEqual(samplePlan);
  });
  it.each(demoRooms)('$id: its plan is valid', ({ job }) => {
    const made = JSON.parse(
      JSON.stringify(planFile(plan(withKit(job, demoCatalogue), { mounts: demoCatalogue.mounts }), job)),
    ) as unknown;
    const checked = checkFile(planFormat, made);
    expect(checked.ok ? [] : checked.faults).toEqual([]);
  });
  it('the guest room reaches its holes; the others say what they lack', () => {
    expect(plan(guestRoom).holes).toHaveLength(4);
    expect(plan(guestRoom).verdict).toBe('caution');
    expect(plan(atticSnug).findings.map((f) => f.code)).toContain('studs-needed');
    expect(plan(breakfastBar).holes!.map((h) => h.into)).toEqual(['masonry', 'masonry', 'masonry']);
    expect(plan(breakfastBar).findings.map((f) => f.code)).toContain('joints-unmarked');
  });
});
