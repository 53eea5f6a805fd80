import type { Item, Job } from '@steddo/contract';
import { measure, type Command } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { newItem } from './newEntries';

/** Where nobody has said otherwise, mm: a bench along the whole wall, a shelf as thick as a board. */
const BENCH_OUT_MM = 600;
const SHELF_OUT_MM = 200;
const SHELF_MM = 25;
const MOST_OUT_MM = 1500;

const benchOf = (job: Job): Item | undefined => firstOf(job, 'furniture');
const shelfOf = (job: Job): Item | undefined => firstOf(job, 'shelf');

const firstOf = ({ room }: Job, kind: Item['kind']): Item | undefined =>
  room.objects?.find((o) => o.kind === kind && (o.wall ?? 'main') === 'main');

const put = (item: Item): Command => ({ do: 'put', path: `room.objects.${item.id}`, value: item });

const newBench = (job: Job, more: Partial<Item>): Item => ({
  ...{ ...newItem(job, 'furniture'), name: 'bench', left: 0, right: job.room.wall.width },
  ...{ bottom: 0, out: BENCH_OUT_MM, ...more },
});

const newShelf = (job: Job, more: Partial<Item>): Item => ({ ...newItem(job, 'shelf'), out: SHELF_OUT_MM, ...more });

/** A shelf that is moved keeps its thickness. */
const shelfAt = (now: Job, bottom: number): Command => {
  const shelf = shelfOf(now);
  if (!shelf) return put(newShelf(now, { bottom, top: bottom + SHELF_MM }));
  return put({ ...shelf, bottom, top: bottom + shelf.top - shelf.bottom });
};

/** What a bench job is measured by: the bench below and the shelf above, each a thing of the wall as any other. */
export function benchFields(job: Job): Field[] {
  const [bench, shelf] = [benchOf(job), shelfOf(job)];
  const { height } = job.room.wall;
  const length = { kind: 'length', max: height } as const;
  return [
    {
      ...{ ...length, path: `room.objects.${bench?.id ?? 'bench'}.top`, label: 'bench, its top', min: 100 },
      value: bench?.top,
      command: (top, now) => {
        const own = benchOf(now);
        return own ? measure(now, `room.objects.${own.id}.top`, top) : put(newBench(now, { top }));
      },
    },
    {
      ...{ ...length, path: `room.objects.${bench?.id ?? 'bench'}.out`, label: 'bench, how deep', min: 50 },
      ...{ value: bench?.out, max: MOST_OUT_MM },
      command: (out, now) => {
        const own = benchOf(now);
        return own ? measure(now, `room.objects.${own.id}.out`, out) : put(newBench(now, { out }));
      },
    },
    {
      ...{ ...length, path: `room.objects.${shelf?.id ?? 'shelf'}.bottom`, label: 'shelf over it, its underside' },
      ...{ hint: 'leave it where there is none', value: shelf?.bottom, min: 100, max: height - SHELF_MM },
      command: (bottom, now) => shelfAt(now, bottom),
    },
    {
      ...{ ...length, path: `room.objects.${shelf?.id ?? 'shelf'}.out`, label: 'shelf, how deep', min: 10 },
      ...{ value: shelf?.out, max: MOST_OUT_MM },
      command: (out, now) => {
        const own = shelfOf(now);
        return own ? measure(now, `room.objects.${own.id}.out`, out) : put(newShelf(now, { out }));
      },
    },
  ];
}
