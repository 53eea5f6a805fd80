import { useCallback, useMemo, useRef, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { checkFile, job as jobSchema, type Job } from '@steddo/contract';
import { applyCommand, isCorner, simulated, type Command } from '@steddo/core';
import { usePad } from '../pad/PadContext';
import type { Field } from '../pad/fields';
import { TapeFields } from '../pad/TapeField';
import { TapePad } from '../pad/TapePad';
import { usePalette } from '../ui/tokens';
import { isBeside, usePosture } from '../ui/usePosture';
import { ByWall, WallSwitch } from '../work/WallSwitch';
import { WorkingSheet } from '../work/WorkingSheet';
import { Coming } from '../ui/Coming';
import { Fold } from '../ui/Fold';
import { laterPart, useSoon } from '../ui/later';
import { planning } from '../state/planning';
import { RoomProvider } from '../state/roomState';
import { WALL_VIEWS } from '../state/stageIds';
import { LaterCanvas } from './LaterCanvas';
import { RoomTools } from './RoomTools';
import type { InstrumentsByWall } from '../state/wallState';
import { DrillBar } from '../features/practice/DrillBar';
import type { Practice } from '../features/practice/practiceStore';
import { ToolPart } from '../features/practice/ToolPart';

/** A practice wall as a room at its wall's stage: the same advice, marks and looks, with instruments in hand. */
export function PracticeRun({ practice, onChange }: { practice: Practice; onChange: (p: Practice) => void }) {
  const [instruments] = useState(() => instrumentsOf(practice));
  const now = useRef(practice);
  now.current = practice;
  const dispatch = useCallback(
    (command: Command) => {
      const checked = checkFile(jobSchema, applyCommand(now.current.job, command).job);
      if (!checked.ok) return checked.faults;
      const next = { ...now.current, job: checked.value as Job };
      now.current = next;
      onChange(next);
      return [];
    },
    [onChange],
  );
  // what was changed a moment ago is in what is changed next, drawn or not
  const change = useCallback(
    (part: Partial<Practice>) => {
      now.current = { ...now.current, ...part };
      onChange(now.current);
    },
    [onChange],
  );
  const doings = useMemo(() => ({ dispatch, goTo: () => undefined }), [dispatch]);
  const soon = useSoon(PARTS);
  if (!soon) return <Coming />;
  return (
    <RoomProvider source={{ id: 'practice', document: practice.job, kit: NO_KIT, readOnly: false }} doings={doings}>
      <RoomTools instruments={instruments}>
        <RunLayout practice={practice} onChange={change} />
      </RoomTools>
    </RoomProvider>
  );
}

/** Instruments for each wall, each with errors of their own. */
const instrumentsOf = ({ walls: { main, other }, errors }: Practice): InstrumentsByWall => ({
  main: simulated(main, errors),
  ...(other ? { [other.side]: simulated(other.wall, errors + 1) } : {}),
});

/** A practice wall is drilled with what its room brings. */
const NO_KIT = {};

/** In a corner the feet move along their walls with the gap that the set keeps. */
const gapField = ({ choices }: Job): Field => ({
  ...{ path: 'choices.cornerGap', label: 'gap to both walls', hint: 'the feet go further out with it' },
  ...{ kind: 'length', value: choices?.cornerGap ?? 0, min: 0, max: 300 },
  command: (value) => ({ do: 'put', path: 'choices.cornerGap', value }),
});

/** Where a cable is in the way the whole set goes up or down. */
function moveFields(job: Job): Field[] {
  const value = job.choices?.centreY;
  return [
    {
      path: 'choices.centreY',
      label: "set's centre",
      hint: 'from the floor',
      kind: 'length',
      ...(value === undefined ? {} : { value }),
      min: 0,
      max: job.room.wall.height,
      command: (y) => ({ do: 'put', path: 'choices.centreY', value: y }),
    },
    ...(isCorner(job) ? [gapField(job)] : []),
  ];
}

interface RunProps {
  practice: Practice;
  onChange: (change: Partial<Practice>) => void;
}

const Inputs = laterPart(async () => (await import('../features/wall/WallStage')).WallStage, Coming);
/** Nothing can be done at a wall that is not worked out. */
const PARTS = [planning, Inputs.later, LaterCanvas.later];

function RunLayout({ practice, onChange }: RunProps) {
  const palette = usePalette();
  const pad = usePad();
  const posture = usePosture();
  const wide = posture === 'wide';
  const beside = isBeside(posture);
  const [drilling, setDrilling] = useState(false);
  const canvas = (
    <ByWall>
      <LaterCanvas stage="wall" views={WALL_VIEWS} labels="studs" movable={false} wide={wide} />
    </ByWall>
  );
  const panel = (
    <>
      <ScrollView testID="panel" tabIndex={0} style={{ flex: 1, borderTopWidth: 1, borderTopColor: palette.hairline }}>
        {drilling ? null : (
          <>
            <WallSwitch />
            <ByWall>
              <ToolPart practice={practice} onChange={onChange} />
            </ByWall>
          </>
        )}
        <Inputs switched={!drilling} />
        <Fold name="move the set">
          <TapeFields fields={moveFields(practice.job)} />
        </Fold>
      </ScrollView>
      <DrillBar practice={practice} drilling={drilling} setDrilling={setDrilling} onChange={onChange} />
    </>
  );
  return (
    <View style={{ flex: 1, flexDirection: beside ? 'row' : 'column' }}>
      <View style={{ flex: beside ? 1 : 0.44, minHeight: beside ? 0 : 180 }}>{canvas}</View>
      <View
        style={
          beside
            ? { width: wide ? 420 : '46%', borderLeftWidth: 2, borderLeftColor: palette.ink }
            : { flex: 0.56, minHeight: 0 }
        }
      >
        {pad.opened ? <TapePad /> : panel}
      </View>
      <WorkingSheet />
    </View>
  );
}
