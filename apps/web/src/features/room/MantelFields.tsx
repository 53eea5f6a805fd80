import type { Item, Job } from '@steddo/contract';
import type { Command } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Switch } from '../../ui/Switch';
import { useRoomContext } from '../../state/roomState';

/** Usual for a timber that a shell goes over, mm; measured or cut to. Ours. */
const USUAL = { height: 120, thickness: 45, diameter: 8, short: 80 } as const;

/** A mantel: whether it burns, whether it is a shell over a timber, and that timber. */
export function MantelFields({ item }: { item: Item }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const path = `room.objects.${item.id}` as const;
  const hollow = item.ledger !== undefined;
  const shell = (on: boolean): Command =>
    on
      ? {
          do: 'all',
          commands: [
            { do: 'put', path: `${path}.hollow`, value: true },
            { do: 'put', path: `${path}.ledger`, value: usualLedger(item) },
          ],
        }
      : {
          do: 'all',
          commands: [
            { do: 'drop', path: `${path}.ledger` },
            { do: 'put', path: `${path}.hollow`, value: false },
          ],
        };
  return (
    <>
      <Switch
        label="it can burn"
        testID="combustible"
        note="wood can; stone and plaster cannot"
        on={item.combustible ?? true}
        disabled={readOnly}
        onChange={(on) => dispatch({ do: 'put', path: `${path}.combustible`, value: on })}
      />
      <Switch
        label="a hollow shell over a timber"
        testID="hollow"
        on={hollow}
        disabled={readOnly}
        onChange={(on) => dispatch(shell(on))}
      />
      {hollow ? <TapeFields fields={ledgerFields(job, item)} /> : null}
    </>
  );
}

const usualLedger = ({ left, right }: Item): NonNullable<Item['ledger']> => ({
  length: Math.max(100, right - left - USUAL.short),
  height: USUAL.height,
  thickness: USUAL.thickness,
  diameter: USUAL.diameter,
});

function ledgerFields(job: Job, item: Item): Field[] {
  const path = `room.objects.${item.id}` as const;
  const ledger = item.ledger!;
  const own = (name: keyof typeof ledger, label: string, min: number, max: number): Field => ({
    ...{ path: `${path}.ledger.${name}`, label, kind: 'length', value: ledger[name], min, max },
    command: (value) => ({ do: 'put', path: `${path}.ledger.${name}`, value }),
  });
  return [
    {
      ...{ path: `${path}.mass`, label: 'the shell and what stands on it', kind: 'mass', min: 0.1, max: 500 },
      value: item.mass,
      command: (value) => ({ do: 'put', path: `${path}.mass`, value }),
    },
    own('length', "timber's length", 100, job.room.wall.width),
    own('height', "timber's height", 30, 600),
    own('thickness', "timber's thickness", 15, 200),
    own('diameter', 'holes through it', 3, 30),
  ];
}
