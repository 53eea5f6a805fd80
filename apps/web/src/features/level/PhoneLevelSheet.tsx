import { useState } from 'react';
import { View } from 'react-native';
import { freeId, type LiveLevel } from '@steddo/core';
import { rounded } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { font } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { useSpeech } from '../../ui/useSpeech';
import type { NoLevel } from './phoneLevel';
import { useSteady } from './useSteady';

const WHY: Record<NoLevel, string> = {
  'not-secure':
    'A browser tells a page how the phone lies only over https or on localhost, and this page is neither. Read a level instead, or have Steddo served over https.',
  'no-sensor': 'This device does not tell how it lies. Read a level instead.',
  refused:
    'The phone was asked how it lies, and the answer was no. It can be allowed in the browser’s settings for this page; a level does as well.',
};

interface PhoneLevelProps {
  level: LiveLevel | NoLevel;
  on: 'plate' | 'set';
  /** Under which its own error is kept. */
  name: string;
  onClose: () => void;
}

/** The phone on its edge as a level: it reads by itself when it lies still, once each way round. */
export function PhoneLevelSheet({ level, ...rest }: PhoneLevelProps) {
  const live = typeof level === 'object' ? level : undefined;
  return (
    <BottomSheet title="this phone as a level" onClose={rest.onClose} testID="phone-level">
      {live ? <Reading {...rest} level={live} /> : <Txt testID="no-level">{WHY[level as NoLevel]}</Txt>}
    </BottomSheet>
  );
}

function Reading({ level, on, name, onClose }: PhoneLevelProps & { level: LiveLevel }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const { say } = useSpeech();
  const [done, setDone] = useState(0);
  const { now, silent, again } = useSteady(done < 2 && !readOnly ? level : undefined, (deg) => {
    const turned = done === 1;
    const id = freeId(job, 'r');
    // its own right is the wall's left with its face to the wall
    const angle = Number((turned ? -deg : deg).toFixed(2));
    const when = on === 'plate' ? 'snug' : 'hung';
    const value = { id, instrument: 'digital' as const, level: name, angle, turned, on, when };
    if (dispatch({ do: 'put', path: `levelReadings.${id}`, value }).length > 0) return;
    navigator.vibrate?.(120);
    say(turned ? 'Read. Both ways are there.' : 'Read. Now turn it.');
    setDone(done + 1);
  });
  if (silent) return <Txt testID="no-level">{WHY['no-sensor']}</Txt>;
  return (
    <View style={{ gap: 12 }}>
      <Txt>{STEPS[done]}</Txt>
      {done < 2 ? (
        <>
          <Txt testID="phone-angle" style={{ ...font.bold, fontSize: 48, lineHeight: 56 }}>
            {now === undefined ? 'on its edge' : `${rounded(now, 2)}°`}
          </Txt>
          <Txt kind="small" soft>
            It reads by itself once it has lain still for a second and a half. A phone is good to about 0.1°, which is 2
            mm in a metre: a long level is better.
          </Txt>
          {done === 1 ? <Action quiet label="it is turned: read it" testID="read-again" onPress={again} /> : null}
        </>
      ) : (
        <Action label="good" testID="phone-level-done" onPress={onClose} />
      )}
    </View>
  );
}

const STEPS = [
  'Stand the phone on a long edge along the plate, without its case, its face to you. A longer straight edge under it helps.',
  'Now turn it end for end: the same edge down, its face to the wall. It says when it has read.',
  'Both readings are there: what the phone is off by itself is taken out of the slope.',
] as const;
