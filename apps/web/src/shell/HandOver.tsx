import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { careLines, holdLine, leadLine, leftWith, openText, slackText } from '@steddo/text';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { Fold } from '../ui/Fold';
import { NameDialog } from '../ui/NameDialog';
import { RemovableRow } from '../ui/RemovableRow';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { TravelList } from '../work/VehiclePart';
import { StepList } from '../work/StepList';

/** What the customer is told: what holds it, its leads, what stays open, what stays with them, how to treat it; `onlyShown` to the customer themselves. */
export function HandOver({ onlyShown = false }: { onlyShown?: boolean }) {
  const { id, job, plan, say } = useRoomContext();
  const { day, leads = [] } = plan;
  const holds = holdLine(plan, say);
  const steps = day?.steps ?? [];
  const left = steps.filter((s) => !s.done).length;
  return (
    <>
      {holds ? (
        <Part name="held by">
          <Txt>{holds}</Txt>
        </Part>
      ) : null}
      {leads.length > 0 ? (
        <Part name="leads">
          {leads.map((l) => (
            <Txt key={l.id}>{`${l.what}: ${slackText(l, say)}, ${leadLine(l)}`}</Txt>
          ))}
        </Part>
      ) : null}
      {day ? (
        <Part name="steps">
          <Txt testID="steps-left">
            {left === 0 ? 'every step is ticked' : `${steps.length - left} of ${steps.length} ticked`}
          </Txt>
          {left > 0 && !onlyShown ? (
            <View style={{ alignItems: 'flex-start', paddingTop: 6 }}>
              <Action quiet label="the whole day" testID="to-day" onPress={() => router.push(`/room/${id}/day`)} />
            </View>
          ) : null}
        </Part>
      ) : null}
      <OpenPoints />
      <Part name="stays with the customer">
        {leftWith(job).map((line) => (
          <Txt key={line}>{line}</Txt>
        ))}
      </Part>
      {plan.vehicle ? (
        <Part name="before it is driven">
          <TravelList />
        </Part>
      ) : null}
      <Part name="care">
        {careLines(job, plan, say).map((line) => (
          <Txt key={line}>{line}</Txt>
        ))}
      </Part>
      {onlyShown ? null : (
        <Fold name="last steps" start={left > 0}>
          <StepList part="over" all="all of it is done" />
        </Fold>
      )}
    </>
  );
}

/** What is left for another day: what was said at a step, leads for later, and what somebody writes here. */
function OpenPoints() {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const [writing, setWriting] = useState(false);
  const given = plan.day?.open.filter((o) => o.what !== 'note') ?? [];
  const notes = job.record?.open ?? [];
  return (
    <View testID="open-points">
      <Part name="stays open">
        {given.length + notes.length === 0 ? <Txt>nothing</Txt> : null}
        {given.map((o, i) => (
          <Txt key={i}>{openText(o)}</Txt>
        ))}
      </Part>
      {notes.map((n, i) => {
        const text = typeof n === 'string' ? n : n.text;
        return (
          <RemovableRow
            key={`${i}-${text}`}
            text={text}
            removeLabel={`take away: ${text}`}
            disabled={readOnly}
            onRemove={() => dispatch({ do: 'drop', path: `record.open.${i}` })}
          />
        );
      })}
      {readOnly ? null : (
        <View style={{ padding: 12, alignItems: 'flex-start' }}>
          <Action quiet label="add an open point" testID="add-open" onPress={() => setWriting(true)} />
        </View>
      )}
      {writing ? (
        <NameDialog
          title="what stays open?"
          value=""
          onTake={(text) =>
            dispatch({
              do: 'put',
              path: `record.open.${notes.length}`,
              value: { text, at: new Date().toISOString() },
            })
          }
          onClose={() => setWriting(false)}
        />
      ) : null}
    </View>
  );
}

/** A line of the summary with its name above it. */
export function Part({ name, children }: { name: string; children: ReactNode }) {
  const palette = usePalette();
  return (
    <View
      style={{ paddingHorizontal: 16, paddingVertical: 8, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
    >
      <Txt kind="small" soft>
        {name}
      </Txt>
      {children}
    </View>
  );
}
