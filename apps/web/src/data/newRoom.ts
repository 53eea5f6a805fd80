import type { Job, Units } from '@steddo/contract';
import { isVehicle } from '@steddo/core';

/** A room before anything is measured: a valid job in which every number is marked as a guess. */
export function newRoom(title: string, units: Units): Job {
  return {
    format: 'steddo-job',
    version: 1,
    title,
    units,
    guessed: [
      'screen.diagonal',
      'screen.mass',
      'screen.pattern',
      'room.wall.width',
      'room.wall.height',
      'room.wall.build.kind',
      'room.viewers.v1.eye',
      'room.viewers.v1.distance',
      'aim.height',
    ],
    screen: { diagonal: 1270, mass: 14, pattern: { width: 200, height: 200 } },
    room: {
      wall: { width: 3657.6, height: 2438.4, build: { kind: 'timber-stud' } },
      viewers: [{ id: 'v1', name: 'the sofa', eye: 1066.8, distance: 2743.2, posture: 'seated' }],
    },
    aim: { height: 'eyes', centre: { on: 'wall' } },
  };
}

/** What of a room's guesses is about the set and not about the wall or who sits before it. */
const ofTheSet = (path: string): boolean => path.startsWith('screen.');

/**
 * A room with the set, the mount and what was measured on it of another, and the kit it is hung with; nothing of its
 * wall, its people or what was found behind it. The same set again for the house next door.
 */
export function newRoomFrom(from: Job, title: string): Job {
  const fresh = newRoom(title, from.units);
  const { armHole, stack, fold } = from.choices ?? {};
  const choices = Object.fromEntries(Object.entries({ armHole, stack, fold }).filter(([, v]) => v !== undefined));
  const guessed = [
    ...(from.guessed ?? []).filter(ofTheSet),
    ...(fresh.guessed ?? []).filter((path) => !ofTheSet(path)),
  ];
  const { screen, mount, measured, anchors, lags, bits } = from;
  const taken = { mount, measured, anchors, lags, bits, ...(Object.keys(choices).length > 0 ? { choices } : {}) };
  const room = isVehicle(from)
    ? {
        ...fresh.room,
        kind: 'vehicle' as const,
        wall: { ...fresh.room.wall, build: { kind: 'metal-backing' as const } },
      }
    : fresh.room;
  return {
    ...fresh,
    guessed,
    screen,
    room,
    ...Object.fromEntries(Object.entries(taken).filter(([, v]) => v !== undefined)),
  };
}

/** A title that no room has yet: as wished, else with the first number that is free. */
export function freeTitle(wished: string, taken: readonly string[]): string {
  const all = new Set(taken);
  if (!all.has(wished)) return wished;
  const stem = wished.replace(/ \d+$/, '');
  for (let n = 2; ; n++) if (!all.has(`${stem} ${n}`)) return `${stem} ${n}`;
}
