import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Job, Plan, Remedy } from '@steddo/contract';
import { applyCommand, takeWay, type Command } from '@steddo/core';
import { drillScene } from '@steddo/drawing';
import { capital, changedHoles, remedyText, shareText } from '@steddo/text';
import { Drawing } from '../canvas/Drawing';
import { Action } from '../ui/Action';
import { Txt } from '../ui/Txt';
import { Verdict } from '../ui/Verdict';
import { logMark } from '../state/marks';
import { usePlanning } from '../state/planning';
import { useRoomContext } from '../state/roomState';

/** The ways on from a stop, in their order, each with what it comes to and what it would change; nothing is taken before a tap. */
export function RemedyPart() {
  const { job, plan, late, say } = useRoomContext();
  const [shown, setShown] = useState<string>();
  const { remedies } = plan;
  const commands = useMemo(() => (remedies ?? []).map((r) => takeWay(r, job, plan)), [remedies, job, plan]);
  if (!remedies?.length) return null;
  return (
    <View style={{ padding: 12, gap: 14, maxWidth: 640 }} testID="remedies">
      <Txt kind="bold">What would do it</Txt>
      {remedies.map((remedy, i) => {
        const key = `${remedy.kind}:${remedy.by ?? ''}`;
        const command = commands[i];
        return (
          <View key={key} style={{ gap: 6 }} testID={`remedy-${remedy.kind}`}>
            <View style={{ flexDirection: 'row', gap: 10 }}>
              <View style={{ flex: 1 }}>
                <Txt>{`${i + 1}. ${capital(remedyText(remedy, say, (by) => nameIn(job, plan, by)))}.`}</Txt>
              </View>
              <Comes remedy={remedy} />
            </View>
            {remedy.kind === 'poke-edge' ? <Poked x={Number(remedy.by)} /> : null}
            {command && shown !== key ? (
              <Action
                quiet
                label="show what would change"
                testID={`show-${remedy.kind}`}
                // of an earlier plan, whose ways out may be none any more
                disabled={late !== undefined}
                onPress={() => setShown(key)}
              />
            ) : null}
            {command && shown === key ? (
              <Preview command={command} kind={remedy.kind} onTaken={() => setShown(undefined)} />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

function Comes({ remedy: { result } }: { remedy: Remedy }) {
  return (
    <View style={{ alignItems: 'flex-end' }}>
      <Verdict verdict={result.verdict} />
      {result.utilisation === undefined ? null : <Txt kind="small" soft>{`uses ${shareText(result.utilisation)}`}</Txt>}
    </View>
  );
}

/** The poke's answer, where it was made. */
function Poked({ x }: { x: number }) {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const y = plan.holes?.find((h) => h.met !== undefined)?.y ?? plan.placement?.centre.y ?? 0;
  return (
    <View style={{ flexDirection: 'row', gap: 8 }}>
      {(['wood', 'hollow'] as const).map((met) => (
        <View key={met} style={{ flex: 1 }}>
          <Action
            quiet
            label={`poked: ${met}`}
            testID={`poked-${met}`}
            disabled={readOnly}
            onPress={() => dispatch(logMark(job, met, x, y))}
          />
        </View>
      ))}
    </View>
  );
}

const PICTURE_PX = 170;

/** The plate as it would be: the holes that stay and those that come, in a picture and in words. */
function Preview({ command, kind, onTaken }: { command: Command; kind: Remedy['kind']; onTaken: () => void }) {
  const { job, plan, late, say, dispatch, readOnly } = useRoomContext();
  const { newPlanHere } = usePlanning();
  const after = useMemo(() => {
    const changed = applyCommand(job, command).job;
    return { job: changed, plan: newPlanHere()(changed) };
  }, [job, command, newPlanHere]);
  const scene = drillScene(after.job, after.plan, undefined);
  return (
    <View style={{ gap: 6 }} testID={`preview-${kind}`}>
      <View style={{ height: PICTURE_PX }}>
        <Drawing
          scene={scene}
          box={scene.focus}
          label="the plate as it would be"
          testID={`picture-${kind}`}
          units={job.units}
        />
      </View>
      <Txt kind="small">{changedHoles(plan, after.plan, say)}</Txt>
      <Action
        label="do that"
        testID={`do-${kind}`}
        disabled={readOnly || late !== undefined}
        onPress={() => {
          dispatch(command);
          onTaken();
        }}
      />
    </View>
  );
}

/** What a kit's lag or a mount of the list is called. */
function nameIn(job: Job, plan: Plan, by: string): string {
  const lag = job.lags?.find((l) => l.id === by);
  const mount = plan.ranking?.find((r) => r.id === by);
  return lag?.name ?? mount?.name ?? by;
}
