import { useState } from 'react';
import { View } from 'react-native';
import type { Job, Viewer } from '@steddo/contract';
import { removeEntry, measure } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { EntryRow } from '../../ui/EntryRow';
import { NameDialog } from '../../ui/NameDialog';
import { newViewer } from './newEntries';
import { useRoomContext } from '../../state/roomState';

const POSTURES = [
  { value: 'seated', name: 'seated' },
  { value: 'reclined', name: 'leaning back' },
  { value: 'lying', name: 'lying' },
  { value: 'standing', name: 'standing' },
] as const;

/** Who watches from where: each with eye, distance, side, lean and weight. */
export function RoomPeople() {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const [open, setOpen] = useState<string>();
  const add = () => {
    const viewer = newViewer(job);
    dispatch({ do: 'put', path: `room.viewers.${viewer.id}`, value: viewer });
    setOpen(viewer.id);
  };
  const far = (v: Viewer) => (v.distance === undefined ? 'distance not yet' : `${say.length(v.distance)} away`);
  return (
    <>
      {(job.room.viewers ?? []).map((v) => (
        <EntryRow
          key={v.id}
          testID={`person-${v.id}`}
          title={v.name ?? v.id}
          note={`${POSTURES.find((p) => p.value === (v.posture ?? 'seated'))?.name ?? ''}, ${far(v)}`}
          open={open === v.id}
          onOpen={() => setOpen(open === v.id ? undefined : v.id)}
          onRemove={() => dispatch(removeEntry(job, `room.viewers.${v.id}`))}
          disabled={readOnly}
        >
          <PersonFields viewer={v} />
        </EntryRow>
      ))}
      <View style={{ padding: 12 }}>
        <Action quiet testID="add-person" label="add somebody" disabled={readOnly} onPress={add} />
      </View>
    </>
  );
}

function PersonFields({ viewer }: { viewer: Viewer }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const [naming, setNaming] = useState(false);
  const path = `room.viewers.${viewer.id}` as const;
  return (
    <>
      <TapeFields fields={personFields(job, viewer)} />
      <Choice
        label="watches"
        disabled={readOnly}
        options={POSTURES}
        value={viewer.posture ?? 'seated'}
        onChoose={(posture) => dispatch(measure(job, `${path}.posture`, posture))}
      />
      <View style={{ padding: 12 }}>
        <Action quiet label="name" disabled={readOnly} onPress={() => setNaming(true)} />
      </View>
      {naming ? (
        <NameDialog
          title="who sits there?"
          value={viewer.name ?? viewer.id}
          onClose={() => setNaming(false)}
          onTake={(name) => dispatch({ do: 'put', path: `${path}.name`, value: name })}
        />
      ) : null}
    </>
  );
}

/** Everything that is measured of one viewer. */
export function personFields(job: Job, viewer: Viewer): Field[] {
  const at = `room.viewers.${viewer.id}` as const;
  const name = viewer.name ?? 'the viewer';
  const guessed = (field: string) => job.guessed?.includes(`${at}.${field}`);
  const put = (field: string) => (v: number, now: Job) => measure(now, `${at}.${field}`, v);
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
      command: put('eye'),
    },
    {
      path: `${at}.distance`,
      label: `${name} to the wall`,
      kind: 'length',
      value: viewer.distance,
      guess: guessed('distance'),
      min: 200,
      max: 30_000,
      command: put('distance'),
    },
    {
      path: `${at}.x`,
      label: 'sideways, from the wall’s left end',
      kind: 'length',
      value: viewer.x,
      min: -10_000,
      max: 40_000,
      command: put('x'),
    },
    {
      path: `${at}.recline`,
      label: 'leans back by',
      kind: 'angle',
      value: viewer.recline,
      min: 0,
      max: 90,
      command: put('recline'),
    },
    {
      path: `${at}.weight`,
      label: 'counts as',
      hint: 'as many people, in the mean',
      kind: 'count',
      value: viewer.weight,
      min: 0.1,
      max: 20,
      command: put('weight'),
    },
  ];
}
