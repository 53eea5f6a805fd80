import type { StepId } from '@steddo/contract';
import { useRoomContext } from '../state/roomState';
import { tickStep } from '../state/ticks';
import { NameDialog } from '../ui/NameDialog';

/** Why a step cannot be done as it should: it is dealt with, and what is said stays open. */
export function OpenPointDialog({ step, onClose }: { step: StepId; onClose: () => void }) {
  const { job, dispatch } = useRoomContext();
  return (
    <NameDialog
      title="what stays open?"
      value=""
      onTake={(text) => dispatch(tickStep(job, step, text))}
      onClose={onClose}
    />
  );
}
