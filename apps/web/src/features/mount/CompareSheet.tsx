import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { Mount } from '@steddo/contract';
import { comparedOf } from '@steddo/core';
import { COMPARED_ROWS } from '@steddo/text';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { catalogueWorker } from '../../worker/catalogue';
import { useRoomContext } from '../../state/roomState';

/** Up to three mounts side by side, on what installers hold against each other. */
export function CompareSheet({
  ids,
  onClose,
  onChoose,
}: {
  ids: readonly string[];
  onClose: () => void;
  onChoose: (id: string) => void;
}) {
  const { job, say, readOnly } = useRoomContext();
  const palette = usePalette();
  const [mounts, setMounts] = useState<Mount[]>([]);
  const key = ids.join();
  useEffect(() => {
    let here = true;
    void Promise.all(key.split(',').map((id) => catalogueWorker().find(id))).then((found) => {
      if (here) setMounts(found.filter((m) => m !== undefined));
    });
    return () => {
      here = false;
    };
  }, [key]);
  const columns = mounts.map((m) => comparedOf(m, job.screen.mass));
  return (
    <BottomSheet title="side by side" onClose={onClose} testID="compare-sheet">
      <View role="table" aria-label="mounts side by side">
        <View role="row" style={{ flexDirection: 'row' }}>
          <View role="columnheader" style={{ flex: 1 }}>
            <Txt soft> </Txt>
          </View>
          {columns.map((c) => (
            <View key={c.id} role="columnheader" style={{ flex: 1 }}>
              <Txt kind="bold">{c.name}</Txt>
            </View>
          ))}
        </View>
        {COMPARED_ROWS.map((row) => (
          <View
            key={row.name}
            role="row"
            style={{
              flexDirection: 'row',
              borderTopWidth: 1,
              borderTopColor: palette.hairline,
              paddingVertical: 6,
            }}
          >
            <View role="rowheader" style={{ flex: 1, paddingRight: 6 }}>
              <Txt kind="small" soft>
                {row.name}
              </Txt>
            </View>
            {columns.map((c) => (
              <View key={c.id} role="cell" style={{ flex: 1 }}>
                <Txt kind="small">{row.text(c, say)}</Txt>
              </View>
            ))}
          </View>
        ))}
      </View>
      <View style={{ flexDirection: 'row', gap: 8, marginTop: 12 }}>
        {columns.map((c) => (
          <View key={c.id} style={{ flex: 1 }}>
            <Action
              quiet
              disabled={readOnly}
              label={`pick ${c.name}`}
              onPress={() => {
                onChoose(c.id);
                onClose();
              }}
            />
          </View>
        ))}
      </View>
    </BottomSheet>
  );
}
