import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { Job, Look } from '@steddo/contract';
import { guidedLooks, type GuidedLook } from '@steddo/core';
import { seenName } from '@steddo/text';
import { Action, IconTap } from '../../ui/Action';
import { RemovableRow } from '../../ui/RemovableRow';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';
import { LookSheet } from './LookSheet';
import { CoverSheet } from './CoverSheet';
import { useWall } from '../../state/wallState';

/** Looking into the wall: which looks the holes still want, step by step, and what was seen. */
export function LooksPart() {
  const { id, job, plan, say, dispatch, readOnly } = useRoomContext();
  const [look, setLook] = useState<GuidedLook>();
  const [cover, setCover] = useState<string>();
  const { take } = useWall();
  const wanted = guidedLooks(job, plan);
  const covers = (job.room.objects ?? []).filter((o) => o.kind === 'outlet' || o.kind === 'switch');
  return (
    <View testID="looks">
      <View style={{ paddingHorizontal: 16, paddingVertical: 8, gap: 8 }}>
        <Txt kind="small">
          A finder cannot see everything: cables that do not touch the board, plastic pipe. Guard plates cannot be
          relied on. Looking is the only way to know.
        </Txt>
        {wanted.slice(0, 4).map((l) => (
          <Action
            key={`${l.hole}-${l.bay}`}
            quiet
            label={`look ${l.bay} of the stud at ${say.length(studAt(job, plan, l))}`}
            testID={`look-${l.hole}-${l.bay}`}
            disabled={readOnly}
            onPress={() => (take ? take('camera', l.x, l.y) : setLook(l))}
          />
        ))}
        {wanted.length === 0 && (plan.holes ?? []).length > 0 ? (
          <Txt>Every hole has been looked at from both bays.</Txt>
        ) : null}
        {(take ? [] : covers).map((o) => (
          <Action
            key={o.id}
            quiet
            label={`take the cover off: ${o.name ?? o.kind}`}
            testID={`cover-${o.id}`}
            disabled={readOnly}
            onPress={() => setCover(o.id)}
          />
        ))}
      </View>
      {[...(job.looks ?? [])].reverse().map((k) => (
        <RemovableRow
          key={k.id}
          aside={
            take ? null : (
              <IconTap
                icon="camera"
                label={`pictures of the look at ${say.length(k.x)}`}
                onPress={() => router.push(`/room/${id}/pictures?of=${k.id}`)}
              />
            )
          }
          text={`${seenName(k.found)} at ${say.length(k.x)}, ${say.length(k.y)} up`}
          {...(noteOf(k) ? { note: noteOf(k)! } : {})}
          removeLabel={`take away the look at ${say.length(k.x)}`}
          disabled={readOnly}
          onRemove={() => dispatch({ do: 'drop', path: `looks.${k.id}` })}
        />
      ))}
      {look ? <LookSheet look={look} onClose={() => setLook(undefined)} /> : null}
      {cover ? <CoverSheet id={cover} onClose={() => setCover(undefined)} /> : null}
    </View>
  );
}

const studAt = (job: Job, plan: ReturnType<typeof useRoomContext>['plan'], l: GuidedLook): number =>
  plan.studs?.[plan.holes?.find((h) => h.id === l.hole)?.stud ?? -1]?.centre ?? l.x;

/** Which bay and when: `both bays, 25 Nov 2026`. */
function noteOf({ bay, at, found }: Look): string {
  const where = bay === undefined ? 'its own bay' : bay === 'both' ? 'both bays' : `the bay ${bay} of the stud`;
  const when = at
    ? new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
    : 'no date';
  return `${found === 'clear' ? `${where} clear` : 'do not drill there'}, ${when}`;
}
