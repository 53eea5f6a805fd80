import { View } from 'react-native';
import type { Job } from '@steddo/contract';
import { slideText } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { TapeFields } from '../../pad/TapeField';
import type { Field } from '../../pad/fields';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';

/** The set hangs: what is left and right of it, and how far it slides. */
export function GapsPart() {
  const { job, plan, say } = useRoomContext();
  const { hang } = plan;
  const slide = hang?.workings.slide;
  const between = job.aim.centre.on === 'between';
  return (
    <View testID="gaps">
      <View style={{ paddingHorizontal: 16, paddingTop: 8 }}>
        <Txt kind="small" soft>
          {between
            ? 'From the set’s edges to what it is centred between, while it hangs.'
            : 'From the set’s edges to the ends of the wall, while it hangs.'}
        </Txt>
      </View>
      <TapeFields fields={gapFields(job)} />
      {hang && slide ? (
        <View style={{ paddingHorizontal: 16, paddingVertical: 8, gap: 4 }} testID="slide">
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
            <Verdict verdict={hang.fits ? 'go' : 'caution'} />
            <View style={{ flex: 1 }}>
              <Txt kind="bold">{slideText(hang, say)}</Txt>
            </View>
          </View>
          <Figure label="slide" working={slide} size={20} />
        </View>
      ) : null}
    </View>
  );
}

function gapFields({ hang, room }: Job): Field[] {
  return (['left', 'right'] as const).map((side): Field => {
    const value = hang?.gaps?.[side];
    return {
      path: `hang.gaps.${side}`,
      label: `gap on the ${side}`,
      kind: 'length',
      min: 0,
      max: room.wall.width,
      ...(value === undefined ? {} : { value }),
      command: (mm) => ({ do: 'put', path: `hang.gaps.${side}`, value: mm }),
    };
  });
}
