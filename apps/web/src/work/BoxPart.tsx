import { View } from 'react-native';
import { router } from 'expo-router';
import { boxNeedsLine, cutLine, dayStepText } from '@steddo/text';
import type { Finding, RecessPlan } from '@steddo/contract';
import { movedBox } from '../state/boxEdits';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { Txt } from '../ui/Txt';
import { Verdict } from '../ui/Verdict';
import { Figure } from './Figure';

/** A box to be let into the wall: its bay, both cuts, the way out of what keeps it, and the step that comes next. */
export function BoxPart() {
  const { id, plan, say } = useRoomContext();
  const { recess } = plan;
  if (!recess) return null;
  const { bay, cut, first, workings, steps } = recess;
  const next = steps.find((s) => !s.done);
  return (
    <View style={{ padding: 16, gap: 10 }} testID="box-part">
      {bay ? (
        <>
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
            <View style={{ flex: 1 }}>
              <Txt kind="bold" testID="bay-chance">
                {`${Math.floor(bay.chance * 1000) / 10} % sure that it fits its bay; ${Math.floor(cut.chance * 1000) / 10} % that the cut meets no wood`}
              </Txt>
            </View>
            <Verdict verdict={verdictOf(Math.min(bay.chance, cut.chance))} />
          </View>
          <View style={ROW}>
            {workings.bayLeft ? <Figure label="face on the left" working={workings.bayLeft} size={18} /> : null}
            {workings.bayRight ? <Figure label="face on the right" working={workings.bayRight} size={18} /> : null}
            {workings.margin ? <Figure label="to spare" working={workings.margin} size={18} /> : null}
            <Figure label="left behind it" working={workings.behind} size={18} />
          </View>
        </>
      ) : null}
      <Moves recess={recess} />
      <Txt kind="bold">Cut list</Txt>
      <Txt testID="cut-first">{`First, small: ${cutLine(first, say)}`}</Txt>
      <Txt testID="cut-whole">{`Outline: ${cutLine(cut, say)} ${say.length(cut.depth)} deep.`}</Txt>
      {next ? (
        <>
          <Txt kind="small">{`Next: ${dayStepText(next.id).name}. ${boxNeedsLine(next.needs) ?? ''}`}</Txt>
          <Action
            label="at the wall, one cut at a time"
            testID="to-box"
            onPress={() => router.push(`/room/${id}/box`)}
          />
        </>
      ) : (
        <Txt kind="small" soft>
          The box is in.
        </Txt>
      )}
    </View>
  );
}

const ROW = { flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 } as const;

const verdictOf = (chance: number) => (chance >= 0.97 ? 'go' : chance >= 0.9 ? 'caution' : 'stop');

const numberOf = (f: Finding | undefined): number => (typeof f?.values.byMm === 'number' ? f.values.byMm : 0);

/** Ways out that move the box: to the middle of its bay, over or under a timber. */
function Moves({ recess: { object } }: { recess: RecessPlan }) {
  const { job, plan, say, dispatch, readOnly } = useRoomContext();
  const of = (code: string) => plan.findings.find((f) => f.code === code && f.values.object === object);
  const aside = numberOf(of('box-meets-wood'));
  const up = numberOf(of('box-nogging'));
  const move = (by: { x?: number; y?: number }) => {
    const command = movedBox(job, object, by);
    if (command) dispatch(command);
  };
  return (
    <>
      {aside === 0 ? null : (
        <Action
          quiet
          testID="box-aside"
          label={`move it ${say.length(Math.abs(aside))} to the ${aside < 0 ? 'left' : 'right'}`}
          disabled={readOnly}
          onPress={() => move({ x: aside })}
        />
      )}
      {up === 0 ? null : (
        <Action
          quiet
          testID="box-up"
          label={`move it ${say.length(Math.abs(up))} ${up > 0 ? 'higher' : 'lower'}`}
          disabled={readOnly}
          onPress={() => move({ y: up })}
        />
      )}
    </>
  );
}
