import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { usePalette } from '../ui/tokens';
import type { Posture } from '../ui/usePosture';

interface Parts {
  posture: Posture;
  drawing: ReactNode;
  /** The figures of the mark. */
  face: ReactNode;
  /** What else may have come of it, and that it is good; absent where there is no mark. */
  other?: ReactNode;
  good?: ReactNode;
}

/** One mark in whatever posture the device is held: its figures have the most room that there is. */
export function AtMark({ posture, drawing, face, other, good }: Parts) {
  if (posture === 'low')
    return (
      <>
        <ScrollView style={{ flex: 1 }} tabIndex={0}>
          {face}
          <View style={{ height: DRAWING_PX }}>{drawing}</View>
          {other ? <View style={{ padding: 8 }}>{other}</View> : null}
        </ScrollView>
        {good ? <Ticks>{good}</Ticks> : null}
      </>
    );
  if (posture === 'side')
    return (
      <View style={{ flex: 1, flexDirection: 'row' }}>
        <View style={{ flex: 1 }}>
          <View style={{ flex: 1, minHeight: 0 }}>{drawing}</View>
          {other ? <Ticks>{other}</Ticks> : null}
        </View>
        <View style={{ flex: 1 }}>
          <Scrolled>{face}</Scrolled>
          {good ? <Ticks>{good}</Ticks> : null}
        </View>
      </View>
    );
  return (
    <View style={{ flex: 1, flexDirection: posture === 'wide' ? 'row' : 'column' }}>
      <View style={{ flex: posture === 'wide' ? 1 : 0.3, minHeight: 130 }}>{drawing}</View>
      <View style={{ flex: posture === 'wide' ? 1 : 0.7, minHeight: 0 }}>
        <Scrolled>{face}</Scrolled>
        {other ? (
          <Ticks>
            {other}
            {good}
          </Ticks>
        ) : null}
      </View>
    </View>
  );
}

const DRAWING_PX = 200;

const Scrolled = ({ children }: { children: ReactNode }) => (
  <ScrollView style={{ flex: 1 }} contentContainerStyle={{ flexGrow: 1 }} tabIndex={0}>
    {children}
  </ScrollView>
);

function Ticks({ children }: { children: ReactNode }) {
  const palette = usePalette();
  return (
    <View
      style={{ padding: 8, gap: 6, borderTopWidth: 2, borderTopColor: palette.ink, backgroundColor: palette.raised }}
    >
      {children}
    </View>
  );
}
