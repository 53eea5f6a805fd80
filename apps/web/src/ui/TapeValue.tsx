import { View } from 'react-native';
import { tapeParts, type TapeStyle } from '@steddo/core';
import { font, usePalette } from './tokens';
import { Txt } from './Txt';

/** A length as it stands on the tape: whole inches with the fraction stacked beside it. */
export function TapeValue({ mm, tape, size, color }: { mm: number; tape: TapeStyle; size: number; color?: string }) {
  const palette = usePalette();
  const ink = color ?? palette.ink;
  const parts = tapeParts(mm, tape);
  const big = { ...font.figure, fontSize: size, lineHeight: size * 1.25 };
  const small = {
    ...font.figure,
    fontSize: size * 0.56,
    lineHeight: size * 0.64,
    textAlign: 'center',
  } as const;
  const bare = parts.whole === '0' && parts.numerator !== undefined && parts.feet === undefined;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', minHeight: size * 1.45 }}>
      {parts.negative ? (
        <Txt style={big} color={ink}>
          −
        </Txt>
      ) : null}
      {parts.feet === undefined ? null : <Txt style={big} color={ink}>{`${parts.feet}′ `}</Txt>}
      {bare ? null : (
        <Txt style={big} color={ink}>
          {parts.whole}
        </Txt>
      )}
      {parts.numerator === undefined ? null : (
        <View style={{ marginLeft: 3 }}>
          <Txt style={small} color={ink}>
            {parts.numerator}
          </Txt>
          <View style={{ height: 1.5, backgroundColor: ink, marginVertical: 1 }} />
          <Txt style={small} color={ink}>
            {parts.denominator}
          </Txt>
        </View>
      )}
      <Txt
        kind="small"
        color={color ?? palette.soft}
        style={{ marginLeft: 3, alignSelf: 'flex-end', marginBottom: size * 0.1 }}
      >
        {parts.unit === 'ft' ? 'in' : parts.unit}
      </Txt>
    </View>
  );
}
