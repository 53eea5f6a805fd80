import { View } from 'react-native';
import type { Finding } from '@steddo/contract';
import { findingText, type Wording } from '@steddo/text';
import { data } from './data';
import { Explained } from './Explained';
import { Tap } from './Tap';
import { font, usePalette } from './tokens';
import { Txt } from './Txt';
import { VerdictShape, levelVerdict, wordOf } from './Verdict';

/** One judgement in a sentence, with its source. */
export function FindingNote({
  finding,
  say,
  onAcknowledge,
}: {
  finding: Finding;
  say: Wording;
  /** Absent where it cannot be acknowledged, or not from here. */
  onAcknowledge?: (() => void) | undefined;
}) {
  const palette = usePalette();
  const verdict = levelVerdict[finding.level];
  const edge = verdict ? palette[verdict] : palette.hairline;
  return (
    <View
      testID={`finding-${finding.code}`}
      tabIndex={-1}
      {...data({ level: finding.level })}
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
          <Explained sentence={findingText(finding, say)} />
        </Txt>
        {finding.acknowledged ? (
          <Txt kind="small" soft>
            acknowledged
          </Txt>
        ) : onAcknowledge ? (
          <Tap
            label={`I know, and go on: ${findingText(finding, say)}`}
            testID={`acknowledge-${finding.code}`}
            onPress={onAcknowledge}
          >
            <Txt kind="small" style={{ textDecorationLine: 'underline' }}>
              I know, and go on
            </Txt>
          </Tap>
        ) : null}
        {finding.source ? (
          <Txt kind="small" soft>
            {finding.source}
          </Txt>
        ) : null}
      </View>
    </View>
  );
}
