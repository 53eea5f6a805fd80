import { useState } from 'react';
import { View } from 'react-native';
import type { Build, Job, Zone } from '@steddo/contract';
import { removeEntry } from '@steddo/core';
import { buildName } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { EntryRow } from '../../ui/EntryRow';
import { Switch } from '../../ui/Switch';
import { COVERS, KINDS, STATES } from './buildChoices';
import { newZone } from './newEntries';
import { spanFields } from './spanFields';
import { useRoomContext } from '../../state/roomState';

/** Where the wall is not like the rest, and which of its ends is a corner. */
export function RoomZones() {
  const { job, dispatch, readOnly } = useRoomContext();
  const [open, setOpen] = useState<string>();
  const { zones = [], returns = {} } = job.room.wall;
  const add = () => {
    const zone = newZone(job);
    dispatch({ do: 'put', path: `room.wall.zones.${zone.id}`, value: zone });
    setOpen(zone.id);
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
          open={open === z.id}
          onOpen={() => setOpen(open === z.id ? undefined : z.id)}
          onRemove={() => dispatch(removeEntry(job, `room.wall.zones.${z.id}`))}
          disabled={readOnly}
        >
          <ZoneFields zone={z} />
        </EntryRow>
      ))}
      <View style={{ padding: 12 }}>
        <Action quiet testID="add-zone" label="part of the wall differs" disabled={readOnly} onPress={add} />
      </View>
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
  );
}

const zoneName = ({ build = {} }: Zone): string =>
  [build.kind ? buildName(build.kind) : '', build.state ?? '', build.cover ?? ''].filter(Boolean).join(', ') ||
  'differs';

function ZoneFields({ zone }: { zone: Zone }) {
  const { dispatch, readOnly } = useRoomContext();
  const path = `room.wall.zones.${zone.id}` as const;
  const { build = {} } = zone;
  const put = (change: Partial<Build>) =>
    dispatch({ do: 'put', path: `${path}.build`, value: { ...build, ...change } });
  return (
    <>
      <Choice
        label="its board is"
        disabled={readOnly}
        options={STATES}
        value={build.state}
        onChoose={(state) => put({ state })}
      />
      <Choice
        label="it is"
        disabled={readOnly}
        options={KINDS}
        value={KINDS.find((k) => k.value === build.kind)?.value}
        onChoose={(kind) => put({ kind })}
      />
      <Choice
        label="covered with"
        disabled={readOnly}
        options={COVERS}
        value={build.cover}
        onChoose={(cover) => put({ cover })}
      />
      <TapeFields fields={zoneFields(zone)} />
    </>
  );
}

function zoneFields(zone: Zone): Field[] {
  const path = `room.wall.zones.${zone.id}` as const;
  const shared = { path, entry: zone, now: (j: Job) => j.room.wall.zones?.find((z) => z.id === zone.id) };
  return [
    ...spanFields({
      ...shared,
      ...{ low: 'left', high: 'right' },
      place: { label: 'left edge, from the left', min: 0, max: 30_000 },
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
  ];
}
