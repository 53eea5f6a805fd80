import { Suspense, useState } from 'react';
import { View } from 'react-native';
import type { Finding } from '@steddo/contract';
import { countText, type Said } from '@steddo/text';
import { FindingNote } from '../ui/FindingNote';
import { Icon } from '../ui/Icon';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { VerdictShape } from '../ui/Verdict';
import { useJob, usePlan, useRoomContext } from '../state/roomState';
import { sameContent } from '../ui/useSame';
import type { BuiltStage } from '../state/stageIds';

/** What there is to say at this stage; at the holes, everything that is more than a note. */
export const Findings = ({ stage }: { stage: BuiltStage }) => (
  <Suspense>
    <Notes stage={stage} />
  </Suspense>
);

function Notes({ stage }: { stage: BuiltStage }) {
  const { say, dispatch, readOnly } = useRoomContext();
  const known = useJob((j) => j.fixing?.acknowledged) ?? [];
  const here = usePlan(
    (p) => p.findings.filter((f) => f.stage === stage || (stage === 'holes' && f.level !== 'info')),
    sameContent,
  );
  const acknowledge = (code: string) =>
    dispatch({
      do: 'put',
      path: 'fixing.acknowledged',
      value: [...known, { code, at: new Date().toISOString() }],
    });
  const may = (f: Finding) => f.acknowledgeable && !f.acknowledged && !readOnly;
  if (here.length === 0) return null;
  return (
    <View style={{ padding: 12, gap: 8 }}>
      {here.map((f, i) => (
        <FindingNote
          key={`${f.code}-${i}`}
          finding={f}
          say={say}
          onAcknowledge={may(f) ? () => acknowledge(f.code) : undefined}
        />
      ))}
    </View>
  );
}

/** The same, folded into one line with its worst verdict: for stages whose inputs come first. */
export const FoldedFindings = ({ stage }: { stage: BuiltStage }) => (
  <Suspense>
    <FoldedNotes stage={stage} />
  </Suspense>
);

function FoldedNotes({ stage }: { stage: BuiltStage }) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  // what is said is drawn when it is open; folded, only how much there is
  const { much, worst } = usePlan((p) => {
    const here = p.findings.filter((f) => f.stage === stage && f.level !== 'info');
    return { much: countText(here), worst: worstOf(here) };
  }, sameContent);
  if (much === '') return null;
  return (
    <View>
      <Tap
        label={`${much}, ${open ? 'hide' : 'show'}`}
        expanded={open}
        testID="folded-findings"
        onPress={() => setOpen(!open)}
        style={{ paddingHorizontal: 16, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
          <VerdictShape verdict={worst} />
          <View style={{ flex: 1 }}>
            <Txt>{much}</Txt>
          </View>
          <Icon name={open ? 'up' : 'down'} />
        </View>
      </Tap>
      {open ? <Notes stage={stage} /> : null}
    </View>
  );
}

/** The shape of the worst of them. */
const worstOf = (findings: readonly Finding[]): Said =>
  findings.some((f) => f.level === 'stop') ? 'stop' : findings.some((f) => f.level === 'caution') ? 'caution' : 'todo';
