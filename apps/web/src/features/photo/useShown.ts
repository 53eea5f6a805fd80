import { useMemo, useState } from 'react';
import type { Offer } from '@steddo/core';
import { drawnDoubt } from '@steddo/core/photo';
import { photoDrawing } from '@steddo/drawing/photo';
import { MOST_DRAWN_DOUBT_MM } from '@steddo/text';
import { usePlanning } from '../../state/planning';
import { useRoomContext } from '../../state/roomState';
import type { Paint } from '../../worker/paint';
import { paintsOf } from './photoPaint';
import type { Seen } from './usePhotoPlane';

export const ARMS = [
  { value: 'rest', name: 'against the wall' },
  { value: 'out', name: 'swung out' },
] as const;
export const OVER = [
  { value: 'set', name: 'the set' },
  { value: 'marks', name: 'with plate and holes' },
] as const;
type Arm = (typeof ARMS)[number]['value'];
type Over = (typeof OVER)[number]['value'];

export interface Shown {
  offers: readonly Offer[];
  offer: Offer | undefined;
  /** Where the arm faces all seats at once, else the first of them. */
  pose: ReturnType<typeof armPose>;
  arm: Arm;
  over: Over;
  setKey: (key: string) => void;
  setArm: (arm: Arm) => void;
  setOver: (over: Over) => void;
  /** How far the set's corners may be out where they are drawn, mm; undefined where nothing is drawn. */
  doubt: number | undefined;
  paints: Paint[];
}

/** The set on the photograph, at the height and in the posture that is looked at. */
export function useShown(seen: Seen): Shown {
  const { job } = useRoomContext();
  const { offeredHeights } = usePlanning();
  const offers = useMemo(() => offeredHeights(job), [job, offeredHeights]);
  const [key, setKey] = useState<string>();
  const [arm, setArm] = useState<Arm>('rest');
  const [over, setOver] = useState<Over>('set');
  const offer = offers.find((o) => o.key === key) ?? offers[0];
  const pose = armPose(offer);
  const doubt = useMemo(() => doubtOf(seen, offer), [seen, offer]);
  const paints = useMemo(() => {
    if (!offer || !seen.ok || (doubt ?? Infinity) > MOST_DRAWN_DOUBT_MM) return [];
    const { plane, camera } = seen;
    const ask = { plane, camera, pose: arm === 'out' ? pose : undefined, marks: over === 'marks' };
    return paintsOf(photoDrawing(offer.job, offer.plan, ask));
  }, [offer, seen, doubt, arm, pose, over]);
  return { offers, offer, pose, arm, over, setKey, setArm, setOver, doubt, paints };
}

function armPose(offer: Offer | undefined) {
  const reach = offer?.plan.reach;
  return reach?.shared ?? reach?.seats.find((s) => s.reachable);
}

function doubtOf(seen: Seen, offer: Offer | undefined): number | undefined {
  const { placement } = offer?.plan ?? {};
  if (!seen.ok || !placement) return undefined;
  const { left, right, bottom, top } = placement;
  const corners = [left, right].flatMap((x) => [bottom, top].map((y) => ({ x, y })));
  return Math.max(...corners.map(({ x, y }) => drawnDoubt(seen.plane, x, y)));
}
