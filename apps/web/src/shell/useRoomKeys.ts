import { useEffect } from 'react';
import { rooms } from '../data/shared';
import { usePad } from '../pad/PadContext';
import { HALF_BEHIND, useCanvas } from '../state/canvasState';
import { useHelp } from '../state/helpState';
import { useJob, useRoomContext } from '../state/roomState';
import type { BuiltStage } from '../state/stageIds';
import { stagesOf } from '../state/stageNeeds';
import { sameContent } from '../ui/useSame';

/** Single keys: digits go to stages, u changes units, + - 0 bring the drawing closer and back. Off inside inputs and after an entry. */
export function useRoomKeys(stage: BuiltStage, id: string): void {
  const { goTo, dispatch, readOnly } = useRoomContext();
  const units = useJob((j) => j.units);
  const stages = useJob((j) => stagesOf(j, stage), sameContent);
  const { isEntering } = usePad();
  const { zoomer, behind, setBehind } = useCanvas();
  const { show } = useHelp();
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const inInput = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement;
      if (inInput || e.altKey) return;
      const key = e.key.toLowerCase();
      if (e.ctrlKey || e.metaKey) {
        if (readOnly || (key !== 'z' && key !== 'y')) return;
        e.preventDefault();
        rooms.step(id, key === 'y' || e.shiftKey ? 'redo' : 'undo');
        return;
      }
      if (isEntering()) return;
      if (key === '?') show();
      if (key === 'p') setBehind(behind > 0 ? 0 : HALF_BEHIND);
      if (key === '+' || key === '=') zoomer.current?.closer();
      if (key === '-') zoomer.current?.further();
      if (key === '0') zoomer.current?.fitted();
      const to = stages[Number(key) - 1];
      if (to && to !== stage) goTo(to);
      if (key === 'u' && !readOnly)
        dispatch({
          do: 'put',
          path: 'units',
          value: units === 'imperial' ? 'metric' : 'imperial',
        });
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [stage, stages, id, goTo, dispatch, units, readOnly, isEntering, zoomer, show, behind, setBehind]);
}
