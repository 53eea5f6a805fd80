import type { BuildKind, HeightRule, Job, RoomKind, Side } from '@steddo/contract';
import {
  CORNER_DEG,
  SIDE_WALL_MM,
  boxesToCut,
  cornerSideOf,
  isCorner,
  measure,
  roomKindOf,
  turnCorner,
  type Command,
} from '@steddo/core';
import { roomKindName } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { newBox } from '../../state/boxEdits';
import { useRoomContext } from '../../state/roomState';
import { Choice } from '../../ui/Choice';
import { WALLS } from './buildChoices';

/** Kinds of job that can be worked out from end to end. */
const KINDS: readonly RoomKind[] = ['wall', 'corner', 'recess', 'vehicle', 'bench'];

/** What kind of job it is; of a corner, where its other wall is and how that is made. */
export function RoomKindPart() {
  const { job, dispatch, readOnly } = useRoomContext();
  const kind = roomKindOf(job);
  const known = KINDS.includes(kind) ? KINDS : [...KINDS, kind];
  return (
    <>
      <Choice
        label="it hangs"
        disabled={readOnly}
        options={known.map((value) => ({ value, name: roomKindName[value] }))}
        value={kind}
        onChoose={(to) => dispatch(kindCommand(job, to))}
      />
      {isCorner(job) ? <OtherWall /> : null}
    </>
  );
}

/** A new corner is square until it is measured, and its other wall like the first. */
function kindCommand(job: Job, kind: RoomKind): Command {
  const put: Command = { do: 'put', path: 'room.kind', value: kind };
  const rule = heightRuleOf(job, kind);
  if (rule) return { do: 'all', commands: [put, { do: 'put', path: 'aim.height', value: rule }] };
  // of a vehicle's wall only the backing counts: where it is, is traced at the wall
  if (kind === 'vehicle' && (job.guessed ?? []).includes('room.wall.build.kind'))
    return { do: 'all', commands: [put, { do: 'put', path: 'room.wall.build.kind', value: 'metal-backing' }] };
  if (kind === 'recess' && boxesToCut(job.room.objects).length === 0)
    return { do: 'all', commands: [put, ...addBox(job)] };
  if (kind !== 'corner' || job.room.corner) return put;
  return {
    do: 'all',
    commands: [
      put,
      { do: 'put', path: 'room.corner', value: 'left' },
      { do: 'put', path: 'room.sideWalls.left', value: { width: SIDE_WALL_MM } },
      { do: 'put', path: 'guessed', value: [...(job.guessed ?? []), 'room.sideWalls.left.width'] },
    ],
  };
}

/** The box that the job is about, its place a guess until it is measured, and the set centred on it. */
function addBox(job: Job): Command[] {
  const box = newBox(job);
  const path = `room.objects.${box.id}` as const;
  return [
    { do: 'put', path, value: box },
    { do: 'put', path: 'aim.centre', value: { on: 'object', object: box.id } },
    {
      do: 'put',
      path: 'guessed',
      value: [...(job.guessed ?? []), ...['left', 'bottom', 'top'].map((f) => `${path}.${f}`)],
    },
  ];
}

/** The height that is usual there, while nobody has chosen another: at a bench the upper edge at the eyes, else the middle. */
function heightRuleOf({ aim, guessed }: Job, kind: RoomKind): HeightRule | undefined {
  if (kind === 'bench') return (guessed ?? []).includes('aim.height') ? 'top-at-eyes' : undefined;
  return aim.height === 'top-at-eyes' ? 'eyes' : undefined;
}

const SIDES = [
  { value: 'left', name: 'at the left end' },
  { value: 'right', name: 'at the right end' },
] as const;

function OtherWall() {
  const { job, dispatch, readOnly } = useRoomContext();
  const side = cornerSideOf(job);
  const own = job.room.sideWalls?.[side];
  const kind = own?.build?.kind ?? job.room.wall.build.kind;
  return (
    <>
      <Choice
        label="the corner is"
        disabled={readOnly}
        options={SIDES}
        value={side}
        onChoose={(to) => dispatch(turnCorner(job, side, to))}
      />
      <TapeFields fields={cornerFields(job, side)} />
      <Choice
        label="the other wall is"
        disabled={readOnly}
        options={WALLS}
        value={kind}
        onChoose={(to: BuildKind) => dispatch(buildCommand(job, side, to))}
      />
    </>
  );
}

/** Brick has no board of the wall beside it. */
const buildCommand = (job: Job, side: Side, kind: BuildKind): Command => ({
  do: 'put',
  path: `room.sideWalls.${side}.build`,
  value: {
    ...job.room.sideWalls?.[side]?.build,
    kind,
    ...(kind === 'masonry' ? { masonry: 'brick', cover: 'none', board: 0 } : {}),
  },
});

function cornerFields(job: Job, side: Side): Field[] {
  const own = job.room.sideWalls?.[side];
  const width = `room.sideWalls.${side}.width` as const;
  return [
    {
      path: 'room.cornerAngle',
      label: 'angle of the corner',
      hint: 'square is 90; three along one wall and four along the other are five apart',
      kind: 'angle',
      value: job.room.cornerAngle ?? CORNER_DEG,
      guess: job.room.cornerAngle === undefined,
      min: 45,
      max: 170,
      command: (value) => ({ do: 'put', path: 'room.cornerAngle', value }),
    },
    {
      path: width,
      label: 'other wall’s width',
      kind: 'length',
      value: own?.width,
      guess: job.guessed?.includes(width) || own?.width === undefined,
      min: 300,
      max: 30_000,
      command: (value, now) => measure(now, width, value),
    },
  ];
}
