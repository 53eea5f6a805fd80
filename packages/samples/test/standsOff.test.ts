import { plan, reachModelOf, withKit } from '@steddo/core';
import type { Job } from '@steddo/contract';
import { breakfastBar, demoCatalogue, guestRoom, stoveParlour } from '../src';

/* What is under the plate brings the set further out: nearer to its viewers, further into the room. */

const planned = (job: Job) => plan(withKit(job, demoCatalogue));
const packed = (job: Job, packing: number): Job => ({ ...job, choices: { ...job.choices, packing } });

describe('a set on packing', () => {
  it('is so much nearer to the eyes (the tangent by hand)', () => {
    const aim = { ...guestRoom.aim, height: 'eyes' as const, centre: { on: 'wall' as const } };
    const job: Job = { ...guestRoom, aim, room: { ...guestRoom.room, objects: [] } };
    const [viewer] = job.room.viewers!;
    const flat = planned(job);
    const made = planned(packed(job, 60));
    expect(made.placement!.plane).toBe(60);
    expect(flat.placement!.plane).toBeUndefined();
    const { centre } = made.placement!;
    const spacer = made.screen.screws?.find((s) => s.id === made.screen.screwCheck?.chosen)?.spacer ?? 0;
    const out = 60 + job.mount!.depth.folded + spacer + job.screen.thickness!;
    const run = Math.hypot(viewer!.distance! - out, viewer!.x! - centre.x);
    const by = made.placement!.angles!.find((a) => a.viewer === viewer!.id)!.centre;
    expect(by).toBeCloseTo((Math.atan2(centre.y - viewer!.eye!, run) * 180) / Math.PI, 6);
  });
  it('has its arm so much further out among everything that is in its way', () => {
    const [flat, made] = [planned(breakfastBar), planned(packed(breakfastBar, 45))];
    const [before, after] = [reachModelOf(breakfastBar, flat)!, reachModelOf(packed(breakfastBar, 45), made)!];
    expect(after.folded.z - before.folded.z).toBeCloseTo(45, 9);
    expect(after.reach.arm.extended - before.reach.arm.extended).toBeCloseTo(45, 9);
    expect(after.reach.arm.root.z - before.reach.arm.root.z).toBeCloseTo(45, 9);
    expect(made.reach!.protrusion! - flat.reach!.protrusion!).toBeCloseTo(45, 9);
  });
});

describe('a set over a step of the wall', () => {
  it('stands on the foremost part, by as much further out as that; on a wall of one face by nothing', () => {
    const made = planned(stoveParlour);
    const { zones: _, ...wall } = stoveParlour.room.wall;
    const flat = planned({ ...stoveParlour, choices: {}, room: { ...stoveParlour.room, wall } });
    const step = Math.max(...stoveParlour.room.wall.zones!.map((z) => z.face ?? 0));
    expect(made.placement!.plane).toBe(step);
    expect(flat.placement!.plane).toBeUndefined();
  });
  it('on a timber across studs stands out by that, on noggings not at all', () => {
    const on = (way: 'across' | 'noggings') =>
      planned({ ...guestRoom, choices: { ...guestRoom.choices, timber: { height: 235, thickness: 38, way } } });
    expect(on('across').placement!.plane).toBe(38);
    expect(on('noggings').placement!.plane).toBeUndefined();
  });
});
