import { View } from 'react-native';
import type { ReachPlan, SeatPose } from '@steddo/contract';
import { POOR_DEG, seatAxis, seatsOf } from '@steddo/core';
import { offText, poseText, stopText, tiltText } from '@steddo/text';
import { useCatalogue, useRanking } from '../../state/useCatalogue';
import { Action } from '../../ui/Action';
import { chosenRow } from '../../ui/chosenRow';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { useRoomContext } from '../../state/roomState';
import { sideWord } from '../../state/barNumbers';
import { useArm } from '../../state/armState';

/** Somebody whose place is not known is not forgotten. */
function Unplaced({ name }: { name: string }) {
  const { goTo } = useRoomContext();
  return (
    <View style={{ paddingHorizontal: 16, paddingVertical: 8, gap: 4 }} testID="seat-unplaced">
      <Txt>{`${name}: how far off and where sideways is not measured, so nobody can say what is seen from there.`}</Txt>
      <Action quiet label="measure it" onPress={() => goTo('room')} />
    </View>
  );
}

/** Each seat: what it sees now, the pose that serves it best, and one that serves all. */
export function SeatRows({ reach }: { reach: ReachPlan }) {
  const { job, say } = useRoomContext();
  const { at, model, bring, play, playing } = useArm();
  if (!model || !at) return null;
  const seats = seatsOf(job);
  const name = (id: string) => say.thing(id);
  const { shared } = reach;
  return (
    <View>
      {reach.seats.length === 0 ? (
        <View style={{ padding: 16 }}>
          <Txt>Nobody sits anywhere yet. Tap the floor to see what somebody there would see.</Txt>
        </View>
      ) : null}
      {(job.room.viewers ?? [])
        .filter((v) => !seats.some((s) => s.viewer === v.id))
        .map((v) => (
          <Unplaced key={v.id} name={name(v.id)} />
        ))}
      {reach.seats.map((s) => {
        const seat = seats.find((o) => o.viewer === s.viewer);
        const axis = seat && seatAxis(model, at, seat);
        return (
          <SeatRow
            key={s.viewer}
            name={name(s.viewer)}
            seat={s}
            axis={axis}
            chosen={same(at, s)}
            onBring={() => bring(s)}
          />
        );
      })}
      {reach.seats.some((s) => s.stoppedBy === 'reach' || s.stoppedBy === 'swivel') ? <Serving /> : null}
      {shared ? (
        <PoseRow
          testID="pose-shared"
          title="all at once"
          note={`${poseText(shared, say)}; ${name(shared.viewer)} ${offText(shared.worst)}`}
          chosen={same(at, shared)}
          good={shared.worst <= POOR_DEG}
          onBring={() => bring(shared)}
        />
      ) : null}
      <PoseRow
        testID="pose-folded"
        title="folded"
        note={`${say.length(reach.folded)} off the wall`}
        chosen={same(at, { ...model.folded, yaw: 0 })}
        onBring={() => bring(model.folded)}
      />
      <View style={{ padding: 12 }}>
        <Action quiet testID="play" label={playing ? 'on its way…' : 'play the way there'} onPress={() => play(at)} />
      </View>
    </View>
  );
}

/** Poses closer than this are the same to the eye. */
const SAME_MM = 3;
const SAME_DEG = 0.5;
interface Where {
  x: number;
  z: number;
  yaw: number;
}
const same = (a: Where, b: Where): boolean =>
  Math.hypot(a.x - b.x, a.z - b.z) < SAME_MM && Math.abs(a.yaw - b.yaw) < SAME_DEG;

interface SeatRowProps {
  name: string;
  seat: SeatPose;
  axis: ReturnType<typeof seatAxis> | undefined;
  chosen: boolean;
  onBring: () => void;
}

function SeatRow({ name, seat, axis, chosen, onBring }: SeatRowProps) {
  const { say } = useRoomContext();
  const palette = usePalette();
  const side = axis && sideWord(Math.round(axis.value));
  return (
    <View testID={`seat-${seat.viewer}`} style={{ ...chosenRow(palette, chosen), paddingBottom: 6 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <Tap
          role="button"
          label={`bring the set to ${name}: ${poseText(seat, say)}`}
          testID={`bring-${seat.viewer}`}
          onPress={onBring}
          style={{ flex: 1, paddingLeft: 10, paddingVertical: 6 }}
        >
          <Txt kind="bold">{name}</Txt>
          <Txt
            kind="small"
            soft
          >{`at best ${offText(seat.offAxis)}: ${poseText(seat, say)}${tiltText(seat.tilt)}`}</Txt>
        </Tap>
        {axis ? (
          <View style={{ paddingHorizontal: 8 }}>
            <Figure label="sees it now" working={axis} size={20} {...(side ? { after: `off, ${side}` } : {})} />
          </View>
        ) : null}
        <View style={{ paddingRight: 12 }}>
          <Verdict verdict={axis && Math.abs(axis.value) > POOR_DEG ? 'caution' : 'go'} word={false} />
        </View>
      </View>
      {seat.stoppedBy ? <Stopped seat={seat} /> : null}
    </View>
  );
}

/** What keeps it from being better. */
function Stopped({ seat }: { seat: SeatPose }) {
  const { say } = useRoomContext();
  return (
    <View style={{ paddingHorizontal: 10 }} testID={`stopped-${seat.viewer}`}>
      <Txt kind="small">{stopText(seat.stoppedBy ?? '', seat.reachNeeded ?? 0, say)}</Txt>
    </View>
  );
}

const MOST_NAMED = 3;

/** Mounts of the catalogue that nothing stops and that turn to every seat. */
function Serving() {
  const { job } = useRoomContext();
  const { revision } = useCatalogue();
  const { page } = useRanking(job, QUERY, revision);
  const serving = (page?.mounts ?? []).filter(({ ranked }) => ranked.reasons.some((f) => f.rule === 'reach' && f.ok));
  if (!page) return null;
  const names = serving.slice(0, MOST_NAMED).map(({ mount }) => mount.name);
  return (
    <View style={{ paddingHorizontal: 16, paddingVertical: 8 }} testID="serving">
      <Txt kind="small">
        {names.length > 0
          ? `Mounts that turn to every seat: ${names.join(', ')}.`
          : 'No mount in the list turns to every seat.'}
      </Txt>
    </View>
  );
}

const QUERY = { text: '', types: [], fitting: true, from: 0, count: 20 };

interface PoseRowProps {
  title: string;
  note: string;
  chosen: boolean;
  good?: boolean;
  onBring: () => void;
  testID: string;
}

function PoseRow({ title, note, chosen, good, onBring, testID }: PoseRowProps) {
  const palette = usePalette();
  return (
    <View style={chosenRow(palette, chosen)}>
      <Tap
        role="button"
        label={`bring the set: ${title}, ${note}`}
        testID={testID}
        onPress={onBring}
        style={{ paddingLeft: 10, paddingRight: 12, paddingVertical: 6 }}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <View style={{ flex: 1 }}>
            <Txt kind="bold">{title}</Txt>
            <Txt kind="small" soft>
              {note}
            </Txt>
          </View>
          {good === undefined ? null : <Verdict verdict={good ? 'go' : 'caution'} word={false} />}
        </View>
      </Tap>
    </View>
  );
}
