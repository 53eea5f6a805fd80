import { memo, useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Units } from '@steddo/contract';
import {
  aboveScene,
  fitScene,
  screwScene,
  sectionScene,
  setScene,
  sideScene,
  type LabelSet,
  type Scene,
} from '@steddo/drawing';
import { useRoomContext } from '../state/roomState';
import { type BuiltStage, type ViewName } from '../state/stageIds';
import { Slider } from '../ui/Slider';
import { Tap } from '../ui/Tap';
import { target, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { useSwung } from '../state/armState';
import { ArmHandles } from './ArmHandles';
import { AsideHandle } from './AsideHandle';
import { Drawing, type DrawingProps } from './Drawing';
import { FaceView } from './FaceView';
import { HeightHandle } from './HeightHandle';
import { ItemHandles } from './ItemHandles';
import { floorMovables } from './movables';
import { HALF_BEHIND, useCanvas } from '../state/canvasState';
import { useHasFlatWall } from '../state/useFlatWall';

export interface CanvasProps {
  stage: BuiltStage;
  /** The drawings of the stage, the first one shown. */
  views: readonly ViewName[];
  labels: LabelSet;
  movable: boolean;
  /** One drawing large and the others below it, side by side. */
  wide: boolean;
}

/** The drawings of a stage, linked: what moves in one moves in all. */
export const Canvas = memo(function Canvas({ stage, views: names, labels, movable, wide }: CanvasProps) {
  const { view, setView } = useCanvas();
  const [large = 'face'] = names;
  const shown = view && names.includes(view) ? view : large;
  const spread = wide && (stage === 'height' || stage === 'room' || stage === 'reach');
  if (spread)
    return (
      <View style={{ flex: 1 }}>
        <View style={{ flex: 1.7 }}>
          <OneView name={large} stage={stage} labels={labels} movable={movable} tabs={[large]} />
        </View>
        <View style={{ flex: 1, flexDirection: 'row' }}>
          {names.slice(1).map((name) => (
            <Framed key={name}>
              <OneView name={name} stage={stage} labels={labels} movable={movable} tabs={[name]} />
            </Framed>
          ))}
        </View>
      </View>
    );
  return <OneView name={shown} stage={stage} labels={labels} movable={movable} tabs={names} onTab={setView} />;
});

function Framed({ children }: { children: React.ReactNode }) {
  const palette = usePalette();
  return (
    <View style={{ flex: 1, borderTopWidth: 1, borderRightWidth: 1, borderColor: palette.hairline }}>{children}</View>
  );
}

interface OneProps extends Omit<CanvasProps, 'wide' | 'views'> {
  name: ViewName;
  tabs: readonly ViewName[];
  onTab?: (name: ViewName) => void;
}

function OneView({ name, tabs, onTab, ...props }: OneProps) {
  const { zoomer, behind, setBehind } = useCanvas();
  const photographed = useHasFlatWall();
  const [whole, setWhole] = useState(false);
  const [closer, setCloser] = useState(false);
  const focused = name === 'face' && props.stage !== 'room';
  // keys and buttons bring the large drawing closer
  const main = onTab !== undefined || tabs[0] === 'face';
  return (
    <View style={{ flex: 1 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', paddingLeft: 6, minHeight: target }}>
        {tabs.length > 1 ? (
          <View role="tablist" aria-label="drawings" style={{ flexDirection: 'row' }}>
            {tabs.map((t) => (
              <ViewTab key={t} name={t} current={t === name} onTab={onTab} />
            ))}
          </View>
        ) : (
          <View style={{ paddingHorizontal: 8 }}>
            <Txt kind="bold" soft>
              {name}
            </Txt>
          </View>
        )}
        <View style={{ flex: 1 }} />
        {name === 'face' && photographed ? (
          <Link
            label={behind > 0 ? 'take the photograph away' : 'show the photograph behind it'}
            testID="behind"
            text={behind > 0 ? 'no photo' : 'photo'}
            onPress={() => setBehind(behind > 0 ? 0 : HALF_BEHIND)}
          />
        ) : null}
        {closer ? (
          <Link
            label="back to the whole drawing"
            testID="zoom-back"
            text="back"
            onPress={() => zoomer.current?.fitted()}
          />
        ) : focused ? (
          <Link
            label={whole ? 'show the set closer' : 'show the whole wall'}
            testID="whole-wall"
            text={whole ? 'back to the set' : 'whole wall'}
            onPress={() => setWhole(!whole)}
          />
        ) : null}
      </View>
      <View style={{ flex: 1, minHeight: 0 }}>
        <Named key={name} name={name} whole={whole} {...(main ? { zoomer, onZoomed: setCloser } : {})} {...props} />
        {name === 'face' && photographed && behind > 0 ? (
          <View style={{ position: 'absolute', left: 12, top: 0 }}>
            <Slider
              label="how much of the photograph shows"
              value={behind}
              onChange={setBehind}
              testID="behind-share"
            />
          </View>
        ) : null}
      </View>
    </View>
  );
}

function Link({ label, text, testID, onPress }: { label: string; text: string; testID: string; onPress: () => void }) {
  return (
    <Tap label={label} testID={testID} onPress={onPress} style={{ paddingHorizontal: 12 }}>
      <Txt kind="small" style={{ textDecorationLine: 'underline' }}>
        {text}
      </Txt>
    </Tap>
  );
}

function ViewTab({
  name,
  current,
  onTab,
}: {
  name: ViewName;
  current: boolean;
  onTab?: ((name: ViewName) => void) | undefined;
}) {
  const palette = usePalette();
  return (
    <Tap
      role="tab"
      label={`${name} view`}
      selected={current}
      testID={`view-${name}`}
      onPress={() => onTab?.(name)}
      style={{ paddingHorizontal: 8, minWidth: 48, alignItems: 'center' }}
    >
      <Txt
        kind={current ? 'bold' : 'text'}
        {...(current ? {} : { soft: true })}
        style={{ borderBottomWidth: current ? 2 : 0, borderBottomColor: palette.action }}
      >
        {name}
      </Txt>
    </Tap>
  );
}

type ZoomProps = Pick<DrawingProps, 'zoomer' | 'onZoomed'>;

interface NamedProps extends Omit<OneProps, 'tabs' | 'onTab'>, ZoomProps {
  whole: boolean;
}

function Named({ name, whole, stage, labels, movable, ...zoom }: NamedProps) {
  switch (name) {
    case 'face':
      return <FaceView stage={stage} labels={labels} movable={movable} whole={whole} {...zoom} />;
    case 'side':
      return <SideView movable={movable} stage={stage} {...zoom} />;
    case 'above':
      return <AboveView movable={movable} stage={stage} {...zoom} />;
    case 'back':
    case 'front':
      return <SetView name={name} {...zoom} />;
    case 'screw':
      return <ScrewView {...zoom} />;
    case 'staged':
      return <StagedView {...zoom} />;
    case 'section':
      return <SectionView {...zoom} />;
  }
}

function SideView({ movable, stage, ...zoom }: { movable: boolean; stage: BuiltStage } & ZoomProps) {
  const { job, plan } = useRoomContext();
  const swung = useSwung(stage);
  const scene = useMemo(() => sideScene(job, plan, swung), [job, plan, swung]);
  return (
    <Drawing
      {...zoom}
      scene={scene}
      box={scene.focus}
      units={job.units}
      label={`the room from the side, to scale: ${job.title}`}
      testID="side"
      {...(movable ? { over: (view) => <HeightHandle view={view} /> } : {})}
    />
  );
}

function AboveView({ movable, stage, ...zoom }: { movable: boolean; stage: BuiltStage } & ZoomProps) {
  const { job, plan, readOnly } = useRoomContext();
  const swung = useSwung(stage);
  const scene = useMemo(() => aboveScene(job, plan, swung), [job, plan, swung]);
  const things = stage === 'room' && !readOnly;
  const middle = plan.placement?.centre.x ?? job.room.wall.width / 2;
  return (
    <Drawing
      {...zoom}
      scene={scene}
      box={scene.focus}
      units={job.units}
      label={`the floor from above, to scale: ${job.title}`}
      testID="above"
      over={(view) => (
        <>
          {swung ? <ArmHandles view={view} /> : null}
          {movable ? <AsideHandle view={view} /> : null}
          {things ? (
            <ItemHandles
              view={view}
              movables={floorMovables(job, middle)}
              fixed={[{ left: 0, right: job.room.wall.width, bottom: 0, top: 0 }]}
            />
          ) : null}
        </>
      )}
    />
  );
}

/** A drawing that nothing is moved in; in its place what it is waiting for. */
function PlainView({
  scene,
  lacking = '',
  ...rest
}: { scene: Scene | undefined; lacking?: string; units: Units; label: string; testID: string } & ZoomProps) {
  if (scene) return <Drawing {...rest} scene={scene} box={scene.focus} />;
  return (
    <View style={{ flex: 1, padding: 16 }}>
      <Txt>{lacking}</Txt>
    </View>
  );
}

function SetView({ name, ...zoom }: { name: 'back' | 'front' } & ZoomProps) {
  const { job, plan } = useRoomContext();
  const { ask } = useCanvas();
  const scene = useMemo(() => setScene(job, plan, name, ask), [job, plan, name, ask]);
  const label = `the set from the ${name}, as measured, to scale`;
  return <PlainView {...zoom} scene={scene} units={job.units} label={label} testID={`set-${name}`} />;
}

function StagedView(zoom: ZoomProps) {
  const { job, plan } = useRoomContext();
  const scene = useMemo(() => fitScene(job, plan), [job, plan]);
  const label = 'the set from behind with the mount on it, to scale';
  return <PlainView {...zoom} scene={scene} units={job.units} label={label} testID="staged" />;
}

/** The cut through the plate at the hole that is looked at. */
function SectionView(zoom: ZoomProps) {
  const { job, plan } = useRoomContext();
  const { held } = useCanvas();
  const scene = useMemo(() => sectionScene(job, plan, held), [job, plan, held]);
  return (
    <PlainView
      {...zoom}
      scene={scene}
      units={job.units}
      label="cut through the plate and what it is screwed to, to scale"
      testID="section"
      lacking="The cut through the plate is drawn when there are holes."
    />
  );
}

function ScrewView(zoom: ZoomProps) {
  const { plan } = useRoomContext();
  const { screw } = useCanvas();
  const { screws, screwCheck } = plan.screen;
  const drawn = screw ?? screws?.find((s) => s.id === screwCheck?.chosen) ?? screwCheck?.misfits[0];
  const scene = useMemo(() => (drawn && screwCheck ? screwScene(drawn, screwCheck) : undefined), [drawn, screwCheck]);
  return (
    <PlainView
      {...zoom}
      scene={scene}
      units="metric"
      label={drawn ? `cut through ${drawn.thread} x ${drawn.length}, to scale` : ''}
      testID="screw"
      lacking="The cut through the screw is drawn when a mount is picked, its bag is known, and the insert has been measured."
    />
  );
}
