import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { useForm } from 'react-hook-form';
import type { Mount, Units } from '@steddo/contract';
import { fieldName, wordingFor } from '@steddo/text';
import { lastUnits } from '../../data/lastUnits';
import { ownMounts, rooms } from '../../data/shared';
import { useCatalogue } from '../../state/useCatalogue';
import { Action, IconTap } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { usePalette } from '../../ui/tokens';
import { usePosture } from '../../ui/usePosture';
import { Txt } from '../../ui/Txt';
import { catalogueWorker } from '../../worker/catalogue';
import { chooseMount } from '../../state/chooseMount';
import { LabelFields } from './MountFields';
import { MountDrawing } from './MountDrawing';
import { MountHistory } from './MountHistory';
import { EMPTY, mountSchema, type MountTyped } from './mountForm';
import { idFor, keepUntouched, typedOf } from './mountToForm';
import { PlateGuide } from './PlateGuide';
import { useDraft } from './useDraft';
import { toMeasure } from '@steddo/core';

const UNITS = [
  { value: 'imperial', name: 'inches, lb' },
  { value: 'metric', name: 'mm, kg' },
] as const;

/** One mount: new from its label, or edited; then its plate, measured. */
export function MountPage({ id, room }: { id: string; room: string | undefined }) {
  const { revision } = useCatalogue();
  const [mount, setMount] = useState<Mount | 'none'>();
  useEffect(() => {
    if (id === 'new') setMount('none');
    else if (revision > 0)
      void catalogueWorker()
        .find(id)
        .then((found) => setMount(found ?? 'none'));
  }, [id, revision]);
  const palette = usePalette();
  const wide = usePosture() === 'wide';
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground, alignItems: 'center' }}>
      <View style={{ flex: 1, width: '100%', maxWidth: wide ? undefined : 760 }}>
        {mount === undefined ? (
          <View style={{ padding: 24 }}>
            <Txt>Fetching the mount…</Txt>
          </View>
        ) : mount === 'none' && id !== 'new' ? (
          <View style={{ padding: 24, gap: 16 }}>
            <Txt kind="title" level={1}>
              There is no such mount.
            </Txt>
            <Action label="the catalogue" onPress={() => router.replace('/catalogue')} />
          </View>
        ) : (
          <MountEditor key={id} before={mount === 'none' ? undefined : mount} room={room} wide={wide} />
        )}
      </View>
    </View>
  );
}

interface MountEditorProps {
  before: Mount | undefined;
  room: string | undefined;
  wide: boolean;
}

function MountEditor({ before, room, wide }: MountEditorProps) {
  const palette = usePalette();
  const [units, setUnits] = useState<Units>(() => (room ? rooms.get(room)?.job.units : undefined) ?? lastUnits());
  const [measuring, setMeasuring] = useState(false);
  const start = before ? typedOf(before, units) : EMPTY;
  const form = useForm<MountTyped, unknown, Mount>({
    defaultValues: start,
    resolver: zodResolver(mountSchema(units, before?.id ?? 'new', before)),
    mode: 'onTouched',
  });
  const { control, handleSubmit, formState, watch, reset, getValues } = form;
  const dirty = formState.dirtyFields;
  const draft = useDraft(before?.id ?? 'new', form, units, setUnits);
  const save = async (read: Mount) => {
    const ids = new Set((await catalogueWorker().list(EVERYTHING)).mounts.map((m) => m.id));
    const mount = before
      ? keepUntouched(read, before, (f) => Boolean(dirty[f]))
      : { ...read, id: idFor(read.name, (i) => i === 'new' || ids.has(i)) };
    await ownMounts.save(mount);
    draft.forget();
    if (room && (await rooms.open(room)) === 'found') {
      rooms.dispatch(room, chooseMount(mount));
      router.replace(`/room/${room}/mount`);
    } else router.replace(`/catalogue/${encodeURIComponent(mount.id)}`);
  };
  const preview = mountSchema(units, 'new', before).safeParse({ ...getValues(), ...watch() });
  const shown = preview.success ? preview.data : (before ?? {});
  const missing = preview.success ? toMeasure(preview.data) : [];
  const say = wordingFor({
    units,
    room: { wall: { width: 1, height: 1, build: { kind: 'unknown' } } },
  });
  const change = (next: Units) => {
    if (before && !formState.isDirty) reset(typedOf(before, next));
    setUnits(next);
  };
  const close = () => (room ? router.replace(`/room/${room}/mount`) : router.replace('/catalogue'));
  return (
    <>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <IconTap icon="back" label="back; what was typed is kept" onPress={close} />
        <Txt kind="title" level={1}>
          {before ? before.name : 'A mount, from its label'}
        </Txt>
      </View>
      <View style={{ flex: 1, flexDirection: 'row' }}>
        <ScrollView style={{ flex: 1 }} tabIndex={0} keyboardShouldPersistTaps="handled">
          {measuring ? (
            <PlateGuide control={control} units={units} mount={shown} onDone={() => setMeasuring(false)} />
          ) : (
            <>
              {preview.success && !wide ? <MountDrawing mount={preview.data} units={units} /> : null}
              <Choice label="numbers are" options={UNITS} value={units} onChoose={change} />
              <LabelFields control={control} units={units} />
              <View style={{ padding: 12, gap: 8 }}>
                {missing.length > 0 ? (
                  <Txt kind="small" soft testID="still-to-measure">
                    {`Enough to rank it. For holes measure: ${missing.map((f) => fieldName(f, say)).join(', ')}.`}
                  </Txt>
                ) : null}
                <Action
                  quiet
                  testID="measure-plate"
                  label="measure the plate, step by step"
                  onPress={() => setMeasuring(true)}
                />
              </View>
              {before ? <MountHistory mount={before} units={units} /> : null}
            </>
          )}
        </ScrollView>
        {wide ? <Beside mount={preview.success ? preview.data : before} units={units} /> : null}
      </View>
      <View
        style={{ padding: 8, backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink, gap: 4 }}
      >
        {formState.submitCount > 0 && !formState.isValid ? (
          <Txt kind="small" color={palette.stop} testID="form-fault">
            {`Not saved: ${Object.keys(formState.errors).length} to mend above. What was typed is kept.`}
          </Txt>
        ) : null}
        {draft.restored ? (
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
            <View style={{ flex: 1 }}>
              <Txt kind="small" soft testID="draft">
                Typed before and not saved yet.
              </Txt>
            </View>
            <Action quiet testID="start-over" label="start over" onPress={() => draft.drop(start)} />
          </View>
        ) : null}
        <Action
          testID="save-mount"
          label={room ? 'save, and pick it' : 'save'}
          onPress={() => void handleSubmit(save)()}
        />
      </View>
    </>
  );
}

const BESIDE_PX = 240;

/** At a desk the drawing stands beside the form, and follows what is typed. */
function Beside({ mount, units }: { mount: Mount | undefined; units: Units }) {
  const palette = usePalette();
  return (
    <ScrollView style={{ flex: 1, borderLeftWidth: 2, borderLeftColor: palette.ink }} tabIndex={0}>
      {mount ? (
        <MountDrawing mount={mount} units={units} stacked high={BESIDE_PX} />
      ) : (
        <View style={{ padding: 24 }}>
          <Txt soft>It is drawn here from its own numbers as soon as the label is read.</Txt>
        </View>
      )}
    </ScrollView>
  );
}

const EVERYTHING = { text: '', types: [], fitting: false, from: 0, count: 1_000_000 } as const;
