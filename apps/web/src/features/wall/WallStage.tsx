import { useState } from 'react';
import { View } from 'react-native';
import type { Evidence, Job } from '@steddo/contract';
import type { Command } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { usePad } from '../../pad/PadContext';
import { TapeFields } from '../../pad/TapeField';
import { RemovableRow } from '../../ui/RemovableRow';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { Findings } from '../room/Findings';
import { useRoomContext } from '../room/RoomContext';

type MarkKind = 'edge-left' | 'edge-right' | 'centre' | 'wood' | 'hollow';
const KINDS: readonly { kind: MarkKind; name: string }[] = [
  { kind: 'edge-left', name: 'left edge' },
  { kind: 'edge-right', name: 'right edge' },
  { kind: 'centre', name: 'centre' },
  { kind: 'wood', name: 'probe: wood' },
  { kind: 'hollow', name: 'probe: hollow' },
];
/** Marks come in pairs: after a left edge its right edge, then the next stud's left edge. */
const FOLLOWS: Partial<Record<MarkKind, MarkKind>> = {
  'edge-left': 'edge-right',
  'edge-right': 'edge-left',
};
const RUN = 12;
const USUAL_HEIGHT_MM = 1400;

/** Marks from any instrument, as they are made, and the studs that they show. */
export function WallStage() {
  const { job, plan, readOnly } = useRoomContext();
  const { open } = usePad();
  const palette = usePalette();
  const [y, setY] = useState(Math.round(plan.placement?.centre.y ?? USUAL_HEIGHT_MM));
  const start = (kind: MarkKind) => open(runOf(kind, job, y), 0);
  return (
    <View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6, padding: 10 }}>
        {KINDS.map(({ kind, name }) => (
          <Tap
            key={kind}
            label={`mark a ${name}`}
            testID={`mark-${kind}`}
            disabled={readOnly}
            onPress={() => start(kind)}
            style={{
              paddingHorizontal: 12,
              backgroundColor: palette.tape,
              borderWidth: 1,
              borderColor: palette.tapeEdge,
            }}
          >
            <Txt kind="bold" color={palette.onTape}>
              {name}
            </Txt>
          </Tap>
        ))}
      </View>
      <TapeFields fields={[heightField(y, setY, job)]} />
      <Studs />
      <Findings stage="wall" />
      <Marks />
    </View>
  );
}

/** The pad walks from mark to mark; each is a new entry of the evidence. */
function runOf(first: MarkKind, job: Job, y: number): Field[] {
  const count = FOLLOWS[first] ? RUN : RUN / 2;
  const kinds: MarkKind[] = [first];
  while (kinds.length < count) kinds.push(FOLLOWS[kinds.at(-1)!] ?? first);
  const base = nextNumber(job);
  return kinds.map((kind, i) => ({
    path: `evidence.e${base + i}.x`,
    label: `${KINDS.find((k) => k.kind === kind)?.name}, from the wall's left end`,
    kind: 'length',
    min: 0,
    max: job.room.wall.width,
    command: (x) => ({
      do: 'put',
      path: `evidence.e${base + i}`,
      value: markOf(kind, `e${base + i}`, x, y),
    }),
  }));
}

function markOf(kind: MarkKind, id: string, x: number, y: number): Evidence {
  if (kind === 'wood' || kind === 'hollow') return { id, kind: 'probe', x, y, found: kind };
  return { id, kind, x, y };
}

const nextNumber = (job: Job): number =>
  1 + Math.max(0, ...(job.evidence ?? []).map((e) => Number(/^e(\d+)$/.exec(e.id)?.[1] ?? 0)));

/** The height is the hand's, not the job's: the next marks take it. */
function heightField(y: number, setY: (y: number) => void, job: Job): Field {
  const nothing: Command = { do: 'all', commands: [] };
  return {
    path: 'marks.height',
    label: 'marks made at',
    hint: 'height from the floor',
    kind: 'length',
    value: y,
    min: 0,
    max: job.room.wall.height,
    command: (value) => {
      setY(value);
      return nothing;
    },
  };
}

function Studs() {
  const { plan } = useRoomContext();
  const palette = usePalette();
  const studs = plan.studs ?? [];
  if (studs.length === 0)
    return (
      <View style={{ padding: 16 }}>
        <Txt soft>
          No stud yet. Mark both edges of one: its middle is half-way. Studs are usually 16 or 24 in
          apart (400 or 600 mm).
        </Txt>
      </View>
    );
  return (
    <View>
      {studs.map((s, i) => (
        <View
          key={i}
          testID={`stud-${i}`}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            paddingHorizontal: 16,
            gap: 12,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View style={{ width: 10, height: 32, backgroundColor: palette.wood }} />
          <View style={{ flex: 1 }}>
            <Txt kind="bold">{`stud ${i + 1}`}</Txt>
            <Txt
              kind="small"
              soft
            >{`${s.evidence.length} ${s.evidence.length === 1 ? 'mark' : 'marks'}, a stud ${Math.floor(s.probability * 100)} in 100`}</Txt>
          </View>
          {s.working ? <Figure label="middle, from left" working={s.working} /> : null}
        </View>
      ))}
    </View>
  );
}

function Marks() {
  const { job, plan, dispatch, say, readOnly } = useRoomContext();
  const marks = [...(job.evidence ?? [])].reverse();
  if (marks.length === 0) return null;
  return (
    <View>
      <View style={{ paddingHorizontal: 16, paddingTop: 12 }}>
        <Txt kind="bold" level={2}>
          marks on the wall
        </Txt>
      </View>
      {marks.map((e) => (
        <RemovableRow
          key={e.id}
          text={`${nameOf(e)} at ${say.length(e.x)}`}
          {...(plan.odd?.includes(e.id) ? { note: 'disagrees with the rest' } : {})}
          removeLabel={`take away the ${nameOf(e)} at ${say.length(e.x)}`}
          disabled={readOnly}
          onRemove={() => dispatch({ do: 'drop', path: `evidence.${e.id}` })}
        />
      ))}
    </View>
  );
}

function nameOf(e: Evidence): string {
  if (e.kind === 'probe') return `probe: ${e.found}`;
  return e.kind === 'edge-left'
    ? 'left edge'
    : e.kind === 'edge-right'
      ? 'right edge'
      : e.kind.replace('-', ' ');
}
