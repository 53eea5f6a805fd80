import { applyCommand, freeId, ITEM_KINDS } from '@steddo/core';
import { checkFile, job as format } from '@steddo/contract';
import { guestRoom, smallestRoom } from '@steddo/samples';
import { newFloorThing, newItem, newViewer, newZone } from './newEntries';

describe('new entries of a room', () => {
  it.each(ITEM_KINDS)('%s is put on any wall, within it, and the job stays valid', (kind) => {
    for (const job of [guestRoom, smallestRoom]) {
      const item = newItem(job, kind);
      const { wall } = job.room;
      expect(item.left).toBeGreaterThanOrEqual(0);
      expect(item.right).toBeLessThanOrEqual(wall.width);
      expect(item.top).toBeLessThanOrEqual(wall.height);
      expect(item.top).toBeGreaterThan(item.bottom);
      const path = `room.objects.${item.id}` as const;
      const after = applyCommand(job, { do: 'put', path, value: item }).job;
      expect(checkFile(format, after)).toMatchObject({ ok: true });
    }
  });
  it('people, parts of the wall and things on the floor too', () => {
    const puts = [
      ['room.viewers', newViewer(guestRoom)],
      ['room.wall.zones', newZone(guestRoom)],
      ['room.floor', newFloorThing(guestRoom)],
    ] as const;
    for (const [list, value] of puts) {
      const after = applyCommand(guestRoom, { do: 'put', path: `${list}.${value.id}`, value }).job;
      expect(checkFile(format, after)).toMatchObject({ ok: true });
    }
  });
  it('no id is given twice in one file', () => {
    const used = { ...guestRoom, room: { ...guestRoom.room, floor: [newFloorThing(guestRoom)] } };
    expect(freeId(used, 'f')).not.toBe(used.room.floor[0]!.id);
    expect(freeId(guestRoom, 'o')).toBe('o4');
  });
});
