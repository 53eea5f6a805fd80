import { View } from 'react-native';
import type { CornerPlan, Job, Side } from '@steddo/contract';
import { wallName, wallTitle } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { useRoomContext } from '../../state/roomState';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { Findings } from '../../work/Findings';
import { RemedyPart } from '../../work/RemedyPart';

/** How a set stands in its corner: how far out, what touches first, and where that brings what carries it. */
export function CornerStand({ corner }: { corner: CornerPlan }) {
  const { job } = useRoomContext();
  const { workings, feet, touches, reach } = corner;
  return (
    <View testID="corner-stand">
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18, padding: 12 }}>
        <Figure label="back, from the corner" working={workings.standOff} size={24} />
        <Figure label="front, from the corner" working={workings.front} />
        <Figure label="touches, from the corner" working={workings.touchAt} />
        {(feet ?? []).map((f) => (
          <Figure key={f.wall} label={`${footName(f.wall, feet!.length)}, from the corner`} working={f.working} />
        ))}
        {reach ? <Figure label="the arm reaches out" working={reach.working} /> : null}
      </View>
      <View style={{ paddingHorizontal: 16, paddingBottom: 8 }}>
        <Txt kind="small">{`Its ${PARTS[touches.at]} comes to ${wallName(touches.wall)} first.`}</Txt>
        {corner.stance && feet ? (
          <Txt kind="small">
            {corner.stance === 'outer'
              ? 'The feet stand outside of the bracket’s ends.'
              : 'The feet stand inside of the bracket’s ends.'}
          </Txt>
        ) : null}
      </View>
      <TapeFields fields={fieldsOf(job)} />
      <Findings stage="reach" />
      <RemedyPart />
    </View>
  );
}

const footName = (wall: 'main' | Side, feet: number): string =>
  feet === 1 ? 'plate' : `foot, ${wallTitle(wall).toLowerCase()}`;

const PARTS: Record<CornerPlan['touches']['at'], string> = {
  'back-left': 'back’s left edge',
  'back-right': 'back’s right edge',
  'front-left': 'front’s left edge',
  'front-right': 'front’s right edge',
};

const MOST_GAP_MM = 1000;
const MOST_TURN_DEG = 45;

function fieldsOf({ choices }: Job): Field[] {
  return [
    {
      path: 'choices.cornerGap',
      label: 'gap to both walls',
      hint: 'kept between the set’s edges and the walls',
      kind: 'length',
      value: choices?.cornerGap ?? 0,
      min: 0,
      max: MOST_GAP_MM,
      command: (value) => ({ do: 'put', path: 'choices.cornerGap', value }),
    },
    {
      path: 'choices.cornerTurn',
      label: 'turned out of the corner’s middle',
      hint: 'to the right; minus: to the left',
      kind: 'angle',
      value: choices?.cornerTurn ?? 0,
      min: -MOST_TURN_DEG,
      max: MOST_TURN_DEG,
      command: (value) => ({ do: 'put', path: 'choices.cornerTurn', value }),
    },
  ];
}
