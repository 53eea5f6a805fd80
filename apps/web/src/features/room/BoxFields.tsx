import type { Item } from '@steddo/contract';
import { TapeFields } from '../../pad/TapeField';
import { USUAL_DEPTH_MM } from '../../state/boxEdits';
import { useRoomContext } from '../../state/roomState';
import { Switch } from '../../ui/Switch';

/** A box in the wall: whether it is still to be cut for, and how deep it goes. */
export function BoxFields({ item }: { item: Item }) {
  const { dispatch, readOnly } = useRoomContext();
  const path = `room.objects.${item.id}` as const;
  return (
    <>
      <Switch
        label="it is still to be cut for"
        testID="to-cut"
        note="let into the bay between two studs"
        on={item.cut !== undefined}
        disabled={readOnly}
        onChange={(on) =>
          dispatch(
            on
              ? { do: 'put', path: `${path}.cut`, value: { depth: USUAL_DEPTH_MM } }
              : { do: 'drop', path: `${path}.cut` },
          )
        }
      />
      {item.cut ? (
        <TapeFields
          fields={[
            {
              path: `${path}.cut.depth`,
              label: 'depth of the box',
              hint: 'from the face of the wall',
              kind: 'length',
              value: item.cut.depth,
              min: 1,
              max: 600,
              command: (value) => ({ do: 'put', path: `${path}.cut.depth`, value }),
            },
          ]}
        />
      ) : null}
    </>
  );
}
