import { useEffect, useState } from 'react';
import { pictures } from '../../data/shared';
import { usePictureUrl } from '../../state/usePictures';
import { openPhoto } from '../../worker/photos';

/** A picture as it can be drawn on: its address and its pixels; and whether it shows hardly anything, once it was read. */
export type PhotoFile =
  | { is: 'here'; url: string; size: { width: number; height: number }; fog: boolean }
  | { is: 'coming' | 'nowhere' };

export function usePhotoFile(room: string, id: string): PhotoFile {
  const url = usePictureUrl(room, id, true);
  const [sized, setSized] = useState<{ url: string; width: number; height: number }>();
  const [fog, setFog] = useState(false);
  useEffect(() => {
    if (!url || url === 'none') return;
    let here = true;
    const image = new Image();
    image.onload = () => here && setSized({ url, width: image.naturalWidth, height: image.naturalHeight });
    image.src = url;
    void pictures
      .bytesOf(room, id)
      .then((bytes) => bytes && openPhoto(bytes))
      .then((read) => here && setFog(read?.fog ?? false))
      // without it nothing is drawn to a corner, and everything else goes on
      .catch(() => undefined);
    return () => {
      here = false;
    };
  }, [url, room, id]);
  if (url === 'none') return { is: 'nowhere' };
  if (!url || sized?.url !== url) return { is: 'coming' };
  return { is: 'here', url, size: { width: sized.width, height: sized.height }, fog };
}
