import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { usePalette } from '../ui/tokens';
import { Action, IconTap } from '../ui/Action';
import { Notice } from '../ui/Notice';
import { Txt } from '../ui/Txt';
import { keepPractice, keptPractice, type Practice } from '../features/practice/practiceStore';
import { PracticeRun } from './PracticeRun';
import { PracticeScoreCard } from '../features/practice/PracticeScoreCard';
import { PracticeSetup } from '../features/practice/PracticeSetup';

/** The practice wall: set up, worked on, scored. What is in hand is kept on the device. */
export function PracticePage() {
  const palette = usePalette();
  const [practice, setPractice] = useState<Practice | 'loading'>();
  useEffect(() => {
    setPractice('loading');
    void keptPractice().then((kept) => setPractice(kept));
  }, []);
  const change = useCallback((next: Practice | undefined) => {
    setPractice(next);
    void keepPractice(next);
  }, []);
  const [left, setLeft] = useState<Practice>();
  const leave = (wall: Practice) => {
    setLeft(wall);
    change(undefined);
  };
  const inHand = practice !== undefined && practice !== 'loading' ? practice : undefined;
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }}>
      <View
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          borderBottomWidth: 1,
          borderBottomColor: palette.hairline,
        }}
      >
        <IconTap icon="back" label="all rooms" onPress={() => router.replace('/')} />
        <View style={{ flex: 1 }}>
          <Txt kind="title" level={1}>
            Practice wall
          </Txt>
          {inHand ? <Txt kind="small" soft>{`wall ${inHand.seed} · ${inHand.job.title}`}</Txt> : null}
        </View>
        {inHand && !inHand.score ? (
          <View style={{ paddingRight: 8 }}>
            <Action quiet label="leave" testID="leave-practice" onPress={() => leave(inHand)} />
          </View>
        ) : null}
      </View>
      {practice === 'loading' ? null : !inHand ? (
        <>
          {left ? (
            <View style={{ width: '100%', maxWidth: 560, alignSelf: 'center' }}>
              <Notice
                tone="note"
                testID="left-practice"
                text={`Wall ${left.seed} is left, and what was found on it with it.`}
              >
                <Action quiet label="take it up again" testID="practice-back" onPress={() => change(left)} />
              </Notice>
            </View>
          ) : null}
          <PracticeSetup onStart={change} />
        </>
      ) : inHand.score ? (
        <PracticeScoreCard practice={inHand} score={inHand.score} onAgain={() => change(undefined)} />
      ) : (
        <PracticeRun practice={inHand} onChange={change} />
      )}
    </View>
  );
}
