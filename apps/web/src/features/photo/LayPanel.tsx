import { View } from 'react-native';
import { bendText } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Switch } from '../../ui/Switch';
import { Txt } from '../../ui/Txt';
import { anotherReference, withoutSecond, type LayPart } from './laidCrosses';
import { ReferencePart } from './ReferencePart';
import type { LaidPhoto } from './usePhotoPlane';

const PARTS = [
  { value: 'first', name: 'first corners' },
  { value: 'second', name: 'a second sheet' },
  { value: 'tie', name: 'floor and end' },
  { value: 'edge', name: 'a straight edge' },
] as const;

const SAID: Record<LayPart, string> = {
  first: 'Drag each cross onto its corner; once more moves it finely, under the glass.',
  second: 'A second sheet, as far from the first as the wall lets you: it makes the rest of the wall sure.',
  tie: 'For a sheet whose place nobody has taped: a cross onto the line where the wall meets the floor, one onto its end.',
  edge: 'Both crosses onto the ends of something straight, away from the picture’s middle: the ceiling, a skirting, a door. It takes out how the lens bends.',
};

const SIDES = [
  { value: 'left', name: 'the left end' },
  { value: 'right', name: 'the right end' },
] as const;

interface PanelProps {
  photo: string;
  laid: LaidPhoto;
  part: LayPart;
  onPart: (part: LayPart) => void;
  sharply: boolean;
  onSharply: (on: boolean) => void;
}

/** What is laid onto the picture so that it can be measured by: one part at a time. */
export function LayPanel({ photo, laid, part, onPart, sharply, onSharply }: PanelProps) {
  const { readOnly } = useRoomContext();
  const { plane, put, write, seen, noEdge } = laid;
  const wall = plane.references?.[0]?.what === 'wall';
  const parts = PARTS.filter(({ value }) => !wall || value === 'first' || value === 'edge');
  return (
    <View testID={`lay-${part}`}>
      <Choice label="lay" options={parts} value={part} onChoose={onPart} />
      <View style={{ paddingHorizontal: 16, paddingTop: 8 }}>
        <Txt kind="small" soft>
          {SAID[part]}
        </Txt>
      </View>
      {part === 'first' ? <ReferencePart {...{ photo, plane, put, write }} at={0} /> : null}
      {part === 'second' ? (
        plane.references?.[1] ? (
          <>
            <ReferencePart {...{ photo, plane, put, write }} at={1} />
            <Pad>
              <Action
                quiet
                label="do without it"
                testID="drop-second"
                disabled={readOnly}
                onPress={() => {
                  put(withoutSecond);
                  onPart('first');
                }}
              />
            </Pad>
          </>
        ) : (
          <Pad>
            <Action
              label="lay a second sheet"
              testID="add-second"
              disabled={readOnly}
              onPress={() => put((p) => anotherReference(p, 1, { what: 'a4' }))}
            />
          </Pad>
        )
      ) : null}
      {part === 'tie' ? (
        <Choice
          label="it is"
          options={SIDES}
          value={plane.end?.side ?? 'left'}
          disabled={readOnly || !plane.end}
          onChoose={(side) => put((p) => (p.end ? { ...p, end: { ...p.end, side } } : p))}
        />
      ) : null}
      {part === 'edge' ? (
        <Pad>
          <Txt testID="edge-said">
            {bendText({
              places: plane.edges?.[0]?.length ?? 0,
              none: noEdge,
              ...(seen.ok ? { k1: seen.plane.bend.k1 } : {}),
            })}
          </Txt>
        </Pad>
      ) : (
        <Switch
          label="draw a cross to the corner that it is near"
          testID="sharply"
          on={sharply}
          disabled={readOnly}
          onChange={onSharply}
        />
      )}
    </View>
  );
}

function Pad({ children }: { children: React.ReactNode }) {
  return <View style={{ paddingHorizontal: 16, paddingVertical: 10 }}>{children}</View>;
}
