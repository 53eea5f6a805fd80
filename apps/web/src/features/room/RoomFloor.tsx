import { useState } from 'react';
import { View } from 'react-native';
import type { FloorThing, Job } from '@steddo/contract';
import { removeEntry } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { EntryRow } from '../../ui/EntryRow';
import { NameDialog } from '../../ui/NameDialog';
import { newFloorThing } from './newEntries';
import { spanFields } from './spanFields';
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
  const shared = { path, entry: f, now: (j: Job) => j.room.floor?.find((o) => o.id === f.id) };
  return [
    ...spanFields({
      ...shared,
      ...{ low: 'left', high: 'right' },
      place: { label: 'left edge, from the left', min: -20_000, max: 40_000 },
      size: { label: 'width', min: 10, max: 20_000 },
    }),
    ...spanFields({
      ...shared,
      ...{ low: 'near', high: 'far' },
      place: { label: 'front, from the wall', min: 0, max: 30_000 },
      size: { label: 'depth', min: 10, max: 20_000 },
    }),
    {
      path: `${path}.height`,
      label: 'height',
      kind: 'length',
      value: f.height,
      min: 0,
      max: 4000,
      command: (value) => ({ do: 'put', path: `${path}.height`, value }),
    },
  ];
}
