import { View } from 'react-native';
import { isVehicle } from '@steddo/core';
import { useCanvas } from '../../state/canvasState';
import { useRoomContext } from '../../state/roomState';
import { Action } from '../../ui/Action';
import { Txt } from '../../ui/Txt';
import { TraceNote } from '../../work/TraceNote';

/** Where somebody met a sheet behind the board, or said that there is one: its outline, traced over the wall. */
export function BackingOutline() {
  const { job, plan, readOnly, say } = useRoomContext();
  const { trace, setTrace, setView } = useCanvas();
  const { kind } = job.room.wall.build;
  const backed = kind === 'timber-backing' || kind === 'metal-backing';
  const met = plan.findings.some((f) => f.code === 'sheet-behind-board') || plan.backing !== undefined;
  const vehicle = isVehicle(job);
  // one that was taped as a part of the wall has its own numbers
  if (vehicle ? plan.vehicle?.backing !== undefined && !plan.backing : !backed && !met) return null;
  if (trace === 'backing') return <TraceNote onLetGo={() => setTrace(undefined)} />;
  const { left, right, bottom, top } = plan.backing ?? {};
  const known = left !== undefined && right !== undefined && bottom !== undefined && top !== undefined;
  return (
    <View style={{ padding: 12, gap: 8 }} testID="backing-outline">
      {known ? (
        <Txt>{`Backing ${say.length(right - left)} wide and ${say.length(top - bottom)} high, from ${say.length(left)} from the left and ${say.length(bottom)} up.`}</Txt>
      ) : (
        <Txt kind="small" soft>
          {vehicle
            ? 'By its label or the maker’s drawing, then a magnet along all four edges; tape the corners and trace them. Each edge can be typed too.'
            : 'Poke along its edges where the plate will hide it, and trace what you found; each edge can be typed too.'}
        </Txt>
      )}
      <Action
        quiet
        testID="trace-backing"
        label={known ? 'trace its outline anew' : 'trace its outline on the wall'}
        disabled={readOnly}
        onPress={() => {
          setView('face');
          setTrace('backing');
        }}
      />
    </View>
  );
}
