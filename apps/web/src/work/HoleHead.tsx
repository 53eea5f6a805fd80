import { View } from 'react-native';
import { boltState } from '@steddo/core';
import { Txt } from '../ui/Txt';
import { Verdict } from '../ui/Verdict';

/** A hole of a timber by its name, whether it is there, and what may be done at it. */
export function HoleHead({ name, hole }: { name: string; hole: Parameters<typeof boltState>[0] }) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
      <View style={{ flex: 1 }}>
        <Txt kind="bold">{name}</Txt>
      </View>
      {hole.done ? (
        <Txt kind="small" soft>
          done
        </Txt>
      ) : null}
      <Verdict verdict={boltState(hole)} />
    </View>
  );
}
