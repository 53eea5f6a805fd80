import { useState } from 'react';
import { View } from 'react-native';
import { DRILL_SD_MM, practiceScore, seeded } from '@steddo/core';
import { findingText } from '@steddo/text';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { ProgressBar } from '../../ui/ProgressBar';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { told } from '../../worker/told';
import { wallWorker } from '../../worker/wall';
import { useRoomContext } from '../../state/roomState';
import { HoleCertainty } from '../../work/HoleCertainty';
import { keepScore, type Practice } from './practiceStore';

interface BarProps {
  practice: Practice;
  drilling: boolean;
  setDrilling: (drilling: boolean) => void;
  onChange: (change: Partial<Practice>) => void;
}

/** Steps that the advice takes at most, for the bar that shows how far its own try is. */
const MOST_STEPS = 24;

/** The holes as they stand now, and the drill: what it meets counts. */
export function DrillBar({ practice, drilling, setDrilling, onChange }: BarProps) {
  const palette = usePalette();
  const { plan, job, say } = useRoomContext();
  const [share, setShare] = useState<number>();
  const holes = plan.holes ?? [];
  const lacks = plan.findings.find((f) => f.level === 'stop');
  const drill = async () => {
    const random = seeded(practice.errors + 1);
    const drilled = holes.map(({ x, y, wall = 'main' }) => ({
      x: x + random.normal(DRILL_SD_MM),
      y: y + random.normal(DRILL_SD_MM),
      ...(wall === 'main' ? {} : { wall }),
    }));
    setShare(0);
    const unseen = { ...job, evidence: [], scans: [], looks: [] };
    const advised = await told(
      (n: number) => setShare(Math.min(1, n / MOST_STEPS)),
      (tell) => wallWorker().advisedPokes(unseen, practice.walls, tell),
    );
    const log = { ...practice.log, holes: drilled };
    const score = practiceScore(practice.walls, job, log, advised);
    const { seed, room, tools } = practice;
    await keepScore({ seed, room, title: job.title, tools, points: score.points, at: new Date().toISOString() });
    setShare(undefined);
    onChange({ log, score });
  };
  return (
    <View
      testID="drill-bar"
      style={{ padding: 6, backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink }}
    >
      {holes.length === 0 ? (
        <Txt kind="small">{lacks ? findingText(lacks, say) : 'No holes yet: find the studs first.'}</Txt>
      ) : null}
      <Action
        label={holes.length > 0 ? `Drill the ${holes.length} holes` : 'Drill the holes'}
        testID="to-drill"
        disabled={holes.length === 0}
        onPress={() => setDrilling(true)}
      />
      {drilling ? (
        <BottomSheet title="Drill these holes?" onClose={() => setDrilling(false)} testID="drill-sheet">
          <HoleCertainty />
          <View style={{ paddingTop: 12, gap: 8 }}>
            {share === undefined ? (
              <Action label="drill them" testID="drill-all" onPress={() => void drill()} />
            ) : (
              <ProgressBar share={share} label="seeing what the advice would have taken" />
            )}
          </View>
        </BottomSheet>
      ) : null}
    </View>
  );
}
