import { Suspense, useState } from 'react';
import { View } from 'react-native';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Fold } from '../../ui/Fold';
import { FoldedFindings } from '../../work/Findings';
import { useJob, usePlan } from '../../state/roomState';
import { ScrewList } from './ScrewList';
import { SetChoice } from './SetChoices';
import { SetGuide } from './SetGuide';
import { setFields, setSteps } from './steps';

/** Measure the set; never trust the diagonal. All at once, or guided step by step. */
export function SetStage() {
  const job = useJob((j) => j);
  const [guided, setGuided] = useState(false);
  if (guided) return <SetGuide onClose={() => setGuided(false)} />;
  const f = setFields(job);
  const steps = setSteps(job);
  const missing = steps.filter((s) => !s.known).length;
  return (
    <>
      <TapeFields fields={[f.diagonal, f.width, f.height, f.mass, f.up]} />
      <SetChoice which="pattern" />
      <FoldedFindings stage="set" />
      <View style={{ padding: 12 }}>
        <Action
          quiet
          testID="guide"
          label={missing > 0 ? `measure step by step, ${missing} left` : 'go through it step by step'}
          onPress={() => setGuided(true)}
        />
      </View>
      <Suspense>
        <Screws />
      </Suspense>
      <Fold name="thickness, back, plugs">
        <TapeFields fields={[f.thickness, f.plugs]} />
        <SetChoice which="back" />
        <SetChoice which="ports" />
      </Fold>
      <Fold name="other patterns, where it sits">
        <TapeFields fields={[f.patternWidth, f.patternHeight, f.top, f.bottom, f.right]} />
      </Fold>
    </>
  );
}

/** Opened from the start where there is enough to say which screws fit. */
function Screws() {
  const fields = setFields(useJob((j) => j));
  const ready = usePlan((p) => p.screen.screwCheck !== undefined);
  return (
    <Fold name={ready ? 'screws' : 'thread and insert'} start={ready}>
      <SetChoice which="thread" />
      <TapeFields fields={[fields.depth, fields.recess]} />
      <ScrewList />
    </Fold>
  );
}
