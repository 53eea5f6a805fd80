import { useMemo, useState } from 'react';
import type { Photo } from '@steddo/contract';
import {
  cameraBefore,
  wallPlane,
  type Camera,
  type CameraFault,
  type PicturePlace,
  type PlaneFault,
  type WallPlane,
} from '@steddo/core/photo';

/** What a finger under the glass is off by, one standard deviation, pixels of a picture of 1600. Ours. */
const TAP_SD_PX = 2.5;

export type Place = { x: number; y: number };
export type SeenWall = { ok: true; plane: WallPlane; camera: Camera } | { ok: false; why: PlaneFault | CameraFault };

export interface PhotoPlane {
  taps: readonly PicturePlace[];
  places: readonly Place[];
  seen: SeenWall;
  /** Corners that have been laid; with all of them there is a plane. */
  laid: readonly number[];
  /** Corners on their way, and which of them was let go; whether all are laid now. */
  move: (taps: readonly PicturePlace[], done: number | undefined) => boolean;
  /** Other corners on the wall, and where they begin in the picture. */
  refer: (places: readonly Place[]) => void;
  /** As it is written into the job: parts of the picture's width and height, and the wall's places. */
  written: (taps: readonly PicturePlace[]) => NonNullable<Photo['plane']>;
}

type Size = { width: number; height: number };

/** Corners begin a little inside of the picture, where a finger finds them. */
const begun = ({ width, height }: Size): PicturePlace[] => [
  { u: width * 0.2, v: height * 0.2 },
  { u: width * 0.8, v: height * 0.2 },
  { u: width * 0.8, v: height * 0.8 },
  { u: width * 0.2, v: height * 0.8 },
];

/** The wall's plane in a picture, from corners that are laid onto it. */
export function usePhotoPlane(photo: Photo, size: Size, first: readonly Place[]): PhotoPlane {
  const kept = photo.plane?.points;
  const [moved, setMoved] = useState<readonly PicturePlace[]>();
  const [referred, setReferred] = useState<readonly Place[]>();
  const keptTaps = useMemo(
    () => (kept && kept.length >= 4 ? kept.map(({ u, v }) => ({ u: u * size.width, v: v * size.height })) : undefined),
    [kept, size.width, size.height],
  );
  const [laid, setLaid] = useState<readonly number[]>(() => (keptTaps ? keptTaps.map((_, i) => i) : []));
  const start = useMemo(() => begun(size), [size]);
  const taps = moved ?? keptTaps ?? start;
  const places = referred ?? (keptTaps ? kept! : first);
  const all = places.every((_, i) => laid.includes(i));
  const seen = useMemo((): SeenWall => {
    if (!all) return { ok: false, why: 'too-few' };
    const both = places.map(({ x, y }, i) => ({ x, y, u: taps[i]?.u ?? 0, v: taps[i]?.v ?? 0 }));
    const made = wallPlane(both, TAP_SD_PX);
    if (!made.ok) return made;
    const found = cameraBefore(made.plane, size);
    return found.ok ? { ok: true, plane: made.plane, camera: found.camera } : found;
  }, [all, taps, places, size]);
  const written = (at: readonly PicturePlace[]) => ({
    points: places.map(({ x, y }, i) => ({
      u: (at[i]?.u ?? 0) / size.width,
      v: (at[i]?.v ?? 0) / size.height,
      x,
      y,
    })),
  });
  const move = (next: readonly PicturePlace[], done: number | undefined): boolean => {
    setMoved(next);
    const now = done === undefined || laid.includes(done) ? laid : [...laid, done];
    if (now !== laid) setLaid(now);
    return places.every((_, i) => now.includes(i));
  };
  const refer = (next: readonly Place[]) => {
    setLaid([]);
    setReferred(next);
    setMoved(start);
  };
  return { taps, places, seen, laid, move, refer, written };
}
