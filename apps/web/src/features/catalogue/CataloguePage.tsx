import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Mount, MountType } from '@steddo/contract';
import { typeName } from '@steddo/text';
import { useCatalogue } from '../../state/useCatalogue';
import { Action, IconTap } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { SearchField } from '../../ui/SearchField';
import { Switch } from '../../ui/Switch';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { catalogueWorker } from '../../worker/catalogue';
import { chosenRow } from '../../ui/chosenRow';
import { usePosture } from '../../ui/usePosture';
import { MountSketch } from '../../work/MountSketch';
import { FilesPart } from './FilesPart';
import { MountPreview } from './MountPreview';

const PAGE = 40;
const LIST_PX = 520;
type TypeChoice = MountType | 'all';
const TYPES: readonly { value: TypeChoice; name: string }[] = [
  { value: 'all', name: 'all' },
  ...(Object.entries(typeName) as [MountType, string][]).map(([value, name]) => ({ value, name })),
];

/** The mounts that this crew knows: looked up, added from a label, brought in and taken out as files. */
export function CataloguePage() {
  const palette = usePalette();
  const { revision, known, noServer } = useCatalogue();
  const [text, setText] = useState('');
  const [type, setType] = useState<TypeChoice>('all');
  const [archived, setArchived] = useState(false);
  const [count, setCount] = useState(PAGE);
  const [found, setFound] = useState<{ mounts: Mount[]; total: number }>();
  const [looked, setLooked] = useState<string>();
  const wide = usePosture() === 'wide';
  const shown = found?.mounts.find((m) => m.id === looked) ?? found?.mounts[0];
  useEffect(() => {
    if (revision === 0) return;
    let here = true;
    const types = type === 'all' ? [] : [type];
    void catalogueWorker()
      .list({ text, types, archived, fitting: false, from: 0, count })
      .then((list) => here && setFound(list));
    return () => {
      here = false;
    };
  }, [revision, text, type, archived, count]);
  return (
    <View
      style={{
        flex: 1,
        backgroundColor: palette.ground,
        ...(wide ? { flexDirection: 'row' } : { alignItems: 'center' }),
      }}
    >
      <View style={{ flex: 1, width: '100%', maxWidth: wide ? LIST_PX : 760 }}>
        <View style={{ flexDirection: 'row', alignItems: 'center' }}>
          <IconTap icon="back" label="all rooms" onPress={() => router.replace('/')} />
          <Txt kind="title" level={1}>
            Mounts
          </Txt>
        </View>
        <ScrollView style={{ flex: 1 }} tabIndex={0}>
          <SearchField value={text} onChange={setText} label="part of its name" testID="catalogue-search" />
          <Choice label="type" options={TYPES} value={type} onChoose={setType} />
          <Switch label="archived ones" testID="show-archived" on={archived} onChange={setArchived} />
          {found ? null : (
            <View style={{ padding: 16 }}>
              <Txt>
                {noServer && !known
                  ? 'The mounts are on the server, and it cannot be reached.'
                  : 'Fetching the mounts…'}
              </Txt>
            </View>
          )}
          {(found?.mounts ?? []).map((m) => (
            <Tap
              key={m.id}
              role={wide ? 'button' : 'link'}
              {...(wide ? { selected: m.id === shown?.id } : {})}
              label={`${m.name}, ${typeName[m.type]}`}
              testID={`entry-${m.id}`}
              onPress={() => (wide ? setLooked(m.id) : router.push(`/catalogue/${encodeURIComponent(m.id)}`))}
              style={{
                ...chosenRow(palette, wide && m.id === shown?.id),
                paddingHorizontal: 16,
                minHeight: 60,
                borderBottomWidth: 1,
                borderBottomColor: palette.hairline,
              }}
            >
              <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
                <MountSketch mount={m} />
                <View style={{ flex: 1 }}>
                  <Txt kind="bold">
                    {m.name}
                    <Txt soft>{`  ${typeName[m.type]}`}</Txt>
                  </Txt>
                </View>
              </View>
            </Tap>
          ))}
          {found ? (
            <View style={{ padding: 12, gap: 8 }}>
              <Txt kind="small" soft testID="catalogue-count">
                {found.total === 0
                  ? archived
                    ? 'Nothing is archived.'
                    : 'No mount has that name. Add it from its label.'
                  : `${found.mounts.length} of ${found.total}`}
              </Txt>
              {found.mounts.length < found.total ? (
                <Action quiet label="more" onPress={() => setCount(count + PAGE)} />
              ) : null}
            </View>
          ) : null}
          {/* under the list, and not before it is there: nothing jumps under a finger */}
          {found || noServer ? <FilesPart /> : null}
        </ScrollView>
        <View style={{ padding: 8, backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink }}>
          <Action
            label="A mount, from its label"
            icon="plus"
            testID="add-mount"
            onPress={() => router.push('/catalogue/new')}
          />
        </View>
      </View>
      {wide && shown ? <MountPreview mount={shown} /> : null}
    </View>
  );
}
