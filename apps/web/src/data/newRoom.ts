import type { Job, Units } from '@steddo/contract';

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
