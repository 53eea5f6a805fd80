import { useState } from 'react';
import { View } from 'react-native';
import type { Mount, Units } from '@steddo/contract';
import { plateScene, type PlateAsk } from '@steddo/drawing';
import { Drawing } from '../../canvas/Drawing';
import { Action } from '../../ui/Action';
import { Txt } from '../../ui/Txt';
import { FormField, type TextField } from './FormField';
import type { MountControl } from './mountForm';

interface PlateStep {
  title: string;
  how: string;
  ask: PlateAsk;
  fields: readonly { name: TextField; label: string; hint: string }[];
}

const steps = (long: string): readonly PlateStep[] => [
  {
    title: 'The plate',
    how: 'Lay it with its face up, the hook rail at the top. Width and height of the part that touches the wall, and how thick it is.',
    ask: 'size',
    fields: [
      { name: 'plateWidth', label: 'width', hint: long },
      { name: 'plateHeight', label: 'height', hint: long },
      { name: 'plateThickness', label: 'thickness', hint: 'mm' },
    ],
  },
  {
    title: 'Rows of slots',
    how: 'From the plate’s bottom edge up to the middle of each row, lowest first.',
    ask: 'rows',
    fields: [{ name: 'rows', label: 'rows', hint: 'mm, with ; between: 40; 180' }],
  },
  {
    title: 'Columns, hole to hole',
    how: 'From the plate’s middle to the middle of each slot of a row; minus to the left. Two slots 400 apart are -200 and 200.',
    ask: 'columns',
    fields: [{ name: 'columns', label: 'columns', hint: 'mm, with ; between: -200; 200' }],
  },
  {
    title: 'One slot',
    how: 'Its length end to end, and its height: the play there is when the plate is levelled.',
    ask: 'slot',
    fields: [
      { name: 'slotLength', label: 'length', hint: 'mm' },
      { name: 'slotHeight', label: 'height', hint: 'mm' },
    ],
  },
  {
    title: 'The hook',
    how: 'From the plate’s bottom edge up to where the hooks of the arms sit.',
    ask: 'hook',
    fields: [{ name: 'hook', label: 'hook', hint: long }],
  },
  {
    title: 'The arms',
    how: 'With an arm hung on the rail: from the rail to the middle of the set’s pattern, for each arm hole. Above the rail is plus, below it minus.',
    ask: 'none',
    fields: [{ name: 'armHoles', label: 'pattern above the hook', hint: 'mm, with ; between: -60; -10; 40' }],
  },
];

const DRAWING_PX = 200;

/** Measures the plate, one thing after the other, drawn as it is measured. */
export function PlateGuide({
  control,
  units,
  mount,
  onDone,
}: {
  control: MountControl;
  units: Units;
  /** As far as it is known now. */
  mount: Pick<Mount, 'plate' | 'hook'>;
  onDone: () => void;
}) {
  const [at, setAt] = useState(0);
  const all = steps(units === 'imperial' ? 'in' : 'mm');
  const step = all[at]!;
  const last = at === all.length - 1;
  const scene = plateScene(mount, units, step.ask);
  return (
    <View testID="plate-guide">
      <View style={{ height: DRAWING_PX }}>
        <Drawing scene={scene} box={scene.focus} units={units} label="the plate as measured, to scale" testID="plate" />
      </View>
      <View style={{ padding: 16, paddingBottom: 8, gap: 6 }}>
        <Txt kind="small" soft>{`${at + 1} of ${all.length}`}</Txt>
        <Txt kind="title" level={2}>
          {step.title}
        </Txt>
        <Txt>{step.how}</Txt>
      </View>
      {step.fields.map((f) => (
        <FormField key={f.name} control={control} {...f} />
      ))}
      <View style={{ flexDirection: 'row', gap: 8, padding: 12 }}>
        <View style={{ flex: 1 }}>
          <Action quiet label="back" onPress={() => (at === 0 ? onDone() : setAt(at - 1))} />
        </View>
        <View style={{ flex: 1 }}>
          <Action
            quiet
            testID="plate-next"
            label={last ? 'that is all' : 'next'}
            onPress={() => (last ? onDone() : setAt(at + 1))}
          />
        </View>
      </View>
    </View>
  );
}
