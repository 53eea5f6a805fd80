import { useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Photo } from '@steddo/contract';
import { offeredHeights, type Offer } from '@steddo/core';
import { drawnDoubt, photoReference, type PicturePlace } from '@steddo/core/photo';
import { photoDrawing } from '@steddo/drawing/photo';
import { CORNER_NAMES, MOST_DRAWN_DOUBT_MM, drawnDoubtText, offerTitle, photoFault, type Wording } from '@steddo/text';
import type { RoomState } from '../data/rooms';
import { pictures } from '../data/shared';
import { PhotoFrame } from '../features/photo/PhotoFrame';
import { paintsOf } from '../features/photo/photoPaint';
import { ReferencePart } from '../features/photo/ReferencePart';
import { usePhotoFile } from '../features/photo/usePhotoFile';
import { usePhotoPlane, type SeenWall } from '../features/photo/usePhotoPlane';
import { useRoomContext } from '../state/roomState';
import { keepPicture } from '../state/takePictures';
import { Action } from '../ui/Action';
import { Choice } from '../ui/Choice';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { isBeside, usePosture } from '../ui/usePosture';
import { paintPicture } from '../worker/pictures';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';
import { SaveState } from './SaveState';

/** The set on a photograph of its wall, in true perspective, at each height that the customer may choose. */
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
      <PageHead title="The set on the photograph" back="back" onBack={back} under={<SaveState state={state} />} />
      {photo && file.is === 'here' ? (
        <Shown room={state.id} photo={photo} url={file.url} size={file.size} />
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

interface ShownProps {
  room: string;
  photo: Photo;
  url: string;
  size: { width: number; height: number };
}

const ARMS = [
  { value: 'rest', name: 'against the wall' },
  { value: 'out', name: 'swung out' },
] as const;
const OVER = [
  { value: 'set', name: 'the set' },
  { value: 'marks', name: 'with plate and holes' },
] as const;
type Arm = (typeof ARMS)[number]['value'];
type Over = (typeof OVER)[number]['value'];

function Shown({ room, photo, url, size }: ShownProps) {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const beside = isBeside(usePosture());
  const wall = useMemo(() => photoReference(job, { kind: 'wall' })!, [job]);
  const plane = usePhotoPlane(photo, size, wall);
  const offers = useMemo(() => offeredHeights(job), [job]);
  const [key, setKey] = useState<string>();
  const [arm, setArm] = useState<Arm>('rest');
  const [over, setOver] = useState<Over>('set');
  const offer = offers.find((o) => o.key === key) ?? offers[0];
  const pose = armPose(offer);
  const doubt = useMemo(() => doubtOf(plane.seen, offer), [plane.seen, offer]);
  const paints = useMemo(
    () => paintsAt({ offer, seen: plane.seen, doubt, pose: arm === 'out' ? pose : undefined, marks: over === 'marks' }),
    [offer, plane.seen, doubt, arm, pose, over],
  );
  const move = (taps: readonly PicturePlace[], done: number | undefined) => {
    const all = plane.move(taps, done);
    if (done !== undefined && all && !readOnly)
      dispatch({ do: 'put', path: `photos.${photo.id}.plane`, value: plane.written(taps) });
  };
  const names = CORNER_NAMES.map((corner) => `${corner} corner`);
  return (
    <View style={{ flex: 1, flexDirection: beside ? 'row' : 'column' }}>
      <View style={{ flex: beside ? 1.6 : 1.1, minHeight: 200 }}>
        <PhotoFrame
          url={url}
          alt="the wall"
          size={size}
          taps={plane.taps}
          names={names}
          paints={paints}
          movable={!readOnly}
          laid={plane.laid}
          onMove={move}
        />
      </View>
      <ScrollView style={{ flex: 1 }} tabIndex={0} contentContainerStyle={{ paddingBottom: 24 }}>
        <View style={{ paddingHorizontal: 16, paddingTop: 8 }}>
          <Txt kind="small" soft>
            Drag each cross onto its corner; once more moves it finely, under the glass.
          </Txt>
        </View>
        <ReferencePart job={job} disabled={readOnly} onChoose={plane.refer} />
        <View style={{ paddingHorizontal: 16, paddingVertical: 8 }}>
          <Txt testID="photo-said">{saidOf(plane.seen, doubt, say)}</Txt>
        </View>
        {offers.length > 1 ? (
          <Choice
            label="height"
            options={offers.map((o, i) => ({ value: o.key, name: offerTitle(i, o.heading) }))}
            value={offer?.key}
            onChoose={setKey}
          />
        ) : null}
        {pose ? <Choice label="the arm" options={ARMS} value={arm} onChoose={setArm} /> : null}
        <Choice label="draw" options={OVER} value={over} onChoose={setOver} />
        <KeepPart room={room} photo={photo} paints={paints} />
      </ScrollView>
    </View>
  );
}

/** Where the arm faces all seats at once, else the first of them. */
function armPose(offer: Offer | undefined) {
  const reach = offer?.plan.reach;
  return reach?.shared ?? reach?.seats.find((s) => s.reachable);
}

/** How far the set's corners may be out where they are drawn, mm; undefined where nothing is drawn. */
function doubtOf(seen: SeenWall, offer: Offer | undefined): number | undefined {
  const { placement } = offer?.plan ?? {};
  if (!seen.ok || !placement) return undefined;
  const { left, right, bottom, top } = placement;
  const corners = [left, right].flatMap((x) => [bottom, top].map((y) => ({ x, y })));
  return Math.max(...corners.map(({ x, y }) => drawnDoubt(seen.plane, x, y)));
}

interface Drawn {
  offer: Offer | undefined;
  seen: SeenWall;
  doubt: number | undefined;
  pose: ReturnType<typeof armPose>;
  marks: boolean;
}

function paintsAt({ offer, seen, doubt = Infinity, pose, marks }: Drawn) {
  if (!offer || !seen.ok || doubt > MOST_DRAWN_DOUBT_MM) return [];
  return paintsOf(photoDrawing(offer.job, offer.plan, { plane: seen.plane, camera: seen.camera, pose, marks }));
}

function saidOf(seen: SeenWall, doubt: number | undefined, say: Wording): string {
  if (!seen.ok) return photoFault(seen.why);
  if (doubt === undefined)
    return 'There is no height to show yet: the room needs an eye height, and a place that is free.';
  return drawnDoubtText(doubt, seen.camera.assumed, say);
}

/** What is seen as a picture of its own: in the record, and for the customer. */
function KeepPart({ room, photo, paints }: { room: string; photo: Photo; paints: ReturnType<typeof paintsOf> }) {
  const { dispatch, readOnly } = useRoomContext();
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const keep = async () => {
    setBusy(true);
    const bytes = await pictures.bytesOf(room, photo.id);
    const made =
      bytes &&
      (await paintPicture(bytes, paints).catch((error: Error) => ({ ok: false as const, why: error.message })));
    const fault = !made
      ? 'the picture is not here'
      : made.ok
        ? await keepPicture(room, 'room', made, dispatch)
        : made.why;
    setSaid(fault === undefined ? 'Kept among the room’s pictures, and in its record.' : `It ${fault}.`);
    setBusy(false);
  };
  return (
    <View style={{ padding: 16, gap: 8 }}>
      <Action
        label={busy ? 'keeping it…' : 'keep it as a picture'}
        disabled={busy || readOnly || paints.length === 0}
        testID="keep-photo"
        onPress={() => void keep()}
      />
      {said ? <Txt testID="photo-kept">{said}</Txt> : null}
      <Txt kind="small" soft>
        Drawn to scale from what was measured and tapped; a drawing, not a promise. The holes go by the tape, never by a
        photograph.
      </Txt>
    </View>
  );
}
