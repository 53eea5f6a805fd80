import type { Build } from '@steddo/contract';
import { unitOf, USUAL_JOINT_MM, type JobPath } from '@steddo/core';
import { Choice } from '../../ui/Choice';
import { useRoomContext } from '../../state/roomState';
import { BONDS } from './buildChoices';

/** How bricks or blocks are laid: what the joints of the other courses follow from. */
export function BondChoice({ build, own, path }: { build: Build; own: Build['unit']; path: JobPath }) {
  const { dispatch, readOnly } = useRoomContext();
  const usual = unitOf(build);
  if (!usual) return null;
  return (
    <Choice
      label="laid"
      disabled={readOnly}
      options={BONDS}
      value={own?.bond ?? 'stretcher'}
      onChoose={(bond) => dispatch({ do: 'put', path, value: { ...usual, joint: USUAL_JOINT_MM, ...own, bond } })}
    />
  );
}
