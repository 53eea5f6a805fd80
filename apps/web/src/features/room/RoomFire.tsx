import type { Job, Rule } from '@steddo/contract';
import type { Command } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

const KINDS = new Set(['opening', 'stove', 'vent']);

/** Whether there is anything warm on this wall, or somebody has said so. */
export const hasFire = ({ room }: Job): boolean =>
  Boolean(room.objects?.some((o) => KINDS.has(o.kind)) || room.rules?.length || room.heat);

/** What a maker or a local rule asks to be kept off a fire and a flue, and how warm it was where the set will hang. */
export function RoomFire() {
  const { job, plan } = useRoomContext();
  return (
    <>
      <TapeFields fields={fireFields(job, plan.placement?.centre)} />
      <Txt kind="small" soft style={{ padding: 12 }}>
        Local codes and the maker of the stove come first; where they say nothing, ask them. A licensed trade works on
        flues and gas.
      </Txt>
    </>
  );
}

/** A figure that was entered takes the place of the one before; its source stays. */
export function putRule({ room }: Job, what: Rule['what'], value: number): Command {
  const rules = room.rules ?? [];
  const before = rules.findLast((r) => r.what === what);
  return {
    do: 'put',
    path: 'room.rules',
    value: [...rules.filter((r) => r.what !== what), { ...before, what, value }],
  };
}

export function fireFields({ room, screen }: Job, set: { x: number; y: number } | undefined): Field[] {
  const figure = (what: Rule['what']) => room.rules?.findLast((r) => r.what === what)?.value;
  const ruled = (what: Rule['what'], shape: Pick<Field, 'label' | 'hint' | 'kind' | 'min' | 'max'>): Field => ({
    ...shape,
    path: `room.rules.${what}`,
    value: figure(what),
    command: (value, job) => putRule(job, what, value),
  });
  const { heat } = room;
  const at = heat ?? { x: set?.x ?? room.wall.width / 2, y: set?.y ?? room.wall.height / 2, celsius: 20 };
  const heated = (
    name: 'x' | 'y' | 'celsius',
    label: string,
    kind: Field['kind'],
    min: number,
    max: number,
  ): Field => ({
    ...{ path: `room.heat.${name}`, label, kind, min, max },
    value: heat?.[name],
    command: (value, job) => ({ do: 'put', path: 'room.heat', value: { ...at, ...job.room.heat, [name]: value } }),
  });
  const stove = room.objects?.some((o) => o.kind === 'stove');
  return [
    ruled('mantel-clearance', {
      label: 'what burns keeps off by',
      hint: stove ? "the stove's label or leaflet" : 'a local figure instead of 6 in',
      ...{ kind: 'length', min: 0, max: 3000 },
    }),
    ruled('flue-clearance', {
      label: 'a set or a box keeps off a flue vent by',
      hint: "the flue's label",
      ...{ kind: 'length', min: 0, max: 3000 },
    }),
    heated('celsius', 'warm at the set, measured', 'celsius', -20, 200),
    ruled('ambient', {
      label: 'the set may be as warm as',
      hint:
        screen.maxAmbient === undefined ? '40 °C where its maker says nothing' : `${screen.maxAmbient} °C by its maker`,
      ...{ kind: 'celsius', min: 0, max: 100 },
    }),
    ...(heat
      ? [
          heated('x', 'measured there, from the left', 'length', 0, room.wall.width),
          heated('y', 'measured there, from the floor', 'length', 0, room.wall.height),
        ]
      : []),
  ];
}
