import { useState } from 'react';
import { View } from 'react-native';
import type { Mount, Ranked } from '@steddo/contract';
import { fieldName, fitText, rankedLine, typeName, type Wording } from '@steddo/text';
import { Icon } from '../../ui/Icon';
import { Switch } from '../../ui/Switch';
import { Tap } from '../../ui/Tap';
import { chosenRow } from '../../ui/chosenRow';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict, VerdictShape } from '../../ui/Verdict';
import { MountSketch } from '../../work/MountSketch';

export interface MountRowProps {
  mount: Mount;
  ranked: Ranked;
  /** The wall has studs, so that how many it needs matters. */
  onStuds: boolean;
  chosen: boolean;
  compared: boolean;
  onChoose: () => void;
  onCompare: () => void;
  say: Wording;
}

/** One mount of the list: pick it, or open why it is where it is. */
export function MountRow({ mount, ranked, onStuds, chosen, compared, onChoose, onCompare, say }: MountRowProps) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const line = rankedLine(ranked, mount, onStuds, say);
  return (
    <View
      testID={`mount-${ranked.id}`}
      style={{
        ...chosenRow(palette, chosen),
      }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <Tap
          role="radio"
          selected={chosen}
          label={`${ranked.name}, ${typeName[ranked.type]}, ${line}`}
          onPress={onChoose}
          style={{ flex: 1, paddingLeft: 10, paddingVertical: 7 }}
        >
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
            <MountSketch mount={mount} />
            <View style={{ flex: 1 }}>
              <Txt kind="bold">
                {ranked.name}
                <Txt soft>{`  ${typeName[ranked.type]}`}</Txt>
              </Txt>
              <Txt kind="small" soft>
                {compared ? `compared · ${line}` : line}
              </Txt>
            </View>
            <Verdict verdict={ranked.verdict} word={ranked.verdict !== 'go'} />
          </View>
        </Tap>
        <Tap
          label={`why ${ranked.name} is here, ${open ? 'hide' : 'show'}`}
          expanded={open}
          testID={`why-${ranked.id}`}
          onPress={() => setOpen(!open)}
          style={{ alignItems: 'center' }}
        >
          <Icon name={open ? 'up' : 'down'} />
        </Tap>
      </View>
      {open ? (
        <>
          <Reasons ranked={ranked} say={say} />
          <Switch label={`compare ${ranked.name}`} testID={`compare-${ranked.id}`} on={compared} onChange={onCompare} />
        </>
      ) : null}
    </View>
  );
}

/** Every rule, what fails first; the one nearest to passing is named as that. */
function Reasons({ ranked, say }: { ranked: Ranked; say: Wording }) {
  const sorted = [...ranked.reasons].sort((a, b) => Number(a.ok) - Number(b.ok));
  return (
    <View style={{ paddingHorizontal: 16, paddingBottom: 10, gap: 4 }} testID="reasons">
      {sorted.map((r) => (
        <View key={r.rule} style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
          <VerdictShape verdict={r.ok ? 'go' : r.level === 'stop' ? 'stop' : 'caution'} />
          <Txt kind="small">
            {fitText(r, say)}
            {ranked.nearest?.rule === r.rule && sorted.filter((o) => !o.ok).length > 1 ? ' (nearest to passing)' : ''}
          </Txt>
        </View>
      ))}
      {ranked.toMeasure.length > 0 ? (
        <Txt kind="small" soft>
          {`to measure before holes: ${ranked.toMeasure.map((f) => fieldName(f, say)).join(', ')}`}
        </Txt>
      ) : null}
    </View>
  );
}
