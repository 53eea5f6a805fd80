import type { Job } from '@steddo/contract';

/** Every id that an entry of some list of the job has. */
function idsOf({ room, ...job }: Job): Set<string> {
  const lists: (readonly { id?: string | undefined }[] | undefined)[] = [
    room.objects,
    room.viewers,
    room.floor,
    room.wall.zones,
    job.evidence,
    job.scans,
    job.looks,
    job.photos,
    job.measured,
    job.levelReadings,
    job.floorHeights,
    job.anchors,
    job.lags,
    job.bits,
    job.leads,
  ];
  return new Set(lists.flatMap((list) => (list ?? []).flatMap((e) => e.id ?? [])));
}

/** An id that no entry of the job has: with `o` `o1`, `o2` … */
export function freeId(job: Job, letter: string): string {
  const used = idsOf(job);
  for (let n = 1; ; n++) if (!used.has(`${letter}${n}`)) return `${letter}${n}`;
}
