import { useRef, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { allRooms } from '../../data/allRooms';
import { packed, takeIn } from '../../state/roomArchive';
import { Action } from '../../ui/Action';
import { download } from '../../ui/download';
import { Notice } from '../../ui/Notice';
import { isTapped } from '../../ui/pointer';
import { today } from '../../ui/moment';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import type { Unpacked, UnpackedRoom } from '../../worker/archive';
import { archiveWorker } from '../../worker/archives';

const LISTED = 20;

const BOX = {
  padding: 16,
  gap: 8,
  display: 'flex',
  flexDirection: 'column',
  outline: '2px dashed',
  outlineOffset: -4,
} as const;

type State =
  | { kind: 'idle' }
  | { kind: 'ready'; read: Extract<Unpacked, { ok: true }> }
  | { kind: 'said'; text: string }
  | { kind: 'faults'; read: Extract<Unpacked, { ok: false }> };

/** All rooms of this device as one archive, and job files or an archive back in, picked or dropped; checked before anything is taken. */
export function RoomFiles() {
  const input = useRef<HTMLInputElement>(null);
  const palette = usePalette();
  const [state, setState] = useState<State>({ kind: 'idle' });
  const takeOut = async () => {
    setState({ kind: 'said', text: 'Fetching what only the server has…' });
    const { rooms: all, missing, noServer } = await allRooms();
    if (all.length === 0) return setState({ kind: 'said', text: 'There are no rooms on this device.' });
    const { bytes, lacking } = await packed(all);
    download(`rooms-${today()}.zip`, bytes as BlobPart, 'application/zip');
    const left = [
      ...(noServer ? ['The server cannot be reached: what only it has is not in it.'] : []),
      ...(missing.length > 0 ? [`Not in it, because it could not be fetched: ${missing.join(', ')}.`] : []),
      ...(lacking > 0 ? [`${picturesText(lacking)} not in it: on another device, or out of reach.`] : []),
    ];
    setState({ kind: 'said', text: [`${countText(all.length)} taken out.`, ...left].join(' ') });
  };
  const read = async (files: readonly File[]) => {
    const all: Unpacked[] = [];
    for (const file of files) all.push(await archiveWorker().unpack(file, file.name));
    const faults = all.flatMap((r) => (r.ok ? [] : r.faults));
    if (faults.length > 0) setState({ kind: 'faults', read: { ok: false, faults } });
    else setState({ kind: 'ready', read: { ok: true, jobs: all.flatMap((r) => (r.ok ? r.jobs : [])) } });
  };
  const take = async ({ jobs }: Extract<Unpacked, { ok: true }>) => {
    const { unkept } = await takeIn(jobs);
    const left = unkept > 0 ? ` ${picturesText(unkept)} not kept: this device is full.` : '';
    setState({ kind: 'said', text: `${countText(jobs.length)} taken in, as new rooms.${left}` });
  };
  // by the button too: what is dropped needs a pointer
  const drop = useDropzone({
    onDrop: (files) => {
      if (files.length > 0) void read(files);
    },
    noClick: true,
    noKeyboard: true,
  });
  return (
    <div
      {...drop.getRootProps()}
      style={{ ...BOX, outlineColor: drop.isDragActive ? palette.ink : 'transparent' }}
      data-testid="room-files"
    >
      <input
        ref={input}
        type="file"
        multiple
        accept=".json,.zip,application/json,application/zip"
        aria-label="job files or an archive of rooms"
        data-testid="rooms-file"
        hidden
        onChange={(e) => {
          const files = [...(e.target.files ?? [])];
          e.target.value = '';
          if (files.length > 0) void read(files);
        }}
      />
      <Action quiet testID="rooms-out" label="take all rooms out as an archive" onPress={() => void takeOut()} />
      <Action
        quiet
        testID="rooms-in"
        label="bring rooms in: job files or an archive"
        onPress={() => input.current?.click()}
      />
      {drop.isDragActive || !isTapped() ? (
        <Txt kind="small">
          {drop.isDragActive ? 'Let go: they are read, and nothing is taken yet.' : 'Or drop them here.'}
        </Txt>
      ) : null}
      {state.kind === 'said' ? <Txt testID="rooms-said">{state.text}</Txt> : null}
      {state.kind === 'ready' ? (
        <Notice
          tone="note"
          testID="rooms-ready"
          text={`${countText(state.read.jobs.length)}${withPictures(state.read.jobs)}, no faults: ${state.read.jobs
            .slice(0, LISTED)
            .map((j) => j.job.title)
            .join(', ')}. They come in as new rooms; none that is here is touched.`}
        >
          <Action
            testID="rooms-take"
            label={`take ${countText(state.read.jobs.length)} in`}
            onPress={() => void take(state.read)}
          />
          <Action quiet label="leave it" onPress={() => setState({ kind: 'idle' })} />
        </Notice>
      ) : null}
      {state.kind === 'faults' ? (
        <Notice
          tone="stop"
          testID="rooms-faults"
          title="Nothing was taken in"
          text="Every fault with its file, its path and the reason:"
        >
          {state.read.faults.slice(0, LISTED).map((f, i) => (
            <Txt key={i} kind="small">{`${f.file}, ${f.path}: ${f.reason}`}</Txt>
          ))}
          {state.read.faults.length > LISTED ? (
            <Txt kind="small">{`and ${state.read.faults.length - LISTED} more`}</Txt>
          ) : null}
        </Notice>
      ) : null}
    </div>
  );
}

const countText = (rooms: number): string => (rooms === 1 ? 'one room' : `${rooms} rooms`);

const picturesText = (pictures: number): string => (pictures === 1 ? 'One picture is' : `${pictures} pictures are`);

function withPictures(jobs: readonly UnpackedRoom[]): string {
  const all = jobs.reduce((sum, j) => sum + j.pictures.size, 0);
  return all === 0 ? '' : all === 1 ? ' with one picture' : ` with ${all} pictures`;
}
