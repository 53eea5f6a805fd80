import { useRef, useState } from 'react';
import { View } from 'react-native';
import { mutate } from 'swr';
import type { Fault } from '@steddo/contract';
import { sendCatalogue } from '../../data/api';
import { Action } from '../../ui/Action';
import { useIntoView } from '../../ui/useIntoView';
import { download } from '../../ui/download';
import { ProgressBar } from '../../ui/ProgressBar';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { catalogueWorker } from '../../worker/catalogue';
import { told } from '../../worker/told';
import { CATALOGUE_FORMATS, type CatalogueFormat } from '../../worker/catalogueFormats';
import { isCsv } from '../../worker/readFile';

type State =
  | { kind: 'idle' }
  | { kind: 'reading'; share: number }
  | { kind: 'ready'; file: File; csv: boolean; mounts: number; editId: string }
  | { kind: 'sending' }
  | { kind: 'faults'; message: string; faults: Fault[] }
  | { kind: 'said'; message: string };

const LISTED = 60;

const FORMATS = Object.keys(CATALOGUE_FORMATS) as CatalogueFormat[];

/** Brings a file of mounts in, checked before anything is taken, and takes the mounts out as one. */
export function FilesPart() {
  const input = useRef<HTMLInputElement>(null);
  const [state, setState] = useState<State>({ kind: 'idle' });
  const read = async (file: File) => {
    const csv = isCsv(file.name);
    const tell = (done: number, of: number) => setState({ kind: 'reading', share: done / Math.max(1, of) });
    tell(0, 1);
    const result = await told(tell, async (tell) => await catalogueWorker().read(file, csv, tell));
    if (!result) return setState({ kind: 'said', message: 'Stopped; nothing was taken.' });
    if (result.ok) return setState({ kind: 'ready', file, csv, mounts: result.mounts, editId: crypto.randomUUID() });
    const { faults } = result;
    setState({ kind: 'faults', message: `${file.name}: nothing was taken.`, faults });
  };
  const take = async (file: File, csv: boolean, editId: string) => {
    setState({ kind: 'sending' });
    const result = await sendCatalogue(file, csv, editId);
    if (result.kind === 'refused') return setState({ kind: 'faults', message: result.message, faults: result.faults });
    await mutate('catalogue');
    setState({ kind: 'said', message: `${result.mounts} mounts taken in.` });
  };
  const save = async (format: CatalogueFormat) => {
    const text = await catalogueWorker().write(format);
    download(`mounts.${format}`, text, CATALOGUE_FORMATS[format].mime);
  };
  return (
    <View style={{ padding: 12, gap: 8 }} testID="files">
      <input
        ref={input}
        type="file"
        accept=".csv,.json,text/csv,application/json"
        aria-label="file of mounts"
        data-testid="import-file"
        hidden
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) void read(file);
        }}
      />
      <Action quiet testID="import" label="bring in a file, CSV or JSON" onPress={() => input.current?.click()} />
      <Outcome state={state} onTake={(f, c, e) => void take(f, c, e)} onLeave={() => setState({ kind: 'idle' })} />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {FORMATS.map((format) => (
          <View key={format} style={{ flex: 1 }}>
            <Action
              quiet
              testID={`export-${format}`}
              label={`take out as ${format.toUpperCase()}`}
              onPress={() => void save(format)}
            />
          </View>
        ))}
      </View>
    </View>
  );
}

function Outcome({
  state,
  onTake,
  onLeave,
}: {
  state: State;
  onTake: (file: File, csv: boolean, editId: string) => void;
  onLeave: () => void;
}) {
  const palette = usePalette();
  const place = useIntoView(state.kind === 'faults' || state.kind === 'ready');
  switch (state.kind) {
    case 'idle':
      return null;
    case 'reading':
      return (
        <ProgressBar
          share={state.share}
          label="reading and checking"
          onCancel={() => void catalogueWorker().cancelReading()}
        />
      );
    case 'ready':
      return (
        <View ref={place} style={{ gap: 8 }}>
          <Txt testID="import-ready">{`${state.mounts} mounts, no faults. Mounts with the same id get a new version; the old one is kept.`}</Txt>
          <Action
            testID="import-take"
            label={`take ${state.mounts} in`}
            onPress={() => onTake(state.file, state.csv, state.editId)}
          />
          <Action quiet label="leave it" onPress={onLeave} />
        </View>
      );
    case 'sending':
      return <Txt>Taking them in…</Txt>;
    case 'said':
      return <Txt testID="import-said">{state.message}</Txt>;
    case 'faults':
      return (
        <View ref={place} role="alert" testID="import-faults" style={{ gap: 4 }}>
          <Txt color={palette.stop}>{`${state.message} ${countText(state.faults.length)}`}</Txt>
          {state.faults.slice(0, LISTED).map((f, i) => (
            <Txt key={i} kind="small">
              <Txt kind="small" style={{ fontWeight: '700' }}>
                {f.path}
              </Txt>
              {`: ${f.reason}`}
            </Txt>
          ))}
          {state.faults.length > LISTED ? (
            <Txt kind="small" soft>{`and ${state.faults.length - LISTED} more`}</Txt>
          ) : null}
        </View>
      );
  }
}

const countText = (faults: number): string => (faults === 0 ? '' : faults === 1 ? 'One fault:' : `${faults} faults:`);
