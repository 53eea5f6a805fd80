import { View } from 'react-native';
import { Txt } from '../../ui/Txt';
import { Findings } from '../../work/Findings';
import { Fold } from '../../ui/Fold';
import { useRoomContext } from '../../state/roomState';
import { FeltPart } from '../../work/FeltPart';
import { LooksPart } from './LooksPart';
import { MarkPad } from './MarkPad';
import { Masonry } from './Masonry';
import { NextLookCard } from './NextLookCard';
import { PokePart } from './PokePart';
import { HoleCertainty } from '../../work/HoleCertainty';
import { Marks, Studs } from './WallTable';

/** From marks to studs that can be trusted, and what else is in the wall. */
export function WallStage() {
  const { job } = useRoomContext();
  const { kind } = job.room.wall.build;
  const studs = kind === 'timber-stud' || kind === 'metal-stud' || kind === 'unknown';
  const marks = (job.evidence ?? []).length + (job.scans ?? []).length;
  return (
    <View>
      {studs ? <NextLookCard /> : null}
      {kind === 'masonry' ? <Masonry /> : null}
      <MarkPad />
      <FeltPart />
      <Findings stage="wall" />
      <Fold name="look inside the wall">
        <LooksPart />
      </Fold>
      {studs ? (
        <Fold name="poke to an edge">
          <PokePart />
        </Fold>
      ) : null}
      {studs ? <Heading text="studs" /> : null}
      {studs ? <Studs /> : null}
      <Heading text="how sure the holes are" />
      <HoleCertainty />
      {marks > 0 ? <Heading text="marks on the wall" /> : null}
      <Marks />
    </View>
  );
}

function Heading({ text }: { text: string }) {
  return (
    <View style={{ paddingHorizontal: 16, paddingTop: 12 }}>
      <Txt kind="bold" level={2}>
        {text}
      </Txt>
    </View>
  );
}
