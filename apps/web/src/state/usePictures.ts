import { useEffect, useState } from 'react';
import useSWR from 'swr';
import type { PictureHead } from '../data/pictureStore';
import { pictures, pictureStore } from '../data/shared';

/** What is known of a room's pictures on this device, by their ids; of all rooms with none named. */
export function usePictureHeads(room?: string): readonly PictureHead[] | undefined {
  const { data } = useSWR(['pictures', room ?? ''], () =>
    room === undefined ? pictureStore.heads() : pictureStore.headsOf(room),
  );
  return data;
}

/** A picture to be shown once it is wanted: its address on this page, or that it is neither here nor on the server. */
export function usePictureUrl(room: string, id: string, wanted: boolean): string | 'none' | undefined {
  const [url, setUrl] = useState<string>();
  useEffect(() => {
    if (!wanted) return;
    let made: string | undefined;
    let here = true;
    void pictures.bytesOf(room, id).then((bytes) => {
      if (!here) return;
      made = bytes && URL.createObjectURL(new Blob([bytes as BlobPart], { type: 'image/jpeg' }));
      setUrl(made ?? 'none');
    });
    return () => {
      here = false;
      if (made) URL.revokeObjectURL(made);
    };
  }, [room, id, wanted]);
  return url;
}
