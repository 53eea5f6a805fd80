import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Look } from '@steddo/contract';
import type { CameraView, Run } from '@steddo/core';
import { bayScene } from '@steddo/drawing';
import { Drawing } from '../../canvas/Drawing';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { Choice } from '../../ui/Choice';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';
import { nextNumber } from '../../state/marks';

const SEEN: readonly { value: Look['found']; name: string }[] = [
  { value: 'clear', name: 'nothing: clear' },
  { value: 'cable', name: 'a cable' },
  { value: 'pipe', name: 'a pipe' },
  { value: 'unsure', name: 'cannot tell' },
];

/** What the camera shows, drawn; what it is the hand has to say, thing by thing. */
export function CameraSheet({
  view,
  at,
  onClose,
}: {
  view: CameraView;
  at: { x: number; y: number };
  onClose: () => void;
}) {
  const { job, say, dispatch } = useRoomContext();
  const scene = useMemo(() => bayScene(view, at), [view, at]);
  const [which, setWhich] = useState('0');
  const [found, setFound] = useState<Look['found']>();
  const { runs } = view;
  const log = () => {
    const id = `k${nextNumber(job)}`;
    const stamp = new Date().toISOString();
    const reach = Math.floor(Math.min(at.y - view.bottom, view.top - at.y));
    const place = found === 'clear' ? { ...at, reach } : placeOf(runs[Number(which)], at);
    dispatch({ do: 'put', path: `looks.${id}`, value: { id, ...place, found, at: stamp } });
    if (found === 'clear' || runs.length <= 1) onClose();
    else setFound(undefined);
  };
  return (
    <BottomSheet title="Camera" onClose={onClose} testID="camera-sheet">
      <View style={{ height: 260 }}>
        <Drawing
          scene={scene}
          box={scene.bounds}
          units={job.units}
          label="the bay, as the camera shows it"
          testID="bay"
        />
      </View>
      <Txt
        kind="small"
        soft
      >{`From ${say.length(view.bottom)} to ${say.length(view.top)} up, between the two studs.`}</Txt>
      {runs.length > 1 ? (
        <Choice
          label="this is about"
          options={runs.map((r, i) => ({
            value: String(i),
            name: `what is ${r.way === 'vertical' ? 'upright' : 'level'} at ${say.length(r.at)}`,
          }))}
          value={which}
          onChoose={setWhich}
        />
      ) : null}
      <Choice label="seen" options={SEEN} value={found} onChoose={setFound} />
      <View style={{ paddingTop: 10 }}>
        <Action label="log it" testID="camera-log" disabled={found === undefined} onPress={log} />
      </View>
    </BottomSheet>
  );
}

/** Where the thing is that was seen, and which way it runs. */
function placeOf(run: Run | undefined, at: { x: number; y: number }) {
  const round = (mm: number) => Math.round(mm * 10) / 10;
  if (!run) return { x: round(at.x), y: round(at.y) };
  return run.way === 'vertical'
    ? { x: round(run.at), y: round(at.y), runs: 'vertical' as const }
    : { x: round(at.x), y: round(run.at), runs: 'horizontal' as const };
}
