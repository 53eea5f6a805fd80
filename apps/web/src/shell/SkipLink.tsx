import { useState } from 'react';
import { View } from 'react-native';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';

const FOCUSABLE = '[tabindex="0"], button, input, a[href]';

/** First on the page for those who work by keys: past the name, the stages and the drawing, to the first input. */
export function SkipLink() {
  const palette = usePalette();
  const [seen, setSeen] = useState(false);
  const go = () => document.querySelector<HTMLElement>(`[data-testid="panel"] :is(${FOCUSABLE})`)?.focus();
  return (
    <View
      {...{ onBlur: () => setSeen(false) }}
      style={{
        position: 'absolute',
        zIndex: 3,
        left: 0,
        top: seen ? 0 : -80,
        backgroundColor: palette.sheet,
        borderWidth: 2,
        borderColor: palette.ink,
      }}
    >
      <Tap
        label="to the inputs"
        testID="skip"
        onPress={go}
        onLook={() => setSeen(true)}
        style={{ paddingHorizontal: 12 }}
      >
        <Txt kind="bold">to the inputs</Txt>
      </Tap>
    </View>
  );
}
