import { Suspense, memo, useEffect, useRef, type RefObject } from 'react';
import { ScrollView, View } from 'react-native';
import { useFollowed } from '../data/followed';
import { hand } from '../data/hand';
import type { RoomState } from '../data/rooms';
import type { EditTurn } from '../data/useRoom';
import { KeptNotices, noticesOf } from '../features/kept/KeptNotices';
import { usePad } from '../pad/PadContext';
import { TapePad } from '../pad/TapePad';
import { useShown } from '../state/roomState';
import type { BuiltStage } from '../state/stageIds';
import { Coming } from '../ui/Coming';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import type { Posture } from '../ui/usePosture';
import { ByWall } from '../work/WallSwitch';
import { WorkingSheet } from '../work/WorkingSheet';
import { Announced } from './Announced';
import { Header } from './Header';
import { HelpSheet } from './HelpSheet';
import { ComingDrawing, LaterCanvas } from './LaterCanvas';
import { lateText } from './lateText';
import { SkipLink } from './SkipLink';
import { STAGE } from './stages';
import { StageStrip } from './StageStrip';
import { BarNumbers, NextAction, ThumbBar } from './ThumbBar';
import { useRoomKeys } from './useRoomKeys';

export interface LayoutProps {
  stage: BuiltStage;
  state: RoomState;
  posture: Posture;
  turn: EditTurn;
}

/** A stage of a room in whatever posture the device is held. */
export const RoomLayout = memo(function RoomLayout(props: LayoutProps) {
  const palette = usePalette();
  const { stage, state, posture } = props;
  useRoomKeys(stage, state.id);
  const Arranged = ARRANGED[posture];
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }}>
      <SkipLink />
      <Suspense>
        <Announced />
      </Suspense>
      <Arranged {...props} />
      <WorkingSheet />
      <HelpSheet stage={stage} keys={posture === 'wide'} />
    </View>
  );
});

const ARRANGED: Record<Posture, (props: LayoutProps) => React.JSX.Element> = {
  wide: Wide,
  side: Sideways,
  upright: Upright,
  low: Low,
};

const WIDE_PANEL = 420;
const SIDE_PANEL = '46%';

/** Drawings and inputs side by side, at a desk. */
function Wide({ stage, state, turn }: LayoutProps) {
  return (
    <>
      <Header state={state} wide />
      <View style={{ flex: 1, flexDirection: 'row' }}>
        <View style={{ flex: 1 }}>
          <StageStrip stage={stage} />
          <LastGood stage={stage} turn={turn} wide />
        </View>
        <Beside width={WIDE_PANEL}>
          <PanelOrPad stage={stage} state={state} turn={turn} below={<ThumbBar stage={stage} />} />
        </Beside>
      </View>
    </>
  );
}

/** A phone on its side: the drawing with name, stages and figures, and beside it the inputs in all the height there is. */
function Sideways({ stage, state, turn }: LayoutProps) {
  const left = useFollowed(hand) === 'left';
  return (
    <View style={{ flex: 1, flexDirection: left ? 'row-reverse' : 'row' }}>
      <View style={{ flex: 1, minWidth: 0 }}>
        <Header state={state} wide={false} />
        <StageStrip stage={stage} />
        <LastGood stage={stage} turn={turn} />
        <BarNumbers stage={stage} />
      </View>
      <Beside width={SIDE_PANEL}>
        <PanelOrPad
          stage={stage}
          state={state}
          turn={turn}
          below={
            <Bar>
              <NextAction stage={stage} />
            </Bar>
          }
        />
      </Beside>
    </View>
  );
}

/** A phone in the hand: drawing on top, inputs below, figures and the next step within the thumb's reach. */
function Upright({ stage, state, turn }: LayoutProps) {
  const pad = usePad();
  const share = stage === 'reach' ? 0.52 : 0.44;
  return (
    <>
      <Header state={state} wide={false} />
      {pad.opened ? null : <StageStrip stage={stage} />}
      <View style={{ flex: pad.opened ? 1 : share, minHeight: pad.opened ? 220 : 150 }}>
        <LastGood stage={stage} turn={turn} />
      </View>
      {/* Hidden, not taken down, so that folds and scrolling are as they were when the pad closes. */}
      <View style={pad.opened ? { display: 'none' } : { flex: 1 - share, minHeight: LEAST_PANEL + BAR }}>
        <Panel stage={stage} state={state} turn={turn} />
        <ThumbBar stage={stage} />
      </View>
      {pad.opened ? <TapePad /> : null}
    </>
  );
}

const LEAST_PANEL = 220;
const BAR = 128;

/** Too little height, or large type: everything but the next step scrolls. */
function Low({ stage, state, turn }: LayoutProps) {
  const pad = usePad();
  const page = useRef<ScrollView>(null);
  return (
    <>
      <ScrollView ref={page} style={{ flex: 1 }} tabIndex={0}>
        <Header state={state} wide={false} />
        <StageStrip stage={stage} />
        <View style={{ height: LEAST_DRAWING }}>
          <LastGood stage={stage} turn={turn} />
        </View>
        <View style={pad.opened ? { display: 'none' } : undefined}>
          <Panel stage={stage} state={state} turn={turn} page={page} />
          <BarNumbers stage={stage} />
        </View>
      </ScrollView>
      {pad.opened ? (
        <ScrollView style={{ flexGrow: 0, maxHeight: '75%' }}>
          <TapePad />
        </ScrollView>
      ) : (
        <Bar>
          <NextAction stage={stage} />
        </Bar>
      )}
    </>
  );
}

const LEAST_DRAWING = 270;

function Beside({ width, children }: { width: number | '46%'; children: React.ReactNode }) {
  const palette = usePalette();
  return <View style={{ width, borderLeftWidth: 2, borderLeftColor: palette.ink }}>{children}</View>;
}

function Bar({ children }: { children: React.ReactNode }) {
  const palette = usePalette();
  return (
    <View
      style={{ padding: 6, backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink }}
      testID="action-bar"
    >
      {children}
    </View>
  );
}

interface PanelProps {
  stage: BuiltStage;
  state: RoomState;
  turn: EditTurn;
}

function PanelOrPad({ below, ...panel }: PanelProps & { below: React.ReactNode }) {
  const pad = usePad();
  return (
    <>
      <View style={{ flex: 1, minHeight: 0 }}>
        <Panel {...panel} />
      </View>
      {pad.opened ? <TapePad /> : below}
    </>
  );
}

/** Where a corner's walls are worked on one at a time. */
const BY_WALL: ReadonlySet<BuiltStage> = new Set(['room', 'wall']);

/** The drawings, greyed while the room cannot be worked out. */
function LastGood({ stage, turn, wide = false }: { stage: BuiltStage; turn: EditTurn; wide?: boolean }) {
  const late = useShown((s) => s.late);
  const { views, labels } = STAGE[stage];
  const movable = stage === 'height' && turn === 'mine';
  const drawn = <LaterCanvas stage={stage} views={views} labels={labels} movable={movable} wide={wide} />;
  return (
    <View style={{ flex: 1 }}>
      <View style={{ flex: 1, opacity: late ? 0.4 : 1 }}>
        <Suspense fallback={<ComingDrawing />}>{BY_WALL.has(stage) ? <ByWall>{drawn}</ByWall> : drawn}</Suspense>
      </View>
      {late ? (
        <View style={{ paddingHorizontal: 12, paddingVertical: 4 }} testID="late">
          <Txt kind="small">{lateText(late)}</Txt>
        </View>
      ) : null}
    </View>
  );
}

/** The big button, from which another stage has been come to, or nothing any more: the next key belongs to the inputs. */
const isLeft = (e: Element | null): boolean =>
  e === null || e === document.body || e.closest('[data-testid="primary-action"]') !== null;

const focusPanel = () => document.querySelector<HTMLElement>('[data-testid="panel"]')?.focus({ preventScroll: true });

/** What a stage asks and says; it scrolls by itself, or with the `page` where that scrolls as a whole. */
const Panel = memo(function Panel({ stage, state, turn, page }: PanelProps & { page?: RefObject<ScrollView | null> }) {
  const palette = usePalette();
  const own = useRef<ScrollView>(null);
  const scroller = page ?? own;
  const Body = STAGE[stage].body;
  const notices = noticesOf(state);
  const shown = useRef(stage);
  useEffect(() => {
    scroller.current?.scrollTo({ y: 0, animated: false });
    if (shown.current !== stage && isLeft(document.activeElement)) focusPanel();
    shown.current = stage;
  }, [scroller, stage]);
  // what has to be read before going on comes into view
  useEffect(() => {
    if (notices !== '') scroller.current?.scrollTo({ y: 0, animated: false });
  }, [scroller, notices]);
  const content = (
    <>
      <KeptNotices state={state} editable={turn === 'mine'} />
      {turn === 'elsewhere' ? (
        <View style={{ padding: 12 }} testID="read-only">
          <Txt kind="small">
            This room is open in another tab; here it is only shown. Close it there to work on it here.
          </Txt>
        </View>
      ) : null}
      <Suspense fallback={<Coming />}>
        <Body />
      </Suspense>
    </>
  );
  const edge = { borderTopWidth: 1, borderTopColor: palette.hairline };
  if (page)
    return (
      <View testID="panel" tabIndex={-1} style={edge}>
        {content}
      </View>
    );
  return (
    <ScrollView ref={own} testID="panel" tabIndex={0} style={{ flex: 1, ...edge }}>
      {content}
    </ScrollView>
  );
});
