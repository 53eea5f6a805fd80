import { useEffect, useState } from 'react';
import { usePictureUrl } from '../../state/usePictures';

/** A picture as it can be drawn on: its address and its pixels. */
export type PhotoFile =
  { is: 'here'; url: string; size: { width: number; height: number } } | { is: 'coming' | 'nowhere' };

export function usePhotoFile(room: string, id: string): PhotoFile {
  const url = usePictureUrl(room, id, true);
  const [sized, setSized] = useState<{ url: string; width: number; height: number }>();
  useEffect(() => {
    if (!url || url === 'none') return;
    let here = true;
    const image = new Image();
    image.onload = () => here && setSized({ url, width: image.naturalWidth, height: image.naturalHeight });
    image.src = url;
    return () => {
      here = false;
    };
  }, [url]);
  if (url === 'none') return { is: 'nowhere' };
  if (!url || sized?.url !== url) return { is: 'coming' };
  return { is: 'here', url, size: { width: sized.width, height: sized.height } };
}
