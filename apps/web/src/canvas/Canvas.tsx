import { memo, useMemo, useState } from 'react';
import { View } from 'react-native';
import { aboveScene, screwScene, setScene, sideScene, type LabelSet } from '@steddo/drawing';
import { useRoomContext } from '../state/roomState';
import { type BuiltStage, type ViewName } from '../state/stageIds';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { useSwung } from '../state/armState';
import { ArmHandles } from './ArmHandles';
import { AsideHandle } from './AsideHandle';
import { Drawing } from './Drawing';
import { FaceView } from './FaceView';
import { HeightHandle } from './HeightHandle';
import { ItemHandles } from './ItemHandles';
import { floorMovables } from './movables';
import { useCanvas } from '../state/canvasState';

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
  const palette = usePalette();
  const [whole, setWhole] = useState(false);
  const zoomable = name === 'face' && props.stage !== 'room';
  return (
    <View style={{ flex: 1 }}>
      <Named name={name} whole={whole} {...props} />
      <View style={{ position: 'absolute', left: 6, top: 0, flexDirection: 'row' }}>
        {tabs.length > 1 ? (
          <View role="tablist" aria-label="drawings" style={{ flexDirection: 'row' }}>
            {tabs.map((t) => (
              <ViewTab key={t} name={t} current={t === name} onTab={onTab} />
            ))}
          </View>
        ) : null}
        {tabs.length === 1 && !zoomable ? (
          <View style={{ paddingHorizontal: 8, margin: 4, backgroundColor: palette.ground }}>
            <Txt kind="bold" soft>
              {name}
            </Txt>
          </View>
        ) : null}
        {zoomable ? (
          <Tap
            label={whole ? 'show the set closer' : 'show the whole wall'}
            onPress={() => setWhole(!whole)}
            style={{ paddingHorizontal: 8 }}
          >
            <Txt kind="small" style={{ textDecorationLine: 'underline' }}>
              {whole ? 'closer' : 'whole wall'}
            </Txt>
          </Tap>
        ) : null}
      </View>
    </View>
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

function Named({ name, whole, stage, labels, movable }: Omit<OneProps, 'tabs' | 'onTab'> & { whole: boolean }) {
  switch (name) {
    case 'face':
      return <FaceView stage={stage} labels={labels} movable={movable} whole={whole} />;
    case 'side':
      return <SideView movable={movable} stage={stage} />;
    case 'above':
      return <AboveView movable={movable} stage={stage} />;
    case 'back':
    case 'front':
      return <SetView name={name} />;
    case 'screw':
      return <ScrewView />;
  }
}

const TABS_PX = 240;

function SideView({ movable, stage }: { movable: boolean; stage: BuiltStage }) {
  const { job, plan } = useRoomContext();
  const swung = useSwung(stage);
  const scene = useMemo(() => sideScene(job, plan, swung), [job, plan, swung]);
  return (
    <Drawing
      scene={scene}
      box={scene.focus}
      units={job.units}
      label={`the room from the side, to scale: ${job.title}`}
      testID="side"
      cornerPx={TABS_PX}
      grips={movable}
      {...(movable ? { over: (view) => <HeightHandle view={view} /> } : {})}
    />
  );
}

function AboveView({ movable, stage }: { movable: boolean; stage: BuiltStage }) {
  const { job, plan, readOnly } = useRoomContext();
  const swung = useSwung(stage);
  const scene = useMemo(() => aboveScene(job, plan, swung), [job, plan, swung]);
  const things = stage === 'room' && !readOnly;
  const middle = plan.placement?.centre.x ?? job.room.wall.width / 2;
  return (
    <Drawing
      scene={scene}
      box={scene.focus}
      units={job.units}
      label={`the floor from above, to scale: ${job.title}`}
      testID="above"
      cornerPx={TABS_PX}
      grips={movable || things || swung !== undefined}
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

function SetView({ name }: { name: 'back' | 'front' }) {
  const { job, plan } = useRoomContext();
  const { ask } = useCanvas();
  const scene = useMemo(() => setScene(job, plan, name, ask), [job, plan, name, ask]);
  return (
    <Drawing
      scene={scene}
      box={scene.focus}
      units={job.units}
      label={`the set from the ${name}, as measured, to scale`}
      testID={`set-${name}`}
      cornerPx={TABS_PX}
    />
  );
}

function ScrewView() {
  const { plan } = useRoomContext();
  const { screw } = useCanvas();
  const { screws, screwCheck } = plan.screen;
  const drawn = screw ?? screws?.find((s) => s.id === screwCheck?.chosen) ?? screwCheck?.misfits[0];
  const scene = useMemo(() => (drawn && screwCheck ? screwScene(drawn, screwCheck) : undefined), [drawn, screwCheck]);
  if (!scene || !drawn)
    return (
      <View style={{ flex: 1, padding: 16, paddingTop: 64 }}>
        <Txt>
          The cut through the screw is drawn when a mount is picked, its bag is known, and the insert has been measured.
        </Txt>
      </View>
    );
  return (
    <Drawing
      scene={scene}
      box={scene.focus}
      units="metric"
      label={`cut through ${drawn.thread} x ${drawn.length}, to scale`}
      testID="screw"
      cornerPx={TABS_PX}
    />
  );
}
