import { View } from 'react-native';
import type { Finding } from '@steddo/contract';
import { findingText, type Say } from '@steddo/text';
import { font, usePalette } from './tokens';
import { Txt } from './Txt';
import { VerdictShape, levelVerdict, wordOf } from './Verdict';

/** One judgement in a sentence, with its source. */
export function FindingNote({ finding, say }: { finding: Finding; say: Say }) {
  const palette = usePalette();
  const verdict = levelVerdict[finding.level];
  const edge = verdict ? palette[verdict] : palette.hairline;
  return (
    <View
      testID={`finding-${finding.code}`}
      style={{
        flexDirection: 'row',
        gap: 10,
        padding: 10,
        borderLeftWidth: 5,
        borderLeftColor: edge,
        backgroundColor: palette.sheet,
      }}
    >
      {verdict ? <VerdictShape verdict={verdict} /> : null}
      <View style={{ flex: 1 }}>
        <Txt kind="small">
          <Txt kind="small" style={font.bold} color={verdict ? palette[verdict] : palette.soft}>
            {`${wordOf(finding.level)}  `}
          </Txt>
          {findingText(finding, say)}
        </Txt>
        {finding.source ? (
          <Txt kind="small" soft>
            {finding.source}
          </Txt>
        ) : null}
      </View>
    </View>
  );
}
