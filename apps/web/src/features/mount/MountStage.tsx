import { Suspense, useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { Advice, MountType } from '@steddo/contract';
import { adviceText, typeName } from '@steddo/text';
import { useCatalogue, useRanking } from '../../state/useCatalogue';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { ProgressBar } from '../../ui/ProgressBar';
import { SearchField } from '../../ui/SearchField';
import { Switch } from '../../ui/Switch';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { catalogueWorker } from '../../worker/catalogue';
import type { RankedPage } from '../../worker/catalogueJob';
import { FoldedFindings } from '../../work/Findings';
import { Fold } from '../../ui/Fold';
import { usePlan, useRoomContext } from '../../state/roomState';
import { sameContent } from '../../ui/useSame';
import { chooseMount } from '../../state/chooseMount';
import { CompareSheet } from './CompareSheet';
import { MountRow } from './MountRow';

const PAGE = 30;
/** More than three columns cannot be read on a phone. */
const MOST_COMPARED = 3;

type TypeChoice = MountType | 'all';
const TYPES: readonly { value: TypeChoice; name: string }[] = [
  { value: 'all', name: 'all' },
  ...(Object.entries(typeName) as [MountType, string][]).map(([value, name]) => ({ value, name })),
];

/** Mounts by how well they fit this set, this wall and these seats, each with its reasons. */
export function MountStage() {
  const { job, dispatch, say, readOnly, id } = useRoomContext();
  const { revision, known, noServer } = useCatalogue();
  const [text, setText] = useState('');
  const [type, setType] = useState<TypeChoice>('all');
  const [fitting, setFitting] = useState(false);
  const [count, setCount] = useState(PAGE);
  const [compared, setCompared] = useState<readonly string[]>([]);
  const [comparing, setComparing] = useState(false);
  const types = type === 'all' ? [] : [type];
  const wall = job.room.wall.build.kind;
  const onStuds = wall === 'timber-stud' || wall === 'metal-stud';
  const { page, progress, cancel } = useRanking(job, { text, types, fitting, from: 0, count }, revision);
  const choose = async (mountId: string) => {
    const mount = await catalogueWorker().find(mountId);
    if (mount && !readOnly) dispatch(chooseMount(mount));
  };
  const mark = (mountId: string) =>
    setCompared((all) =>
      all.includes(mountId) ? all.filter((m) => m !== mountId) : [...all, mountId].slice(-MOST_COMPARED),
    );
  if (!page) return <Waiting noServer={noServer && !known} progress={progress} />;
  return (
    <View>
      <FoldedFindings stage="mount" />
      <Suspense>
        <Advised />
      </Suspense>
      {job.mount ? <Picked name={job.mount.name} /> : null}
      {progress === undefined ? null : <ProgressBar share={progress} label="judging the mounts" onCancel={cancel} />}
      <Fold name="look for one" start={page.of > PAGE}>
        <SearchField value={text} onChange={setText} label="part of its name" testID="mount-search" />
        <Choice label="type" options={TYPES} value={type} onChoose={setType} />
        <Switch label="only those that nothing stops" testID="only-fitting" on={fitting} onChange={setFitting} />
      </Fold>
      <View role="radiogroup" aria-label="mounts, best first">
        {page.mounts.map(({ mount, ranked }) => (
          <MountRow
            key={mount.id}
            mount={mount}
            ranked={ranked}
            onStuds={onStuds}
            chosen={job.mount?.id === mount.id}
            compared={compared.includes(mount.id)}
            onChoose={() => void choose(mount.id)}
            onCompare={() => mark(mount.id)}
            say={say}
          />
        ))}
      </View>
      <Shown page={page} onMore={() => setCount(count + PAGE)} />
      <View style={{ padding: 12, gap: 8 }}>
        <Action
          quiet
          testID="own-mount"
          label="one that is not here: from its label"
          onPress={() => router.push(`/catalogue/new?room=${id}`)}
        />
        <Action quiet testID="to-catalogue" label="the catalogue" onPress={() => router.push('/catalogue')} />
      </View>
      {compared.length > 0 ? (
        <CompareBar count={compared.length} onCompare={() => setComparing(true)} onClear={() => setCompared([])} />
      ) : null}
      {comparing ? (
        <CompareSheet ids={compared} onClose={() => setComparing(false)} onChoose={(m) => void choose(m)} />
      ) : null}
    </View>
  );
}

function Waiting({ noServer, progress }: { noServer: boolean; progress: number | undefined }) {
  return (
    <View style={{ padding: 16, gap: 12 }}>
      <Txt>
        {noServer
          ? 'The list of mounts is on the server, and it cannot be reached. It comes by itself when it can.'
          : 'Fetching the mounts…'}
      </Txt>
      {progress === undefined ? null : <ProgressBar share={progress} label="judging the mounts" />}
    </View>
  );
}

/** What is compared, in reach while the list scrolls. */
function CompareBar({ count, onCompare, onClear }: { count: number; onCompare: () => void; onClear: () => void }) {
  const palette = usePalette();
  return (
    <View
      testID="compare-bar"
      style={{
        // the web target takes `sticky`, of which the types do not know
        position: 'sticky' as 'relative',
        bottom: 0,
        flexDirection: 'row',
        alignItems: 'center',
        gap: 8,
        paddingHorizontal: 12,
        paddingVertical: 6,
        backgroundColor: palette.raised,
        borderTopWidth: 1,
        borderTopColor: palette.ink,
      }}
    >
      <View style={{ flex: 1 }}>
        {count > 1 ? (
          <Action quiet testID="compare" label={`compare ${count}`} onPress={onCompare} />
        ) : (
          <Txt>One to compare: mark another.</Txt>
        )}
      </View>
      <Action quiet testID="compare-none" label="none" onPress={onClear} />
    </View>
  );
}

function Shown({ page, onMore }: { page: RankedPage; onMore: () => void }) {
  const shown = page.mounts.length;
  return (
    <View style={{ padding: 12, gap: 8 }}>
      <Txt kind="small" soft testID="mount-count">
        {page.total === 0
          ? `None of ${page.of} mounts is left: widen the search.`
          : `${shown} of ${page.total}${page.total < page.of ? `, out of ${page.of}` : ''}`}
      </Txt>
      {shown < page.total ? <Action quiet testID="more-mounts" label="more" onPress={onMore} /> : null}
    </View>
  );
}

function Advised() {
  const advice = usePlan((p) => p.advice, sameContent);
  return advice ? <AdviceLine advice={advice} /> : null;
}

/** What the seats ask for, with the angles that led to it. */
function AdviceLine({ advice }: { advice: Advice }) {
  const { say } = useRoomContext();
  const palette = usePalette();
  const { across, tilt } = advice.workings ?? {};
  return (
    <View
      testID="advice"
      style={{
        padding: 12,
        paddingLeft: 16,
        gap: 4,
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
        backgroundColor: palette.sheet,
      }}
    >
      <Txt>{adviceText(advice, say)}</Txt>
      <View style={{ flexDirection: 'row', gap: 16 }}>
        {across ? (
          <Figure label="widest seat" working={across} size={16} after={across.value < 0 ? 'left' : 'right'} />
        ) : null}
        {tilt ? <Figure label="tilt needed" working={tilt} size={16} /> : null}
      </View>
    </View>
  );
}

function Picked({ name }: { name: string }) {
  const palette = usePalette();
  return (
    <View
      style={{
        padding: 12,
        paddingLeft: 16,
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
      }}
    >
      <Txt>
        {'picked: '}
        <Txt kind="bold">{name}</Txt>
      </Txt>
    </View>
  );
}
