import type { Item, Photo, PhotoPlane } from '@steddo/contract';
import { guestRoom, landingStudy } from './jobs';

/** A demo room's wall as a camera that never was saw it: what the picture is made of, and what of it the room begins with. */
export interface Photographed {
  room: string;
  photo: Photo;
  /** What stands on the wall in the picture, whether the room knows of it or not. */
  things: readonly Item[];
  /** Sheets taped up on it, mm. */
  sheets: readonly { left: number; bottom: number; width: number; height: number }[];
  camera: {
    picture: { width: number; height: number };
    focal: number;
    at: { x: number; y: number; z: number };
    yaw: number;
    pitch: number;
    roll: number;
    k1: number;
  };
}

const A4 = { width: 210, height: 297 };
const PICTURE = { width: 1600, height: 1200 };
const { width: guestWall } = guestRoom.room.wall;
const { width: studyWall } = landingStudy.room.wall;

/** The guest room's wall as it was laid: its corners and its ceiling. */
const laid: PhotoPlane = {
  points: [
    { u: 0.08091, v: 0.13821, x: 0, y: 2387.6 },
    { u: 0.80574, v: 0.20138, x: 3657.6, y: 2387.6 },
    { u: 0.80458, v: 0.7787, x: 3657.6, y: 0 },
    { u: 0.09711, v: 0.89215, x: 0, y: 0 },
  ],
  k1: -0.02,
  references: [
    {
      what: 'wall',
      taps: [
        { u: 0.08091, v: 0.13821, sharp: true },
        { u: 0.80574, v: 0.20138, sharp: true },
        { u: 0.80458, v: 0.7787, sharp: true },
        { u: 0.09711, v: 0.89215, sharp: true },
      ],
    },
  ],
  edges: [
    [
      { u: 0.11793, v: 0.14098, sharp: true },
      { u: 0.2586, v: 0.152, sharp: true },
      { u: 0.38007, v: 0.16207, sharp: true },
      { u: 0.49207, v: 0.17181, sharp: true },
      { u: 0.59528, v: 0.18117, sharp: true },
      { u: 0.69038, v: 0.19011, sharp: true },
      { u: 0.78365, v: 0.19919, sharp: true },
    ],
  ],
};

export const photographed: readonly Photographed[] = [
  {
    room: 'guest-room',
    photo: { id: 'wall', of: 'room', at: '2027-03-03T15:20:00Z', type: 'image/jpeg', plane: laid },
    things: guestRoom.room.objects ?? [],
    sheets: [],
    camera: {
      picture: PICTURE,
      focal: 1600,
      at: { x: guestWall / 2 - 1700, y: 1420, z: 4500 },
      yaw: 21,
      pitch: 2.5,
      roll: -0.6,
      k1: -0.02,
    },
  },
  {
    room: 'landing-study',
    photo: { id: 'wall', of: 'room', at: '2027-03-03T15:40:00Z', type: 'image/jpeg' },
    things: [
      { id: 'outlet', kind: 'outlet', left: 1240, right: 1326, bottom: 300, top: 386 },
      { id: 'switch', kind: 'switch', left: 2870, right: 2956, bottom: 1080, top: 1166 },
      { id: 'cabinet', kind: 'cabinet', left: 380, right: 1080, bottom: 0, top: 760, out: 340 },
      { id: 'window', kind: 'window', left: 2280, right: 2760, bottom: 1350, top: 2050, out: 0 },
    ],
    sheets: [
      { left: 420, bottom: 1450, ...A4 },
      { left: 2560, bottom: 700, ...A4 },
    ],
    camera: {
      picture: PICTURE,
      focal: 1640,
      at: { x: studyWall / 2 + 1250, y: 1480, z: 3900 },
      yaw: -18,
      pitch: 4,
      roll: 0.8,
      k1: -0.025,
    },
  },
];
