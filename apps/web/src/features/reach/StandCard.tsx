import { freeId, bestPose, onDivision, posed, seatAxis, toDeg } from '@steddo/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import type { Viewer } from '@steddo/contract';
import { offText, poseText } from '@steddo/text';
import { Action } from '../../ui/Action';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';

import { sideWord } from '../../state/barNumbers';
import { useRoomContext } from '../../state/roomState';
import { useArm } from '../../state/armState';

/** What somebody would see who stands where the floor was tapped. */
export function StandCard() {
  const { job, say, tape, dispatch, readOnly } = useRoomContext();
  const { model, at, stand, setStand, bring } = useArm();
  const palette = usePalette();
  const best = useMemo(() => model && stand && bestPose(model.reach, model.table, [stand]), [model, stand]);
  if (!model || !at || !stand) return null;
  const axis = seatAxis(model, at, { viewer: 'stand', ...stand });
  const side = sideWord(Math.round(axis.value));
  const pose = best && posed(model, best);
  const keep = () => {
    const id = freeId(job, 'v');
    const name = `person ${(job.room.viewers ?? []).length + 1}`;
    const [x, distance] = [onDivision(stand.x, tape), Math.max(200, onDivision(stand.z, tape))];
    const value: Viewer = { id, name, posture: 'seated', x, distance };
    dispatch({ do: 'put', path: `room.viewers.${id}`, value });
    setStand(undefined);
  };
  return (
    <View
      testID="stand-card"
      style={{
        padding: 12,
        gap: 6,
        backgroundColor: palette.sheet,
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
      }}
    >
      <Txt kind="bold">{`Here: ${say.length(stand.z)} from the wall, ${say.length(stand.x)} from the left`}</Txt>
      <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
        <Figure label="sees it now" working={axis} size={20} {...(side ? { after: `off, ${side}` } : {})} />
        {pose ? (
          <View style={{ flex: 1 }}>
            <Txt kind="small" soft>{`at best ${offText(toDeg(best.off))}: ${poseText(pose, say)}`}</Txt>
          </View>
        ) : null}
      </View>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {pose ? <Small label="bring it here" testID="stand-bring" onPress={() => bring(pose)} /> : null}
        <Small label="somebody sits here" testID="stand-keep" disabled={readOnly} onPress={keep} />
        <Small label="nobody" testID="stand-drop" onPress={() => setStand(undefined)} />
      </View>
    </View>
  );
}

function Small(props: { label: string; testID: string; onPress: () => void; disabled?: boolean }) {
  return (
    <View style={{ flex: 1 }}>
      <Action quiet {...props} />
    </View>
  );
}
