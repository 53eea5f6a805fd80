import { Controller } from 'react-hook-form';
import { View } from 'react-native';
import type { BuildKind, MountType, Units } from '@steddo/contract';
import { WALL_KINDS } from '@steddo/core';
import { buildName, typeName } from '@steddo/text';
import { Choice } from '../../ui/Choice';
import { Switch } from '../../ui/Switch';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Fold } from '../../ui/Fold';
import { FormField } from './FormField';
import type { MountControl } from './mountForm';

const TYPES = (Object.entries(typeName) as [MountType, string][]).map(([value, name]) => ({ value, name }));
const WALLS = (Object.keys(WALL_KINDS) as BuildKind[]).filter((wall) => WALL_KINDS[wall].main !== undefined);

/** What is on the label: enough to rank it. */
export function LabelFields({ control, units }: { control: MountControl; units: Units }) {
  const long = units === 'imperial' ? 'in' : 'mm';
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
      <Fold name="reach, tilt, price, lags">
        <FormField control={control} name="extended" label="out, at most" hint={long} />
        <FormField control={control} name="swivel" label="turns, each way" hint="degrees" />
        <FormField control={control} name="tiltDown" label="tilts down" hint="degrees" />
        <FormField control={control} name="tiltUp" label="tilts up" hint="degrees" />
        <FormField control={control} name="slide" label="set slides, each way" hint={long} />
        <FormField control={control} name="studs" label="studs it needs" />
        <FormField control={control} name="lagDiameter" label="its lags: diameter" hint="mm" />
        <FormField control={control} name="lagLength" label="its lags: length" hint="mm" />
        <FormField control={control} name="lagCount" label="its lags: how many" />
        <FormField control={control} name="bracket" label="thickness of its bracket" hint="mm, for the screws" />
        <FormField control={control} name="price" label="price" />
      </Fold>
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
