import { View } from 'react-native';
import type { ReachPlan } from '@steddo/contract';
import { Choice } from '../../ui/Choice';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

type FoldOf = NonNullable<ReachPlan['folds']>[number];

const FOLDS = [
  { value: 'free', name: 'whichever serves' },
  { value: 'left', name: 'to the left' },
  { value: 'right', name: 'to the right' },
] as const;

/** What each fold does to the plate, and over which studs it comes. */
export function FoldPart({ folds }: { folds: readonly FoldOf[] }) {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const choose = (fold: 'free' | 'left' | 'right') =>
    dispatch(fold === 'free' ? { do: 'drop', path: 'choices.fold' } : { do: 'put', path: 'choices.fold', value: fold });
  const known = (plan.studs ?? []).length > 0;
  return (
    <View>
      <Choice
        label="the arm folds"
        disabled={readOnly}
        options={FOLDS}
        value={job.choices?.fold ?? 'free'}
        onChoose={choose}
      />
      {folds.map((f) => (
        <FoldRow key={f.fold} fold={f} known={known} />
      ))}
    </View>
  );
}

function FoldRow({ fold, known }: { fold: FoldOf; known: boolean }) {
  const { say } = useRoomContext();
  const aside = Math.round(Math.abs(fold.centreOffset));
  const way = fold.centreOffset < 0 ? 'left' : 'right';
  const plate = `plate's middle at ${say.length(fold.plateX)}`;
  const studs =
    fold.studs.length > 0
      ? `over the stud${fold.studs.length > 1 ? 's' : ''} at ${fold.studs.map((x) => say.length(x)).join(' and ')}${shiftText(fold.shift, say.length)}`
      : known
        ? 'no stud comes under its slots'
        : 'no studs marked yet';
  return (
    <View style={{ paddingHorizontal: 16, paddingVertical: 8 }} testID={`fold-${fold.fold}`}>
      <Txt kind={fold.chosen ? 'bold' : 'text'}>{`To the ${fold.fold}${fold.chosen ? ', as it is' : ''}`}</Txt>
      <Txt kind="small" soft>
        {`${aside === 0 ? 'set straight over the plate' : `set ${say.length(Math.abs(fold.centreOffset))} ${way} of the plate`}; ${plate}, ${studs}.`}
      </Txt>
    </View>
  );
}

const shiftText = (shift: number | undefined, length: (mm: number) => string): string =>
  shift === undefined || Math.abs(shift) < 0.5 ? '' : `, slid back ${length(Math.abs(shift))}`;
