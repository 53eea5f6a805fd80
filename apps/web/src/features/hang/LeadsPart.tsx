import { useState } from 'react';
import { View } from 'react-native';
import type { Job, LeadPlan } from '@steddo/contract';
import { freeId, leadWay, removeEntry } from '@steddo/core';
import { itemName, leadLine, slackText } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { EntryRow } from '../../ui/EntryRow';
import { Txt } from '../../ui/Txt';
import { LeadFields, type Lead } from './LeadFields';

const KINDS = ['power', 'signal', 'network', 'sound'] as const;

/** Every lead with its run, what it needs and what is left of it. */
export function LeadsPart() {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const [open, setOpen] = useState<string>();
  const [kind, setKind] = useState<(typeof KINDS)[number]>('power');
  const leads = job.leads ?? [];
  const add = () => {
    const id = freeId(job, 'l');
    const outlets = (job.room.objects ?? []).filter((o) => (o.wall ?? 'main') === 'main' && endsAt(kind, o.kind));
    const [to] = outlets;
    dispatch({ do: 'put', path: `leads.${id}`, value: { id, what: kind, ...(to ? { to: to.id } : {}) } });
    setOpen(id);
  };
  return (
    <View testID="leads">
      {leads.map((lead) => (
        <LeadRow
          key={lead.id}
          lead={lead}
          planned={plan.leads?.find((l) => l.id === lead.id)}
          open={open === lead.id}
          onOpen={() => setOpen(open === lead.id ? undefined : lead.id)}
          onRemove={() => dispatch(removeEntry(job, `leads.${lead.id}`))}
        />
      ))}
      {leads.length === 0 ? (
        <View style={{ paddingHorizontal: 16, paddingTop: 8 }}>
          <Txt kind="small" soft>
            None yet. Power first: where is its outlet, and does the lead reach?
          </Txt>
        </View>
      ) : null}
      <Choice
        label="a lead for"
        disabled={readOnly}
        options={KINDS.map((value) => ({ value, name: value }))}
        value={kind}
        onChoose={setKind}
      />
      <View style={{ padding: 12 }}>
        <Action quiet label={`add a ${kind} lead`} testID="add-lead" disabled={readOnly} onPress={add} />
      </View>
      <View style={{ paddingHorizontal: 16, paddingBottom: 10 }}>
        <Txt kind="small" soft>
          Nothing tied across a joint. No mains flex inside the wall: only a kit that is rated for it, by who may.
        </Txt>
      </View>
    </View>
  );
}

/** Where a lead of a kind usually goes. */
const endsAt = (what: string, kind: string): boolean =>
  what === 'power' ? kind === 'outlet' : kind === 'data' || kind === 'box' || kind === 'device';

interface RowProps {
  lead: Lead;
  planned: LeadPlan | undefined;
  open: boolean;
  onOpen: () => void;
  onRemove: () => void;
}

function LeadRow({ lead, planned, open, onOpen, onRemove }: RowProps) {
  const { job, say, readOnly } = useRoomContext();
  const to = job.room.objects?.find((o) => o.id === lead.to);
  const goes = to ? ` to the ${to.name ?? itemName(to.kind)}` : '';
  return (
    <EntryRow
      testID={`lead-${lead.id}`}
      title={`${lead.what}${goes}`}
      note={noteOf(lead, planned, job, say)}
      open={open}
      onOpen={onOpen}
      onRemove={onRemove}
      disabled={readOnly}
    >
      <LeadFields lead={lead} planned={planned} />
    </EntryRow>
  );
}

function noteOf(
  lead: Lead,
  planned: LeadPlan | undefined,
  { mount }: Job,
  say: Parameters<typeof slackText>[1],
): string {
  const long = planned ? `${slackText(planned, say)}, ` : 'say where it goes, ';
  return `${long}${leadLine(leadWay(lead, mount))}`;
}
