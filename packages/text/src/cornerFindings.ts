import type { MountType, RoomKind } from '@steddo/contract';
import type { FindingCode, FindingValues } from '@steddo/core';
import { typeName, wallName } from './names';
import { capital, type Wording } from './wording';

type Sentences<C extends FindingCode> = { [K in C]: (v: FindingValues[K], say: Wording) => string };

/** What is said of a set in a corner, and of a mount in a room that is not for it. */
export const CORNER_SENTENCES = {
  'corner-out': (v, say) =>
    `In the corner the middle of the set's back stands ${say.length(v.outMm)} out: its edges come to the walls first.`,
  'corner-undrawn': () =>
    'What carries this mount in a corner has not been measured: the span between its pivots and the links of its rack, or the two links of its arm. Holes follow from those.',
  'corner-no-wood': (v, say) =>
    v.byMm === undefined
      ? `The foot comes ${say.length(v.xMm)} from the corner, and no stud is known there.`
      : `The foot comes ${say.length(v.xMm)} from the corner; the nearest stud would want it ${say.length(Math.abs(v.byMm))} ${v.byMm > 0 ? 'further out' : 'nearer to it'}.`,
  'corner-bracket-in-wall': (v, say) =>
    `${capital(wallName(v.onWall))}: the bracket's end would be ${say.length(v.byMm)} inside the wall. Keep a larger gap, or take a narrower bracket.`,
  'corner-link-short': (v, say) =>
    `${capital(wallName(v.onWall))}: the bracket's end is ${say.length(v.needMm)} out of the wall, and the rack's link is ${say.length(v.linkMm)} long. The set would have to stand deeper in the corner.`,
  'corner-foot-off': (v, say) =>
    `${capital(wallName(v.onWall))}: the foot would come ${say.length(v.xMm)} from the corner, on a wall of ${say.length(v.widthMm)}.`,
  'corner-arm-short': (v, say) =>
    `The pivot is ${say.length(v.outMm)} out of the wall, and the arm reaches from ${say.length(v.leastMm)} to ${say.length(v.mostMm)}: from nowhere on this wall does it bring the set there.`,
  'corner-turn-short': (v, say) =>
    `The set has to turn ${say.degrees(v.needDeg)} off this wall to face out of the corner, and the arm turns ${say.degrees(v.hasDeg)}.`,
  'corner-thing-in-way': (v, say) =>
    `The set would stand in ${say.thing(v.object)}. With a gap of ${say.length(v.gapMm)} to the walls it clears it.`,
  'mount-room-kind': (v) => roomKindText(v.type as MountType, v.kind as RoomKind),
} satisfies Partial<Sentences<FindingCode>>;

/** What kinds of job there are, as a list would have them. */
export const roomKindName: Record<RoomKind, string> = {
  wall: 'on a wall',
  corner: 'in a corner',
  recess: 'in the wall',
  vehicle: 'in a vehicle',
  bench: 'over a bench',
};

const MADE_FOR: Record<MountType, string> = {
  fixed: 'a wall',
  tilt: 'a wall',
  'full-motion': 'a wall or a corner',
  corner: 'a corner, with a foot on each of two walls',
  vehicle: 'a vehicle',
  'monitor-arm': 'a bench',
  recess: 'a box let into the wall',
};

const roomKindText = (type: MountType, kind: RoomKind): string =>
  `A ${typeName[type]} mount is made for ${MADE_FOR[type]}, and this job is ${roomKindName[kind]}.`;

/** A failed rule of the list in the same words. */
export const roomKindFit = (ok: boolean, type: MountType, kind: RoomKind): string =>
  ok ? `made for a job ${roomKindName[kind]}` : `made for ${MADE_FOR[type]}, not for a job ${roomKindName[kind]}`;
