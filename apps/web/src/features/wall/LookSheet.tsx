import { useState } from 'react';
import { View } from 'react-native';
import type { Look } from '@steddo/contract';
import { LOOK_STEPS, type GuidedLook } from '@steddo/core';
import { lookStepText } from '@steddo/text';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { Choice } from '../../ui/Choice';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';
import { nextNumber } from '../../state/marks';

const FOUND: readonly { value: Look['found']; name: string }[] = [
  { value: 'clear', name: 'nothing: clear' },
  { value: 'cable', name: 'a cable' },
  { value: 'pipe', name: 'a pipe' },
  { value: 'duct', name: 'a duct' },
  { value: 'gas', name: 'a gas pipe' },
  { value: 'unsure', name: 'cannot tell' },
];

/** A look into one bay, a step at a time; what was found is logged with its place and the moment. */
export function LookSheet({ look, onClose }: { look: GuidedLook; onClose: () => void }) {
  const { job, plan, say, dispatch } = useRoomContext();
  const [at, setAt] = useState(0);
  const [found, setFound] = useState<Look['found']>();
  const [place, setPlace] = useState('unsaid');
  const step = LOOK_STEPS[at]!;
  const last = step === 'found';
  const met = found !== undefined && found !== 'clear';
  const rows = [...new Set((plan.holes ?? []).map((h) => h.y))];
  const line = plan.holes?.find((h) => h.id === look.hole)?.x ?? look.x;
  const places = [
    { value: 'unsaid', name: 'cannot say where' },
    { value: `x:${line}`, name: "up and down, in the stud's line" },
    { value: `x:${look.x}`, name: 'up and down, in the bay' },
    ...rows.map((y) => ({ value: `y:${y}`, name: `through the stud at ${say.length(y)}` })),
  ];
  const log = () => {
    const id = `k${nextNumber(job)}`;
    dispatch({
      do: 'put',
      path: `looks.${id}`,
      value: {
        id,
        ...placed(met ? place : 'unsaid', look),
        reach: look.reach,
        found,
        bay: look.bay,
        at: new Date().toISOString(),
      },
    });
    onClose();
  };
  return (
    <BottomSheet title={`Look ${look.bay} of the stud`} onClose={onClose} testID="look-sheet">
      <View style={{ gap: 12 }}>
        <Txt kind="small" soft>{`step ${at + 1} of ${LOOK_STEPS.length}`}</Txt>
        <Txt kind="bold">{lookStepText(step, look, say)}</Txt>
        {last ? (
          <>
            <Choice label="seen" options={FOUND} value={found} onChoose={setFound} />
            {met ? <Choice label="it runs" options={places} value={place} onChoose={setPlace} /> : null}
          </>
        ) : null}
        <Action
          label={last ? 'log it' : 'done, next'}
          testID="look-next"
          disabled={last && found === undefined}
          onPress={last ? log : () => setAt(at + 1)}
        />
        {at > 0 ? <Action quiet label="a step back" onPress={() => setAt(at - 1)} /> : null}
      </View>
    </BottomSheet>
  );
}

/** Where the thing is, as it was chosen: on an upright line, at a height, or only somewhere beside the look. */
function placed(place: string, look: GuidedLook): Pick<Look, 'x' | 'y' | 'runs'> {
  const [axis, at] = place.split(':');
  const round = (mm: number) => Math.round(mm * 10) / 10;
  if (axis === 'x') return { x: round(Number(at)), y: round(look.y), runs: 'vertical' };
  if (axis === 'y') return { x: round(look.x), y: round(Number(at)), runs: 'horizontal' };
  return { x: round(look.x), y: round(look.y) };
}
