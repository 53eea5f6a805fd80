import type { Job, MountType, RoomKind, Side } from '@steddo/contract';

/** What a room is where nobody has said it, by the mount that was picked: what is made for one kind alone. */
const MADE_FOR: Partial<Record<MountType, RoomKind>> = { 'monitor-arm': 'bench', recess: 'recess', vehicle: 'vehicle' };

/** What kind of job a room is: said, else what its mount is made for, else a wall. A corner is said: it has a wall more. */
export const roomKindOf = ({ room, mount }: Pick<Job, 'room' | 'mount'>): RoomKind =>
  room.kind ?? (mount && MADE_FOR[mount.type]) ?? 'wall';

export const isVehicle = (job: Pick<Job, 'room' | 'mount'>): boolean => roomKindOf(job) === 'vehicle';

export const isCorner = (job: Pick<Job, 'room' | 'mount'>): boolean => roomKindOf(job) === 'corner';

/** What hangs in which kind of room; an arm that turns far enough hangs in a corner too. */
const HANGS_IN: Record<RoomKind, readonly MountType[]> = {
  wall: ['fixed', 'tilt', 'full-motion'],
  corner: ['corner', 'full-motion'],
  recess: ['recess'],
  vehicle: ['vehicle'],
  bench: ['monitor-arm'],
};

export const hangsIn = (type: MountType, kind: RoomKind): boolean => HANGS_IN[kind].includes(type);

/** Between two walls, degrees, when nobody has measured it. */
export const CORNER_DEG = 90;

/** Which side wall the corner is at, seen from the room. */
export const cornerSideOf = ({ room }: Pick<Job, 'room'>): Side => room.corner ?? 'left';

export const cornerAngleOf = ({ room }: Pick<Job, 'room'>): number => room.cornerAngle ?? CORNER_DEG;
