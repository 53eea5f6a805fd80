import { freeId, slotRows } from '@steddo/core';
import { useState } from 'react';
import { View } from 'react-native';
import type { Job, Measured } from '@steddo/contract';
import { measuredName } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { usePad } from '../../pad/PadContext';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { FindingNote } from '../../ui/FindingNote';
import { RemovableRow } from '../../ui/RemovableRow';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

const FROM = [
  { value: 'bottom', name: 'the bottom edge' },
  { value: 'top', name: 'the top edge' },
] as const;

/**
 * With the mount staged on the set, measured on the set itself: it wins over what the mount's
 * drawing gives. The first one governs; every other way to the same point checks it.
 */
export function MeasuredOnSet() {
  const { job, plan, dispatch, readOnly, say } = useRoomContext();
  const { open } = usePad();
  const [from, setFrom] = useState<Measured['from']>('bottom');
  const rows = slotRows(job.mount?.plate?.slots ?? []);
  // nothing is drawn: the row of holes is all that there is to go by
  const [to, setTo] = useState(rows.length === 0 ? 'row:0' : 'hook');
  const targets = [
    { value: 'hook', name: 'the hook' },
    { value: 'plate-top', name: 'plate top' },
    { value: 'plate-bottom', name: 'plate bottom' },
    ...rowTargets(rows.length),
  ];
  const measured = job.measured ?? [];
  return (
    <View testID="measured">
      <View style={{ padding: 16, paddingBottom: 4 }}>
        <Txt kind="small" soft>
          Hang the plate on its arms on the set, as it will hang, and measure along the set.
        </Txt>
      </View>
      {measured.map((m, i) => (
        <RemovableRow
          key={`${m.from}-${m.to}-${i}`}
          text={`${m.from} edge to ${measuredName(m.to)}: ${say.length(m.value)}`}
          {...(i === 0 && measured.length > 1 ? { note: 'governs; the others check it' } : {})}
          removeLabel={`take the ${measuredName(m.to)} away`}
          disabled={readOnly}
          onRemove={() => dispatch({ do: 'drop', path: `measured.${m.id ?? i}` })}
        />
      ))}
      {plan.findings
        .filter((f) => f.code === 'measured-differs' || f.code === 'measured-unused')
        .map((f, i) => (
          <FindingNote key={i} finding={f} say={say} />
        ))}
      <Choice label="from" disabled={readOnly} options={FROM} value={from} onChoose={setFrom} />
      <Choice label="to" disabled={readOnly} options={targets} value={to} onChoose={setTo} />
      <View style={{ padding: 12 }}>
        <Action
          quiet
          testID="add-measured"
          label={`measure to ${targets.find((t) => t.value === to)?.name ?? to}`}
          disabled={readOnly}
          onPress={() => open([measuredField(job, from, to)], 0)}
        />
      </View>
    </View>
  );
}

/** The rows of the plate; of one that nobody has drawn the row of its holes, and the one above. */
const rowTargets = (rows: number): { value: string; name: string }[] =>
  Array.from({ length: Math.max(2, rows) }, (_, i) => ({ value: `row:${i}`, name: measuredName(`row:${i}`) }));

function measuredField(job: Job, from: Measured['from'], to: string): Field {
  const same = (m: Measured) => m.from === from && m.to === to;
  return {
    path: `measured.${from}.${to}`,
    label: `${from} edge to ${measuredName(to)}`,
    kind: 'length',
    value: job.measured?.find(same)?.value,
    min: -1000,
    max: 3000,
    command: (value, now) => {
      const index = (now.measured ?? []).findIndex(same);
      const known = now.measured?.[index];
      if (known) return { do: 'put', path: `measured.${known.id ?? index}.value`, value };
      const id = freeId(now, 'm');
      return { do: 'put', path: `measured.${id}`, value: { id, from, to, value } };
    },
  };
}
