import { View } from 'react-native';
import type { Job, LeadPlan } from '@steddo/contract';
import { leadWay, moves, type Command } from '@steddo/core';
import { itemName, routeName, whenName } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { useRoomContext } from '../../state/roomState';
import { Choice } from '../../ui/Choice';
import { Switch } from '../../ui/Switch';
import { Figure } from '../../work/Figure';

export type Lead = NonNullable<Job['leads']>[number];

const WHENS = (['before', 'hooked', 'after'] as const).map((value) => ({ value, name: whenName(value) }));

/** One lead: where it goes, by which way, how long it is, and when it is plugged in. */
export function LeadFields({ lead, planned }: { lead: Lead; planned: LeadPlan | undefined }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const path = `leads.${lead.id}` as const;
  const put = (field: keyof Lead, value: unknown): Command => ({ do: 'put', path: `${path}.${field}`, value });
  const things = (job.room.objects ?? []).filter((o) => (o.wall ?? 'main') === 'main');
  const ends = things.map((o) => ({ value: o.id, name: o.name ?? itemName(o.kind) }));
  const arm = job.mount && moves(job.mount);
  const routes = (['behind', ...(arm ? (['arm'] as const) : []), 'trunking', 'rated-kit'] as const).map((value) => ({
    value,
    name: routeName(value),
  }));
  const { route, when } = leadWay(lead, job.mount);
  return (
    <View>
      {planned ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18, paddingHorizontal: 16 }}>
          <Figure label="needed" working={planned.workings.needed} size={20} />
          {planned.workings.slack ? <Figure label="to spare" working={planned.workings.slack} size={20} /> : null}
          {planned.workings.cut ? <Figure label="trunking to cut" working={planned.workings.cut} size={20} /> : null}
        </View>
      ) : null}
      <Choice
        label="goes to"
        disabled={readOnly}
        options={ends}
        value={lead.to}
        onChoose={(to) => dispatch(put('to', to))}
      />
      <Choice
        label="runs"
        disabled={readOnly}
        options={routes}
        value={route}
        onChoose={(r) => dispatch(put('route', r))}
      />
      <TapeFields fields={fieldsOf(lead, route)} />
      <Choice
        label="is"
        disabled={readOnly}
        options={WHENS}
        value={when}
        onChoose={(next) => dispatch(put('when', next))}
      />
      <Switch
        label="what it is for comes later"
        note="the lead goes in now, and onto the list of open things"
        testID="lead-later"
        on={lead.later ?? false}
        disabled={readOnly}
        onChange={(on) => dispatch(on ? put('later', true) : { do: 'drop', path: `${path}.later` })}
      />
    </View>
  );
}

function fieldsOf(lead: Lead, route: LeadPlan['route']): Field[] {
  const path = `leads.${lead.id}` as const;
  const length = (name: 'length' | 'plugDepth', label: string, most: number, hint?: string): Field => ({
    path: `${path}.${name}`,
    label,
    kind: 'length',
    min: 1,
    max: most,
    ...(hint ? { hint } : {}),
    ...(lead[name] === undefined ? {} : { value: lead[name] }),
    command: (value) => ({ do: 'put', path: `${path}.${name}`, value }),
  });
  const port = (side: 'right' | 'up', label: string): Field => ({
    path: `${path}.port.${side}`,
    label,
    hint: 'from the set’s middle, seen from the front',
    kind: 'length',
    min: -3000,
    max: 3000,
    guess: lead.port === undefined,
    value: lead.port?.[side] ?? 0,
    command: (value, now) => {
      const known = now.leads?.find((l) => l.id === lead.id)?.port ?? { right: 0, up: 0 };
      return { do: 'put', path: `${path}.port`, value: { ...known, [side]: value } };
    },
  });
  const leg = (i: number): Field => ({
    path: `${path}.legs.${i}`,
    label: `leg ${i + 1}, corner to corner`,
    kind: 'length',
    min: 1,
    max: 10_000,
    ...(lead.legs?.[i] === undefined ? {} : { value: lead.legs[i] }),
    command: (value, now) => {
      const legs = now.leads?.find((l) => l.id === lead.id)?.legs ?? [];
      return { do: 'put', path: `${path}.legs`, value: i < legs.length ? legs.with(i, value) : [...legs, value] };
    },
  });
  const legs =
    route === 'trunking' ? Array.from({ length: Math.min(12, (lead.legs?.length ?? 0) + 1) }, (_, i) => leg(i)) : [];
  return [
    length('length', 'its length', 30_000),
    port('right', 'port right of the middle'),
    port('up', 'port above the middle'),
    ...legs,
    length('plugDepth', 'its plug stands out', 300, 'by the set’s own unless you say'),
  ];
}
