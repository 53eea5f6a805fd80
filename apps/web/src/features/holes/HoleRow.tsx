import { capital, certainName, holeName, intoName, stepText, lookedName, unitText } from '@steddo/text';
import { useState } from 'react';
import { View } from 'react-native';
import type { Hole, Mark, Plan } from '@steddo/contract';
import { holeState } from '@steddo/core';
import { Icon } from '../../ui/Icon';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { PicturesLink } from '../../work/PicturesLink';
import { sideWord } from '../../state/barNumbers';
import { useCanvas } from '../../state/canvasState';
import { useRoomContext } from '../../state/roomState';

/** In a corner measures along a wall run from the corner, where that is at its left end or the wall is the other one. */
const fromWords = ({ wall }: Mark, { corner }: Plan): string =>
  corner && (wall !== 'main' || corner.side === 'left') ? 'from the corner' : 'from the left wall';

/** One hole with every measure that the hand needs; what is done at it folds under its name. */
export function HoleRow({ hole, mark }: { hole: Hole; mark: Mark | undefined }) {
  const palette = usePalette();
  const { plan, say } = useRoomContext();
  const { setHeld } = useCanvas();
  const [open, setOpen] = useState(false);
  if (!mark) return null;
  const { fromFloor, fromCentre, fromLeft } = mark.workings;
  const { belowLine, fromFirst, penetration, edgeMargin } = hole.workings;
  const after = sideWord(fromCentre.value);
  const name = holeName(hole, plan.holes ?? []);
  return (
    <View
      testID={`hole-${hole.id}`}
      style={{ paddingHorizontal: 16, paddingVertical: 6, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Txt kind="bold">{name}</Txt>
        </View>
        <Txt kind="small" soft>
          {hole.done ? 'done' : lookedName[hole.hazard]}
        </Txt>
        <Verdict verdict={hole.done ? 'go' : holeState(hole)} />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
        <Figure label="up from the floor" working={fromFloor} size={26} />
        {mark.wall ? null : (
          <Figure label="off the centre line" working={fromCentre} size={22} {...(after ? { after } : {})} />
        )}
        <Figure label={fromWords(mark, plan)} working={fromLeft} {...(mark.wall ? { size: 22 } : {})} />
        <Figure label="bit" working={hole.workings.bit} as="bit" />
        <Figure label="depth, to the flag" working={hole.workings.depth} />
        {hole.packing > 0 ? <Txt kind="small">{`over packing ${say.length(hole.packing)}`}</Txt> : null}
        {hole.unmarked ? <Txt kind="small">mark a joint first</Txt> : null}
        {hole.workings.probability && !hole.unmarked ? (
          <Figure label={certainName[hole.into]} working={hole.workings.probability} as="percent" size={16} />
        ) : null}
      </View>
      <Tap
        label={`${name}: steps, ${open ? 'hide' : 'show'}`}
        expanded={open}
        testID={`steps-${hole.id}`}
        onPress={() => {
          setOpen(!open);
          // the cut goes through the hole that is looked at
          setHeld(open ? undefined : hole.id);
        }}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center' }}>
          <View style={{ flex: 1 }}>
            <Txt kind="small">{`into ${intoName(hole.into)}: what is done here`}</Txt>
          </View>
          <Icon name={open ? 'up' : 'down'} />
        </View>
      </Tap>
      {open ? (
        <View style={{ gap: 4, paddingBottom: 6 }}>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
            {belowLine ? <Figure label="below the level line" working={belowLine} size={18} /> : null}
            {fromFirst ? <Figure label="right of the first hole" working={fromFirst} size={18} /> : null}
            {penetration ? <Figure label="screw in the wood" working={penetration} size={18} /> : null}
            {edgeMargin ? <Figure label="left beside it" working={edgeMargin} size={18} /> : null}
          </View>
          {hole.unit ? <Txt kind="small">{`${capital(unitText(hole, say))}.`}</Txt> : null}
          {hole.steps.map((s, i) => (
            <Txt key={s} kind="small">{`${i + 1}. ${stepText(s)}`}</Txt>
          ))}
          <PicturesLink of={hole.id} />
        </View>
      ) : null}
    </View>
  );
}
