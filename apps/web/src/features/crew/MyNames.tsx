import { useState } from 'react';
import { View } from 'react-native';
import type { CrewMember } from '@steddo/contract';
import { renameMe } from '../../data/crewApi';
import { localChoice, renameDevice } from '../../data/shared';
import { Action } from '../../ui/Action';
import { NameDialog } from '../../ui/NameDialog';
import { Notice, Pair, Half } from '../../ui/Notice';
import { Txt } from '../../ui/Txt';

/** Who this device is to the others, and another name for either. */
export function MyNames({ me }: { me: CrewMember }) {
  const [naming, setNaming] = useState<'person' | 'device'>();
  const [said, setSaid] = useState('');
  const take = async (person: string, name: string) => {
    const result = await renameMe(person, name);
    if (result.kind === 'refused') return setSaid(result.message);
    setSaid('');
    localChoice.set('person', person);
    renameDevice(name);
  };
  return (
    <View style={{ padding: 16, gap: 10 }}>
      <Txt testID="who-i-am">{`You are ${me.person}, on ${me.name}: that stands beside whatever you change.`}</Txt>
      <Pair>
        <Half>
          <Action quiet label="change my name" testID="rename-person" onPress={() => setNaming('person')} />
        </Half>
        <Half>
          <Action quiet label="change its name" testID="rename-device" onPress={() => setNaming('device')} />
        </Half>
      </Pair>
      {said ? <Notice tone="stop" text={`It keeps the name that it had: ${said}.`} /> : null}
      {naming ? (
        <NameDialog
          title={naming === 'person' ? 'your name' : 'name of this device'}
          value={naming === 'person' ? me.person : me.name}
          most={60}
          onClose={() => setNaming(undefined)}
          onTake={(name) => void (naming === 'person' ? take(name, me.name) : take(me.person, name))}
        />
      ) : null}
    </View>
  );
}
