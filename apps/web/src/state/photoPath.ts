import type { Job } from '@steddo/contract';

/** Where a room's wall is measured by and shown on: its latest photograph, or its pictures while there is none. */
export function photoPath(room: string, { photos = [] }: Job): `/room/${string}` {
  const ofRoom = photos.filter((p) => p.of === 'room' && p.drawnOn === undefined);
  const latest = ofRoom.findLast((p) => p.plane !== undefined) ?? ofRoom.at(-1);
  return latest ? `/room/${room}/photo?picture=${latest.id}` : `/room/${room}/pictures`;
}
