import { useEffect, useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import type { Side } from '@steddo/contract';
import { hiddenScene, mirrorScene, type Scene } from '@steddo/drawing';
import type { PracticeLog, PracticeScore } from '@steddo/core';
import { wallName, wallTitle } from '@steddo/text';
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

/** Each wall opened, with what was done there; a left wall as it is seen, away from the corner at its right. */
function scenesOf({ walls: { main, other }, log }: Practice): { wall: 'main' | Side; scene: Scene }[] {
  const on = (wall: Side | undefined): PracticeLog => ({
    pokes: log.pokes.filter((p) => p.wall === wall),
    looks: log.looks.filter((p) => p.wall === wall),
    holes: log.holes.filter((p) => p.wall === wall),
  });
  const first = { wall: 'main' as const, scene: hiddenScene(main, on(undefined)) };
  if (!other) return [first];
  const { side, wall } = other;
  const there = hiddenScene(wall, on(side));
  return [first, { wall: side, scene: side === 'left' ? mirrorScene(there, wall.width) : there }];
}

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
  const scenes = useMemo(() => scenesOf(practice), [practice]);
  return (
    <ScrollView
      tabIndex={0}
      testID="practice-score"
      contentContainerStyle={{ width: '100%', maxWidth: 760, alignSelf: 'center', paddingBottom: 24 }}
    >
      {scenes.map(({ wall, scene }) => (
        <View key={wall}>
          {scenes.length > 1 ? (
            <Txt kind="bold" style={{ paddingHorizontal: 16 }}>
              {wallTitle(wall)}
            </Txt>
          ) : null}
          <View style={{ height: 280 }}>
            <Drawing
              scene={scene}
              box={scene.bounds}
              units={practice.job.units}
              label={`what is behind ${scenes.length > 1 ? wallName(wall) : 'the wall'}, and the holes`}
              testID={wall === 'main' ? 'hidden' : `hidden-${wall}`}
            />
          </View>
        </View>
      ))}
      <DrawnKey shapes={scenes.flatMap(({ scene }) => scene.shapes)} entries={KEY} />
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
