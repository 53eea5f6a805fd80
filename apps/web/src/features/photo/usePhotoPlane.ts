import { useMemo, useState } from 'react';
import type { Photo, PhotoPlane, PhotoTap } from '@steddo/contract';
import {
  cameraBefore,
  laidInPicture,
  wallPlane,
  type CameraFault,
  type PicturePlace,
  type PictureSize,
  type PlaneFault,
  type SeenWall,
} from '@steddo/core/photo';
import { useRoomContext } from '../../state/roomState';
import { edgeInPhoto, nearestInPhoto } from '../../worker/photos';
import { crossesOf, planeBegun, resolved, withTap, type Cross, type LayPart } from './laidCrosses';

export type Seen = ({ ok: true } & SeenWall) | { ok: false; why: PlaneFault | CameraFault };

export interface LaidPhoto {
  plane: PhotoPlane;
  seen: Seen;
  crosses: readonly Cross[];
  /** Another plane: written into the job. */
  put: (plane: PhotoPlane) => void;
  /** A cross on its way, or let go there: by a finger it is drawn to what the picture shows. */
  move: (i: number, to: PicturePlace, how: 'moving' | 'dragged' | 'keyed') => void;
  /** An edge was looked for between its ends, and there was none. */
  noEdge: boolean;
}

/** The wall's plane in a picture, from everything that was laid onto it; the job has it all, and this what is on its way. */
export function usePhotoPlane(photo: Photo, size: PictureSize, part: LayPart, sharply: boolean): LaidPhoto {
  const { job, dispatch, readOnly } = useRoomContext();
  const [moving, setMoving] = useState<{ i: number; tap: PhotoTap }>();
  const [ends, setEnds] = useState<readonly PhotoTap[]>([]);
  const [noEdge, setNoEdge] = useState(false);
  const kept = useMemo(() => planeBegun(photo), [photo]);
  const plane = useMemo(
    () => (moving && part !== 'edge' ? withTap(kept, part, moving.i, moving.tap) : kept),
    [kept, moving, part],
  );
  const seen = useMemo((): Seen => {
    const made = wallPlane(laidInPicture(job, plane, size));
    if (!made.ok) return made;
    const found = cameraBefore(made.plane, size);
    return found.ok ? { ok: true, plane: made.plane, camera: found.camera, picture: size } : found;
  }, [job, plane, size]);
  const crosses = useMemo(() => {
    const all = crossesOf(plane, part, ends, size);
    if (!moving || part !== 'edge') return all;
    const at = { u: moving.tap.u * size.width, v: moving.tap.v * size.height };
    return all.map((c, i) => (i === moving.i ? { ...c, at } : c));
  }, [plane, part, ends, size, moving]);
  const put = (next: PhotoPlane) => {
    if (!readOnly) dispatch({ do: 'put', path: `photos.${photo.id}.plane`, value: resolved(job, next, size) });
  };
  const share = ({ u, v }: PicturePlace): PhotoTap => ({ u: u / size.width, v: v / size.height });
  const edgeEnd = async (i: number, tap: PhotoTap) => {
    const both = crosses.map((c, k) => (k === i ? tap : c.laid ? share(c.at) : undefined));
    const [a, b] = both;
    setEnds(a && b ? [a, b] : a ? [a] : b ? [b] : []);
    setMoving(undefined);
    if (!a || !b) return;
    const pixels = (t: PhotoTap) => ({ u: t.u * size.width, v: t.v * size.height });
    const found = await edgeInPhoto(pixels(a), pixels(b)).catch(() => []);
    setNoEdge(found.length === 0);
    if (found.length > 0) put({ ...kept, edges: [found.map((f) => ({ ...share(f), sharp: true }))] });
  };
  const move: LaidPhoto['move'] = (i, to, how) => {
    const tap = share(to);
    setMoving({ i, tap });
    if (how === 'moving') return;
    if (part === 'edge') {
      void edgeEnd(i, tap);
      return;
    }
    const lay = (laid: PhotoTap) => {
      put(withTap(kept, part, i, laid));
      setMoving(undefined);
    };
    if (how === 'keyed' || !sharply) return lay(tap);
    void nearestInPhoto(to)
      .then((drawn) => lay(drawn.to === 'nothing' ? tap : { ...share(drawn), sharp: drawn.to === 'corner' }))
      .catch(() => lay(tap));
  };
  return { plane, seen, crosses, put, move, noEdge };
}
