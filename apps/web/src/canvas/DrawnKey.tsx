import { View } from 'react-native';
import { fitView, type Role, type Shape } from '@steddo/drawing';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { Shapes } from './shapes';

export interface KeyEntry {
  role: Role;
  name: string;
  /** Of a hole. */
  state?: 'go' | 'stop';
}

const SIZE = { width: 34, height: 22 } as const;

/** What the pencils of a drawing mean: one sample of each that is in it, drawn as it is drawn there. */
export function DrawnKey({ shapes, entries }: { shapes: readonly Shape[]; entries: readonly KeyEntry[] }) {
  const palette = usePalette();
  const shown = entries.flatMap((entry) => {
    const sample = shapes.find(
      (s) => s.role === entry.role && (entry.state === undefined || (s.kind === 'cross' && s.state === entry.state)),
    );
    return sample ? [{ ...entry, sample: sampleOf(sample) }] : [];
  });
  return (
    <View
      role="list"
      aria-label="what is drawn"
      testID="drawn-key"
      style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 4, paddingHorizontal: 16 }}
    >
      {shown.map(({ name, sample }) => (
        <View key={name} role="listitem" style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <svg {...SIZE} aria-hidden="true">
            <Shapes shapes={[sample]} view={VIEW} palette={palette} />
          </svg>
          <Txt kind="small">{name}</Txt>
        </View>
      ))}
    </View>
  );
}

/** A sample's own millimetres: as many as pixels. */
const VIEW = fitView({ left: 0, right: SIZE.width, bottom: 0, top: SIZE.height }, { ...SIZE, padPx: 0 });
const MIDDLE = { x: SIZE.width / 2, y: SIZE.height / 2 } as const;

/** The same kind of thing in the middle of the sample. */
function sampleOf(shape: Shape): Shape {
  const id = `key-${shape.role}`;
  if (shape.kind === 'cross') return { ...shape, id, ...MIDDLE };
  if (shape.kind === 'circle') return { ...shape, id, ...MIDDLE, r: 5 };
  return { kind: 'rect', role: shape.role, id, left: 4, right: SIZE.width - 4, bottom: 5, top: SIZE.height - 5 };
}
