import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Photo } from '@steddo/contract';
import { pictureOf } from '@steddo/text';
import type { PictureHead } from '../data/pictureStore';
import type { RoomState } from '../data/rooms';
import { pictures } from '../data/shared';
import { useRoomContext } from '../state/roomState';
import { usePictureHeads } from '../state/usePictures';
import { Action } from '../ui/Action';
import { BottomSheet } from '../ui/BottomSheet';
import { Choice } from '../ui/Choice';
import { fileName, shareOrDownload } from '../ui/download';
import { momentText } from '../ui/moment';
import { sizeText } from '../ui/sizeText';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { Picture, PictureTile } from '../work/PictureTile';
import { PictureAdd } from '../work/PictureAdd';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';
import { SaveState } from './SaveState';

/** A room's pictures: of it, of its holes, of what was seen in its wall. Nothing needs one. */
export function PicturesPage({ id, of }: { id: string; of?: string | undefined }) {
  return <RoomFrame id={id}>{({ state }) => <PictureList state={state} start={of ?? 'room'} />}</RoomFrame>;
}

function PictureList({ state, start }: { state: RoomState; start: string }) {
  const { id } = state;
  const palette = usePalette();
  const { job, plan, say } = useRoomContext();
  const [of, setOf] = useState(start);
  const [open, setOpen] = useState<string>();
  const heads = usePictureHeads(id);
  const known = new Map(heads?.map((h) => [h.id, h]));
  const photos = [...(job.photos ?? [])].reverse();
  const name = (what: string) => pictureOf(what, { job, plan }, say);
  // what was asked for stands first, where it is seen
  const subjects = [start, 'room', ...(plan.holes ?? []).map((h) => h.id), ...(job.looks ?? []).map((k) => k.id)];
  const shown = photos.find((p) => p.id === open);
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="pictures">
      <PageHead
        title={`${job.title}: pictures`}
        back="back"
        onBack={() => (router.canGoBack() ? router.back() : router.replace(`/room/${id}`))}
        under={<SaveState state={state} />}
      />
      <ScrollView
        tabIndex={0}
        contentContainerStyle={{ width: '100%', maxWidth: 760, alignSelf: 'center', paddingBottom: 32 }}
      >
        <Choice
          label="of"
          options={[...new Set(subjects)].map((s) => ({ value: s, name: name(s) }))}
          value={of}
          onChoose={setOf}
        />
        <PictureAdd of={of} name={name(of)} />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', paddingHorizontal: 8 }}>
          {photos.map((p) => (
            <View key={p.id} style={{ width: '50%', paddingHorizontal: 8, paddingVertical: 6 }}>
              <PictureTile
                room={id}
                id={p.id}
                name={name(p.of)}
                note={noteOf(p, known.get(p.id))}
                onPress={() => setOpen(p.id)}
              />
            </View>
          ))}
        </View>
        <View style={{ padding: 16, gap: 6 }}>
          <Txt testID="pictures-space">{spaceText(photos, heads ?? [])}</Txt>
          <Txt kind="small" soft>
            Made small on this device; what the camera writes beside a picture, its place and its device, is left out.
            No step needs one.
          </Txt>
        </View>
      </ScrollView>
      {shown ? <PictureSheet room={id} photo={shown} name={name(shown.of)} onClose={() => setOpen(undefined)} /> : null}
    </View>
  );
}

/** When it was taken, how large it is, and who has it. */
function noteOf({ at, size }: Photo, head: PictureHead | undefined): string {
  const where =
    head === undefined
      ? 'on the server'
      : head.whole
        ? 'here and on the server'
        : head.refused
          ? `here; the server will not have it: ${head.refused}`
          : 'here, not sent yet';
  return [...(at ? [momentText(at)] : []), ...(size ? [sizeText(size)] : []), where].join(', ');
}

function spaceText(photos: readonly Photo[], heads: readonly PictureHead[]): string {
  if (photos.length === 0) return 'There are no pictures of this room.';
  const waiting = heads.filter((h) => !h.whole).length;
  const bytes = heads.reduce((sum, h) => sum + h.size, 0);
  const count = photos.length === 1 ? 'One picture' : `${photos.length} pictures`;
  const sent = waiting === 0 ? 'none waits to be sent' : `${waiting} not on the server yet`;
  return `${count}, ${sizeText(bytes)} on this device; ${sent}.`;
}

/** One picture as large as it goes. */
function PictureSheet({
  room,
  photo,
  name,
  onClose,
}: {
  room: string;
  photo: Photo;
  name: string;
  onClose: () => void;
}) {
  const { job, dispatch, readOnly } = useRoomContext();
  const save = async () => {
    const bytes = await pictures.bytesOf(room, photo.id);
    const day = photo.at?.slice(0, 10) ?? '';
    if (bytes) await shareOrDownload(fileName(`${job.title} ${name} ${day}`, 'jpg'), bytes as BlobPart, 'image/jpeg');
  };
  return (
    <BottomSheet title={name} onClose={onClose} testID="picture-sheet">
      <View style={{ gap: 10 }}>
        <Picture room={room} id={photo.id} alt={name} height="45vh" />
        {photo.at ? (
          <Txt kind="small" soft>
            {momentText(photo.at)}
          </Txt>
        ) : null}
        {photo.of === 'room' ? (
          <Action
            label="measure by it, show the set on it"
            testID="to-photo"
            onPress={() => router.push(`/room/${room}/photo?picture=${photo.drawnOn ?? photo.id}`)}
          />
        ) : null}
        <Action quiet label="save it as a file" testID="save-picture" onPress={() => void save()} />
        <Action
          quiet
          label="take it away"
          testID="remove-picture"
          disabled={readOnly}
          onPress={() => {
            dispatch({ do: 'drop', path: `photos.${photo.id}` });
            onClose();
          }}
        />
        <Txt kind="small" soft>
          Undo brings it back.
        </Txt>
      </View>
    </BottomSheet>
  );
}
