import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useLocalSearchParams } from 'expo-router';
import { cornerSideOf, hasSheet, isCorner, untouched } from '@steddo/core';
import type { Job } from '@steddo/contract';
import { buildName } from '@steddo/text';
import { bringSeen, useRoomList, type ListedRoom } from '../../data/useLists';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { Switch } from '../../ui/Switch';
import { Txt } from '../../ui/Txt';
import { usePosture } from '../../ui/usePosture';
import { usePalette } from '../../ui/tokens';
import { wallWorker } from '../../worker/wall';
import { bestScores, type BestScore, type Practice, type PracticeTool } from './practiceStore';

const TOOLS: readonly { tool: PracticeTool; name: string; note: string }[] = [
  { tool: 'edge', name: 'edge finder', note: 'lights over a stud, a little early or late' },
  { tool: 'centre', name: 'centre finder', note: 'lights on the middle, less exactly' },
  { tool: 'magnet', name: 'magnet', note: 'holds on to board screws' },
  { tool: 'drill', name: 'small drill', note: 'wood or hollow; one in fifty misleads' },
  { tool: 'live', name: 'live scan', note: 'misses what does not touch the board' },
  { tool: 'camera', name: 'camera', note: 'shows a bay, both ways' },
];

/** Which wall, in which room, with what in the bag. */
export function PracticeSetup({ onStart }: { onStart: (practice: Practice) => void }) {
  const asked = useLocalSearchParams<{ seed?: string; room?: string; errors?: string }>();
  const palette = usePalette();
  const { rooms, asking } = useRoomList();
  const [seed, setSeed] = useState(() => Math.max(1, Math.floor(Number(asked.seed) || 1)));
  const [room, setRoom] = useState(asked.room);
  const [tools, setTools] = useState<PracticeTool[]>(TOOLS.map((t) => t.tool));
  const [building, setBuilding] = useState(false);
  const [best, setBest] = useState<BestScore[]>([]);
  useEffect(() => void bestScores().then(setBest), []);
  const fit = rooms.flatMap(({ id, job }) => (job && whyNot(job) === undefined ? [{ id, job }] : []));
  // a room that was asked for and is not on this device yet is waited for
  const wanted = fit.find((r) => r.id === room);
  const coming = !wanted && (asking || rooms.some((r) => r.id === room && !r.job));
  // the device keeps the latest rooms; one that is asked for by name is fetched whichever it is
  useEffect(() => {
    if (coming && room) bringSeen(room);
  }, [coming, room]);
  const chosen = wanted ?? (coming ? undefined : fit[0]);
  const start = async () => {
    if (!chosen) return;
    setBuilding(true);
    const job = untouched(chosen.job);
    const walls = await wallWorker().practiceWalls(job, seed);
    onStart({
      seed,
      room: chosen.id,
      tools,
      walls,
      job,
      log: { pokes: [], looks: [], holes: [] },
      errors: Number(asked.errors) || Date.now() % 2 ** 31,
    });
  };
  const wide = usePosture() === 'wide';
  return (
    <View style={{ flex: 1 }}>
      <ScrollView
        tabIndex={0}
        contentContainerStyle={{ width: '100%', maxWidth: 560, alignSelf: 'center', paddingBottom: 24 }}
      >
        <View style={{ padding: 16 }}>
          <Txt>
            A wall that nobody has seen into, and the instruments to find its studs. Land every hole in wood, meet no
            cable, poke no more than it takes.
          </Txt>
        </View>
        {coming ? (
          <View style={{ padding: 16 }}>
            <Txt soft>Fetching the room…</Txt>
          </View>
        ) : fit.length === 0 ? (
          <View style={{ padding: 16 }}>
            <Txt soft>
              Practice needs a room with a stud wall or a backing, and a mount whose plate is measured. Make one first.
            </Txt>
          </View>
        ) : (
          <Choice
            label="room"
            options={fit.map((r) => ({ value: r.id, name: r.job.title }))}
            value={chosen?.id}
            onChoose={setRoom}
            wraps={wide}
          />
        )}
        <Unfit rooms={rooms} />
        <View
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: 10,
            paddingHorizontal: 16,
            paddingVertical: 8,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View style={{ flex: 1 }}>
            <Txt kind="bold">{`wall ${seed}`}</Txt>
            <Txt kind="small" soft>
              the same number, the same wall
            </Txt>
          </View>
          <Action quiet label="–" testID="seed-less" disabled={seed <= 1} onPress={() => setSeed(seed - 1)} />
          <Action quiet label="+" testID="seed-more" onPress={() => setSeed(seed + 1)} />
        </View>
        {TOOLS.map(({ tool, name, note }) => (
          <Switch
            key={tool}
            label={name}
            note={note}
            testID={`tool-${tool}`}
            on={tools.includes(tool)}
            onChange={(on) => setTools(on ? [...tools, tool] : tools.filter((t) => t !== tool))}
          />
        ))}
        <BestScores scores={best} />
      </ScrollView>
      {/* rooms that are still coming never push it from under a thumb */}
      <View style={{ padding: 8, backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink }}>
        <View style={{ width: '100%', maxWidth: 544, alignSelf: 'center' }}>
          <Action
            label={building ? 'building the wall…' : 'Start'}
            icon="next"
            testID="practice-start"
            disabled={building || !chosen || tools.length === 0}
            onPress={() => void start()}
          />
        </View>
      </View>
    </View>
  );
}

/** Why a room is no practice wall; undefined where it is one. */
function whyNot(job: Job): string | undefined {
  const { mount, room } = untouched(job);
  const { kind } = room.wall.build;
  const sheet = hasSheet({ room });
  const other = isCorner({ mount, room }) ? room.sideWalls?.[cornerSideOf({ room })]?.build?.kind : undefined;
  if (other !== undefined && other !== 'timber-stud')
    return `the other wall is a ${buildName(other)}: there are no studs to find`;
  if (kind !== 'timber-stud' && !sheet) return `a ${buildName(kind)}: there are no studs to find`;
  if (!mount) return 'no mount is picked';
  return mount.plate?.slots ? undefined : `the plate of ${mount.name} is not measured`;
}

/** Rooms that cannot be practised in, each with its reason. */
function Unfit({ rooms }: { rooms: readonly ListedRoom[] }) {
  const unfit = rooms.flatMap(({ id, job }) => {
    const why = job && whyNot(job);
    return why ? [{ id, text: `${job.title}: ${why}.` }] : [];
  });
  if (unfit.length === 0) return null;
  return (
    <Fold name={`not to practise in, ${unfit.length}`}>
      <View style={{ paddingHorizontal: 16, paddingVertical: 8, gap: 4 }} testID="unfit-rooms">
        {unfit.map(({ id, text }) => (
          <Txt key={id} kind="small" soft>
            {text}
          </Txt>
        ))}
      </View>
    </Fold>
  );
}

export function BestScores({ scores }: { scores: readonly BestScore[] }) {
  const palette = usePalette();
  if (scores.length === 0) return null;
  return (
    <View testID="best-scores">
      <View style={{ paddingHorizontal: 16, paddingTop: 8 }}>
        <Txt kind="bold" level={2}>
          best so far
        </Txt>
      </View>
      {scores.map((s, i) => (
        <View
          key={i}
          style={{
            flexDirection: 'row',
            paddingHorizontal: 16,
            paddingVertical: 8,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View style={{ flex: 1 }}>
            <Txt>{`wall ${s.seed} · ${s.title}`}</Txt>
            <Txt
              kind="small"
              soft
            >{`${s.tools.length} of ${TOOLS.length} instruments, ${new Date(s.at).toLocaleDateString('en-GB')}`}</Txt>
          </View>
          <Txt kind="figure">{String(s.points)}</Txt>
        </View>
      ))}
    </View>
  );
}
