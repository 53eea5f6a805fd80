import { useState } from 'react';
import { View } from 'react-native';
import type { CameraView, FinderKind, PracticePlace } from '@steddo/core';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { useRoomContext, useSeenWall } from '../../state/roomState';
import { FeltSheet } from '../../work/FeltPart';
import { logMark, logScan } from '../../state/marks';
import { markKindName } from '@steddo/text';
import { passMarksOf, type PassMark, type Tool } from '../../state/tools';
import { useHeld, useWall } from '../../state/wallState';
import { CameraSheet } from './CameraSheet';
import type { Practice, PracticeTool } from './practiceStore';

const NAMES: Record<PracticeTool, string> = {
  edge: 'edge finder',
  centre: 'centre finder',
  magnet: 'magnet',
  drill: 'small drill',
  live: 'live scan',
  camera: 'camera',
};
/** So many of a pass's marks are offered at once. */
const OFFERED = 6;
const CAMERA_REACH_MM = 300;

/** A place as the log has it: on a corner's other wall with its side. */
function usePlaceOf(): (tool: Tool) => PracticePlace {
  const wall = useSeenWall() ?? 'main';
  return ({ x, y }) => ({ x, y, ...(wall === 'main' ? {} : { wall }) });
}

interface ToolProps {
  practice: Practice;
  onChange: (change: Partial<Practice>) => void;
}

/** The instrument in the hand: pick one, slide it on the wall, log what it shows where it shows it. */
export function ToolPart({ practice, onChange }: ToolProps) {
  const { job, plan } = useRoomContext();
  const { take, y, next } = useWall();
  const { tool } = useHeld();
  const pick = (kind: PracticeTool) => {
    const look = next?.looks[0];
    const x = tool?.x ?? look?.from ?? look?.x ?? plan.placement?.centre.x ?? job.room.wall.width / 2;
    take?.(kind, x, tool?.y ?? look?.y ?? y);
  };
  return (
    <View testID="tools">
      <Choice
        label="in hand"
        options={practice.tools.map((t) => ({ value: t, name: NAMES[t] }))}
        value={tool?.kind}
        onChoose={pick}
      />
      {tool ? (
        <InHand tool={tool} practice={practice} onChange={onChange} />
      ) : (
        <View style={{ padding: 16 }}>
          <Txt soft>Take an instrument, then slide it along the wall above. Arrow keys slide it too.</Txt>
        </View>
      )}
    </View>
  );
}

function InHand({ tool, practice, onChange }: { tool: Tool; practice: Practice; onChange: ToolProps['onChange'] }) {
  if (tool.kind === 'drill') return <PokeHere tool={tool} practice={practice} onChange={onChange} />;
  if (tool.kind === 'camera') return <LookHere tool={tool} practice={practice} onChange={onChange} />;
  return <FinderHere tool={tool} kind={tool.kind} />;
}

function FinderHere({ tool, kind }: { tool: Tool; kind: FinderKind }) {
  const { job, say, dispatch } = useRoomContext();
  const palette = usePalette();
  const logged = (m: PassMark) => (job.evidence ?? []).some((e) => Math.abs(e.x - m.x) < 0.02);
  const offered = passMarksOf(tool)
    .filter((m) => !logged(m))
    .slice(-OFFERED);
  return (
    <View style={{ paddingHorizontal: 10, gap: 6, paddingBottom: 8 }}>
      <Txt kind="small">
        {`${tool.lit ? 'Lit' : 'Dark'} at ${say.length(tool.x)}. ${offered.length === 0 ? 'Slide it along the wall; what it shows is marked with one tap.' : 'It changed here:'}`}
      </Txt>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {offered.map((m) => (
          <Tap
            key={`${m.kind}-${m.x}`}
            label={`mark ${markKindName[m.kind]} at ${say.length(m.x)}`}
            testID={`here-${m.kind}`}
            onPress={() => void dispatch(logMark(job, m.kind, m.x, m.y))}
            style={{
              paddingHorizontal: 12,
              backgroundColor: palette.tape,
              borderWidth: 1,
              borderColor: palette.tapeEdge,
            }}
          >
            <Txt kind="bold" color={palette.onTape}>{`${markKindName[m.kind]} ${say.length(m.x)}`}</Txt>
          </Tap>
        ))}
        {kind === 'live' ? null : <ScanLogged tool={tool} kind={kind} />}
      </View>
    </View>
  );
}

/** A pass shorter than this says nothing about a stud, mm. */
const LEAST_PASS_MM = 100;

/** What was really swept counts as scanned: silence in it speaks against studs. */
function ScanLogged({ tool, kind }: { tool: Tool; kind: 'edge' | 'centre' | 'magnet' }) {
  const { job, dispatch } = useRoomContext();
  const { from, to } = tool.swept ?? { from: 0, to: 0 };
  if (to - from < LEAST_PASS_MM) return null;
  return (
    <Action
      quiet
      label="that pass is done"
      testID="pass-done"
      onPress={() => void dispatch(logScan(job, { instrument: kind, from, to, y: tool.y }))}
    />
  );
}

function PokeHere({ tool, practice, onChange }: { tool: Tool; practice: Practice; onChange: ToolProps['onChange'] }) {
  const { job, dispatch, say } = useRoomContext();
  const [felt, setFelt] = useState(false);
  const placeOf = usePlaceOf();
  const poke = () => {
    const { found, felt: something } = tool.instruments.poke(tool.x, tool.y);
    onChange({ log: { ...practice.log, pokes: [...practice.log.pokes, placeOf(tool)] } });
    dispatch(logMark(job, found, tool.x, tool.y));
    if (something) setFelt(true);
  };
  return (
    <View style={{ paddingHorizontal: 10, paddingBottom: 8, gap: 6 }}>
      <Txt kind="small">{`At ${say.length(tool.x)}, ${say.length(tool.y)} up. ${practice.log.pokes.length} pokes so far.`}</Txt>
      <Action quiet label="poke here" testID="poke-here" onPress={poke} />
      {felt ? <FeltSheet onClose={() => setFelt(false)} /> : null}
    </View>
  );
}

function LookHere({ tool, practice, onChange }: { tool: Tool; practice: Practice; onChange: ToolProps['onChange'] }) {
  const { say } = useRoomContext();
  const [view, setView] = useState<CameraView | 'stud'>();
  const placeOf = usePlaceOf();
  const look = () => {
    onChange({ log: { ...practice.log, looks: [...practice.log.looks, placeOf(tool)] } });
    setView(tool.instruments.look(tool.x, tool.y, CAMERA_REACH_MM) ?? 'stud');
  };
  return (
    <View style={{ paddingHorizontal: 10, paddingBottom: 8, gap: 6 }}>
      <Txt kind="small">{`A 5/16 in hole through the board, worked wider, at ${say.length(tool.x)}, ${say.length(tool.y)} up.`}</Txt>
      <Action quiet label="look in here" testID="look-here" onPress={look} />
      {view === 'stud' ? (
        <Txt>There is wood right behind the board: no bay to look into. Go 3 in beside it.</Txt>
      ) : null}
      {view && view !== 'stud' ? (
        <CameraSheet view={view} at={{ x: tool.x, y: tool.y }} onClose={() => setView(undefined)} />
      ) : null}
    </View>
  );
}
