import { View } from 'react-native';
import type { Hole, Mark } from '@steddo/contract';
import { holeState } from '@steddo/core';
import { holeName } from '@steddo/text';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { Findings } from '../room/Findings';
import { sideWord } from '../room/numbers';
import { useRoomContext } from '../room/RoomContext';
import { FeltPart } from '../wall/FeltPart';
import { LOOKED } from '../wall/WallTable';

/** The holes in drilling order, with every measure that the hand needs; cautions first. */
export function HolesStage() {
  const { plan } = useRoomContext();
  const holes = plan.holes ?? [];
  return (
    <View>
      <View
        style={{
          paddingHorizontal: 16,
          paddingTop: 10,
          flexDirection: 'row',
          alignItems: 'center',
          gap: 10,
        }}
      >
        <Verdict verdict={plan.verdict} />
        <View style={{ flex: 1 }}>
          <Txt kind="small" soft>
            A check of arithmetic on what was entered. Follow the leaflet and local codes.
          </Txt>
        </View>
      </View>
      <Findings stage="holes" />
      {holes.length === 0 ? (
        <View style={{ padding: 16 }}>
          <Txt kind="bold">No holes yet: what is lacking stands above.</Txt>
        </View>
      ) : null}
      <FeltPart />
      {holes.map((h) => (
        <HoleRow key={h.id} hole={h} mark={plan.marks?.find((m) => m.id === h.id)} />
      ))}
    </View>
  );
}

function HoleRow({ hole, mark }: { hole: Hole; mark: Mark | undefined }) {
  const palette = usePalette();
  const { plan } = useRoomContext();
  if (!mark) return null;
  const { fromFloor, fromCentre, fromLeft } = mark.workings;
  const after = sideWord(fromCentre.value);
  return (
    <View
      testID={`hole-${hole.id}`}
      style={{
        paddingHorizontal: 16,
        paddingVertical: 6,
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
      }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Txt kind="bold">{holeName(hole, plan.holes ?? [])}</Txt>
        </View>
        <Txt kind="small" soft>
          {LOOKED[hole.hazard]}
        </Txt>
        <Verdict verdict={holeState(hole)} />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
        <Figure label="up from the floor" working={fromFloor} size={26} />
        <Figure
          label="off the centre line"
          working={fromCentre}
          size={22}
          {...(after ? { after } : {})}
        />
        <Figure label="from the left wall" working={fromLeft} />
        <Figure label="bit" working={hole.workings.bit} as="bit" />
        <Figure label="depth" working={hole.workings.depth} />
        {hole.workings.probability ? (
          <Figure label="wood" working={hole.workings.probability} as="percent" size={16} />
        ) : null}
      </View>
    </View>
  );
}
