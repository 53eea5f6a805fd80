import { Suspense } from 'react';
import type { Item, Job, Viewer } from '@steddo/contract';
import { isCorner, measure, roomKindOf } from '@steddo/core';
import { useCanvas } from '../../state/canvasState';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Choice } from '../../ui/Choice';
import { BEHIND, COVERS, MASONRY, STATES, WALLS } from './buildChoices';
import { buildFields, buildFoldName } from './buildFields';
import { Fold } from '../../ui/Fold';
import { FoldedFindings } from '../../work/Findings';
import { ByWall, WallSwitch } from '../../work/WallSwitch';
import { benchFields } from './benchFields';
import { BondChoice } from './BondChoice';
import { RoomCentre } from './RoomCentre';
import { RoomFire, hasFire } from './RoomFire';
import { RoomFloor } from './RoomFloor';
import { RoomItems } from './RoomItems';
import { RoomKindPart } from './RoomKindPart';
import { RoomPeople, personFields } from './RoomPeople';
import { RoomZones } from './RoomZones';
import { useRoomContext } from '../../state/roomState';

/** The wall and what is on it, who sits where, what stands on the floor. */
export function RoomStage() {
  const { job, dispatch, readOnly } = useRoomContext();
  const { held, trace } = useCanvas();
  const fields = roomFields(job);
  const { build } = job.room.wall;
  const guess = job.guessed?.includes('room.wall.build.kind');
  const count = (name: string, list: readonly unknown[] | undefined) =>
    list?.length ? `${name}, ${list.length}` : name;
  const things = job.room.objects?.some((o) => o.id === held) ?? false;
  const part = trace === 'zone' || (job.room.wall.zones?.some((z) => z.id === held) ?? false);
  return (
    <>
      <RoomKindPart />
      <TapeFields fields={fields} />
      <Choice
        label="the wall is"
        disabled={readOnly}
        options={WALLS}
        value={guess ? undefined : build.kind}
        onChoose={(kind) => dispatch(measure(job, 'room.wall.build.kind', kind))}
      />
      <FoldedFindings stage="room" />
      {isCorner(job) ? (
        <Suspense>
          <WallSwitch />
        </Suspense>
      ) : null}
      <Fold name={count('on the wall', job.room.objects)} hold={things}>
        <ByWall>
          <RoomItems />
        </ByWall>
      </Fold>
      <Fold name={count('people', job.room.viewers)}>
        <RoomPeople />
      </Fold>
      {isCorner(job) ? null : (
        <Fold name="centre line">
          <RoomCentre />
        </Fold>
      )}
      <Fold name={buildFoldName(build.kind)}>
        {build.kind === 'masonry' ? (
          <Choice
            label="built of"
            disabled={readOnly}
            options={MASONRY}
            value={build.masonry}
            onChoose={(masonry) => dispatch(measure(job, 'room.wall.build.masonry', masonry))}
          />
        ) : null}
        {build.kind === 'masonry' ? <BondChoice build={build} own={build.unit} path="room.wall.build.unit" /> : null}
        <TapeFields fields={buildFields(job)} />
        <Choice
          label="covered with"
          disabled={readOnly}
          options={COVERS}
          value={build.cover}
          onChoose={(cover) => dispatch(measure(job, 'room.wall.build.cover', cover))}
        />
        <Choice
          label="behind it"
          options={BEHIND}
          value={job.room.wall.behind}
          onChoose={(behind) => dispatch({ do: 'put', path: 'room.wall.behind', value: behind })}
          disabled={readOnly}
        />
        <Choice
          label="it is"
          disabled={readOnly}
          options={STATES}
          value={build.state}
          onChoose={(state) => dispatch(measure(job, 'room.wall.build.state', state))}
        />
      </Fold>
      <Fold name={count('parts that differ, corners', job.room.wall.zones)} hold={part}>
        <ByWall>
          <RoomZones />
        </ByWall>
      </Fold>
      {hasFire(job) ? (
        <Fold name="fire, heat and flues">
          <RoomFire />
        </Fold>
      ) : null}
      <Fold name={count('on the floor', job.room.floor)}>
        <RoomFloor />
      </Fold>
    </>
  );
}

const isBench = (job: Job): boolean => roomKindOf(job) === 'bench';

const firstViewer = (job: Job): Viewer =>
  job.room.viewers?.[0] ?? { id: 'v1', name: isBench(job) ? 'the stool' : 'the sofa', posture: 'seated' };

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
    ...firstFields(job),
    ...(isBench(job) ? benchFields(job) : [belowField(job)]),
  ];
}

/** Eyes and distance of the first viewer; a room without anybody gets one. */
function firstFields(job: Job): Field[] {
  const viewer = firstViewer(job);
  const known = job.room.viewers?.some((v) => v.id === viewer.id);
  const [eye, distance] = personFields(job, viewer);
  const bring = (field: Field, name: 'eye' | 'distance'): Field =>
    known
      ? field
      : {
          ...field,
          command: (value) => ({
            do: 'put',
            path: `room.viewers.${viewer.id}`,
            value: { ...viewer, [name]: value },
          }),
        };
  return [bring(eye!, 'eye'), bring(distance!, 'distance')];
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
        : {
            do: 'all',
            commands: [
              { do: 'put', path: 'room.objects.below', value: furnitureBelow(now, top) },
              {
                do: 'put',
                path: 'guessed',
                value: [...(now.guessed ?? []), 'room.objects.below.left'],
              },
            ],
          },
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
