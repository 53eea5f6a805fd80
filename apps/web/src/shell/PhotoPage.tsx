import { useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Photo } from '@steddo/contract';
import { outlinesOf } from '@steddo/drawing/photo';
import { drawnDoubtText, photoFault, photoTrouble, type Wording } from '@steddo/text';
import type { RoomState } from '../data/rooms';
import type { LayPart } from '../features/photo/laidCrosses';
import { LayPanel } from '../features/photo/LayPanel';
import { MeasurePanel } from '../features/photo/MeasurePanel';
import { PhotoFrame } from '../features/photo/PhotoFrame';
import { paintsOf } from '../features/photo/photoPaint';
import { readLength } from '../features/photo/TypedLength';
import { ShowPanel } from '../features/photo/ShowPanel';
import { usePhotoFile, type PhotoFile } from '../features/photo/usePhotoFile';
import { usePhotoPlane, type Seen } from '../features/photo/usePhotoPlane';
import { useShown } from '../features/photo/useShown';
import { useTracing } from '../features/photo/useTracing';
import { TapePad } from '../pad/TapePad';
import { usePad } from '../pad/PadContext';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { Choice } from '../ui/Choice';
import { Notice } from '../ui/Notice';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { isBeside, usePosture } from '../ui/usePosture';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';
import { SaveState } from './SaveState';
import { UndoRedo } from './UndoRedo';

/** A photograph of the wall: laid, so that it can be measured by; measured by; and with the set on it, at each height. */
export function PhotoPage({ id, picture }: { id: string; picture: string }) {
  return <RoomFrame id={id}>{({ state }) => <OnPhoto state={state} picture={picture} />}</RoomFrame>;
}

function OnPhoto({ state, picture }: { state: RoomState; picture: string }) {
  const palette = usePalette();
  const { job } = useRoomContext();
  const photo = job.photos?.find((p) => p.id === picture);
  const file = usePhotoFile(state.id, picture);
  const back = () => (router.canGoBack() ? router.back() : router.replace(`/room/${state.id}/pictures`));
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="photo">
      <PageHead title="The wall on a photograph" back="back" onBack={back} under={<SaveState state={state} />}>
        <UndoRedo state={state} />
      </PageHead>
      {photo && file.is === 'here' ? (
        <Laid key={photo.id} photo={photo} file={file} />
      ) : (
        <View style={{ padding: 24 }}>
          <Txt testID="no-photo">
            {!photo
              ? 'This picture was taken away.'
              : file.is === 'coming'
                ? 'Fetching the picture…'
                : 'This picture is not here, and not on the server yet: it is on the device that took it.'}
          </Txt>
        </View>
      )}
    </View>
  );
}

const STEPS = [
  { value: 'lay', name: 'lay' },
  { value: 'measure', name: 'measure' },
  { value: 'show', name: 'show the set' },
] as const;
type Step = (typeof STEPS)[number]['value'];

function Laid({ photo, file }: { photo: Photo; file: Extract<PhotoFile, { is: 'here' }> }) {
  const { job, readOnly, say } = useRoomContext();
  const { url, size, fog } = file;
  const trouble = photo.drawn ? 'no-camera' : fog ? 'no-contrast' : undefined;
  const { opened } = usePad();
  const beside = isBeside(usePosture());
  const [step, setStep] = useState<Step>(() => (photo.plane?.points.length ? 'show' : 'lay'));
  const [part, setPart] = useState<LayPart>('first');
  const [sharply, setSharply] = useState(true);
  const [out, setOut] = useState('');
  const laid = usePhotoPlane(photo, size, part, sharply);
  const { seen } = laid;
  const tracing = useTracing(seen, size, readLength(out, job.units).mm);
  const shown = useShown(seen);
  const outlines = useMemo(
    () => (seen.ok ? paintsOf(outlinesOf(job, seen, step === 'measure' ? 'things' : 'references')) : []),
    [job, seen, step],
  );
  const crosses = step === 'lay' ? laid.crosses : step === 'measure' ? (tracing.traced?.crosses ?? []) : [];
  const said = saidOf(seen, shown.doubt, say);
  return (
    <View style={{ flex: 1, flexDirection: beside ? 'row' : 'column' }}>
      <View style={{ flex: beside ? 1.6 : 1.1, minHeight: 200 }}>
        <PhotoFrame
          url={url}
          alt="the wall"
          size={size}
          crosses={crosses}
          paints={step === 'show' ? shown.paints : outlines}
          movable={!readOnly}
          onMove={step === 'measure' ? tracing.move : laid.move}
        />
      </View>
      <View style={{ flex: 1 }}>
        <ScrollView style={{ flex: 1 }} tabIndex={0} contentContainerStyle={{ paddingBottom: 24 }}>
          <Choice label="step" options={STEPS} value={step} onChoose={setStep} />
          {trouble ? <Notice testID="photo-trouble" text={photoTrouble(trouble)} /> : null}
          {step === 'lay' ? (
            <>
              <LayPanel {...{ laid, part, sharply }} photo={photo.id} onPart={setPart} onSharply={setSharply} />
              <View style={{ paddingHorizontal: 16, paddingVertical: 8 }}>
                <Txt testID="photo-said">{said}</Txt>
              </View>
              {seen.ok ? (
                <View style={{ paddingHorizontal: 16, gap: 8 }}>
                  <Action label="measure by it" icon="next" testID="to-measure" onPress={() => setStep('measure')} />
                  <Action quiet label="show the set on it" testID="to-show" onPress={() => setStep('show')} />
                </View>
              ) : null}
            </>
          ) : step === 'measure' ? (
            <MeasurePanel photo={photo.id} seen={seen} tracing={tracing} out={out} onOut={setOut} />
          ) : (
            <ShowPanel shown={shown} said={said} photo={photo} paints={shown.paints} />
          )}
        </ScrollView>
        {opened ? <TapePad /> : null}
      </View>
    </View>
  );
}

function saidOf(seen: Seen, doubt: number | undefined, say: Wording): string {
  if (!seen.ok) return photoFault(seen.why);
  if (doubt === undefined)
    return 'There is no height to show yet: the room needs an eye height, and a place that is free.';
  return drawnDoubtText(doubt, seen.camera.assumed, say);
}
