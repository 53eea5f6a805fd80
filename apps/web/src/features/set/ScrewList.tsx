import { useEffect } from 'react';
import { View } from 'react-native';
import type { Misfit, Stack } from '@steddo/contract';
import type { Command } from '@steddo/core';
import { misfitText, rounded, screwName, washersText } from '@steddo/text';
import { useCanvas } from '../../state/canvasState';
import { Action } from '../../ui/Action';
import { Tap } from '../../ui/Tap';
import { chosenRow } from '../../ui/chosenRow';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { VerdictShape } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { Fold } from '../../ui/Fold';
import { useRoomContext } from '../../state/roomState';

/** Every screw of the bag: what works, best first, and why the others do not. */
export function ScrewList() {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const { setScrew, setView } = useCanvas();
  useEffect(() => () => setScrew(undefined), [setScrew]);
  const { screws = [], screwCheck } = plan.screen;
  if (!screwCheck) return null;
  const { buy, chosen, misfits } = screwCheck;
  const bought = buy?.length;
  const first = screws.slice(0, FIRST);
  const row = (s: Stack) => (
    <StackRow
      key={s.id}
      stack={s}
      chosen={s.id === chosen}
      onChoose={() => {
        setScrew(undefined);
        setView('screw');
        if (!readOnly) dispatch({ do: 'put', path: 'choices.stack', value: s.id });
      }}
    />
  );
  return (
    <View testID="screws">
      {screws.length > 0 ? (
        <View role="radiogroup" aria-label="screws that work, best first">
          {first.map(row)}
        </View>
      ) : null}
      {screws.length > FIRST ? (
        <Fold name={`${screws.length - FIRST} more ways`}>
          <View role="radiogroup" aria-label="more screws that work">
            {screws.slice(FIRST).map(row)}
          </View>
        </Fold>
      ) : null}
      {misfits.map((m) => (
        <MisfitRow
          key={`${m.thread}x${m.length}`}
          misfit={m}
          onShow={() => {
            setScrew(m);
            setView('screw');
          }}
        />
      ))}
      {buy && bought !== undefined && !readOnly && screwCheck.spacer === undefined ? (
        <View style={{ padding: 12 }}>
          <Action
            quiet
            testID="bought"
            label={`I have a ${buy.thread} x ${rounded(bought, 1)}`}
            onPress={() => dispatch(addScrew(job.mount?.bag?.screws ?? [], buy.thread, bought))}
          />
        </View>
      ) : null}
    </View>
  );
}

const FIRST = 3;

/** A screw that was bought goes into the bag of this job's mount. */
const addScrew = (screws: readonly { thread: string; length: number }[], thread: string, length: number): Command => ({
  do: 'put',
  path: 'mount.bag.screws',
  value: [...screws, { thread, length }],
});

function StackRow({ stack, chosen, onChoose }: { stack: Stack; chosen: boolean; onChoose: () => void }) {
  const palette = usePalette();
  const { engagement, clearance } = stack.workings ?? {};
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        ...chosenRow(palette, chosen),
      }}
    >
      <Tap
        role="radio"
        selected={chosen}
        label={`${screwName(stack)}, ${washersText(stack)}`}
        testID={`stack-${stack.id}`}
        onPress={onChoose}
        style={{ flex: 1, paddingLeft: 10, minHeight: 56 }}
      >
        <Txt kind="bold">{screwName(stack)}</Txt>
        <Txt kind="small" soft>
          {washersText(stack)}
        </Txt>
      </Tap>
      {engagement ? (
        <View style={{ width: 92 }}>
          <Figure label="thread in the insert" working={engagement} as="small" size={16} hideLabel />
        </View>
      ) : null}
      <View style={{ width: 84 }}>
        <Txt kind="small">{stack.turns === undefined ? '' : `${rounded(stack.turns, 1)} turns`}</Txt>
        {clearance ? (
          <Figure label="left below the screw" working={clearance} as="small" size={14} after="left" hideLabel />
        ) : null}
      </View>
      <View style={{ width: 34 }}>
        <VerdictShape verdict="go" />
      </View>
    </View>
  );
}

function MisfitRow({ misfit, onShow }: { misfit: Misfit; onShow: () => void }) {
  const palette = usePalette();
  return (
    <Tap
      label={`${screwName(misfit)}: ${misfitText(misfit)}; show it`}
      testID={`misfit-${misfit.thread}x${misfit.length}`}
      onPress={onShow}
      style={{
        paddingLeft: 16,
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
        minHeight: 52,
      }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View style={{ flex: 1 }}>
          <Txt soft>{screwName(misfit)}</Txt>
          <Txt kind="small" soft>
            {misfitText(misfit)}
          </Txt>
        </View>
        <View style={{ width: 34 }}>
          <VerdictShape verdict="stop" />
        </View>
      </View>
    </Tap>
  );
}
