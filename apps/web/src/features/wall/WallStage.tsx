import { View } from 'react-native';
import type { Build, Job } from '@steddo/contract';
import { buildsOf, isVehicle, studBuildOf } from '@steddo/core';
import { Txt } from '../../ui/Txt';
import { Findings } from '../../work/Findings';
import { Fold } from '../../ui/Fold';
import { useRoomContext } from '../../state/roomState';
import { FeltPart } from '../../work/FeltPart';
import { BackingOutline } from './BackingOutline';
import { LooksPart } from './LooksPart';
import { MarkPad } from './MarkPad';
import { Masonry } from './Masonry';
import { NextLookCard } from './NextLookCard';
import { PokePart } from './PokePart';
import { BoxPart } from '../../work/BoxPart';
import { SkinPart } from '../../work/VehiclePart';
import { MantelPart } from '../../work/MantelPart';
import { HoleCertainty } from '../../work/HoleCertainty';
import { ByWall, WallSwitch } from '../../work/WallSwitch';
import { Marks, Studs } from './WallTable';

/** From marks to studs that can be trusted, and what else is in the wall; in a corner one wall at a time, which is chosen here unless above. */
export function WallStage({ switched }: { switched?: boolean }) {
  return (
    <>
      {switched ? null : <WallSwitch />}
      <ByWall>
        <OneWall />
      </ByWall>
    </>
  );
}

function OneWall() {
  const { job, plan } = useRoomContext();
  const { kind } = studBuildOf(job.room.wall).build;
  const studs = !isVehicle(job) && (kind === 'timber-stud' || kind === 'metal-stud' || kind === 'unknown');
  const masonry = masonryOf(job);
  const marks = (job.evidence ?? []).length + (job.scans ?? []).length;
  return (
    <View>
      {studs ? <NextLookCard /> : null}
      {masonry.map((build, i) => (
        <Masonry key={i} build={build} />
      ))}
      <MarkPad />
      {kind !== 'masonry' ? <BackingOutline /> : null}
      <FeltPart />
      <Findings stage="wall" />
      {plan.recess ? <Heading text="the box in the wall" /> : null}
      <BoxPart />
      <SkinPart />
      {plan.mantel?.timber ? (
        <Fold name="mantel on its timber">
          <MantelPart />
        </Fold>
      ) : null}
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

/** Every masonry of the wall, each part's own once. */
const masonryOf = ({ room }: Job): Build[] => buildsOf(room.wall).filter((b) => b.kind === 'masonry');

function Heading({ text }: { text: string }) {
  return (
    <View style={{ paddingHorizontal: 16, paddingTop: 12 }}>
      <Txt kind="bold" level={2}>
        {text}
      </Txt>
    </View>
  );
}
