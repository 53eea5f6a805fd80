import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Mount, Ranked } from '@steddo/contract';
import { rankMounts, type Command } from '@steddo/core';
import { fieldName, fitText, typeName, type Say } from '@steddo/text';
import { useCatalogue } from '../../data/useLists';
import { Icon } from '../../ui/Icon';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict, VerdictShape } from '../../ui/Verdict';
import { FoldedFindings } from '../room/Findings';
import { useRoomContext } from '../room/RoomContext';

/** Mounts by how well they fit this set and this wall, each with its reasons. */
export function MountStage() {
  const { job, dispatch, say, readOnly } = useRoomContext();
  const { catalogue, noServer } = useCatalogue();
  
  const ranking = useMemo(
    () => (catalogue ? rankMounts(catalogue.mounts, job) : []),
    [catalogue, job],
  );
  if (!catalogue)
    return (
      <View style={{ padding: 16 }}>
        <Txt>
          {noServer
            ? 'The list of mounts is on the server, and it cannot be reached. It comes by itself when it can.'
            : 'Fetching the mounts…'}
        </Txt>
      </View>
    );
  const chosen = ranking.find((r) => r.id === job.mount?.id) ?? job.mount;
  const choose = (id: string) => {
    const mount = catalogue.mounts.find((m) => m.id === id);
    if (mount && !readOnly) dispatch(chooseMount(mount));
  };
  return (
    <View role="radiogroup" aria-label="mounts, best first">
      <FoldedFindings stage="mount" />
      {chosen ? <Picked name={chosen.name} /> : null}
      {ranking.map((r) => (
        <MountRow
          key={r.id}
          ranked={r}
          chosen={job.mount?.id === r.id}
          onChoose={() => choose(r.id)}
          say={say}
        />
      ))}
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

/** Another mount: what was chosen for the last one's plate and arm no longer counts. */
function chooseMount(mount: Mount): Command {
  const drops = ['plateX', 'fold', 'armHole'].map((field): Command => ({
    do: 'drop',
    path: `choices.${field}`,
  }));
  return { do: 'all', commands: [{ do: 'put', path: 'mount', value: mount }, ...drops] };
}

function MountRow({
  ranked,
  chosen,
  onChoose,
  say,
}: {
  ranked: Ranked;
  chosen: boolean;
  onChoose: () => void;
  say: Say;
}) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  return (
    <View
      testID={`mount-${ranked.id}`}
      style={{
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
        borderLeftWidth: 6,
        borderLeftColor: chosen ? palette.action : 'transparent',
        backgroundColor: chosen ? palette.sheet : 'transparent',
      }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <Tap
          role="radio"
          selected={chosen}
          label={`${ranked.name}, ${typeName[ranked.type]}, ${lineFor(ranked, say)}`}
          onPress={onChoose}
          style={{ flex: 1, paddingLeft: 10, paddingVertical: 7 }}
        >
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
            <View style={{ flex: 1 }}>
              <Txt kind="bold">
                {ranked.name}
                <Txt soft>{`  ${typeName[ranked.type]}`}</Txt>
              </Txt>
              <Txt kind="small" soft>
                {lineFor(ranked, say)}
              </Txt>
            </View>
            <Verdict verdict={ranked.verdict} word={ranked.verdict !== 'go'} />
          </View>
        </Tap>
        <Tap
          label={`why ${ranked.name} is here, ${open ? 'hide' : 'show'}`}
          expanded={open}
          onPress={() => setOpen(!open)}
          style={{ alignItems: 'center' }}
        >
          <Icon name={open ? 'up' : 'down'} />
        </Tap>
      </View>
      {open ? <Reasons ranked={ranked} say={say} /> : null}
    </View>
  );
}

/** For a mount that fails the rule nearest to passing; else its tightest margin. */
function lineFor(ranked: Ranked, say: Say): string {
  if (ranked.nearest) return fitText(ranked.nearest, say);
  const mass = ranked.reasons.find((r) => r.rule === 'mass');
  const pattern = ranked.reasons.find((r) => r.rule === 'pattern');
  return [mass, pattern].flatMap((r) => (r ? [fitText(r, say)] : [])).join(', ');
}

function Reasons({ ranked, say }: { ranked: Ranked; say: Say }) {
  return (
    <View style={{ paddingHorizontal: 16, paddingBottom: 10, gap: 4 }}>
      {ranked.reasons.map((r) => (
        <View key={r.rule} style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
          <VerdictShape verdict={r.ok ? 'go' : r.level === 'stop' ? 'stop' : 'caution'} />
          <Txt kind="small">{fitText(r, say)}</Txt>
        </View>
      ))}
      {ranked.toMeasure.length > 0 ? (
        <Txt
          kind="small"
          soft
        >{`to measure before holes: ${ranked.toMeasure.map((f) => fieldName(f, say)).join(', ')}`}</Txt>
      ) : null}
    </View>
  );
}
