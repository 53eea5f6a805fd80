import { useState } from 'react';
import { View } from 'react-native';
import type { CentreRule, Item, Job } from '@steddo/contract';
import type { Command } from '@steddo/core';
import { itemName } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Choice } from '../../ui/Choice';
import { useRoomContext } from '../../state/roomState';
import { placeOfSet } from '../../state/placeOfSet';

const RULES = [
  { value: 'wall', name: 'the wall' },
  { value: 'between', name: 'between two' },
  { value: 'object', name: 'a thing' },
  { value: 'x', name: 'a place' },
] as const;

/** What the set is centred on. A curtain counts as an edge: choose it as one end of between. */
export function RoomCentre() {
  const { job, dispatch, readOnly, plan, late } = useRoomContext();
  const { centre } = job.aim;
  const items = (job.room.objects ?? []).filter((o) => (o.wall ?? 'main') === 'main');
  const [wanted, setWanted] = useState<CentreRule['on']>();
  const shown = wanted ?? centre.on;
  const put = (rule: CentreRule): void => {
    setWanted(undefined);
    dispatch(centreOn(rule));
  };
  const choose = (on: CentreRule['on']) => {
    if (on === 'wall') return put({ on });
    if (on === 'x') return put({ on, x: placeOfSet({ job, plan, late })?.x ?? job.room.wall.width / 2 });
    setWanted(on);
  };
  return (
    <View testID="centre-rule">
      <Choice label="centre on" disabled={readOnly} options={RULES} value={shown} onChoose={choose} />
      {shown === 'object' ? (
        <Things
          label="which"
          items={items}
          value={centre.on === 'object' ? centre.object : undefined}
          onChoose={(object) => put({ on: 'object', object })}
        />
      ) : null}
      {shown === 'between' ? <Between job={job} items={items} centre={centre} onPut={put} /> : null}
      {shown === 'x' && centre.on === 'x' ? <TapeFields fields={[xField(centre.x, job)]} /> : null}
    </View>
  );
}

/** The installer's own centre line gives way to the rule. */
const centreOn = (rule: CentreRule): Command => ({
  do: 'all',
  commands: [
    { do: 'put', path: 'aim.centre', value: rule },
    { do: 'drop', path: 'choices.centreX' },
  ],
});

const xField = (x: number, job: Job): Field => ({
  path: 'aim.centre.x',
  label: 'centre line, from the left',
  kind: 'length',
  value: x,
  min: 0,
  max: job.room.wall.width,
  command: (value) => centreOn({ on: 'x', x: value }),
});

const LEFT_END = 'left-end';
const RIGHT_END = 'right-end';

function Between({
  job,
  items,
  centre,
  onPut,
}: {
  job: Job;
  items: readonly Item[];
  centre: CentreRule;
  onPut: (rule: CentreRule) => void;
}) {
  const now = centre.on === 'between' ? centre : { a: 0, b: job.room.wall.width };
  const asChoice = (end: string | number): string => (typeof end === 'string' ? end : end <= 0 ? LEFT_END : RIGHT_END);
  const asEnd = (choice: string): string | number =>
    choice === LEFT_END ? 0 : choice === RIGHT_END ? job.room.wall.width : choice;
  const extra = [
    { value: LEFT_END, name: "wall's left end" },
    { value: RIGHT_END, name: "wall's right end" },
  ];
  return (
    <>
      {(['a', 'b'] as const).map((end) => (
        <Things
          key={end}
          label={end === 'a' ? 'from' : 'to'}
          items={items}
          extra={extra}
          value={asChoice(now[end])}
          onChoose={(choice) => onPut({ on: 'between', a: now.a, b: now.b, [end]: asEnd(choice) })}
        />
      ))}
    </>
  );
}

function Things({
  label,
  items,
  value,
  onChoose,
  extra = [],
}: {
  label: string;
  items: readonly Item[];
  value: string | undefined;
  onChoose: (id: string) => void;
  extra?: readonly { value: string; name: string }[];
}) {
  const { readOnly } = useRoomContext();
  const options = [...extra, ...items.map((i) => ({ value: i.id, name: i.name ?? itemName(i.kind) }))];
  return <Choice label={label} disabled={readOnly} options={options} value={value} onChoose={onChoose} />;
}
