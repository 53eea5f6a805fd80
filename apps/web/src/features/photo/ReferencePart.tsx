import { useState } from 'react';
import { View } from 'react-native';
import type { Job } from '@steddo/contract';
import { parseTape, tapeOf } from '@steddo/core';
import { SHEETS, photoReference, type PhotoReference } from '@steddo/core/photo';
import { itemName } from '@steddo/text';
import { Choice } from '../../ui/Choice';
import { LineInput } from '../../ui/LineInput';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';

const SHEET_NAMES: Record<keyof typeof SHEETS, string> = { a4: 'an A4 sheet', letter: 'a letter sheet' };
type Sheet = keyof typeof SHEETS;
const isSheet = (key: string): key is Sheet => key in SHEETS;

/** What has the four corners: the wall itself, a thing on it, or a sheet of paper taped up where the tape says. */
export function ReferencePart({
  job,
  disabled,
  onChoose,
}: {
  job: Job;
  disabled: boolean;
  onChoose: (places: PhotoReference) => void;
}) {
  const [chosen, setChosen] = useState('wall');
  const [where, setWhere] = useState({ left: '', bottom: '' });
  const things = (job.room.objects ?? []).filter((o) => o.wall === undefined && o.right > o.left && o.top > o.bottom);
  const options = [
    { value: 'wall', name: 'the wall' },
    ...things.map((o) => ({ value: `thing:${o.id}`, name: o.name ?? itemName(o.kind) })),
    ...(Object.keys(SHEETS) as Sheet[]).map((s) => ({ value: s as string, name: SHEET_NAMES[s] })),
  ];
  const choose = (key: string) => {
    setChosen(key);
    if (isSheet(key)) return taped(key, where);
    const places = photoReference(
      job,
      key === 'wall' ? { kind: 'wall' } : { kind: 'thing', id: key.slice('thing:'.length) },
    );
    if (places) onChoose(places);
  };
  const { unit } = tapeOf(job.units);
  const read = (text: string) => parseTape(text, { unit });
  const taped = (sheet: Sheet, at: typeof where) => {
    const [left, bottom] = [read(at.left), read(at.bottom)];
    const places =
      left.ok && bottom.ok
        ? photoReference(job, { kind: 'sheet', sheet, left: left.mm, bottom: bottom.mm })
        : undefined;
    if (places) onChoose(places);
  };
  const type = (part: Partial<typeof where>) => {
    const next = { ...where, ...part };
    setWhere(next);
    if (isSheet(chosen)) taped(chosen, next);
  };
  return (
    <View>
      <Choice label="corners of" options={options} value={chosen} onChoose={choose} disabled={disabled} />
      {isSheet(chosen) ? (
        <>
          <Taped
            label="its left edge from the wall’s left end"
            value={where.left}
            fault={faultOf(where.left, read)}
            onChange={(left) => type({ left })}
            testID="sheet-left"
          />
          <Taped
            label="its lower edge from the floor"
            value={where.bottom}
            fault={faultOf(where.bottom, read)}
            onChange={(bottom) => type({ bottom })}
            testID="sheet-bottom"
          />
        </>
      ) : null}
    </View>
  );
}

const faultOf = (text: string, read: (text: string) => ReturnType<typeof parseTape>): string | undefined => {
  if (text.trim() === '') return undefined;
  return read(text).ok ? undefined : 'takes a length as the tape says it';
};

function Taped({
  label,
  value,
  fault,
  onChange,
  testID,
}: {
  label: string;
  value: string;
  fault: string | undefined;
  onChange: (text: string) => void;
  testID: string;
}) {
  const palette = usePalette();
  return (
    <View
      style={{ paddingHorizontal: 16, paddingVertical: 4, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
        <View style={{ flex: 1 }}>
          <Txt>{label}</Txt>
        </View>
        <LineInput
          label={label}
          value={value}
          onChangeText={onChange}
          invalid={fault !== undefined}
          toRight
          width={120}
          testID={testID}
        />
      </View>
      {fault ? (
        <View role="alert">
          <Txt kind="small" color={palette.stop}>
            {fault}
          </Txt>
        </View>
      ) : null}
    </View>
  );
}
