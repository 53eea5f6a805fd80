import { useState } from 'react';
import { View } from 'react-native';
import type { Anchor, Bit, Fixing, Lag } from '@steddo/contract';
import { FIXING_KINDS, freeId, kitOf, type Command } from '@steddo/core';
import { bitText, fixingName, rounded, screwSize } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { EntryRow } from '../../ui/EntryRow';
import { Switch } from '../../ui/Switch';
import { Txt } from '../../ui/Txt';
import { NameDialog } from '../../ui/NameDialog';
import { useRoomContext } from '../../state/roomState';

type List = 'anchors' | 'lags' | 'bits';

/** What a row of the kit shows and asks for. */
interface Entry {
  title: string;
  note: string;
  fields: Field[];
  more?: React.ReactNode;
}

/** What is on the van for this room: anchors with their pack ratings, lags, bits. Starts as the crew's. */
export function KitPart() {
  const { job, say, dispatch, readOnly } = useRoomContext();
  const kit = kitOf(job);
  const [open, setOpen] = useState<string>();
  // the first change makes the crew's list this room's own
  const edit = (list: List, entries: readonly { id: string }[]) => dispatch({ do: 'put', path: list, value: entries });
  const row = (list: List, entry: { id: string }, { title, note, fields, more }: Entry) => (
    <EntryRow
      key={entry.id}
      testID={`kit-${entry.id}`}
      title={title}
      note={note}
      open={open === entry.id}
      onOpen={() => setOpen(open === entry.id ? undefined : entry.id)}
      onRemove={() =>
        edit(
          list,
          kit[list].filter((e) => e.id !== entry.id),
        )
      }
      disabled={readOnly}
    >
      <TapeFields fields={fields} />
      {more}
    </EntryRow>
  );
  const add = (list: List, entry: { id: string }) => {
    edit(list, [...kit[list], entry]);
    setOpen(entry.id);
  };
  const put = (list: List, entry: { id: string }, change: object) =>
    edit(
      list,
      kit[list].map((e) => (e.id === entry.id ? { ...e, ...change } : e)),
    );
  return (
    <View testID="kit">
      {kit.anchors.map((a) =>
        row('anchors', a, {
          title: anchorTitle(a),
          note: ratingText(a),
          fields: anchorFields(a),
          more: <AnchorChoices anchor={a} onChange={(change) => put('anchors', a, change)} />,
        }),
      )}
      {kit.lags.map((l) =>
        row('lags', l, {
          title: l.name ?? `lag ${screwSize(l.diameter, l.length, say)}`,
          note: screwSize(l.diameter, l.length, say),
          fields: lagFields(l),
        }),
      )}
      {kit.bits.map((b) =>
        row('bits', b, {
          title: `${b.kind ?? 'wood'} bit ${bitText(b.diameter, say)}`,
          note: '',
          fields: bitFields(b),
        }),
      )}
      <View style={{ flexDirection: 'row', gap: 8, padding: 12, flexWrap: 'wrap' }}>
        <Action
          quiet
          label="add an anchor"
          testID="add-anchor"
          disabled={readOnly}
          onPress={() =>
            add('anchors', {
              id: freeId(job, 'anchor-'),
              kind: 'strap-toggle',
              diameter: 5,
              walls: ['timber-stud'],
            } as Anchor)
          }
        />
        <Action
          quiet
          label="add a lag"
          testID="add-lag"
          disabled={readOnly}
          onPress={() => add('lags', { id: freeId(job, 'lag-'), diameter: 7.94, length: 64, washer: 2 } as Lag)}
        />
        <Action
          quiet
          label="add a bit"
          testID="add-bit"
          disabled={readOnly}
          onPress={() => add('bits', { id: freeId(job, 'bit-'), diameter: 5, kind: 'wood' } as Bit)}
        />
      </View>
    </View>
  );
}

const anchorTitle = (a: Anchor): string => a.name ?? fixingName(a.kind);

const ratingText = ({ tension, shear }: Anchor): string =>
  tension && shear ? `pack: ${rounded(tension, 0)} N out, ${rounded(shear, 0)} N across` : 'no pack rating: not used';

const KINDS = (Object.keys(FIXING_KINDS) as Fixing['kind'][])
  .filter(isAnchorKind)
  .map((value) => ({ value, name: fixingName(value) }));

/** What comes in a pack of its own: not the lag or bolt that comes with the mount, nor a screw for thin steel. */
function isAnchorKind(kind: Fixing['kind']): kind is Anchor['kind'] {
  const { holdsIn } = FIXING_KINDS[kind];
  return holdsIn === 'hollow' || holdsIn === 'masonry';
}

function AnchorChoices({ anchor, onChange }: { anchor: Anchor; onChange: (change: Partial<Anchor>) => void }) {
  const { readOnly } = useRoomContext();
  const [naming, setNaming] = useState(false);
  return (
    <>
      <Choice
        label="kind"
        options={KINDS}
        value={KINDS.find((k) => k.value === anchor.kind)?.value}
        disabled={readOnly}
        onChoose={(kind) => onChange({ kind })}
      />
      <Switch
        label="its bolt is in the pack"
        on={anchor.boltIncluded ?? false}
        disabled={readOnly}
        onChange={(boltIncluded) => onChange({ boltIncluded })}
      />
      <Switch
        label="can be used again"
        on={anchor.reusable ?? false}
        disabled={readOnly}
        onChange={(reusable) => onChange({ reusable })}
      />
      <View style={{ padding: 12, gap: 8 }}>
        <Action quiet label="name it" disabled={readOnly} onPress={() => setNaming(true)} />
        <Txt kind="small" soft>
          Enter the pack's ultimate rating for this board. A quarter of it is used. No rating, no answer.
        </Txt>
      </View>
      {naming ? (
        <NameDialog
          title="what is it called?"
          value={anchorTitle(anchor)}
          onClose={() => setNaming(false)}
          onTake={(name) => onChange({ name })}
        />
      ) : null}
    </>
  );
}

/** A number of one entry; the first change copies the crew's whole list into the room. */
function entryField(
  list: List,
  id: string,
  name: string,
  field: Pick<Field, 'label' | 'kind' | 'min' | 'max'> & {
    hint?: string;
    value: number | undefined;
    set?: (value: number, entry: object) => object;
  },
): Field {
  const { value, set, ...rest } = field;
  return {
    ...rest,
    path: `${list}.${id}.${name}`,
    alwaysMm: true,
    ...(value === undefined ? {} : { value }),
    command: (v, job): Command => ({
      do: 'put',
      path: list,
      value: kitOf(job)[list].map((e) => (e.id === id ? (set ? set(v, e) : { ...e, [name]: v }) : e)),
    }),
  };
}

function anchorFields(a: Anchor): Field[] {
  const of = (
    name: 'tension' | 'shear' | 'board' | 'hole' | 'diameter' | 'head' | 'washer',
    label: string,
    max: number,
    more: Pick<Field, 'hint'> & Partial<Pick<Field, 'kind'>> = {},
  ) => entryField('anchors', a.id, name, { label, kind: 'length', value: a[name], min: 0.1, max, ...more });
  const grip = a.grip ?? { min: 1, max: 60 };
  return [
    of('tension', 'rating, straight out', 100_000, { kind: 'force', hint: 'ultimate, as the pack prints it' }),
    of('shear', 'rating, across', 100_000, { kind: 'force' }),
    of('board', 'board it is rated for', 100),
    of('hole', 'hole', 60),
    of('diameter', 'bolt', 30),
    of('head', 'head', 60),
    of('washer', 'washer under its head', 10),
    entryField('anchors', a.id, 'grip.min', {
      label: 'grips from',
      kind: 'length',
      value: a.grip?.min,
      min: 0,
      max: 200,
      set: (v, e) => ({ ...e, grip: { ...grip, min: v } }),
    }),
    entryField('anchors', a.id, 'grip.max', {
      label: 'grips to',
      kind: 'length',
      value: a.grip?.max,
      min: 1,
      max: 300,
      set: (v, e) => ({ ...e, grip: { ...grip, max: v } }),
    }),
  ];
}

function lagFields(l: Lag): Field[] {
  const of = (name: keyof Lag & string, label: string, value: number | undefined, max: number) =>
    entryField('lags', l.id, name, { label, kind: 'length', value, min: 0.1, max });
  return [
    of('diameter', 'shank', l.diameter, 30),
    of('length', 'length under the head', l.length, 300),
    of('threadLength', 'of it thread', l.threadLength, 300),
    of('washer', 'washer', l.washer, 10),
    of('head', 'head', l.head, 60),
  ];
}

const bitFields = (b: Bit): Field[] => [
  entryField('bits', b.id, 'diameter', {
    label: 'diameter',
    kind: 'length',
    value: b.diameter,
    min: 0.5,
    max: 60,
  }),
];
