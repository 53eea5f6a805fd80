import type { Fixing, Mount, Slot } from '@steddo/contract';

/** A slot that the screw passes through, and its travel each way, mm. */
export interface UsableSlot {
  slot: Slot;
  index: number;
  travel: number;
}

/** Slots that the lag passes through, with its travel each way. */
export function usableSlots({ mount, fixing }: { mount: Mount; fixing: Pick<Fixing, 'diameter'> }): UsableSlot[] {
  return (mount.plate?.slots ?? [])
    .map((slot, index) => ({ slot, index, travel: (slot.length - fixing.diameter) / 2 }))
    .filter(({ slot }) => slot.length >= fixing.diameter && slot.height >= fixing.diameter);
}

/** Slots by the column that they stand in, columns and slots in the order of the plate. */
export function columnsOf(slots: readonly UsableSlot[]): UsableSlot[][] {
  const columns = new Map<number, UsableSlot[]>();
  for (const s of slots) {
    const column = columns.get(s.slot.x);
    if (column) column.push(s);
    else columns.set(s.slot.x, [s]);
  }
  return [...columns.values()];
}
