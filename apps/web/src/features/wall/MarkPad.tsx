import { View } from 'react-native';
import type { Build, Job } from '@steddo/contract';
import { isVehicle, type Command } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { usePad } from '../../pad/PadContext';
import { TapeFields } from '../../pad/TapeField';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Fold } from '../../ui/Fold';
import { useRoomContext, useSeenWall, useWholeNow } from '../../state/roomState';
import { isFromCorner } from '../../state/seenStore';
import { markOf, nextNumber } from '../../state/marks';
import { alongFrom, markedName, type MarkKind } from '@steddo/text';
import { useWall } from '../../state/wallState';

const JOINTS: readonly MarkKind[] = ['joint', 'joint-bed', 'joint-upright'];
const BACKING: readonly MarkKind[] = ['backing-left', 'backing-right', 'backing-bottom', 'backing-top'];
const OTHERS: readonly MarkKind[] = [
  'fastener',
  'outlet-left',
  'outlet-right',
  'nogging',
  'live',
  'metal',
  'somewhere',
  'face-left',
  'face-right',
  'old-wood',
  'old-hollow',
  ...BACKING,
];

/** What can be marked first on a wall of a kind, and what else: nobody is asked for what is not there. */
function marksFor(kind: Build['kind']): { first: readonly MarkKind[]; others: readonly MarkKind[] } {
  if (kind === 'masonry') return { first: JOINTS, others: ['live', 'metal'] };
  if (kind === 'timber-backing' || kind === 'metal-backing')
    return { first: BACKING, others: ['backing', 'hollow', 'live', 'metal', 'wood'] };
  return { first: ['edge-left', 'edge-right', 'centre', 'wood', 'hollow'], others: OTHERS };
}
/** Marks come in pairs: after a left edge its right edge, then the next stud's left edge. */
const FOLLOWS: Partial<Record<MarkKind, MarkKind>> = {
  'edge-left': 'edge-right',
  'edge-right': 'edge-left',
};
const RUN = 12;

/** Marks from any instrument, as tape is stuck on: one tap and the tape pad, the height fixed. */
export function MarkPad() {
  const { job } = useRoomContext();
  const { y, setY } = useWall();
  const { first, others } = marksFor(isVehicle(job) ? 'metal-backing' : job.room.wall.build.kind);
  // brick in a zone of a wall of studs has its joints too
  const zoned = (job.room.wall.zones ?? []).some((z) => z.build?.kind === 'masonry') && !first.includes('joint');
  return (
    <View>
      <Strips kinds={first} />
      <TapeFields fields={[heightField(y, setY, job)]} />
      <Fold name="other marks">
        <Strips kinds={zoned ? [...others, ...JOINTS] : others} />
      </Fold>
    </View>
  );
}

function Strips({ kinds }: { kinds: readonly MarkKind[] }) {
  const { job, readOnly } = useRoomContext();
  const fromCorner = isFromCorner(useSeenWall());
  const whole = useWholeNow();
  const { open } = usePad();
  const { y } = useWall();
  const palette = usePalette();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6, padding: 10 }}>
      {kinds.map((kind) => (
        <Tap
          key={kind}
          label={`mark a ${markedName(kind, fromCorner)}`}
          testID={`mark-${kind}`}
          disabled={readOnly}
          onPress={() => open(runOf(kind, job, { y, fromCorner, base: nextNumber(whole().job) }), 0)}
          style={{
            paddingHorizontal: 12,
            backgroundColor: palette.tape,
            borderWidth: 1,
            borderColor: palette.tapeEdge,
          }}
        >
          <Txt kind="bold" color={palette.onTape}>
            {markedName(kind, fromCorner)}
          </Txt>
        </Tap>
      ))}
    </View>
  );
}

/** The pad walks from mark to mark; each is a new entry of the evidence. */
function runOf(
  first: MarkKind,
  job: Job,
  { y, fromCorner, base }: { y: number; fromCorner: boolean; base: number },
): Field[] {
  const count = FOLLOWS[first] ? RUN : RUN / 2;
  const kinds: MarkKind[] = [first];
  while (kinds.length < count) kinds.push(FOLLOWS[kinds.at(-1)!] ?? first);
  return kinds.map((kind, i) => {
    const level = kind === 'backing-top' || kind === 'backing-bottom' || kind === 'joint-bed';
    return {
      path: `evidence.e${base + i}.${level ? 'y' : 'x'}`,
      label: `${markedName(kind, fromCorner)}, ${level ? 'from the floor' : alongFrom(fromCorner)}`,
      kind: 'length',
      min: 0,
      max: level ? job.room.wall.height : job.room.wall.width,
      command: (mm) => ({
        do: 'put',
        path: `evidence.e${base + i}`,
        value: {
          ...(level ? markOf(kind, `e${base + i}`, job.room.wall.width / 2, mm) : markOf(kind, `e${base + i}`, mm, y)),
          at: new Date().toISOString(),
        },
      }),
    };
  });
}

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
