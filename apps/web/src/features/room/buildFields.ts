import type { Build, Job } from '@steddo/contract';
import { measure, unitOf, USUAL_JOINT_MM } from '@steddo/core';
import type { Field } from '../../pad/fields';

/** What the fold about the wall's build is called: by what there is to say about it. */
export function buildFoldName(kind: Build['kind']): string {
  if (kind === 'masonry') return 'units, joints';
  return kind === 'timber-backing' || kind === 'metal-backing' ? 'backing' : 'board, studs';
}

/** What a wall of a kind is asked for, and nothing that cannot matter there. */
export function buildFields(job: Job): Field[] {
  const { build } = job.room.wall;
  switch (build.kind) {
    case 'masonry':
      return [...unitFields(job), ofBuild(job, 'board', 'plaster or board over it', 0, 100), depthField(job)];
    case 'timber-backing':
    case 'metal-backing':
      return [
        ofBuild(job, 'thickness', 'thickness of the backing', 0.3, 200),
        ofBuild(job, 'board', 'panel over it', 0, 100),
        depthField(job),
      ];
    default:
      return [
        ofBuild(job, 'board', 'board over the studs', 0, 100),
        ofBuild(job, 'spacing', 'studs, centre to centre', 100, 1500, 'if known'),
        ofBuild(job, 'studWidth', "stud's width", 20, 200),
        ofBuild(job, 'studDepth', "stud's depth", 30, 400, 'if known'),
        depthField(job),
      ];
  }
}

type Length = 'board' | 'spacing' | 'studWidth' | 'studDepth' | 'thickness' | 'depth';

function ofBuild(job: Job, name: Length, label: string, min: number, max: number, hint?: string): Field {
  return {
    path: `room.wall.build.${name}`,
    label,
    ...(hint === undefined ? {} : { hint }),
    kind: 'length',
    value: job.room.wall.build[name],
    min,
    max,
    command: (value, now) => measure(now, `room.wall.build.${name}`, value),
  };
}

/** A thin wall lets a long screw out at its far side. */
const depthField = (job: Job): Field =>
  ofBuild(job, 'depth', 'face to the far side, where that is near', 1, 2000, 'a thin wall, a skin');

/** Size of a unit and its joint; the first that is measured takes the others' usual sizes along. */
function unitFields(job: Job): Field[] {
  const { build } = job.room.wall;
  const usual = unitOf(build);
  if (!usual) return [];
  const { unit } = build;
  const field = (name: 'width' | 'height' | 'joint', label: string, max: number): Field => ({
    path: `room.wall.build.unit.${name}`,
    label,
    hint: unit ? '' : 'usual size until measured',
    kind: 'length',
    value: unit?.[name],
    min: name === 'joint' ? 0 : 20,
    max,
    command: (value) => ({
      do: 'put',
      path: 'room.wall.build.unit',
      value: { ...usual, joint: USUAL_JOINT_MM, ...unit, [name]: value },
    }),
  });
  return [
    field('width', 'a unit is so long', 1000),
    field('height', 'and so high', 600),
    field('joint', 'mortar between', 60),
  ];
}
