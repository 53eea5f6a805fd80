import { useMemo, useState } from 'react';
import type { Job, Photo, PhotoPlane, PhotoTap } from '@steddo/contract';
import type { Command } from '@steddo/core';
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
import { useRoomContext, useRoomNow } from '../../state/roomState';
import { edgeInPhoto, nearestInPhoto } from '../../worker/photos';
import { crossesOf, planeBegun, resolved, withTap, type Cross, type LayPart } from './laidCrosses';

export type Seen = ({ ok: true } & SeenWall) | { ok: false; why: PlaneFault | CameraFault };
export type ChangePlane = (plane: PhotoPlane) => PhotoPlane;

export interface LaidPhoto {
  plane: PhotoPlane;
  seen: Seen;
  crosses: readonly Cross[];
  /** Another plane, made of the job's as it is when it is put there. */
  put: (change: ChangePlane) => void;
  /** The same as a command, for what the pad takes. */
  write: (change: ChangePlane, job: Job) => Command;
  /** A cross on its way, or let go there: by a finger it is drawn to what the picture shows. */
  move: (i: number, to: PicturePlace, how: 'moving' | 'dragged' | 'keyed') => void;
  /** An edge was looked for between its ends, and there was none. */
  noEdge: boolean;
}

/** Crosses that are on their way, or that nothing in the job has yet, by part and number. */
type OnWay = Readonly<Record<string, PhotoTap>>;

/** The wall's plane in a picture, from everything that was laid onto it; the job has it all, and this what is on its way. */
export function usePhotoPlane(photo: Photo, size: PictureSize, part: LayPart, sharply: boolean): LaidPhoto {
  const { job, dispatch, readOnly } = useRoomContext();
  const now = useRoomNow();
  const [onWay, setOnWay] = useState<OnWay>({});
  const [noEdge, setNoEdge] = useState(false);
  const kept = useMemo(() => planeBegun(photo), [photo]);
  const plane = useMemo(() => withOnWay(kept, onWay), [kept, onWay]);
  const seen = useMemo((): Seen => {
    const made = wallPlane(laidInPicture(job, plane, size));
    if (!made.ok) return made;
    const found = cameraBefore(made.plane, size);
    return found.ok ? { ok: true, plane: made.plane, camera: found.camera, picture: size } : found;
  }, [job, plane, size]);
  const crosses = useMemo(
    () => crossesOf(plane, part, [onWay['edge.0'], onWay['edge.1']], size),
    [plane, part, onWay, size],
  );
  const write = (change: ChangePlane, to: Job): Command => {
    const own = to.photos?.find((p) => p.id === photo.id) ?? photo;
    return { do: 'put', path: `photos.${photo.id}.plane`, value: resolved(to, change(planeBegun(own)), size) };
  };
  const put = (change: ChangePlane) => {
    if (!readOnly) dispatch(write(change, now().job));
  };
  const arrived = (...keys: string[]) =>
    setOnWay((all) => Object.fromEntries(Object.entries(all).filter(([key]) => !keys.includes(key))));
  const share = ({ u, v }: PicturePlace): PhotoTap => ({ u: u / size.width, v: v / size.height });

  /** With both ends laid the edge is looked for; where there is none they stay where they are. */
  const findEdge = async (i: number, to: PicturePlace) => {
    const [a, b] = crosses.map((c, k) => (k === i ? to : c.laid ? c.at : undefined));
    if (!a || !b) return;
    const found = await edgeInPhoto(a, b).catch(() => []);
    setNoEdge(found.length === 0);
    if (found.length === 0) return;
    put((p) => ({ ...p, edges: [found.map((f) => ({ ...share(f), sharp: true }))] }));
    arrived('edge.0', 'edge.1');
  };
  const move: LaidPhoto['move'] = (i, to, how) => {
    const key = `${part}.${i}`;
    const tap = share(to);
    setOnWay((all) => ({ ...all, [key]: tap }));
    if (how === 'moving') return;
    if (part === 'edge') {
      void findEdge(i, to);
      return;
    }
    const lay = (laid: PhotoTap) => {
      put((p) => withTap(p, part, i, laid));
      arrived(key);
    };
    if (how === 'keyed' || !sharply) return lay(tap);
    void nearestInPhoto(to)
      .then((drawn) => lay(drawn.to === 'nothing' ? tap : { ...share(drawn), sharp: drawn.to === 'corner' }))
      .catch(() => lay(tap));
  };
  return { plane, seen, crosses, put, write, move, noEdge };
}

/** With the crosses that are on their way where they are now. */
function withOnWay(kept: PhotoPlane, onWay: OnWay): PhotoPlane {
  return Object.entries(onWay).reduce((plane, [key, tap]) => {
    const [part, i] = key.split('.') as [LayPart, string];
    return part === 'edge' ? plane : withTap(plane, part, Number(i), tap);
  }, kept);
}
