import { freeId, type Command, type LiveLevel } from '@steddo/core';
import { Suspense, useState } from 'react';
import { View } from 'react-native';
import type { Job, LevelReading } from '@steddo/contract';
import { correctionText, correctionWay, readingText } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { usePad } from '../../pad/PadContext';
import { Action } from '../../ui/Action';
import { RemovableRow } from '../../ui/RemovableRow';
import { Choice } from '../../ui/Choice';
import { NameDialog } from '../../ui/NameDialog';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { VerdictShape } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { Findings } from '../../work/Findings';
import { useRoomContext } from '../../state/roomState';
import { useFollowed } from '../../data/followed';
import { device } from '../../data/shared';
import { phoneLevel, type NoLevel } from './phoneLevel';
import { PhoneLevelSheet } from './PhoneLevelSheet';

/** How a level is read: its number, its bubble by the lines or lifted until it is centred, or the gap under its low end. */
type Way = 'digital' | 'lines' | 'lifted' | 'gap' | 'phone';

/** What somebody reads and types. */
interface Typed extends Draft {
  way: Exclude<Way, 'phone'>;
}

interface Draft {
  way: Way;
  turned: 'no' | 'yes';
  high: 'left' | 'right';
  on: 'plate' | 'set';
  span: keyof typeof SPANS_MM;
}

/** Between the points at which the low end was lifted. */
const SPANS_MM = { '300': 300, '600': 600, '1200': 1200 } as const;
const SPIRIT_LENGTH_MM = 600;

const WAYS: readonly { value: Way; name: string }[] = [
  { value: 'digital', name: 'digital' },
  { value: 'lines', name: 'bubble, by its lines' },
  { value: 'lifted', name: 'lifted until centred' },
  { value: 'gap', name: 'gap under an end' },
  { value: 'phone', name: 'this phone' },
];
const TURNED = [
  { value: 'no', name: 'no' },
  { value: 'yes', name: 'yes' },
] as const;
const ENDS = [
  { value: 'left', name: 'left' },
  { value: 'right', name: 'right' },
] as const;
const HELD_ON = [
  { value: 'plate', name: 'plate' },
  { value: 'set', name: 'set' },
] as const;

/** Readings of a level, the way they are taken: once, then turned end for end. */
export function LevelStage() {
  const { job, say, readOnly } = useRoomContext();
  const { open } = usePad();
  const [rest, setDraft] = useState<Omit<Draft, 'turned'>>({ way: 'digital', high: 'right', on: 'plate', span: '600' });
  const [level, setLevel] = useState(() => job.levelReadings?.at(-1)?.level ?? USUAL);
  const [turned, setTurned] = useTurned(job, level);
  const draft = { ...rest, turned };
  const typed = isTyped(draft) ? draft : undefined;
  const phone = typed === undefined;
  const [live, setLive] = useState<LiveLevel | NoLevel>();
  // another phone is another level, with an error of its own
  const named = useFollowed(device).slice(0, LONGEST_LEVEL);
  const set = (change: Partial<typeof rest>) => setDraft({ ...rest, ...change });
  const spans = (Object.keys(SPANS_MM) as Draft['span'][]).map((value) => ({
    value,
    name: say.length(SPANS_MM[value]),
  }));
  return (
    <View>
      <Choice label="read by" options={WAYS} value={draft.way} onChoose={(way) => set({ way })} />
      {phone ? null : <Choice label="turned end for end" options={TURNED} value={turned} onChoose={setTurned} />}
      {draft.way === 'digital' || phone ? null : (
        <Choice label="high end" options={ENDS} value={draft.high} onChoose={(high) => set({ high })} />
      )}
      {draft.way === 'lifted' ? (
        <Choice label="lifted over" options={spans} value={draft.span} onChoose={(span) => set({ span })} />
      ) : null}
      <Choice label="held on the" options={HELD_ON} value={draft.on} onChoose={(on) => set({ on })} />
      {phone ? null : <WhichLevel level={level} onChoose={setLevel} />}
      <View style={{ padding: 10 }}>
        {!typed ? (
          <Action
            quiet
            label="read with this phone"
            disabled={readOnly}
            testID="read-phone"
            onPress={() => void phoneLevel().then(setLive)}
          />
        ) : (
          <Action
            quiet
            label="add the reading"
            disabled={readOnly}
            testID="add-reading"
            onPress={() => open(runOf(typed, level, job), 0)}
          />
        )}
      </View>
      <Suspense>
        <Corrections />
      </Suspense>
      <Findings stage="level" />
      <Readings />
      {live ? <PhoneLevelSheet level={live} on={draft.on} name={named} onClose={() => setLive(undefined)} /> : null}
    </View>
  );
}

const isTyped = (draft: Draft): draft is Typed => draft.way !== 'phone';

const LONGEST_LEVEL = 40;

/** The level of somebody who has only one. */
const USUAL = 'level';

/** Each level has its own error, which its turned readings show: which one it was is part of the reading. */
function WhichLevel({ level, onChoose }: { level: string; onChoose: (level: string) => void }) {
  const { job, readOnly } = useRoomContext();
  const [naming, setNaming] = useState(false);
  const known = [...new Set([USUAL, ...(job.levelReadings ?? []).flatMap((r) => r.level ?? []), level])];
  const options = [...known.map((name) => ({ value: name, name })), { value: ANOTHER, name: 'another…' }];
  return (
    <>
      <Choice
        label="which one"
        options={options}
        value={level}
        disabled={readOnly}
        onChoose={(name) => (name === ANOTHER ? setNaming(true) : onChoose(name))}
      />
      {naming ? (
        <NameDialog
          title="name of the level"
          value=""
          most={LONGEST_LEVEL}
          onTake={onChoose}
          onClose={() => setNaming(false)}
        />
      ) : null}
    </>
  );
}

const ANOTHER = ' another';

/** As said for the next reading; else the other way round than this level's last, since they are taken in pairs. */
function useTurned({ levelReadings = [] }: Job, level: string): [Draft['turned'], (turned: Draft['turned']) => void] {
  const [said, setSaid] = useState<{ turned: Draft['turned']; of: number }>();
  const last = levelReadings.findLast((r) => (r.level ?? USUAL) === level);
  const usual = last && !last.turned ? 'yes' : 'no';
  const turned = said?.of === levelReadings.length ? said.turned : usual;
  return [turned, (wished) => setSaid({ turned: wished, of: levelReadings.length })];
}

/** The next reading; a digital level says which end is high, so that its turned one is asked for at once. */
function runOf(draft: Typed, level: string, job: Job): Field[] {
  const id = freeId(job, 'r');
  const first = fieldFor(draft, level, id);
  if (draft.way !== 'digital' || draft.turned === 'yes') return [first];
  return [first, fieldFor({ ...draft, turned: 'yes' }, level, `${id}t`)];
}

/** What is asked for one reading, and the reading that it becomes. */
function fieldFor(draft: Typed, level: string, id: string): Field {
  const { high, on } = draft;
  const named = level === USUAL ? {} : { level };
  const base = { turned: draft.turned === 'yes', on, when: on === 'plate' ? 'snug' : 'hung', ...named };
  const path = `levelReadings.${id}` as const;
  const add = (reading: LevelReading): Command => ({ do: 'put', path, value: { id, ...base, ...reading } });
  switch (draft.way) {
    case 'digital':
      return {
        path: `${path}.angle`,
        label: `angle, right end high is plus${draft.turned === 'yes' ? ', turned' : ''}`,
        kind: 'angle',
        min: -45,
        max: 45,
        command: (angle) => add({ instrument: 'digital', angle }),
      };
    case 'lines':
      return {
        path: `${path}.bubble`,
        label: 'bubble off the middle, in its lines',
        hint: '0 when it stands between them',
        kind: 'count',
        min: 0,
        max: 20,
        command: (bubble) => add({ instrument: 'spirit', bubble, high }),
      };
    case 'lifted':
      return {
        path: `${path}.lifted`,
        label: 'low end lifted by',
        hint: 'until the bubble is centred',
        kind: 'length',
        alwaysMm: true,
        min: 0,
        max: 100,
        command: (lifted) => add({ instrument: 'spirit', lifted, span: SPANS_MM[draft.span], high }),
      };
    case 'gap':
      return {
        path: `${path}.gap`,
        label: 'gap under the low end',
        hint: 'over a 600 mm level',
        kind: 'length',
        alwaysMm: true,
        min: 0,
        max: 100,
        command: (gap) => add({ instrument: 'spirit', length: SPIRIT_LENGTH_MM, gap, high }),
      };
  }
}

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
            <Txt kind="bold">{correctionText(c)}</Txt>
            <Txt kind="small" soft>
              {correctionWay(c)}
            </Txt>
          </View>
          {c.working ? <Figure label="by" working={c.working} as={c.unit === 'mm' ? 'small' : 'tape'} /> : null}
        </View>
      ))}
    </>
  );
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
          text={readingText(r, say)}
          removeLabel={`take away reading ${i + 1}`}
          disabled={readOnly}
          onRemove={() => dispatch({ do: 'drop', path: `levelReadings.${r.id ?? i}` })}
        />
      ))}
    </View>
  );
}
