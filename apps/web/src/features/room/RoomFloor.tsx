import { useState } from 'react';
import { View } from 'react-native';
import type { FloorThing, Job } from '@steddo/contract';
import { removeEntry, type Command } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { EntryRow } from '../../ui/EntryRow';
import { NameDialog } from '../../ui/NameDialog';
import { newFloorThing } from './newEntries';
import { useRoomContext } from '../../state/roomState';

/** What stands on the floor, as footprints: a sofa, a table, a rowing machine. */
export function RoomFloor() {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const [open, setOpen] = useState<string>();
  const [naming, setNaming] = useState<FloorThing>();
  const add = () => {
    const thing = newFloorThing(job);
    dispatch({ do: 'put', path: `room.floor.${thing.id}`, value: thing });
    setOpen(thing.id);
  };
  return (
    <>
      {(job.room.floor ?? []).map((f) => (
        <EntryRow
          key={f.id}
          testID={`floor-${f.id}`}
          title={f.name ?? f.kind}
          note={`${say.length(f.near)} to ${say.length(f.far)} from the wall`}
          open={open === f.id}
          onOpen={() => setOpen(open === f.id ? undefined : f.id)}
          onRemove={() => dispatch(removeEntry(job, `room.floor.${f.id}`))}
          disabled={readOnly}
        >
          <TapeFields fields={floorFields(f)} />
          <View style={{ padding: 12 }}>
            <Action quiet label="name it" disabled={readOnly} onPress={() => setNaming(f)} />
          </View>
        </EntryRow>
      ))}
      <View style={{ padding: 12 }}>
        <Action quiet testID="add-floor" label="add a thing on the floor" disabled={readOnly} onPress={add} />
      </View>
      {naming ? (
        <NameDialog
          title="what stands there?"
          value={naming.name ?? naming.kind}
          onClose={() => setNaming(undefined)}
          onTake={(name) => dispatch({ do: 'put', path: `room.floor.${naming.id}.name`, value: name })}
        />
      ) : null}
    </>
  );
}

function floorFields(f: FloorThing): Field[] {
  const path = `room.floor.${f.id}` as const;
  const put =
    (name: string) =>
    (value: number): Command => ({ do: 'put', path: `${path}.${name}`, value });
  const now = (j: Job): FloorThing => j.room.floor?.find((o) => o.id === f.id) ?? f;
  const move =
    (low: 'left' | 'near', high: 'right' | 'far') =>
    (value: number, j: Job): Command => ({
      do: 'all',
      commands: [put(low)(value), put(high)(value + now(j)[high] - now(j)[low])],
    });
  return [
    {
      path: `${path}.left`,
      label: 'left edge, from the left',
      kind: 'length',
      value: f.left,
      min: -20_000,
      max: 40_000,
      command: move('left', 'right'),
    },
    {
      path: `${path}.width`,
      label: 'width',
      kind: 'length',
      value: f.right - f.left,
      min: 10,
      max: 20_000,
      command: (v, j) => put('right')(now(j).left + v),
    },
    {
      path: `${path}.near`,
      label: 'front, from the wall',
      kind: 'length',
      value: f.near,
      min: 0,
      max: 30_000,
      command: move('near', 'far'),
    },
    {
      path: `${path}.depth`,
      label: 'depth',
      kind: 'length',
      value: f.far - f.near,
      min: 10,
      max: 20_000,
      command: (v, j) => put('far')(now(j).near + v),
    },
    {
      path: `${path}.height`,
      label: 'height',
      kind: 'length',
      value: f.height,
      min: 0,
      max: 4000,
      command: put('height'),
    },
  ];
}
