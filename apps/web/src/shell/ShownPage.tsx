import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import useSWR from 'swr';
import type { ShownRoom } from '@steddo/contract';
import { fetchShown, fetchShownPicture } from '../data/crewApi';
import { RoomProvider, useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { Choice } from '../ui/Choice';
import { fileName, shareOrDownload } from '../ui/download';
import { momentText, today } from '../ui/moment';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { usePosture } from '../ui/usePosture';
import { exportWorker } from '../worker/exports';
import { Offers } from './CustomerPage';
import { HandOver } from './HandOver';

/** What a customer's link shows: the heights of one room and its record. Nothing can be changed, nothing is kept. */
export function ShownPage() {
  // it stays in the address, so that the page can be opened again; behind the # no server writes it into a log
  const [secret] = useState(() => window.location.hash.slice(1));
  const { data, error } = useSWR(['shown', secret], () => fetchShown(secret), { revalidateOnFocus: false });
  if (data && data !== 'nothing') return <Shown room={data} secret={secret} />;
  return <Said text={error ? AWAY : data === 'nothing' ? NOTHING : 'Fetching the room…'} />;
}

const AWAY = 'The server cannot be reached at the moment. The link is good: open it again in a while.';
const NOTHING = 'This link shows nothing: it was withdrawn, or it is not whole. Ask whoever sent it for another one.';

function Said({ text }: { text: string }) {
  const palette = usePalette();
  return (
    <View style={{ flex: 1, padding: 24, backgroundColor: palette.ground }} testID="shown-said">
      <Txt kind="title" level={1}>
        {text}
      </Txt>
    </View>
  );
}

const ONLY_SHOWN = { dispatch: () => [], goTo: () => undefined };

function Shown({ room, secret }: { room: ShownRoom; secret: string }) {
  const { job, kit } = room;
  return (
    <RoomProvider source={{ id: 'shown', document: job, kit, readOnly: true }} doings={ONLY_SHOWN}>
      <Pages savedAt={room.savedAt} secret={secret} />
    </RoomProvider>
  );
}

const PAGES = [
  { value: 'heights', name: 'heights' },
  { value: 'record', name: 'record' },
] as const;

function Pages({ savedAt, secret }: { savedAt: string; secret: string }) {
  const palette = usePalette();
  const wide = usePosture() === 'wide';
  const { job } = useRoomContext();
  const [page, setPage] = useState<(typeof PAGES)[number]['value']>(job.record?.done ? 'record' : 'heights');
  const head = (
    <View>
      <View style={{ paddingHorizontal: 16, paddingTop: 10 }}>
        <Txt kind="title" level={1} lines={2}>
          {job.title}
        </Txt>
        <Txt kind="small" soft>{`as it was ${momentText(savedAt)}; only shown`}</Txt>
      </View>
      <Choice label="show" options={PAGES} value={page} onChoose={setPage} />
    </View>
  );
  if (page === 'heights') return <Offers wide={wide} head={head} />;
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="shown-record">
      {head}
      <ScrollView
        tabIndex={0}
        contentContainerStyle={{ width: '100%', maxWidth: 760, alignSelf: 'center', paddingBottom: 32 }}
      >
        <HandOver onlyShown />
        <RecordFile secret={secret} />
      </ScrollView>
    </View>
  );
}

/** The whole record as a file, with its pictures. */
function RecordFile({ secret }: { secret: string }) {
  const { job, plan } = useRoomContext();
  const [state, setState] = useState<'ready' | 'busy' | 'failed'>('ready');
  const make = async () => {
    setState('busy');
    try {
      const pictures = new Map<string, Uint8Array>();
      for (const { id } of job.photos ?? []) {
        const bytes = await fetchShownPicture(secret, id);
        if (bytes) pictures.set(id, bytes);
      }
      const paper = job.units === 'imperial' ? 'letter' : 'a4';
      const made = await exportWorker().make({ job, plan, pictures }, { to: 'pdf', paper, part: 'record' });
      if (made.ok)
        await shareOrDownload(
          fileName(`${job.title} record ${today()}`, 'pdf'),
          made.content as BlobPart,
          'application/pdf',
        );
      setState(made.ok ? 'ready' : 'failed');
    } catch {
      setState('failed');
    }
  };
  return (
    <View style={{ padding: 16, gap: 10 }}>
      <Action
        label={state === 'busy' ? 'making it…' : 'the whole record as a PDF'}
        disabled={state === 'busy'}
        testID="shown-pdf"
        onPress={() => void make()}
      />
      {state === 'failed' ? <Txt>It could not be made. The page stays as it is; try again.</Txt> : null}
      <Txt kind="small" soft>
        A check of arithmetic on what was entered, not an engineer’s approval; follow the leaflet and local codes.
      </Txt>
    </View>
  );
}
