import { useState } from 'react';
import { View } from 'react-native';
import { resultName } from '@steddo/text';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';
import { metJoint, tick, type Drillable } from './ladderAt';

/** What the bit met in masonry that is no whole brick: a joint, which way it runs; or a void. */
export function JointTick({ at }: { at: Drillable }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const [open, setOpen] = useState<'joint' | 'hollow'>();
  const take = (command: ReturnType<typeof tick>) => {
    setOpen(undefined);
    dispatch(command);
  };
  return (
    <>
      <View style={{ flexDirection: 'row', gap: 6 }}>
        {(['joint', 'hollow'] as const).map((result) => (
          <View key={result} style={{ flex: 1 }}>
            <Action
              quiet
              fill
              label={resultName(result)}
              testID={`tick-${result}`}
              disabled={readOnly}
              onPress={() => setOpen(result)}
            />
          </View>
        ))}
      </View>
      {open === 'joint' ? (
        <BottomSheet title="it met a joint" onClose={() => setOpen(undefined)} testID="joint-sheet">
          <View style={{ gap: 10 }}>
            <Txt>
              Mortar holds nothing: leave the hole, the plate or the set covers it. Which way does the joint run? The
              plan then goes by it, and finds another place.
            </Txt>
            <Action label="level" testID="joint-level" onPress={() => take(metJoint(job, at, 'horizontal'))} />
            <Action label="upright" testID="joint-upright" onPress={() => take(metJoint(job, at, 'vertical'))} />
            <Action quiet label="nobody can tell" testID="joint-unknown" onPress={() => take(tick(job, at, 'joint'))} />
          </View>
        </BottomSheet>
      ) : null}
      {open === 'hollow' ? (
        <BottomSheet title="it was hollow" onClose={() => setOpen(undefined)} testID="void-sheet">
          <View style={{ gap: 10 }}>
            <Txt>
              A sleeve has nothing to spread against in a void, and a screw nothing to cut. The plan goes at least 60 mm
              aside. If the next one is hollow too, the bricks are: stop, and take a fixing that its pack rates for
              hollow ones.
            </Txt>
            <Action label="find another place" testID="void-take" onPress={() => take(tick(job, at, 'hollow'))} />
          </View>
        </BottomSheet>
      ) : null}
    </>
  );
}
