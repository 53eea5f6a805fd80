import type { Item, Job, HeightRule } from '@steddo/contract';
import { measure, type Command } from '@steddo/core';
import { itemName } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Choice } from '../../ui/Choice';
import { useRoomContext } from '../../state/roomState';

/** What the followed school asks for: its band, its line, its two ends. */
export function HeightRuleInputs({ school }: { school: HeightRule }) {
  const { job } = useRoomContext();
  switch (school) {
    case 'eyes':
      return null;
    case 'bottom-band':
      return <TapeFields fields={bandFields(job)} />;
    case 'above':
      return <AboveInputs />;
    case 'line-up':
      return <LineUpInputs />;
    case 'fit-between':
      return <BetweenInputs />;
    case 'vote':
      return <TapeFields fields={[voteField(job)]} />;
    case 'standing':
      return <TapeFields fields={[standingField(job)]} />;
  }
}

/** A height on this wall. */
const lengthField = (
  job: Job,
  field: Pick<Field, 'path' | 'label' | 'value' | 'command'> & { min?: number },
): Field => ({
  min: 0,
  ...field,
  kind: 'length',
  guess: job.guessed?.includes(field.path),
  max: job.room.wall.height,
});

function bandFields(job: Job): Field[] {
  const band = job.aim.schools?.['bottom-band'];
  const put =
    (end: 'from' | 'to') =>
    (value: number, now: Job): Command => {
      const at = now.aim.schools?.['bottom-band'] ?? { from: USUAL_BAND.from, to: USUAL_BAND.to };
      const next = { ...at, [end]: value };
      const { from, to } = next;
      return {
        do: 'put',
        path: 'aim.schools.bottom-band',
        value: { from: Math.min(from, to), to: Math.max(from, to) },
      };
    };
  const path = 'aim.schools.bottom-band';
  return [
    lengthField(job, { path: `${path}.from`, label: 'lowest bottom edge', value: band?.from, command: put('from') }),
    lengthField(job, { path: `${path}.to`, label: 'highest bottom edge', value: band?.to, command: put('to') }),
  ];
}

/** 42 to 48 in, common practice. */
const USUAL_BAND = { from: 1066.8, to: 1219.2 } as const;

const onWall = (job: Job): Item[] => (job.room.objects ?? []).filter((o) => (o.wall ?? 'main') === 'main');
const named = (items: readonly Item[]) => items.map((i) => ({ value: i.id, name: i.name ?? itemName(i.kind) }));

function AboveInputs() {
  const { job, dispatch, readOnly } = useRoomContext();
  const { above } = job.aim.schools ?? {};
  const items = onWall(job);
  const gap = lengthField(job, {
    path: 'aim.schools.above.gap',
    label: 'gap above it',
    value: above?.gap,
    command: (value) => ({ do: 'put', path: 'aim.schools.above.gap', value }),
  });
  return (
    <>
      <Choice
        label="above"
        disabled={readOnly}
        options={named(items)}
        value={above?.object}
        onChoose={(value) => dispatch({ do: 'put', path: 'aim.schools.above.object', value })}
      />
      <TapeFields fields={[gap]} />
    </>
  );
}

const EDGES = [
  { value: 'bottom', name: 'bottom edge' },
  { value: 'top', name: 'top edge' },
  { value: 'centre', name: 'centre' },
] as const;

/** A line is typed, or taken from an edge of something in the room. */
function LineUpInputs() {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const now = job.aim.schools?.['line-up'];
  const edge = now?.edge ?? 'bottom';
  const put = (to: number): Command => ({
    do: 'put',
    path: 'aim.schools.line-up',
    value: { edge, to },
  });
  const lines = onWall(job).flatMap((i) => {
    const name = i.name ?? itemName(i.kind);
    return (['bottom', 'top'] as const)
      .filter((side) => i[side] > 0)
      .map((side) => ({ value: `${i.id}:${side}`, name: `${side} of ${name}, ${say.length(i[side])}`, at: i[side] }));
  });
  return (
    <>
      <Choice
        label="the set’s"
        disabled={readOnly}
        options={EDGES}
        value={edge}
        onChoose={(value) =>
          dispatch(
            now
              ? { do: 'put', path: 'aim.schools.line-up.edge', value }
              : { do: 'put', path: 'aim.schools.line-up', value: { edge: value, to: job.room.wall.height / 2 } },
          )
        }
      />
      <TapeFields
        fields={[
          lengthField(job, { path: 'aim.schools.line-up.to', label: 'on the line at', value: now?.to, command: put }),
        ]}
      />
      {lines.length > 0 ? (
        <Choice
          label="or at the"
          disabled={readOnly}
          options={lines}
          value={lines.find((l) => l.at === now?.to)?.value}
          onChoose={(value) => {
            const line = lines.find((l) => l.value === value);
            if (line) dispatch(put(line.at));
          }}
        />
      ) : null}
    </>
  );
}

function BetweenInputs() {
  const { job, dispatch, readOnly } = useRoomContext();
  const now = job.aim.schools?.['fit-between'];
  const items = named(onWall(job));
  const path = 'aim.schools.fit-between';
  const put = (end: 'below' | 'above') => (value: string) => dispatch({ do: 'put', path: `${path}.${end}`, value });
  const ratio: Field = {
    path: `${path}.ratio`,
    label: 'share of the rest below',
    hint: 'half is 50',
    kind: 'count',
    value: now?.ratio === undefined ? undefined : now.ratio * 100,
    min: 0,
    max: 100,
    command: (value) => ({ do: 'put', path: `${path}.ratio`, value: value / 100 }),
  };
  return (
    <>
      <Choice
        label="from the top of"
        disabled={readOnly}
        options={[{ value: 'floor', name: 'the floor' }, ...items]}
        value={now?.below}
        onChoose={put('below')}
      />
      <Choice
        label="to the bottom of"
        disabled={readOnly}
        options={[{ value: 'ceiling', name: 'the ceiling' }, ...items]}
        value={now?.above ?? 'ceiling'}
        onChoose={put('above')}
      />
      <TapeFields fields={[ratio]} />
    </>
  );
}

const voteField = (job: Job): Field =>
  lengthField(job, {
    path: 'aim.schools.vote.top',
    label: 'top edge, agreed',
    value: job.aim.schools?.vote?.top,
    command: (value, now) => measure(now, 'aim.schools.vote', { top: value }),
    min: 100,
  });

const standingField = (job: Job): Field =>
  lengthField(job, {
    path: 'aim.schools.standing.eye',
    label: 'eyes of people standing',
    value: job.aim.schools?.standing?.eye,
    command: (value, now) => measure(now, 'aim.schools.standing', { eye: value }),
    min: 500,
  });
