import { useEffect, useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { hiddenScene } from '@steddo/drawing';
import type { PracticeScore } from '@steddo/core';
import { Drawing } from '../../canvas/Drawing';
import { DrawnKey, type KeyEntry } from '../../canvas/DrawnKey';
import { Action } from '../../ui/Action';
import { Txt } from '../../ui/Txt';
import { BestScores } from './PracticeSetup';
import { bestScores, type BestScore, type Practice } from './practiceStore';

const RUNS: Record<string, string> = {
  cable: 'a cable',
  'metal-pipe': 'a metal pipe',
  'plastic-pipe': 'a plastic pipe',
};
const BY = { poke: 'with a poke', hole: 'with a lag', look: "with the camera's hole" } as const;

/** What the opened wall shows, as far as there is any of it. */
const KEY: readonly KeyEntry[] = [
  { role: 'backing', name: 'stud' },
  { role: 'nogging', name: 'nogging' },
  { role: 'run-cable', name: 'cable' },
  { role: 'run-metal', name: 'metal pipe' },
  { role: 'run-plastic', name: 'plastic pipe' },
  { role: 'arm-hole', name: 'board screw' },
  { role: 'poke', name: 'your poke' },
  { role: 'look', name: 'your camera’s hole' },
  { role: 'hole', state: 'go', name: 'hole in wood' },
  { role: 'hole', state: 'stop', name: 'hole beside it' },
];

/** What was really in the wall, where the holes went, and what it is worth. */
export function PracticeScoreCard({
  practice,
  score,
  onAgain,
}: {
  practice: Practice;
  score: PracticeScore;
  onAgain: () => void;
}) {
  const [best, setBest] = useState<BestScore[]>([]);
  useEffect(() => void bestScores().then(setBest), []);
  const scene = useMemo(() => hiddenScene(practice.wall, practice.log), [practice]);
  return (
    <ScrollView
      tabIndex={0}
      testID="practice-score"
      contentContainerStyle={{ width: '100%', maxWidth: 760, alignSelf: 'center', paddingBottom: 24 }}
    >
      <View style={{ height: 280 }}>
        <Drawing
          scene={scene}
          box={scene.bounds}
          units={practice.job.units}
          label="what is behind the wall, and the holes"
          testID="hidden"
        />
      </View>
      <DrawnKey shapes={scene.shapes} entries={KEY} />
      <View style={{ padding: 16, gap: 6 }}>
        <Txt kind="title" level={2}>{`${score.points} of 100`}</Txt>
        <Txt>{`${score.landed} of ${score.holes} holes all in wood.`}</Txt>
        {score.met.length === 0 ? (
          <Txt>Nothing met in the wall.</Txt>
        ) : (
          score.met.map((m, i) => <Txt key={i}>{`Met ${RUNS[m.what] ?? m.what} ${BY[m.by]}.`}</Txt>)
        )}
        <Txt>{`${score.pokes} pokes; following the advice took ${score.advised}.`}</Txt>
        <Action label="another wall" icon="next" testID="practice-again" onPress={onAgain} />
      </View>
      <BestScores scores={best} />
    </ScrollView>
  );
}
