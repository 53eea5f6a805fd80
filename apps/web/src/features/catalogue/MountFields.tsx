import { Controller, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import type { BuildKind, MountType, Units } from '@steddo/contract';
import { WALL_KINDS } from '@steddo/core';
import { buildName, typeName } from '@steddo/text';
import { Choice } from '../../ui/Choice';
import { Switch } from '../../ui/Switch';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { FormField } from './FormField';
import { FormFold, type FormLine } from './FormFold';
import type { MountControl } from './mountForm';
import { hasArm } from './formToMount';
import { WALL_FIXINGS, measuresOf, ratingsOf, type WallFixing } from './wallFixings';

const TYPES = (Object.entries(typeName) as [MountType, string][]).map(([value, name]) => ({ value, name }));
const WALLS = (Object.keys(WALL_KINDS) as BuildKind[]).filter((wall) => WALL_KINDS[wall].main !== undefined);

const movesOf = (long: string): readonly FormLine[] => [
  { name: 'extended', label: 'out, at most', hint: long },
  { name: 'swivel', label: 'turns, each way', hint: 'degrees' },
  { name: 'tiltDown', label: 'tilts down', hint: 'degrees' },
  { name: 'tiltUp', label: 'tilts up', hint: 'degrees' },
  { name: 'slide', label: 'set slides, each way', hint: long },
  { name: 'studs', label: 'studs it needs' },
  { name: 'price', label: 'price' },
];

const ARM: readonly FormLine[] = [
  { name: 'armLinks', label: 'links, pin to pin', hint: 'mm, from the wall out: 230; 230', words: true },
  { name: 'armHead', label: 'last pin to the set’s back', hint: 'mm' },
  { name: 'armRoot', label: 'first pin off the plate’s middle', hint: 'mm, minus to the left' },
  { name: 'foldOffset', label: 'set aside when folded', hint: 'mm, as measured' },
];

const BAG: readonly FormLine[] = [
  { name: 'bagScrews', label: 'screws', hint: 'M6 x 12; M8 x 25', words: true },
  { name: 'bagSpacers', label: 'spacers', hint: 'mm: 5; 10', words: true },
  { name: 'bagWashers', label: 'washers, thick', hint: 'mm: 1.6; 2', words: true },
  { name: 'bracket', label: 'bracket, thick', hint: 'mm, under the screw' },
];

const TRIM: readonly FormLine[] = [
  { name: 'rise', label: 'set comes over the rail by', hint: 'mm' },
  { name: 'hookSpacing', label: 'hook to hook', hint: 'mm' },
  { name: 'trimHeight', label: 'levelling screws give', hint: 'mm, up and down' },
  { name: 'trimPitch', label: 'one turn of them', hint: 'mm' },
  { name: 'trimSpan', label: 'between them', hint: 'mm' },
  { name: 'trimRoll', label: 'head rolls', hint: 'degrees, each way' },
  { name: 'tools', label: 'sockets and keys', hint: 'socket 13; key 5', words: true },
];

const JOINTS = [
  { value: 'rail', name: 'hooks over a rail' },
  { value: 'catch', name: 'hooks and catches' },
  { value: 'slide-in', name: 'slides in' },
  { value: 'screws', name: 'four screws' },
] as const;
const LATCHES = [
  { value: 'unknown', name: 'not known' },
  { value: 'cord', name: 'cords' },
  { value: 'strap', name: 'straps' },
  { value: 'click', name: 'clicks' },
  { value: 'screw', name: 'screws' },
] as const;

function fixingOf(fixing: WallFixing): FormLine[] {
  const [diameter, length, count] = measuresOf(fixing);
  const [tension, shear] = ratingsOf(fixing);
  const all: FormLine[] = [
    { name: diameter!, label: 'diameter', hint: 'mm' },
    { name: length!, label: 'length', hint: 'mm' },
    { name: count!, label: 'how many' },
  ];
  if (!fixing.rated) return all;
  return [
    ...all,
    { name: tension!, label: 'pull it may hold', hint: 'N, by its leaflet' },
    { name: shear!, label: 'shear it may hold', hint: 'N, by its leaflet' },
  ];
}

/** What is on the label: enough to rank it. */
export function LabelFields({ control, units }: { control: MountControl; units: Units }) {
  const long = units === 'imperial' ? 'in' : 'mm';
  const [type, walls] = useWatch({ control, name: ['type', 'walls'] });
  return (
    <>
      <FormField control={control} name="name" label="name on the label" words />
      <Controller
        control={control}
        name="type"
        render={({ field }) => <Choice label="it is" options={TYPES} value={field.value} onChoose={field.onChange} />}
      />
      <FormField control={control} name="maxMass" label="carries at most" hint={units === 'imperial' ? 'lb' : 'kg'} />
      <FormField control={control} name="sizeMin" label="smallest set" hint={`diagonal, ${long}`} />
      <FormField control={control} name="sizeMax" label="largest set" hint={`diagonal, ${long}`} />
      <FormField control={control} name="patternMin" label="smallest pattern" hint="width x height, mm" />
      <FormField control={control} name="patternMax" label="largest pattern" hint="width x height, mm" />
      <FormField control={control} name="folded" label="off the wall, folded" hint={long} />
      <Controller
        control={control}
        name="walls"
        render={({ field, fieldState }) => (
          <WallChoices value={field.value} onChange={field.onChange} fault={fieldState.error?.message} />
        )}
      />
      <FormFold control={control} name="reach, tilt, price" lines={movesOf(long)} />
      <FormFold control={control} name="its arm, from above" lines={ARM} asked={hasArm(type)} />
      {WALL_FIXINGS.map((f) => (
        <FormFold key={f.prefix} control={control} name={f.name} lines={fixingOf(f)} asked={walls.includes(f.wall)} />
      ))}
      <FormFold control={control} name="its bag of screws" lines={BAG} />
      <Controller
        control={control}
        name="joint"
        render={({ field }) => (
          <Choice label="the set joins by" options={JOINTS} value={field.value} onChoose={field.onChange} />
        )}
      />
      <Controller
        control={control}
        name="latch"
        render={({ field }) => (
          <Choice label="held down by" options={LATCHES} value={field.value} onChoose={field.onChange} />
        )}
      />
      <FormFold control={control} name="rise, levelling, keys" lines={TRIM} />
    </>
  );
}

function WallChoices({
  value,
  onChange,
  fault,
}: {
  value: BuildKind[];
  onChange: (walls: BuildKind[]) => void;
  fault: string | undefined;
}) {
  const palette = usePalette();
  return (
    <View role="group" aria-label="walls it is made for">
      {WALLS.map((w) => (
        <Switch
          key={w}
          label={`for a ${buildName(w)}`}
          testID={`wall-${w}`}
          on={value.includes(w)}
          onChange={(on) => onChange(on ? [...value, w] : value.filter((o) => o !== w))}
        />
      ))}
      {fault ? (
        <View role="alert" style={{ paddingHorizontal: 16 }}>
          <Txt kind="small" color={palette.stop} testID="fault-walls">
            {fault}
          </Txt>
        </View>
      ) : null}
    </View>
  );
}
