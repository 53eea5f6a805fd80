import { View } from 'react-native';
import type { Job, TimberPlan } from '@steddo/contract';
import { stockTimber, studBuildOf } from '@steddo/core';
import { bitText, fixingName, holeList, screwSize, shareText } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { useRoomContext } from '../../state/roomState';

/** The timber across two studs that the plate goes onto: its size, its own holes, what they hold, and the way back. */
export function TimberPart() {
  const { job, plan, dispatch, readOnly, say } = useRoomContext();
  const { timber } = plan;
  if (!job.choices?.timber) return null;
  return (
    <View style={{ gap: 6 }} testID="timber-part">
      <View style={{ paddingHorizontal: 16, paddingTop: 10 }}>
        <Txt kind="bold" level={2}>
          timber across two studs
        </Txt>
      </View>
      <TapeFields fields={timberFields(job)} />
      {timber ? (
        <View style={{ paddingHorizontal: 16, gap: 8 }}>
          <Txt>{`${say.length(timber.right - timber.left)} long, from ${say.length(timber.left)} from the left and ${say.length(timber.bottom)} up.`}</Txt>
          {timber.fixing ? <Txt>{ownScrews(timber, timber.fixing, say)}</Txt> : null}
          {timber.holes.map((hole) => (
            <View key={hole.id} testID={`timber-${hole.id}`}>
              <Txt kind="bold">{holeList([hole.id])}</Txt>
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
                <Figure label="up from the floor" working={hole.workings.y} />
                <Figure label="from the left wall" working={hole.workings.x} />
              </View>
            </View>
          ))}
          {timber.load ? (
            <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
              <View style={{ flex: 1 }}>
                <Txt>{`Its worst screw has ${shareText(timber.load.utilisation)} of what it may hold.`}</Txt>
              </View>
              <Verdict verdict={timber.load.verdict} />
            </View>
          ) : null}
        </View>
      ) : null}
      <View style={{ padding: 12 }}>
        <Action
          quiet
          label="no timber: the plate onto the wall itself"
          testID="timber-off"
          disabled={readOnly}
          onPress={() => dispatch({ do: 'drop', path: 'choices.timber' })}
        />
      </View>
    </View>
  );
}

/** The same, offered where the plate goes onto the wall itself. */
export function TimberOffer() {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const stock = job.mount && stockTimber(job.mount);
  if (!stock || job.choices?.timber || studBuildOf(job.room.wall).build.kind !== 'timber-stud') return null;
  return (
    <View style={{ padding: 12 }}>
      <Action
        quiet
        label={`a level timber ${say.length(stock.height)} high across two studs, and the plate onto that`}
        testID="timber-on"
        disabled={readOnly}
        onPress={() => dispatch({ do: 'put', path: 'choices.timber', value: stock })}
      />
    </View>
  );
}

type Say = ReturnType<typeof useRoomContext>['say'];

const ownScrews = (
  timber: TimberPlan,
  { kind, diameter, length, bit, depth }: NonNullable<TimberPlan['fixing']>,
  say: Say,
) =>
  `${timber.holes.length} ${fixingName(kind)}s ${screwSize(diameter, length, say)}; bit ${bitText(bit, say)}, ${say.length(depth)} deep from the wall's face.`;

const timberFields = ({ choices }: Job): Field[] =>
  (['height', 'thickness'] as const).map((name) => ({
    path: `choices.timber.${name}`,
    label: name === 'height' ? 'so high' : 'so thick',
    kind: 'length',
    value: choices?.timber?.[name],
    min: 15,
    max: 600,
    command: (value) => ({ do: 'put', path: `choices.timber.${name}`, value }),
  }));
