import { View } from 'react-native';
import type { Remedy } from '@steddo/contract';
import type { Command } from '@steddo/core';
import { capital, remedyText } from '@steddo/text';
import { Action } from '../../ui/Action';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { useRoomContext } from '../../state/roomState';

/** The ways out of a stop, in their order, each with what it comes to; nothing is taken before a tap. */
export function RemedyPart() {
  const { job, plan, say, dispatch, readOnly } = useRoomContext();
  const { remedies } = plan;
  if (!remedies?.length) return null;
  return (
    <View style={{ padding: 12, gap: 12 }} testID="remedies">
      <Txt kind="bold">What would do it</Txt>
      {remedies.map((remedy, i) => {
        const command = commandFor(remedy, job, plan);
        return (
          <View key={`${remedy.kind}:${remedy.by ?? ''}`} style={{ gap: 4 }} testID={`remedy-${remedy.kind}`}>
            <Txt>{`${i + 1}. ${capital(remedyText(remedy, say, (by) => nameIn(job, plan, by)))}.`}</Txt>
            <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
              <Verdict verdict={remedy.result.verdict} />
              {remedy.result.utilisation === undefined ? null : (
                <Txt kind="small" soft>{`uses ${Math.ceil(remedy.result.utilisation * 100 - 1e-9)} %`}</Txt>
              )}
              {command ? (
                <Action
                  quiet
                  label="do that"
                  testID={`do-${remedy.kind}`}
                  disabled={readOnly}
                  onPress={() => dispatch(command)}
                />
              ) : null}
            </View>
          </View>
        );
      })}
    </View>
  );
}

type Room = ReturnType<typeof useRoomContext>;

/** What a kit's lag or a mount of the list is called. */
function nameIn(job: Room['job'], plan: Room['plan'], by: string): string {
  const lag = job.lags?.find((l) => l.id === by);
  const mount = plan.ranking?.find((r) => r.id === by);
  return lag?.name ?? mount?.name ?? by;
}

/** What a tap would change in the job; nothing where it takes more than that. */
function commandFor({ kind, by }: Remedy, job: Room['job'], plan: Room['plan']): Command | undefined {
  const wall = job.room.wall.build.kind;
  const fixing = job.mount?.walls[wall]?.fixing;
  const path = `mount.walls.${wall}.fixing` as const;
  switch (kind) {
    case 'limit-swing':
      return { do: 'put', path: 'choices.maxAside', value: Math.floor(Number(by)) };
    case 'more-rows':
      return { do: 'put', path: `${path}.count`, value: Number(by) };
    case 'longer-lag': {
      const lag = job.lags?.find((l) => l.id === by);
      if (!lag || !fixing) return undefined;
      const { id: _, name: _n, ...size } = lag;
      return { do: 'put', path, value: { kind: fixing.kind, count: fixing.count, ...size } };
    }
    case 'two-studs':
      return { do: 'put', path: 'mount.studs.count', value: 2 };
    case 'shift-set':
      return plan.placement && { do: 'put', path: 'choices.centreX', value: plan.placement.centre.x + Number(by) };
    case 'let-go':
      return { do: 'drop', path: `choices.${by as 'plateX' | 'armHole' | 'fold'}` };
    case 'anchors':
    case 'other-stud':
      return { do: 'put', path: 'choices.scheme', value: String(by) };
    case 'timber':
    case 'other-mount':
    case 'poke-edge':
      return undefined;
  }
}
