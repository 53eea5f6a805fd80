import { useState } from 'react';
import { View } from 'react-native';
import type { ItemKind } from '@steddo/contract';
import { removeEntry } from '@steddo/core';
import { boxDoubt, putFromPhoto, told } from '@steddo/core/photo';
import {
  MOST_MEASURED_DOUBT_MM,
  fromPhotoText,
  itemName,
  measuredText,
  photoFault,
  standsOutText,
  tooDoubtfulText,
} from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { Action } from '../../ui/Action';
import { Notice } from '../../ui/Notice';
import { RemovableRow } from '../../ui/RemovableRow';
import { Txt } from '../../ui/Txt';
import { KindSheet } from '../../work/KindSheet';
import { TypedLength, readLength } from './TypedLength';
import type { Seen } from './usePhotoPlane';
import type { Traced, Tracing } from './useTracing';

interface PanelProps {
  photo: string;
  seen: Seen;
  tracing: Tracing;
  out: string;
  onOut: (text: string) => void;
}

/** Things of the wall traced on the picture: two corners each, and they are in the room, from the photo. */
export function MeasurePanel({ photo, seen, tracing, out, onOut }: PanelProps) {
  const { readOnly } = useRoomContext();
  const [adding, setAdding] = useState(false);
  const { traced } = tracing;
  if (!seen.ok)
    return (
      <Pad>
        <Txt testID="measure-said">{photoFault(seen.why)}</Txt>
      </Pad>
    );
  return (
    <View testID="measure">
      {traced ? (
        <TracedPart {...{ photo, traced, out, onOut }} onEnd={tracing.end} />
      ) : (
        <>
          <Pad>
            <Txt kind="small" soft>
              Lay two crosses onto opposite corners of a thing, and it stands in the room with what it may be out. A
              tape has the last word.
            </Txt>
            <Action label="trace a thing" testID="trace-thing" disabled={readOnly} onPress={() => setAdding(true)} />
          </Pad>
          <TracedThings photo={photo} />
        </>
      )}
      {adding ? (
        <KindSheet
          onClose={() => setAdding(false)}
          onPick={(kind) => {
            setAdding(false);
            onOut('');
            tracing.begin(kind);
          }}
        />
      ) : null}
    </View>
  );
}

interface TracedProps {
  photo: string;
  traced: Traced;
  out: string;
  onOut: (text: string) => void;
  onEnd: () => void;
}

function TracedPart({ photo, traced, out, onOut, onEnd }: TracedProps) {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const { kind, thing: { box, flatOff } = {} } = traced;
  const doubt = box ? boxDoubt(box) : 0;
  const sure = box !== undefined && doubt <= MOST_MEASURED_DOUBT_MM;
  const { mm: depth } = readLength(out, job.units);
  const keep = () => {
    if (!box) return;
    const { command } = putFromPhoto(job, { kind, photo, box, ...(depth === undefined ? {} : { out: depth }) });
    dispatch(command);
    onEnd();
  };
  return (
    <Pad>
      <Txt kind="bold">{itemName(kind)}</Txt>
      <View testID="measured" style={{ gap: 2 }}>
        {box ? (
          measuredText(box, (mm, by) => told(mm, by, job.units), say).map((line) => <Txt key={line}>{line}</Txt>)
        ) : (
          <Txt>Lay one cross onto its upper left corner and one onto its lower right one.</Txt>
        )}
      </View>
      <TypedLength label="its front stands out from the wall by" value={out} onChange={onOut} testID="traced-out" />
      {flatOff !== undefined ? <Notice testID="stands-out" text={standsOutText(flatOff, sure, say)} /> : null}
      {box && !sure && flatOff === undefined ? (
        <Notice testID="too-doubtful" title="Not sure enough" text={tooDoubtfulText(doubt, say)} />
      ) : null}
      <Action
        label={`keep it as ${withArticle(kind)}`}
        testID="keep-traced"
        disabled={readOnly || !sure}
        onPress={keep}
      />
      <Action quiet label="leave it" testID="leave-traced" onPress={onEnd} />
    </Pad>
  );
}

const withArticle = (kind: ItemKind): string => {
  const name = itemName(kind);
  return `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;
};

/** What this picture has measured, and no tape yet. */
function TracedThings({ photo }: { photo: string }) {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const things = (job.room.objects ?? []).filter((o) => o.photo === photo);
  return (
    <>
      {things.map((o) => (
        <RemovableRow
          key={o.id}
          text={`${say.thing(o.id)}, ${say.length(o.right - o.left)} by ${say.length(o.top - o.bottom)}`}
          note={fromPhotoText(o.doubt ?? 0, say)}
          removeLabel={`take ${say.thing(o.id)} away`}
          disabled={readOnly}
          onRemove={() => dispatch(removeEntry(job, `room.objects.${o.id}`))}
        />
      ))}
    </>
  );
}

function Pad({ children }: { children: React.ReactNode }) {
  return <View style={{ paddingHorizontal: 16, paddingVertical: 10, gap: 10 }}>{children}</View>;
}
