import type { Build, BuildKind, Job, Zone } from '@steddo/contract';
import { boardOf, measure, unitOf, USUAL_JOINT_MM, type Command } from '@steddo/core';
import type { Field } from '../../pad/fields';

/** What the fold about the wall's build is called: by what there is to say about it. */
export function buildFoldName(kind: Build['kind']): string {
  if (kind === 'masonry') return 'units, joints';
  return kind === 'timber-backing' || kind === 'metal-backing' ? 'backing' : 'board, studs';
}

/** Whose build is asked for: the wall's, or that of a part of it that differs; and what it is with all that it does not say itself. */
interface Asked {
  path: 'room.wall.build' | `room.wall.zones.${string}.build`;
  own: Partial<Build>;
  whole: Build;
  put: (job: Job, field: Length, value: number) => Command;
}

/** What a wall of a kind is asked for, and nothing that cannot matter there. */
export const buildFields = (job: Job): Field[] => {
  const { build } = job.room.wall;
  const put: Asked['put'] = (now, field, value) => measure(now, `room.wall.build.${field}`, value);
  return fieldsOf({ path: 'room.wall.build', own: build, whole: build, put });
};

/** The same of a part that differs: what it does not say is as the rest of the wall. */
export function partFields(job: Job, { id, build = {} }: Zone): Field[] {
  const path = `room.wall.zones.${id}.build` as const;
  const put: Asked['put'] = (_, field, value) => ({ do: 'put', path: `${path}.${field}`, value });
  return fieldsOf({ path, own: build, whole: { ...job.room.wall.build, ...build }, put });
}

function fieldsOf(asked: Asked): Field[] {
  return ASKED_FOR[asked.whole.kind].flatMap((ask) => ask(asked));
}

type Length = 'board' | 'gap' | 'spacing' | 'studWidth' | 'studDepth' | 'thickness' | 'depth';
type Ask = (asked: Asked) => Field[];

const lengthOf =
  (name: Length, label: string, min: number, max: number, hint?: string): Ask =>
  ({ path, own, put }) => [
    {
      path: `${path}.${name}`,
      label,
      ...(hint === undefined ? {} : { hint }),
      kind: 'length',
      value: own[name],
      min,
      max,
      command: (value, now) => put(now, name, value),
    },
  ];

/** A thin wall lets a long screw out at its far side. */
const DEPTH = lengthOf('depth', 'face to the far side, where that is near', 1, 2000, 'a thin wall, a skin');

/** Of panelling, and of board before masonry: what it stands on. */
const GAP: Ask = (asked) => {
  const { kind, cover } = asked.whole;
  const stands = cover === 'panel' || (kind === 'masonry' && cover !== 'none' && boardOf(asked.whole) > 0);
  return stands ? lengthOf('gap', 'hollow behind it', 0, 150, 'battens, dabs; 0 where none')(asked) : [];
};

/** Size of a unit and its joint; the first that is measured takes the others' usual sizes along. */
const units: Ask = ({ path, own, whole }) => {
  const usual = unitOf(whole);
  if (!usual) return [];
  const { unit } = own;
  const field = (name: 'width' | 'height' | 'joint', label: string, max: number): Field => ({
    path: `${path}.unit.${name}`,
    label,
    hint: unit ? '' : 'usual size until measured',
    kind: 'length',
    value: unit?.[name],
    min: name === 'joint' ? 0 : 20,
    max,
    command: (value) => ({
      do: 'put',
      path: `${path}.unit`,
      value: { ...usual, joint: USUAL_JOINT_MM, ...unit, [name]: value },
    }),
  });
  return [
    field('width', 'a unit is so long', 1000),
    field('height', 'and so high', 600),
    field('joint', 'mortar between', 60),
  ];
};

const STUDS: readonly Ask[] = [
  lengthOf('board', 'board over the studs', 0, 100),
  GAP,
  lengthOf('spacing', 'studs, centre to centre', 100, 1500, 'if known'),
  lengthOf('studWidth', "stud's width", 20, 200),
  lengthOf('studDepth', "stud's depth", 30, 400, 'if known'),
  DEPTH,
];
const SHEET: readonly Ask[] = [
  lengthOf('thickness', 'thickness of the backing', 0.3, 200),
  lengthOf('board', 'panel over it', 0, 100),
  GAP,
  DEPTH,
];

/** What is asked of each kind of wall; one that is missing here does not compile. */
const ASKED_FOR: Record<BuildKind, readonly Ask[]> = {
  'timber-stud': STUDS,
  'metal-stud': STUDS,
  masonry: [units, lengthOf('board', 'plaster or board over it', 0, 100), GAP, DEPTH],
  'timber-backing': SHEET,
  'metal-backing': SHEET,
  unknown: STUDS,
};
