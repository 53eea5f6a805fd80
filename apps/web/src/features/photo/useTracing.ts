import { useMemo, useRef, useState } from 'react';
import type { ItemKind } from '@steddo/contract';
import {
  measureThing,
  tapSd,
  type MeasuredThing,
  type PicturePlace,
  type PictureSize,
  type Tap,
} from '@steddo/core/photo';
import { nearestInPhoto } from '../../worker/photos';
import type { Cross } from './laidCrosses';
import type { Seen } from './usePhotoPlane';

export interface Traced {
  kind: ItemKind;
  crosses: readonly Cross[];
  /** As it was measured; undefined while a corner is still to be laid, or where the wall is not seen. */
  thing?: MeasuredThing;
}

export interface Tracing {
  traced: Traced | undefined;
  begin: (kind: ItemKind) => void;
  end: () => void;
  move: (i: number, to: PicturePlace, how: 'moving' | 'dragged' | 'keyed') => void;
}

interface Laid extends PicturePlace {
  laid: boolean;
  sharp: boolean;
}

const begun = ({ width, height }: PictureSize): [Laid, Laid] => [
  { u: width * 0.42, v: height * 0.42, laid: false, sharp: false },
  { u: width * 0.58, v: height * 0.58, laid: false, sharp: false },
];

/** A thing that is traced by two of its corners; nothing of it is in the job until it is kept. */
export function useTracing(seen: Seen, size: PictureSize, out: number | undefined): Tracing {
  const [kind, setKind] = useState<ItemKind>();
  const [corners, setCorners] = useState(() => begun(size));
  const turn = useRef(0);
  const traced = useMemo((): Traced | undefined => {
    if (!kind) return undefined;
    const [a, b] = corners;
    const crosses = [
      { name: 'upper left corner', at: a, laid: a.laid },
      { name: 'lower right corner', at: b, laid: b.laid },
    ];
    if (!a.laid || !b.laid || !seen.ok) return { kind, crosses };
    const tap = (c: Laid): Tap => ({ u: c.u, v: c.v, sd: tapSd(c.sharp, size) });
    const thing = measureThing(seen, [tap(a), tap(b)], kind, out);
    return { kind, crosses, ...(thing ? { thing } : {}) };
  }, [kind, corners, seen, out, size]);
  const lay = (i: number, corner: Laid) => setCorners(([a, b]) => (i === 0 ? [corner, b] : [a, corner]));
  return {
    traced,
    begin: (next) => {
      setKind(next);
      setCorners(begun(size));
    },
    end: () => setKind(undefined),
    move: (i, to, how) => {
      const mine = ++turn.current;
      const laid = how !== 'moving' || corners[i]!.laid;
      lay(i, { ...to, laid, sharp: false });
      if (how !== 'dragged') return;
      void nearestInPhoto(to)
        .then((drawn) => {
          if (mine !== turn.current || drawn.to === 'nothing') return;
          lay(i, { u: drawn.u, v: drawn.v, laid: true, sharp: drawn.to === 'corner' });
        })
        .catch(() => undefined);
    },
  };
}
