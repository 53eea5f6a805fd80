import { View } from 'react-native';
import { stageName, type GlossaryTerm } from '@steddo/text';
import { useHelp } from '../state/helpState';
import type { BuiltStage } from '../state/stageIds';
import { BottomSheet } from '../ui/BottomSheet';
import { WordMeaning } from '../ui/Explained';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';

/** The words of a stage that are not everyday ones; what stands on every stage comes last. */
const OF_STAGE: Record<BuiltStage, readonly GlossaryTerm[]> = {
  set: ['set', 'pattern'],
  room: ['bay', 'joint'],
  mount: ['plate', 'hook', 'lag', 'fold'],
  height: ['school', 'hook'],
  reach: ['fold'],
  wall: ['bay', 'nogging', 'ply', 'joint'],
  holes: ['lag', 'pilot', 'flag', 'duration', 'mode'],
  fit: ['hook', 'pattern', 'plate'],
  level: ['plate'],
  hang: ['hook'],
};
const EVERYWHERE: readonly GlossaryTerm[] = ['guess', 'verdicts'];

const KEYS: readonly [keys: string, what: string][] = [
  ['1 to 9', 'go to a stage'],
  ['arrows', 'move what has the focus, with shift by ten'],
  ['+  −  0', 'bring the drawing closer, further, back'],
  ['u', 'inches or millimetres'],
  ['p', 'the photograph behind the wall, on and off'],
  ['ctrl z, ctrl y', 'undo, redo'],
  ['?', 'this list'],
  ['escape', 'close what is open'],
];

/** Words and keys, looked up while the work stands still. */
export function HelpSheet({ stage, keys }: { stage: BuiltStage; keys: boolean }) {
  const { shown, hide } = useHelp();
  if (!shown) return null;
  return (
    <BottomSheet title={`${stageName[stage]}: words`} onClose={hide} testID="help">
      <View style={{ gap: 14 }}>
        {[...OF_STAGE[stage], ...EVERYWHERE].map((term) => (
          <WordMeaning key={term} term={term} />
        ))}
        {keys ? <Keys /> : null}
      </View>
    </BottomSheet>
  );
}

function Keys() {
  const palette = usePalette();
  return (
    <View style={{ borderTopWidth: 1, borderTopColor: palette.hairline, paddingTop: 10, gap: 4 }} testID="keys">
      <Txt kind="bold" level={2}>
        keys
      </Txt>
      {KEYS.map(([key, what]) => (
        <View key={key} style={{ flexDirection: 'row', gap: 12 }}>
          <View style={{ width: 130 }}>
            <Txt kind="bold">{key}</Txt>
          </View>
          <View style={{ flex: 1 }}>
            <Txt>{what}</Txt>
          </View>
        </View>
      ))}
    </View>
  );
}
