import { memo, useEffect, useRef } from 'react';
import { ScrollView, View } from 'react-native';
import { Canvas } from '../canvas/Canvas';
import type { RoomState } from '../data/rooms';
import type { EditTurn } from '../data/useRoom';
import { usePad } from '../pad/PadContext';
import { TapePad } from '../pad/TapePad';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { KeptNotices, noticesOf } from '../features/kept/KeptNotices';
import { WorkingSheet } from '../work/WorkingSheet';
import { Header } from './Header';
import { lateText } from './lateText';
import { STAGE } from './stages';
import { StageStrip } from './StageStrip';
import { useShown } from '../state/roomState';
import type { BuiltStage } from '../state/stageIds';
import { ThumbBar } from './ThumbBar';
import { useRoomKeys } from './useRoomKeys';

export interface LayoutProps {
  stage: BuiltStage;
  state: RoomState;
  wide: boolean;
  turn: EditTurn;
}

const SIDE_PX = 420;

/** Phone: drawing on top, inputs below, thumb bar at the bottom. Wide: drawing and inputs side by side. */
export const RoomLayout = memo(function RoomLayout({ stage, state, wide, turn }: LayoutProps) {
  const palette = usePalette();
  const pad = usePad();
  useRoomKeys(stage, state.id);
  const canvas = <LastGood stage={stage} movable={stage === 'height' && turn === 'mine'} wide={wide} />;
  const panel = <Panel stage={stage} state={state} turn={turn} />;
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }}>
      <Header state={state} wide={wide} />
      {wide ? (
        <View style={{ flex: 1, flexDirection: 'row' }}>
          <View style={{ flex: 1 }}>
            <StageStrip stage={stage} />
            {canvas}
          </View>
          <View style={{ width: SIDE_PX, borderLeftWidth: 2, borderLeftColor: palette.ink }}>
            {panel}
            {pad.opened ? <TapePad /> : <ThumbBar stage={stage} />}
          </View>
        </View>
      ) : (
        <>
          {pad.opened ? null : <StageStrip stage={stage} />}
          <View
            style={{
              flex: pad.opened ? 1 : stage === 'reach' ? 0.52 : 0.44,
              minHeight: pad.opened ? 220 : 150,
            }}
          >
            {canvas}
          </View>
          {/* Hidden, not taken down, so that folds and scrolling are as they were when the pad closes. */}
          <View style={pad.opened ? { display: 'none' } : { flex: stage === 'reach' ? 0.48 : 0.56, minHeight: 0 }}>
            {panel}
            <ThumbBar stage={stage} />
          </View>
          {pad.opened ? <TapePad /> : null}
        </>
      )}
      <WorkingSheet />
    </View>
  );
});

/** The drawings, greyed while the room cannot be worked out. */
function LastGood({ stage, movable, wide }: { stage: BuiltStage; movable: boolean; wide: boolean }) {
  const late = useShown((s) => s.late);
  const { views, labels } = STAGE[stage];
  return (
    <View style={{ flex: 1 }}>
      <View style={{ flex: 1, opacity: late ? 0.4 : 1 }}>
        <Canvas stage={stage} views={views} labels={labels} movable={movable} wide={wide} />
      </View>
      {late ? (
        <View style={{ paddingHorizontal: 12, paddingVertical: 4 }} testID="late">
          <Txt kind="small">{lateText(late)}</Txt>
        </View>
      ) : null}
    </View>
  );
}

const Panel = memo(function Panel({ stage, state, turn }: { stage: BuiltStage; state: RoomState; turn: EditTurn }) {
  const palette = usePalette();
  const scroller = useRef<ScrollView>(null);
  const Body = STAGE[stage].body;
  const notices = noticesOf(state);
  useEffect(() => scroller.current?.scrollTo({ y: 0, animated: false }), [stage]);
  // what has to be read before going on comes into view
  useEffect(() => {
    if (notices !== '') scroller.current?.scrollTo({ y: 0, animated: false });
  }, [notices]);
  return (
    <ScrollView
      ref={scroller}
      testID="panel"
      tabIndex={0}
      style={{ flex: 1, borderTopWidth: 1, borderTopColor: palette.hairline }}
    >
      <KeptNotices state={state} editable={turn === 'mine'} />
      {turn === 'elsewhere' ? (
        <View style={{ padding: 12 }} testID="read-only">
          <Txt kind="small">
            This room is open in another tab; here it is only shown. Close it there to work on it here.
          </Txt>
        </View>
      ) : null}
      <Body />
    </ScrollView>
  );
});
