import { View } from 'react-native';
import type { Job, PhotoPlane, PhotoReference } from '@steddo/contract';
import { referenceName, type ReferenceWhat } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { useRoomContext } from '../../state/roomState';
import { Choice } from '../../ui/Choice';
import { anotherReference, withTaped, withoutSecond } from './laidCrosses';
import type { LaidPhoto } from './usePhotoPlane';

const SHEETS: readonly ReferenceWhat[] = ['a4', 'letter', 'taped'];

/** What has the four corners: the wall itself, a thing on it, a sheet taped up, or four marks; and where the tape says it is. */
export function ReferencePart({
  photo,
  plane,
  at,
  put,
  write,
}: {
  photo: string;
  plane: PhotoPlane;
  at: 0 | 1;
  put: LaidPhoto['put'];
  write: LaidPhoto['write'];
}) {
  const { job, readOnly, say } = useRoomContext();
  const reference = plane.references?.[at];
  const things = (job.room.objects ?? []).filter(
    (o) => o.wall === undefined && o.photo === undefined && o.right > o.left && o.top > o.bottom,
  );
  const options = [
    ...(at === 0 ? [{ value: 'wall', name: referenceName('wall') }] : []),
    ...things.map((o) => ({ value: `thing:${o.id}`, name: say.thing(o.id) })),
    ...SHEETS.map((s) => ({ value: s as string, name: referenceName(s) })),
  ];
  const choose = (key: string) =>
    put((p) =>
      anotherReference(
        // all of the wall is seen: a second sheet tells no more
        key === 'wall' ? withoutSecond(p) : p,
        at,
        key.startsWith('thing:')
          ? { what: 'thing', thing: key.slice('thing:'.length) }
          : { what: key as PhotoReference['what'] },
      ),
    );
  const key = reference && (reference.what === 'thing' ? `thing:${reference.thing}` : reference.what);
  return (
    <View>
      <Choice label="corners of" options={options} value={key} onChoose={choose} disabled={readOnly} />
      {reference ? <TapeFields fields={fieldsOf({ photo, plane, at, reference, job, write })} /> : null}
    </View>
  );
}

interface Fielded {
  photo: string;
  plane: PhotoPlane;
  at: 0 | 1;
  reference: PhotoReference;
  job: Job;
  write: LaidPhoto['write'];
}

/** What the tape says of a reference: of the second one also what is between the two. */
function fieldsOf({ photo, plane, at, reference, job, write }: Fielded): Field[] {
  const { what } = reference;
  if (what === 'wall' || what === 'thing') return [];
  const { wall } = job.room;
  const base = `photos.${photo}.plane`;
  const own = (field: 'width' | 'height' | 'left' | 'bottom', label: string, min: number, max: number): Field => {
    const value = reference[field];
    return {
      path: `${base}.${at}.${field}`,
      label,
      kind: 'length',
      ...(value === undefined ? {} : { value }),
      min,
      max,
      command: (mm, j) => write((p) => withTaped(p, at, field, mm), j),
    };
  };
  const between = (field: 'apart' | 'level', label: string, min: number, hint: string): Field => ({
    path: `${base}.${field}`,
    label,
    hint,
    kind: 'length',
    ...(plane[field] === undefined ? {} : { value: plane[field] }),
    min,
    max: wall.width,
    command: (mm, j) => write((p) => ({ ...p, [field]: mm }), j),
  });
  return [
    ...(what === 'taped'
      ? [
          own('width', 'between its marks, across', 50, wall.width),
          own('height', 'between its marks, up', 50, wall.height),
        ]
      : []),
    ...(at === 1
      ? [
          between('apart', 'from the one to the other', 1, 'nearest edge to nearest edge, across'),
          between(
            'level',
            'its lower edge above the first one’s',
            -wall.height,
            'nought on one level; below it, negative',
          ),
        ]
      : []),
    own('left', 'left edge, from the left', 0, wall.width),
    own('bottom', 'lower edge, from the floor', 0, wall.height),
  ];
}
