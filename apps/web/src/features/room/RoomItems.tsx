import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { Item, ItemKind, Job } from '@steddo/contract';
import { removeEntry, measure, plateMayCover, setMayCover, type Command } from '@steddo/core';
import { fromPhotoText, itemName, type Wording } from '@steddo/text';
import { useCanvas } from '../../state/canvasState';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { EntryRow } from '../../ui/EntryRow';
import { Switch } from '../../ui/Switch';
import { NameDialog } from '../../ui/NameDialog';
import { KindSheet } from '../../work/KindSheet';
import { BoxFields } from './BoxFields';
import { MantelFields } from './MantelFields';
import { newItem } from './newEntries';
import { photoPath } from '../../state/photoPath';
import { useRoomContext, useSeenWall } from '../../state/roomState';
import { isFromCorner } from '../../state/seenStore';

/** The things on the wall: added by kind, dragged on the drawing, or typed. */
export function RoomItems() {
  const { id, job, dispatch, readOnly, say } = useRoomContext();
  const { held, setHeld } = useCanvas();
  const [adding, setAdding] = useState(false);
  const seen = useSeenWall();
  const items = (job.room.objects ?? []).filter((o) => seen !== 'main' || (o.wall ?? 'main') === 'main');
  const add = (kind: ItemKind) => {
    const item = newItem(job, kind);
    dispatch(putGuessed(job, item));
    setHeld(item.id);
    setAdding(false);
  };
  return (
    <>
      {items.map((item) => (
        <EntryRow
          key={item.id}
          testID={`thing-${item.id}`}
          title={item.name ?? itemName(item.kind)}
          note={noteOf(item, say)}
          open={held === item.id}
          onOpen={() => setHeld(held === item.id ? undefined : item.id)}
          onRemove={() => dispatch(removeEntry(job, `room.objects.${item.id}`))}
          disabled={readOnly}
        >
          <ItemFields item={item} />
        </EntryRow>
      ))}
      <View style={{ padding: 12, gap: 8 }}>
        <Action
          quiet
          testID="add-thing"
          label="add a thing on the wall"
          disabled={readOnly}
          onPress={() => setAdding(true)}
        />
        {seen === undefined ? (
          <Action
            quiet
            testID="trace-things"
            label="trace them on a photograph"
            onPress={() => router.push(photoPath(id, job))}
          />
        ) : null}
      </View>
      {adding ? <KindSheet onClose={() => setAdding(false)} onPick={add} /> : null}
    </>
  );
}

/** Where it is; and while no tape has settled it, how far a picture may be out. */
function noteOf(item: Item, say: Wording): string {
  const where = `${say.length(item.right - item.left)} wide, ${say.length(item.bottom)} to ${say.length(item.top)} up`;
  return item.photo === undefined ? where : `${where}, ${fromPhotoText(item.doubt ?? 0, say)}`;
}

/** A new thing stands where nobody has measured it: its place is a guess until it is moved or typed. */
function putGuessed(job: Job, item: Item): Command {
  const path = `room.objects.${item.id}` as const;
  const guessed = [...(job.guessed ?? []), `${path}.left`, `${path}.bottom`, `${path}.top`];
  return {
    do: 'all',
    commands: [
      { do: 'put', path, value: item },
      { do: 'put', path: 'guessed', value: guessed },
    ],
  };
}

const WALLS = [
  { value: 'main', name: 'this wall' },
  { value: 'left', name: 'left side wall' },
  { value: 'right', name: 'right side wall' },
] as const;
const HINGES = [
  { value: 'left', name: 'left' },
  { value: 'right', name: 'right' },
] as const;

function ItemFields({ item }: { item: Item }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const seen = useSeenWall();
  const corner = seen !== undefined;
  const [naming, setNaming] = useState(false);
  const path = `room.objects.${item.id}` as const;
  const flag = (name: 'setMayCover' | 'plateMayCover') => (on: boolean) =>
    dispatch({ do: 'put', path: `${path}.${name}`, value: on });
  return (
    <>
      <TapeFields fields={itemFields(job, item, isFromCorner(seen))} />
      {item.kind === 'mantel' ? <MantelFields item={item} /> : null}
      {item.kind === 'box' ? <BoxFields item={item} /> : null}
      <Switch
        label="the set may hang in front of it"
        testID="set-may-cover"
        on={setMayCover(item)}
        disabled={readOnly}
        onChange={flag('setMayCover')}
      />
      <Switch
        label="the plate may sit on it"
        testID="plate-may-cover"
        note="an open plate may stand around it even so"
        on={plateMayCover(item)}
        disabled={readOnly}
        onChange={flag('plateMayCover')}
      />
      {corner ? null : (
        <Choice
          label="it is on"
          disabled={readOnly}
          options={WALLS}
          value={item.wall ?? 'main'}
          onChoose={(wall) => dispatch({ do: 'put', path: `${path}.wall`, value: wall })}
        />
      )}
      {item.kind === 'door' ? (
        <Choice
          label="hinges"
          disabled={readOnly}
          options={HINGES}
          value={item.hinge}
          onChoose={(hinge) => dispatch({ do: 'put', path: `${path}.hinge`, value: hinge })}
        />
      ) : null}
      <View style={{ padding: 12 }}>
        <Action quiet label="name it" disabled={readOnly} onPress={() => setNaming(true)} />
      </View>
      {naming ? (
        <NameDialog
          title="what is it called?"
          value={item.name ?? itemName(item.kind)}
          onClose={() => setNaming(false)}
          onTake={(name) => dispatch({ do: 'put', path: `${path}.name`, value: name })}
        />
      ) : null}
    </>
  );
}

/** Its place as the tape reads it: left edge, width, bottom, height. Size stays when a place is typed. */
function itemFields(job: Job, item: Item, fromCorner: boolean): Field[] {
  const path = `room.objects.${item.id}` as const;
  const guessed = (field: string) => job.guessed?.includes(`${path}.${field}`);
  const { wall } = job.room;
  const now = (j: Job): Item => j.room.objects?.find((o) => o.id === item.id) ?? item;
  const span = (j: Job, low: 'left' | 'bottom', high: 'right' | 'top', from: number, size: number): Command => ({
    do: 'all',
    commands: [measure(j, `${path}.${low}`, from), { do: 'put', path: `${path}.${high}`, value: from + size }],
  });
  return [
    {
      path: `${path}.left`,
      label: fromCorner ? 'nearer edge, from the corner' : 'left edge, from the left',
      kind: 'length',
      value: item.left,
      guess: guessed('left'),
      min: -5000,
      max: wall.width + 5000,
      command: (v, j) => span(j, 'left', 'right', v, now(j).right - now(j).left),
    },
    {
      path: `${path}.width`,
      label: 'width',
      kind: 'length',
      value: item.right - item.left,
      guess: guessed('right'),
      min: 1,
      max: wall.width * 2,
      command: (v, j) => measure(j, `${path}.right`, now(j).left + v),
    },
    {
      path: `${path}.bottom`,
      label: 'bottom, from the floor',
      kind: 'length',
      value: item.bottom,
      guess: guessed('bottom'),
      min: 0,
      max: wall.height,
      command: (v, j) => span(j, 'bottom', 'top', v, now(j).top - now(j).bottom),
    },
    {
      path: `${path}.top`,
      label: 'top, from the floor',
      kind: 'length',
      value: item.top,
      guess: guessed('top'),
      min: Math.max(1, item.bottom + 1),
      max: wall.height * 2,
      command: (v, j) => measure(j, `${path}.top`, v),
    },
    {
      path: `${path}.out`,
      label: 'stands out from the wall',
      kind: 'length',
      value: item.out,
      min: 0,
      max: 3000,
      command: (v) => ({ do: 'put', path: `${path}.out`, value: v }),
    },
    ...(item.kind === 'device'
      ? [
          {
            path: `${path}.depth`,
            label: 'depth of the box',
            kind: 'length' as const,
            ...(item.depth === undefined ? {} : { value: item.depth }),
            min: 1,
            max: 500,
            command: (v: number): Command => ({ do: 'put', path: `${path}.depth`, value: v }),
          },
          {
            path: `${path}.mass`,
            label: 'its mass',
            kind: 'mass' as const,
            ...(item.mass === undefined ? {} : { value: item.mass }),
            min: 0.05,
            max: 50,
            command: (v: number): Command => ({ do: 'put', path: `${path}.mass`, value: v }),
          },
        ]
      : []),
    ...(item.kind === 'mantel'
      ? [
          {
            path: `${path}.topThickness`,
            label: 'thickness of its top board',
            kind: 'length' as const,
            value: item.topThickness,
            min: 1,
            max: 200,
            command: (v: number): Command => ({ do: 'put', path: `${path}.topThickness`, value: v }),
          },
        ]
      : []),
  ];
}
