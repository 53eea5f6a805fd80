import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Mount } from '@steddo/contract';
import { mountLines, typeName, wordingFor } from '@steddo/text';
import { lastUnits } from '../../data/lastUnits';
import { Action } from '../../ui/Action';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { MountDrawing } from './MountDrawing';

const HIGH_PX = 260;

/** Beside the list at a desk: a mount as it is drawn and what its label says. */
export function MountPreview({ mount }: { mount: Mount }) {
  const palette = usePalette();
  const [units] = useState(lastUnits);
  const say = wordingFor({ units, room: { wall: { width: 1, height: 1, build: { kind: 'unknown' } } } });
  return (
    <View style={{ flex: 1, borderLeftWidth: 2, borderLeftColor: palette.ink }} testID="mount-preview">
      <View style={{ padding: 16, flexDirection: 'row', alignItems: 'center', gap: 16 }}>
        <View style={{ flex: 1 }}>
          <Txt kind="title" level={2}>
            {mount.name}
          </Txt>
          <Txt soft>{typeName[mount.type]}</Txt>
        </View>
        <Action
          label="open it"
          icon="next"
          testID="preview-open"
          onPress={() => router.push(`/catalogue/${encodeURIComponent(mount.id)}`)}
        />
      </View>
      <ScrollView style={{ flex: 1 }} tabIndex={0}>
        <MountDrawing mount={mount} units={units} high={HIGH_PX} />
        <View style={{ padding: 16, gap: 6 }} role="list" aria-label="what its label says">
          {mountLines(mount, say).map(({ name, text }) => (
            <View key={name} role="listitem" style={{ flexDirection: 'row', gap: 16 }}>
              <Txt soft style={{ width: 180 }}>
                {name}
              </Txt>
              <View style={{ flex: 1 }}>
                <Txt>{text}</Txt>
              </View>
            </View>
          ))}
        </View>
      </ScrollView>
    </View>
  );
}
