import { View } from 'react-native';
import { armHoles, stagedNumber } from '@steddo/core';
import { measuredName } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { Choice } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { Findings } from '../../work/Findings';
import { StepList } from '../../work/StepList';
import { BoxContents } from './BoxContents';
import { MeasuredOnSet } from './MeasuredOnSet';

/** The mount onto the set, before any height: arms, plate staged, and the one number that the wall hangs on. */
export function FitStage() {
  const { job, plan } = useRoomContext();
  if (!job.mount)
    return (
      <View style={{ padding: 16 }}>
        <Txt kind="bold">Pick a mount first: it is fitted here.</Txt>
      </View>
    );
  const one = stagedNumber(job, plan);
  return (
    <View>
      <OneNumber />
      <ArmHole />
      <Findings stage="fit" />
      <Fold name="measured on the set" start={!one}>
        <MeasuredOnSet />
      </Fold>
      <StepList part="fit" all="all of it is done" />
      <Fold name="what is in the box">
        <BoxContents />
      </Fold>
    </View>
  );
}

/** What everything on the wall is measured from; read on the set it wins over the drawings. */
function OneNumber() {
  const { job, plan } = useRoomContext();
  const one = stagedNumber(job, plan);
  return (
    <View style={{ paddingHorizontal: 16, paddingTop: 10, gap: 2 }} testID="one-number">
      {one ? (
        <Figure label={`${one.from} edge to ${measuredName(one.to)}`} working={one.working} size={40} />
      ) : (
        <Txt kind="bold">Nothing is drawn of this plate: stage it, and measure.</Txt>
      )}
      <Txt kind="small" soft>
        {one?.measured
          ? 'Read on the set with the plate staged: height wanted and this are the mark on the wall.'
          : one
            ? 'By the drawings of set and mount. Stage the plate on the set and read it: what is read wins.'
            : 'Bottom edge to the top row of holes, with the plate on its arms as it will hang.'}
      </Txt>
    </View>
  );
}

/** Which hole of the arms: free, the height decides. */
function ArmHole() {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const holes = job.mount ? armHoles(job.mount) : [];
  if (holes.length < 2) return null;
  const used = plan.placement?.armHole;
  const options = [
    { value: 'free', name: used === undefined ? 'free' : `free: ${used + 1} now` },
    ...holes.map((_, i) => ({ value: String(i), name: `${i + 1}` })),
  ];
  return (
    <Choice
      label="arm hole, from the hook end"
      disabled={readOnly}
      options={options}
      value={job.choices?.armHole === undefined ? 'free' : String(job.choices.armHole)}
      onChoose={(v) =>
        dispatch(
          v === 'free'
            ? { do: 'drop', path: 'choices.armHole' }
            : { do: 'put', path: 'choices.armHole', value: Number(v) },
        )
      }
    />
  );
}
