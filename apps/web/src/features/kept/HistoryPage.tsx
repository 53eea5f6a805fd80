import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import useSWR from 'swr';
import { changesBetween, replaceJob } from '@steddo/core';
import { changedThing, changedValue, touchedWords, wordingFor, type Wording } from '@steddo/text';
import { fetchRecorded, fetchRevisions } from '../../data/api';
import type { RoomState } from '../../data/rooms';
import { rooms } from '../../data/shared';
import { Action, IconTap } from '../../ui/Action';
import { Notice } from '../../ui/Notice';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { momentText } from '../../ui/moment';

interface Entry {
  key: string;
  which: number | string;
  title: string;
  line: string;
}

/** Every version of a room that the server has, the saves that came too late among them; each can be compared and taken back. */
export function HistoryPage({ state, editable }: { state: RoomState; editable: boolean }) {
  const palette = usePalette();
  const { id, job } = state;
  const say = wordingFor(job);
  const { data, error } = useSWR(['revisions', id], () => fetchRevisions(id));
  const [open, setOpen] = useState<string>();
  const entries = data ? entriesOf(data, say) : [];
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground, alignItems: 'center' }}>
      <View style={{ flex: 1, width: '100%', maxWidth: 760 }}>
        <View style={{ flexDirection: 'row', alignItems: 'center' }}>
          <IconTap icon="back" label="back to the room" onPress={() => router.replace(`/room/${id}/room`)} />
          <Txt kind="title" level={1} lines={1}>{`Earlier versions: ${job.title}`}</Txt>
        </View>
        <ScrollView style={{ flex: 1 }} tabIndex={0} testID="history">
          {error ? (
            <Notice text="The earlier versions are on the server, and it cannot be reached. What is on this device can be undone there, step by step." />
          ) : null}
          {data && entries.length === 0 ? (
            <Notice tone="note" text="Nothing of this room has reached the server yet." />
          ) : null}
          {entries.map((e) => (
            <View key={e.key} style={{ borderBottomWidth: 1, borderBottomColor: palette.hairline }}>
              <Tap
                label={`${e.title}, ${e.line}, ${open === e.key ? 'hide' : 'compare with now'}`}
                expanded={open === e.key}
                testID={`revision-${e.which}`}
                onPress={() => setOpen(open === e.key ? undefined : e.key)}
                style={{ padding: 12, paddingLeft: 16 }}
              >
                <Txt kind="bold">{e.title}</Txt>
                <Txt kind="small" soft>
                  {e.line}
                </Txt>
              </Tap>
              {open === e.key ? <Comparison state={state} which={e.which} editable={editable} /> : null}
            </View>
          ))}
        </ScrollView>
      </View>
    </View>
  );
}

function entriesOf(data: Awaited<ReturnType<typeof fetchRevisions>>, say: Wording): Entry[] {
  const by = ({ person, device }: { person: string; device: string }) =>
    `${person === '' ? '' : ` by ${person}`}${device === '' ? '' : ` on ${device}`}`;
  const saved = data.revisions.map((r) => ({
    at: r.savedAt,
    key: `v${r.version}`,
    which: r.version,
    title: `Version ${r.version}, ${momentText(r.savedAt)}${by(r)}`,
    line: r.version === 1 ? 'The first one' : touchedWords(r.touched, say),
  }));
  const late = data.refused.map((r) => ({
    at: r.savedAt,
    key: r.editId,
    which: r.editId,
    title: `Came too late, ${momentText(r.savedAt)}${by(r)}`,
    line: `Made on version ${r.baseVersion} when there was a later one; put on top of it, or asked about`,
  }));
  return [...saved, ...late].sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0));
}

const LISTED = 40;

function Comparison({ state, which, editable }: { state: RoomState; which: number | string; editable: boolean }) {
  const { id, job } = state;
  const { data, error } = useSWR(['recorded', id, which], () => fetchRecorded(id, which));
  const [taken, setTaken] = useState(false);
  if (error)
    return (
      <Notice text="This version cannot be fetched: the server cannot be reached, or its record cannot be read." />
    );
  if (!data) return <Notice tone="note" text="Fetching it…" />;
  const say = wordingFor(job);
  const changes = changesBetween(data, job);
  const takeBack = () => {
    const faults = rooms.dispatch(id, replaceJob(job, data));
    setTaken(faults.length === 0);
  };
  if (changes.length === 0)
    return (
      <Notice
        tone="note"
        testID="same"
        text={taken ? 'Taken back. Undo brings the other one again.' : 'The same as the room is now.'}
      />
    );
  return (
    <View style={{ paddingHorizontal: 16, paddingBottom: 12, gap: 6 }} testID="comparison">
      {changes.slice(0, LISTED).map((c) => (
        <Txt key={c.path.join('.')} kind="small">
          {`${changedThing(c.path, say)}: ${changedValue(c.path, c.before, say)} then, ${changedValue(c.path, c.after, say)} now`}
        </Txt>
      ))}
      {changes.length > LISTED ? <Txt kind="small" soft>{`and ${changes.length - LISTED} more`}</Txt> : null}
      {editable ? <Action quiet testID="take-back" label="take this version back" onPress={takeBack} /> : null}
    </View>
  );
}
