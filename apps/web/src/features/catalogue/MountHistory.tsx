import { View } from 'react-native';
import useSWR from 'swr';
import type { Mount, Units } from '@steddo/contract';
import { changedFields } from '@steddo/core';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { fetchHistory } from '../../data/api';
import { useOwn } from '../../data/ownMounts';
import { ownMounts } from '../../data/shared';
import { Action } from '../../ui/Action';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Fold } from '../../ui/Fold';

/** Every version that a mount has had; an earlier one can be taken back. Archiving is such a version too. */
export function MountHistory({ mount }: { mount: Mount; units: Units }) {
  const palette = usePalette();
  // what has not reached the server yet has no versions there to ask for
  const waits = useOwn(ownMounts).some((m) => m.id === mount.id);
  const { data, error } = useSWR(waits ? null : ['history', mount.id], () => fetchHistory(mount.id));
  const put = (next: Mount) => void ownMounts.save(next);
  const archive = () => {
    const { archived, ...rest } = mount;
    put(archived ? rest : { ...mount, archived: true });
  };
  return (
    <>
      <View style={{ paddingHorizontal: 12, paddingBottom: 8, gap: 6 }}>
        <Action
          quiet
          testID="archive"
          label={mount.archived ? 'bring it back into the lists' : 'archive: out of the lists, kept'}
          onPress={archive}
        />
      </View>
      <Fold name="earlier versions">
        {error ? (
          <View style={{ padding: 16 }}>
            <Txt kind="small">The earlier versions are on the server, and it cannot be reached.</Txt>
          </View>
        ) : null}
        {(data ?? []).map((v, i, all) => (
          <View
            key={v.version}
            testID={`version-${v.version}`}
            style={{ padding: 12, paddingLeft: 16, gap: 4, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
          >
            <Txt kind="bold">{`version ${v.version}${v.savedAt ? `, ${format(parseISO(v.savedAt), 'd MMM yyyy, HH:mm')}` : ''}`}</Txt>
            <Txt kind="small" soft>
              {all[i + 1]
                ? `changed: ${changedFields(all[i + 1]!.mount, v.mount).join(', ') || 'nothing'}`
                : 'the first one'}
            </Txt>
            {i > 0 ? <Action quiet label={`take version ${v.version} back`} onPress={() => put(v.mount)} /> : null}
          </View>
        ))}
      </Fold>
    </>
  );
}
