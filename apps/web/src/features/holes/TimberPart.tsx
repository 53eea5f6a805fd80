import { View } from 'react-native';
import { router } from 'expo-router';
import type { Job } from '@steddo/contract';
import { stockTimber, studBuildOf } from '@steddo/core';
import { holeList, shareText, timberScrewText, timberSizeText } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { HoleHead } from '../../work/HoleHead';
import { useRoomContext } from '../../state/roomState';

/** The timber that the plate goes onto, across studs or between them: its size, its own holes, what they hold, and the way back. */
export function TimberPart() {
  const { id, job, plan, dispatch, readOnly, say } = useRoomContext();
  const { timber } = plan;
  if (!job.choices?.timber) return null;
  return (
    <View style={{ gap: 6 }} testID="timber-part">
      <View style={{ paddingHorizontal: 16, paddingTop: 10 }}>
        <Txt kind="bold" level={2}>
          {NAMES[job.choices.timber.way ?? 'across']}
        </Txt>
      </View>
      <TapeFields fields={timberFields(job)} />
      {timber ? (
        <View style={{ paddingHorizontal: 16, gap: 8 }}>
          <Txt>{timberSizeText(timber, say)}</Txt>
          <Txt>{timberScrewText(timber, say)}</Txt>
          {timber.holes.map((hole) => (
            <View key={hole.id} testID={`timber-${hole.id}`}>
              <HoleHead name={holeList([hole.id])} hole={hole} />
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
          {timber.holes.length > 0 ? (
            <Action
              label={timber.holes.every((h) => h.done) ? 'what follows' : 'its own holes, one at a time'}
              testID="to-timber"
              onPress={() => router.push(`/room/${id}/timber`)}
            />
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
  const { mount } = job;
  if (!mount || job.choices?.timber || studBuildOf(job.room.wall).build.kind !== 'timber-stud') return null;
  const offers = WAYS.flatMap((w) => {
    const stock = stockTimber(mount, w.way);
    return stock ? [{ ...w, stock }] : [];
  });
  if (offers.length === 0) return null;
  return (
    <View style={{ padding: 12, gap: 8 }}>
      {offers.map(({ way, testID, label, stock }) => (
        <Action
          key={way}
          quiet
          label={label(say.length(stock.height))}
          testID={testID}
          disabled={readOnly}
          onPress={() => dispatch({ do: 'put', path: 'choices.timber', value: stock })}
        />
      ))}
    </View>
  );
}

const NAMES = { across: 'timber across two studs', noggings: 'noggings between the studs' } as const;

const WAYS: readonly { way: keyof typeof NAMES; testID: string; label: (high: string) => string }[] = [
  {
    way: 'across',
    testID: 'timber-on',
    label: (high: string) => `a level timber ${high} high across two studs, and the plate onto that`,
  },
  {
    way: 'noggings',
    testID: 'noggings-on',
    label: (high: string) => `the board opened, noggings ${high} high put in between the studs`,
  },
];

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
