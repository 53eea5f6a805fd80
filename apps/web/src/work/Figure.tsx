import { memo } from 'react';
import { View } from 'react-native';
import type { Working } from '@steddo/contract';
import { restsOnGuess } from '@steddo/core';
import { bitText, type Wording, shareText } from '@steddo/text';
import { useJob, useRoomContext } from '../state/roomState';
import { sameContent } from '../ui/useSame';
import { data } from '../ui/data';
import { Tap } from '../ui/Tap';
import { font, size as sizes, usePalette } from '../ui/tokens';
import { TapeValue } from '../ui/TapeValue';
import { Txt } from '../ui/Txt';
import { useWorking } from './WorkingContext';

export interface FigureProps {
  /** What the number is, such as `hook`. */
  label: string;
  working: Working;
  size?: number;
  /** A word after the number, such as `left`; the number is then shown without its sign. */
  after?: string;
  /** How it is shown: as a length on the tape unless it is a bit, a small difference or a share. */
  as?: 'tape' | 'bit' | 'small' | 'percent' | 'utilisation';
  hideLabel?: boolean;
}

/** A number that opens its working. */
export const Figure = memo(function Figure({
  label,
  working,
  size = sizes.figure,
  after,
  as = 'tape',
  hideLabel,
}: FigureProps) {
  const { say, tape } = useRoomContext();
  const guessed = useJob((j) => j.guessed);
  const palette = usePalette();
  const guess = restsOnGuess(working, guessed ?? []);
  const { open } = useWorking();
  const shown = after ? { ...working, value: Math.abs(working.value) } : working;
  const words = shownText(shown, as, say);
  const isTape = working.unit === 'mm' && as === 'tape';
  return (
    <Tap
      testID="figure"
      label={`${label} ${words}${after ? ` ${after}` : ''}${guess ? ', rests on a guess' : ''}, show the working`}
      onPress={() => open(label, working)}
      style={{ paddingVertical: 4 }}
    >
      <View {...data({ value: working.value, unit: working.unit })}>
        {hideLabel ? null : (
          <Txt kind="small" soft lines={1}>
            {label}
            {guess ? (
              <Txt kind="small" color={palette.caution}>
                {' · guess'}
              </Txt>
            ) : null}
          </Txt>
        )}
        <View
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: 4,
            flexWrap: 'wrap',
            minHeight: size * 1.45,
          }}
        >
          {isTape ? (
            <TapeValue mm={shown.value} tape={tape} size={size} {...(guess ? { color: palette.soft } : {})} />
          ) : (
            <Txt style={{ ...font.figure, fontSize: size, lineHeight: size * 1.3 }}>{words}</Txt>
          )}
          {after ? <Txt kind="small">{after}</Txt> : null}
        </View>
      </View>
    </Tap>
  );
}, sameContent);

function shownText(working: Working, as: FigureProps['as'], say: Wording): string {
  if (as === 'bit') return bitText(working.value, say);
  if (as === 'small') return `${Math.round(working.value * 10) / 10} mm`;
  if (as === 'percent') return `${Math.floor(working.value * 100)} in 100`;
  if (as === 'utilisation') return shareText(working.value);
  return say.value(working.value, working.unit);
}
