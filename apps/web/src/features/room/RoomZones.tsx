import { View } from 'react-native';
import type { Build, Job, Zone } from '@steddo/contract';
import { removeEntry } from '@steddo/core';
import { buildName, masonryChoice } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { useCanvas } from '../../state/canvasState';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { EntryRow } from '../../ui/EntryRow';
import { Switch } from '../../ui/Switch';
import { TraceNote } from '../../work/TraceNote';
import { COVERS, KINDS, MASONRY, STATES } from './buildChoices';
import { BondChoice } from './BondChoice';
import { partFields } from './buildFields';
import { newZone } from './newEntries';
import { spanFields } from './spanFields';
import { useRoomContext, useSeenWall } from '../../state/roomState';
import { isFromCorner } from '../../state/seenStore';

/** Where the wall is not like the rest, and which of its ends is a corner. */
export function RoomZones() {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const { held, setHeld, trace, setTrace, setView } = useCanvas();
  const seen = useSeenWall();
  const { returns = {} } = job.room.wall;
  const zones = (job.room.wall.zones ?? []).filter((z) => seen !== 'main' || (z.wall ?? 'main') === 'main');
  const add = () => {
    const zone = newZone(job);
    dispatch({ do: 'put', path: `room.wall.zones.${zone.id}`, value: zone });
    setHeld(zone.id);
  };
  const corner = (side: 'left' | 'right') => (on: boolean) =>
    dispatch({ do: 'put', path: 'room.wall.returns', value: { ...returns, [side]: on } });
  return (
    <>
      {zones.map((z) => (
        <EntryRow
          key={z.id}
          testID={`zone-${z.id}`}
          title={zoneName(z)}
          note={`${say.length(z.right - z.left)} wide, ${say.length(z.bottom)} to ${say.length(z.top)} up`}
          open={held === z.id}
          onOpen={() => setHeld(held === z.id ? undefined : z.id)}
          onRemove={() => dispatch(removeEntry(job, `room.wall.zones.${z.id}`))}
          disabled={readOnly}
        >
          <ZoneFields zone={z} />
        </EntryRow>
      ))}
      {trace === 'zone' ? (
        <TraceNote onLetGo={() => setTrace(undefined)} />
      ) : (
        <View style={{ padding: 12, gap: 8 }}>
          <Action
            quiet
            testID="trace-zone"
            label="trace a part that differs on the wall"
            disabled={readOnly}
            onPress={() => {
              setView('face');
              setTrace('zone');
            }}
          />
          <Action quiet testID="add-zone" label="add one by its numbers" disabled={readOnly} onPress={add} />
        </View>
      )}
      {seen ? null : (
        <>
          <Switch
            label="a side wall at the left end"
            on={Boolean(returns.left)}
            disabled={readOnly}
            onChange={corner('left')}
          />
          <Switch
            label="a side wall at the right end"
            on={Boolean(returns.right)}
            disabled={readOnly}
            onChange={corner('right')}
          />
        </>
      )}
    </>
  );
}

const zoneName = ({ build = {}, face }: Zone): string =>
  [
    build.kind
      ? build.kind === 'masonry' && build.masonry
        ? masonryChoice[build.masonry]
        : buildName(build.kind)
      : '',
    build.state ?? '',
    build.cover && build.cover !== 'none' ? build.cover : '',
    face ? (face > 0 ? 'stands out' : 'lies back') : '',
  ]
    .filter(Boolean)
    .join(', ') || 'differs';

function ZoneFields({ zone }: { zone: Zone }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const path = `room.wall.zones.${zone.id}` as const;
  const { build = {} } = zone;
  const put = (change: Partial<Build>) =>
    dispatch({ do: 'put', path: `${path}.build`, value: { ...build, ...change } });
  const masonry = build.kind === 'masonry';
  return (
    <>
      <Choice
        label="it is"
        disabled={readOnly}
        options={KINDS}
        value={KINDS.find((k) => k.value === build.kind)?.value}
        onChoose={(kind) =>
          // brick has no board of the wall beside it
          put(
            kind === 'masonry' && build.kind !== 'masonry'
              ? { kind, masonry: 'brick', cover: 'none', board: 0 }
              : { kind },
          )
        }
      />
      {masonry ? (
        <>
          <Choice
            label="built of"
            disabled={readOnly}
            options={MASONRY}
            value={build.masonry}
            onChoose={(of) => put({ masonry: of })}
          />
          <BondChoice build={{ ...job.room.wall.build, ...build }} own={build.unit} path={`${path}.build.unit`} />
        </>
      ) : null}
      <Choice
        label="covered with"
        disabled={readOnly}
        options={COVERS}
        value={build.cover}
        onChoose={(cover) => put({ cover })}
      />
      <Choice
        label={masonry ? 'it stands' : 'its board is'}
        disabled={readOnly}
        options={STATES}
        value={build.state}
        onChoose={(state) => put({ state })}
      />
      <TapeFields
        fields={[...zoneFields(zone, isFromCorner(useSeenWall())), ...(build.kind ? partFields(job, zone) : [])]}
      />
    </>
  );
}

function zoneFields(zone: Zone, fromCorner: boolean): Field[] {
  const path = `room.wall.zones.${zone.id}` as const;
  const shared = { path, entry: zone, now: (j: Job) => j.room.wall.zones?.find((z) => z.id === zone.id) };
  return [
    ...spanFields({
      ...shared,
      ...{ low: 'left', high: 'right' },
      place: {
        label: fromCorner ? 'nearer edge, from the corner' : 'left edge, from the left',
        min: 0,
        max: 30_000,
      },
      size: { label: 'width', min: 1, max: 30_000 },
    }),
    ...spanFields({
      ...shared,
      ...{ low: 'bottom', high: 'top' },
      place: { label: 'bottom, from the floor', min: 0, max: 10_000 },
      size: { label: 'height', min: 1, max: 10_000 },
    }),
    {
      path: `${path}.face`,
      label: 'its face in front of the rest',
      hint: 'minus when it lies back',
      kind: 'length',
      value: zone.face,
      min: -500,
      max: 500,
      command: (value) => ({ do: 'put', path: `${path}.face`, value }),
    },
    {
      path: `${path}.doubt`,
      label: 'its edges may be off by',
      kind: 'length',
      value: zone.doubt,
      min: 0,
      max: 200,
      command: (value) => ({ do: 'put', path: `${path}.doubt`, value }),
    },
  ];
}
