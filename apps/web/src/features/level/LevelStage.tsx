import { freeId, type Command } from '@steddo/core';
import { useState } from 'react';
import { View } from 'react-native';
import type { Correction, Job, LevelReading } from '@steddo/contract';
import { rounded, type Wording } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { usePad } from '../../pad/PadContext';
import { Action } from '../../ui/Action';
import { RemovableRow } from '../../ui/RemovableRow';
import { Choice } from '../../ui/Choice';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { VerdictShape } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { Findings } from '../../work/Findings';
import { useRoomContext } from '../../state/roomState';

interface Draft {
  instrument: 'digital' | 'spirit';
  turned: 'no' | 'yes';
  high: 'left' | 'right';
  on: 'plate' | 'set';
}
const SPIRIT_LENGTH_MM = 600;

/** Readings of a level, the way they are taken: once, then turned end for end. */
export function LevelStage() {
  const { job, readOnly } = useRoomContext();
  const { open } = usePad();
  const [draft, setDraft] = useState<Draft>({
    instrument: 'digital',
    turned: 'no',
    high: 'right',
    on: 'plate',
  });
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  return (
    <View>
      <Choice
        label="level"
        options={[
          { value: 'digital', name: 'digital' },
          { value: 'spirit', name: 'bubble' },
        ]}
        value={draft.instrument}
        onChoose={(instrument) => set({ instrument })}
      />
      <Choice
        label="turned end for end"
        options={[
          { value: 'no', name: 'no' },
          { value: 'yes', name: 'yes' },
        ]}
        value={draft.turned}
        onChoose={(turned) => set({ turned })}
      />
      {draft.instrument === 'spirit' ? (
        <Choice
          label="high end"
          options={[
            { value: 'left', name: 'left' },
            { value: 'right', name: 'right' },
          ]}
          value={draft.high}
          onChoose={(high) => set({ high })}
        />
      ) : null}
      <Choice
        label="held on the"
        options={[
          { value: 'plate', name: 'plate' },
          { value: 'set', name: 'set' },
        ]}
        value={draft.on}
        onChoose={(on) => set({ on })}
      />
      <View style={{ padding: 10 }}>
        <Action
          quiet
          label="add the reading"
          disabled={readOnly}
          testID="add-reading"
          onPress={() => open(fieldsFor(draft, job), 0)}
        />
      </View>
      <Corrections />
      <Findings stage="level" />
      <Readings />
    </View>
  );
}

function fieldsFor(draft: Draft, job: Job): Field[] {
  const id = freeId(job, 'r');
  const base = {
    turned: draft.turned === 'yes',
    on: draft.on,
    when: draft.on === 'plate' ? 'snug' : 'hung',
  };
  const path = `levelReadings.${id}` as const;
  const add = (reading: LevelReading): Command => ({ do: 'put', path, value: { id, ...reading } });
  if (draft.instrument === 'digital')
    return [
      {
        path: `${path}.angle`,
        label: 'angle, right end high is plus',
        kind: 'angle',
        min: -45,
        max: 45,
        command: (angle) => add({ ...base, instrument: 'digital', angle }),
      },
    ];
  return [
    {
      path: `${path}.gap`,
      label: 'gap under the low end',
      hint: 'over a 600 mm level',
      kind: 'length',
      alwaysMm: true,
      min: 0,
      max: 100,
      command: (gap) => add({ ...base, instrument: 'spirit', length: SPIRIT_LENGTH_MM, gap, high: draft.high }),
    },
  ];
}

const KIND_WORDS: Record<Correction['kind'], string> = {
  slots: 'with the play of the slots',
  hole: 'with a new hole beside',
  shim: 'with paper between hook and rail',
  trim: 'with the levelling screws',
  roll: 'by turning the head',
};

function Corrections() {
  const { plan } = useRoomContext();
  const palette = usePalette();
  const list = plan.level?.corrections ?? [];
  return (
    <>
      {list.map((c) => (
        <View
          key={c.kind}
          testID={`correction-${c.kind}`}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: 10,
            paddingHorizontal: 16,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <VerdictShape verdict={c.fits ? 'go' : 'stop'} />
          <View style={{ flex: 1 }}>
            <Txt kind="bold">{`raise the ${c.where} end`}</Txt>
            <Txt kind="small" soft>{`${KIND_WORDS[c.kind]}${limitWords(c)}`}</Txt>
          </View>
          {c.working ? <Figure label="by" working={c.working} as={c.kind === 'roll' ? 'tape' : 'small'} /> : null}
        </View>
      ))}
    </>
  );
}

function limitWords(c: Correction): string {
  if (c.limit === undefined) return '';
  const most = c.kind === 'roll' ? `${rounded(c.limit, 1)}°` : `${rounded(c.limit, 1)} mm`;
  return c.fits ? `: within ${most}` : `: beyond its ${most}`;
}

function Readings() {
  const { job, dispatch, say, readOnly } = useRoomContext();
  const readings = job.levelReadings ?? [];
  if (readings.length === 0) return null;
  return (
    <View>
      <View style={{ paddingHorizontal: 16, paddingTop: 12 }}>
        <Txt kind="bold" level={2}>
          readings
        </Txt>
      </View>
      {readings.map((r, i) => (
        <RemovableRow
          key={r.id ?? i}
          text={readingWords(r, say)}
          removeLabel={`take away reading ${i + 1}`}
          disabled={readOnly}
          onRemove={() => dispatch({ do: 'drop', path: `levelReadings.${r.id ?? i}` })}
        />
      ))}
    </View>
  );
}

function readingWords(r: LevelReading, say: Wording): string {
  const turned = r.turned ? ', turned' : '';
  const where = ` on the ${r.on ?? 'plate'}`;
  if (r.instrument === 'digital') return `${say.degrees(r.angle ?? 0)}${where}${turned}`;
  return `${rounded(r.gap ?? 0, 1)} mm in ${rounded(r.length ?? 0, 0)}, ${r.high ?? 'neither'} high${where}${turned}`;
}
