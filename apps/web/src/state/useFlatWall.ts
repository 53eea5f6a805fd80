import { useEffect, useState } from 'react';
import type { Photo, PhotoPlane } from '@steddo/contract';
import { pictures } from '../data/shared';
import { useJob, useRoomContext, useRoomNow } from './roomState';
import { flatWallOf } from '../worker/photos';

/** The wall by itself out of a photograph, to scale: where it is, mm. */
export interface FlatWall {
  url: string;
  width: number;
  height: number;
}

/** The latest picture of the room that the wall was laid on. */
const laidPhoto = (photos: readonly Photo[] | undefined): (Photo & { plane: PhotoPlane }) | undefined =>
  photos?.findLast((p): p is Photo & { plane: PhotoPlane } => p.of === 'room' && (p.plane?.points.length ?? 0) >= 4);

/** Whether there is a photograph that could stand behind the wall. */
export const useHasFlatWall = (): boolean => useJob((j) => laidPhoto(j.photos) !== undefined);

/** That picture flattened, apart from the page, once it is wanted. */
export function useFlatWall(wanted: boolean): FlatWall | undefined {
  const { id: room } = useRoomContext();
  const now = useRoomNow();
  const photo = useJob((j) => laidPhoto(j.photos));
  const width = useJob((j) => j.room.wall.width);
  const height = useJob((j) => j.room.wall.height);
  const [flat, setFlat] = useState<FlatWall>();
  useEffect(() => {
    if (!wanted || !photo) return;
    let url: string | undefined;
    let here = true;
    void pictures
      .bytesOf(room, photo.id)
      .then((bytes) => bytes && flatWallOf(bytes, now().job, photo.plane))
      .then((made) => {
        if (!here || !made) return;
        url = URL.createObjectURL(made.picture);
        setFlat({ url, width: made.width, height: made.height });
      })
      // the drawing is whole without it
      .catch(() => undefined);
    return () => {
      here = false;
      setFlat(undefined);
      if (url) URL.revokeObjectURL(url);
    };
  }, [wanted, photo, room, now, width, height]);
  return flat;
}
