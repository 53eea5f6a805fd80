import type { Job } from '@steddo/contract';
import { applyCommand, plan } from '@steddo/core';
import { guestRoom, stoveParlour } from '@steddo/samples';
import { tracedAs } from '../../canvas/traced';
import { metJoint } from '../ladder/ladderAt';
import { buildFields, partFields } from './buildFields';
import { fireFields, hasFire, putRule } from './RoomFire';

const after = (job: Job, command: Parameters<typeof applyCommand>[1]) => applyCommand(job, command).job;

describe('a part of the wall', () => {
  const box = { left: 900, right: 2700, bottom: 0, top: 1800 };
  it('traced is a part with an id of its own; a backing’s outline takes the place of the one before', () => {
    const { command, id } = tracedAs('zone', stoveParlour, box);
    expect(id).toBe('z2');
    expect(after(stoveParlour, command).room.wall.zones!.at(-1)).toEqual({ id: 'z2', ...box });
    const once = after(guestRoom, tracedAs('backing', guestRoom, box).command);
    const twice = after(once, tracedAs('backing', once, { ...box, left: 1000 }).command);
    const edges = twice.evidence!.filter((e) => e.kind === 'backing-edge');
    expect(edges.map((e) => e.side)).toEqual(['left', 'right', 'bottom', 'top']);
    expect(edges[0]!.x).toBe(1000);
    expect(plan(twice).backing).toMatchObject({ left: 1000, right: 2700, bottom: 0, top: 1800 });
  });
  it('is asked for what its own kind is asked for, and says only what it is asked', () => {
    const [zone] = stoveParlour.room.wall.zones!;
    const fields = partFields(stoveParlour, zone!);
    expect(fields.map((f) => f.path)).toEqual(
      ['unit.width', 'unit.height', 'unit.joint', 'board', 'depth'].map((f) => `room.wall.zones.z1.build.${f}`),
    );
    const higher = after(stoveParlour, fields[1]!.command(70, stoveParlour));
    expect(higher.room.wall.zones![0]!.build!.unit).toMatchObject({ width: 215, height: 70, bond: 'stretcher' });
    expect(higher.room.wall.build).toEqual(stoveParlour.room.wall.build);
    // the rest of the wall is asked for its studs as before
    expect(buildFields(stoveParlour).map((f) => f.path)).toContain('room.wall.build.spacing');
    const bare = { ...zone!, build: { kind: 'masonry' as const } };
    const board = partFields(stoveParlour, bare).find((f) => f.path.endsWith('board'))!;
    expect(board.value).toBeUndefined();
    const job = { ...stoveParlour, room: { ...stoveParlour.room, wall: { ...stoveParlour.room.wall, zones: [bare] } } };
    expect(after(job, board.command(15, job)).room.wall.zones![0]!.build).toEqual({ kind: 'masonry', board: 15 });
  });
});

describe('fire, heat and flues', () => {
  it('are asked for where something is warm', () => {
    expect([hasFire(stoveParlour), hasFire(guestRoom)]).toEqual([true, false]);
  });
  it('a figure takes the place of the one before, its source stays; others are as they were', () => {
    const { rules } = after(stoveParlour, putRule(stoveParlour, 'mantel-clearance', 500)).room;
    expect(rules).toHaveLength(2);
    expect(rules).toContainEqual({ what: 'mantel-clearance', value: 500, source: 'label on the stove' });
    expect(rules).toContainEqual(stoveParlour.room.rules![1]);
  });
  it('a first measurement is taken to be where the set will hang; its place can be typed afterwards', () => {
    const { heat: _, ...room } = stoveParlour.room;
    const cold = { ...stoveParlour, room };
    const at = { x: 1810, y: 1875 };
    const fields = fireFields(cold, at);
    expect(fields.map((f) => f.path)).not.toContain('room.heat.x');
    const warm = fields.find((f) => f.path === 'room.heat.celsius')!;
    expect(after(cold, warm.command(33, cold)).room.heat).toEqual({ ...at, celsius: 33 });
    expect(fireFields(stoveParlour, at).map((f) => f.path)).toContain('room.heat.x');
  });
});

it('a joint that the bit met is a hole that is left and a mark of its own', () => {
  const hole = plan(stoveParlour).holes!.find((h) => h.into === 'masonry')!;
  const met = after(stoveParlour, metJoint(stoveParlour, hole, 'horizontal'));
  expect(met.drilled).toEqual([expect.objectContaining({ hole: hole.id, result: 'joint', into: 'masonry' })]);
  expect(met.evidence!.at(-1)).toMatchObject({ kind: 'joint', runs: 'horizontal', x: hole.x, y: hole.y });
  // it goes against the joints that were marked: the later of two counts, and the other is named
  const after2 = plan(met);
  expect(after2.odd).toEqual(['e1']);
});
