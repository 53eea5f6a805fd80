import { View } from 'react-native';
import type { Level, Plan, Verdict as VerdictKind } from '@steddo/contract';
import { levelWord, saidOf, saidWord, verdictWord, type Said } from '@steddo/text';
import { usePalette } from './tokens';
import { Txt } from './Txt';

/** Go, to do, mind, stop: by shape, colour and word together, never by colour alone. */
export function Verdict({ verdict, word = true }: { verdict: VerdictKind; word?: boolean }) {
  return <Shown said={verdict} words={word ? verdictWord[verdict] : undefined} />;
}

/** What a whole plan comes to: to-dos alone are counted and are no caution. */
export const PlanVerdict = ({ plan }: { plan: Pick<Plan, 'verdict' | 'findings'> }) => (
  <Shown said={saidOf(plan)} words={saidWord(plan)} />
);

/** A verdict that was put into words already. */
export function Shown({ said, words }: { said: Said; words: string | undefined }) {
  const palette = usePalette();
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
      <VerdictShape verdict={said} />
      {words ? (
        <Txt kind="bold" color={palette[said]}>
          {words}
        </Txt>
      ) : null}
    </View>
  );
}

const OCTAGON = '6,1 14,1 19,6 19,14 14,19 6,19 1,14 1,6';
const NAMES: Record<Said, string> = { ...verdictWord, todo: levelWord.todo };

export function VerdictShape({ verdict }: { verdict: Said }) {
  const palette = usePalette();
  const line = { stroke: palette.onVerdict, strokeWidth: 2.4, fill: 'none' };
  return (
    <svg width={20} height={20} viewBox="0 0 20 20" role="img" aria-label={NAMES[verdict]}>
      {verdict === 'go' ? <circle cx={10} cy={10} r={9.5} fill={palette.go} /> : null}
      {verdict === 'go' ? <path d="M5.500 10.400l3.200 3.200 6-6.600" {...line} /> : null}
      {verdict === 'todo' ? (
        <rect x={2} y={2} width={16} height={16} rx={2} fill="none" stroke={palette.todo} strokeWidth={2.4} />
      ) : null}
      {verdict === 'todo' ? <path d="M6 10h8" stroke={palette.todo} strokeWidth={2.4} /> : null}
      {verdict === 'caution' ? <path d="M10 0l10 10-10 10L0 10z" fill={palette.caution} /> : null}
      {verdict === 'caution' ? <path d="M10 4.800v6.200M10 13v2.400" {...line} /> : null}
      {verdict === 'stop' ? <polygon points={OCTAGON} fill={palette.stop} /> : null}
      {verdict === 'stop' ? <path d="M5 10h10" {...line} /> : null}
    </svg>
  );
}

/** A finding's level as a verdict's shape; a note has none. */
export const levelVerdict: Record<Level, Said | undefined> = {
  info: undefined,
  todo: 'todo',
  caution: 'caution',
  stop: 'stop',
};
export const wordOf = (level: Level): string => levelWord[level];
