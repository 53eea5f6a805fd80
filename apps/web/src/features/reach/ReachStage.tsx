import { View } from 'react-native';
import { adviceText } from '@steddo/text';
import { Fold } from '../../ui/Fold';
import { FoldedFindings } from '../../work/Findings';
import { useRoomContext } from '../../state/roomState';
import { Txt } from '../../ui/Txt';
import { useArm } from '../../state/armState';
import { BenchRoom } from './BenchRoom';
import { CornerStand } from './CornerStand';
import { CablePart } from './CablePart';
import { CoveragePart } from './CoveragePart';
import { FoldPart } from './FoldPart';
import { SeatRows } from './SeatRows';
import { StandCard } from './StandCard';
import { StopLine } from './StopLine';
import { SwingPart } from './SwingPart';

/** What the arm can really do in this room: each seat's pose, what stops a better one, and the way there. */
export function ReachStage() {
  const { job, plan, say } = useRoomContext();
  const { model } = useArm();
  const { reach, corner, bench } = plan;
  if (corner) return <CornerStand corner={corner} />;
  if (!model || !reach)
    return (
      <NoArm
        mount={job.mount?.name}
        placed={plan.placement !== undefined}
        advice={plan.advice && adviceText(plan.advice, say)}
      />
    );
  return (
    <View>
      <StopLine />
      {bench ? <BenchRoom bench={bench} /> : null}
      <StandCard />
      <SeatRows reach={reach} />
      <CoveragePart />
      <FoldedFindings stage="reach" />
      <Fold name="which way it folds, and the studs">
        <FoldPart folds={reach.folds ?? []} />
      </Fold>
      <Fold name="room below, above and in front">
        <SwingPart reach={reach} />
      </Fold>
      <Fold name="cable at full reach">
        <CablePart reach={reach} />
      </Fold>
    </View>
  );
}

function NoArm({ mount, placed, advice }: { mount: string | undefined; placed: boolean; advice: string | undefined }) {
  return (
    <View style={{ padding: 16, gap: 8 }} testID="no-arm">
      <Txt>
        {mount === undefined
          ? 'Pick a mount first: what it can do in this room is worked out here.'
          : placed
            ? `${mount} does not move, so every seat sees the set as it hangs.`
            : 'The set has no height yet: what the arm can do is worked out where it hangs.'}
      </Txt>
      {advice ? <Txt>{advice}</Txt> : null}
    </View>
  );
}
