import type { BuildKind, Item, Job, Viewer } from '@steddo/contract';
import { measure, type Command } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Choice } from '../../ui/Choice';
import { Fold } from './Fold';
import { FoldedFindings } from './Findings';
import { useRoomContext } from './RoomContext';

const WALLS: readonly { value: BuildKind; name: string }[] = [
  { value: 'timber-stud', name: 'timber studs' },
  { value: 'masonry', name: 'masonry' },
  { value: 'metal-stud', name: 'metal studs' },
  { value: 'timber-backing', name: 'timber backing' },
  { value: 'metal-backing', name: 'metal backing' },
  { value: 'unknown', name: 'not known' },
];
const POSTURES = [
  { value: 'seated', name: 'seated' },
  { value: 'reclined', name: 'leaning back' },
  { value: 'lying', name: 'lying' },
  { value: 'standing', name: 'standing' },
] as const;

/** Where they sit, what is below, and what the wall is. */
export function RoomStage() {
  const { job, dispatch, readOnly } = useRoomContext();
  const fields = roomFields(job);
  const more = (job.room.viewers ?? []).slice(1).flatMap((v) => viewerFields(job, v));
  const { build } = job.room.wall;
  const viewer = firstViewer(job);
  const guess = job.guessed?.includes('room.wall.build.kind');
  return (
    <>
      <TapeFields fields={fields} />
      <Choice
        label="the wall is"
        disabled={readOnly}
        options={WALLS}
        value={guess ? undefined : build.kind}
        onChoose={(kind) => dispatch(measure(job, 'room.wall.build.kind', kind))}
      />
      <FoldedFindings stage="room" />
      <Fold name={more.length > 0 ? 'others, board, studs, posture' : 'board, studs, posture'}>
        <TapeFields fields={[...more, ...wallFields(job)]} />
        <Choice
          label="watched"
          disabled={readOnly}
          options={POSTURES}
          value={viewer.posture ?? 'seated'}
          onChoose={(posture) => dispatch(putViewer(job, viewer, { posture }))}
        />
      </Fold>
    </>
  );
}

const firstViewer = (job: Job): Viewer =>
  job.room.viewers?.[0] ?? { id: 'v1', name: 'the sofa', posture: 'seated' };

/** Changes a viewer, or brings the first one into a room that has none. */
function putViewer(job: Job, viewer: Viewer, change: Partial<Viewer>): Command {
  const [field = ''] = Object.keys(change);
  const known = job.room.viewers?.some((v) => v.id === viewer.id);
  const base = `room.viewers.${viewer.id}`;
  if (!known) return { do: 'put', path: base, value: { ...viewer, ...change } };
  return measure(job, `${base}.${field}`, change[field as keyof Viewer]);
}

function roomFields(job: Job): Field[] {
  const { wall } = job.room;
  const side = (axis: 'width' | 'height', max: number): Field => ({
    path: `room.wall.${axis}`,
    label: `wall's ${axis}`,
    kind: 'length',
    value: wall[axis],
    guess: job.guessed?.includes(`room.wall.${axis}`),
    min: 300,
    max,
    command: (v, now) => measure(now, `room.wall.${axis}`, v),
  });
  return [
    side('width', 30_000),
    side('height', 10_000),
    ...viewerFields(job, firstViewer(job)),
    belowField(job),
  ];
}

/** Eyes and distance of one viewer. */
function viewerFields(job: Job, viewer: Viewer): Field[] {
  const name = viewer.name ?? 'the viewer';
  const at = `room.viewers.${viewer.id}`;
  const guessed = (field: string) => job.guessed?.includes(`${at}.${field}`);
  return [
    {
      path: `${at}.eye`,
      label: `eyes of ${name}`,
      hint: 'above the floor, settled',
      kind: 'length',
      value: viewer.eye,
      guess: guessed('eye'),
      min: 200,
      max: 2500,
      command: (eye, now) => putViewer(now, viewer, { eye }),
    },
    {
      path: `${at}.distance`,
      label: `${name} to the wall`,
      kind: 'length',
      value: viewer.distance,
      guess: guessed('distance'),
      min: 200,
      max: 30_000,
      command: (distance, now) => putViewer(now, viewer, { distance }),
    },
  ];
}

/** The top of what stands below; a room without it gets a piece of furniture under the set. */
function belowField(job: Job): Field {
  const below = job.room.objects?.find((o) => o.kind === 'furniture');
  return {
    path: `room.objects.${below?.id ?? 'below'}.top`,
    label: below?.name ? `top of the ${below.name}` : 'top of the furniture below',
    kind: 'length',
    value: below?.top,
    min: 20,
    max: job.room.wall.height,
    command: (top, now) =>
      below
        ? measure(now, `room.objects.${below.id}.top`, top)
        : { do: 'put', path: 'room.objects.below', value: furnitureBelow(now, top) },
  };
}

/** Under the middle of the wall; where it ends sideways matters only for what it keeps clear. */
function furnitureBelow(job: Job, top: number): Item {
  const { width } = job.room.wall;
  return {
    id: 'below',
    kind: 'furniture',
    name: 'furniture below',
    left: Math.round(width * 0.3),
    right: Math.round(width * 0.7),
    bottom: 0,
    top,
  };
}

function wallFields(job: Job): Field[] {
  const { build } = job.room.wall;
  const put = (field: string) => (value: number, now: Job) =>
    measure(now, `room.wall.build.${field}`, value);
  return [
    {
      path: 'room.wall.build.board',
      label: 'board over the studs',
      hint: 'thickness',
      kind: 'length',
      value: build.board,
      min: 0,
      max: 100,
      command: put('board'),
    },
    {
      path: 'room.wall.build.spacing',
      label: 'studs, centre to centre',
      hint: 'if known',
      kind: 'length',
      value: build.spacing,
      min: 100,
      max: 1500,
      command: put('spacing'),
    },
    {
      path: 'room.wall.build.studWidth',
      label: "stud's width",
      kind: 'length',
      value: build.studWidth,
      min: 20,
      max: 200,
      command: put('studWidth'),
    },
  ];
}
