import { memo } from 'react';
import { View } from 'react-native';
import type { Height, Job, HeightRule } from '@steddo/contract';
import { isComfortable } from '@steddo/core';
import { bindingName, capital, rounded, heightRuleName, heightRuleNeeds, type Wording } from '@steddo/text';
import { Tap } from '../../ui/Tap';
import { chosenRow } from '../../ui/chosenRow';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { VerdictShape } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { useJob, useRoomContext } from '../../state/roomState';

/** One school's answer for this room: its height, what binds it, everybody's angles. */
export const HeightRuleRow = memo(function HeightRuleRow({
  school,
  height,
  chosen,
  onChoose,
}: {
  school: HeightRule;
  height: Height | undefined;
  chosen: boolean;
  onChoose: () => void;
}) {
  const palette = usePalette();
  const { say } = useRoomContext();
  const viewers = useJob((j) => j.room.viewers);
  const comfortable = isComfortable(height?.angles ?? []);
  return (
    <View
      testID={`school-${school}`}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        ...chosenRow(palette, chosen),
      }}
    >
      <Tap
        role="radio"
        selected={chosen}
        label={heightRuleName(school)}
        onPress={onChoose}
        style={{ flex: 1, paddingLeft: 10, paddingRight: 6, paddingVertical: 6, minHeight: 56 }}
      >
        <Txt kind="bold">{capital(heightRuleName(school))}</Txt>
        <Txt kind="small" soft>
          {subline(school, height, viewers, say)}
        </Txt>
      </Tap>
      {height?.working ? (
        <View style={{ width: 92 }}>
          <Figure label={`centre, ${heightRuleName(school)}`} working={height.working} hideLabel />
        </View>
      ) : null}
      {height?.tiltWorking ? (
        <View style={{ width: 62 }}>
          <Figure
            label="tilt needed"
            working={height.tiltWorking}
            size={15}
            after={height.tiltWorking.value < 0 ? 'down' : 'up'}
            hideLabel
          />
        </View>
      ) : null}
      <View style={{ width: 34 }}>
        {height?.centre === undefined ? null : <VerdictShape verdict={comfortable ? 'go' : 'caution'} />}
      </View>
    </View>
  );
});

type Viewers = Job['room']['viewers'];

function subline(school: HeightRule, height: Height | undefined, viewers: Viewers, say: Wording): string {
  if (!height) return heightRuleNeeds(school);
  if (height.centre === undefined)
    return `no height works: ${height.binding.map((b) => bindingName(b, say)).join(', ')}`;
  if (height.binding.length > 0) {
    const by = say.length(Math.abs(height.centre - height.wanted));
    return `moved ${by}: ${height.binding.map((b) => bindingName(b, say)).join(', ')}`;
  }
  return angleWords(height.angles, viewers) || 'as wanted';
}

/** How far each viewer's gaze leaves its rest. */
export function angleWords(angles: Height['angles'], viewers: Viewers): string {
  return angles
    .map((a) => {
      const name = viewers?.find((v) => v.id === a.viewer)?.name ?? a.viewer;
      const off = Math.round(a.fromRest);
      if (off === 0) return `${name} at rest`;
      return `${name} ${rounded(Math.abs(off), 0)}° ${off < 0 ? 'below' : 'above'} rest`;
    })
    .join(', ');
}
