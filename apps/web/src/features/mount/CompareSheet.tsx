import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { comparedOf } from '@steddo/core';
import { join } from '@steddo/drawing';
import { COMPARED_ROWS } from '@steddo/text';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { MountSketch, tellingScene } from '../../work/MountSketch';
import { catalogueWorker } from '../../worker/catalogue';
import type { RankedMount } from '../../worker/catalogueJob';
import { useRoomContext } from '../../state/roomState';

const SKETCH = { width: 78, height: 84 } as const;

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
  const [found, setFound] = useState<RankedMount[]>([]);
  const key = ids.join();
  useEffect(() => {
    let here = true;
    void catalogueWorker()
      .some(key.split(','))
      .then((some) => here && setFound(some));
    return () => {
      here = false;
    };
  }, [key]);
  const columns = found.map(({ mount, ranked }) => comparedOf(mount, job.screen.mass, ranked));
  const bounds = found.map(({ mount }) => tellingScene(mount).bounds);
  const box = bounds.length > 0 ? { box: bounds.reduce(join) } : {};
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
        <View role="row" style={{ flexDirection: 'row', paddingBottom: 6 }}>
          <View role="rowheader" style={{ flex: 1, paddingRight: 6 }}>
            <Txt kind="small" soft>
              drawn at one scale
            </Txt>
          </View>
          {found.map(({ mount }) => (
            <View key={mount.id} role="cell" aria-label={`${mount.name}, drawn`} style={{ flex: 1 }}>
              <MountSketch mount={mount} {...box} size={SKETCH} />
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
