import { useState } from 'react';
import { View } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';
import { parseTape, type TapeStyle } from '@steddo/core';
import { printScale, templateSpans, type TemplateSpan } from '@steddo/export/scale';
import { holeNumber, rounded, tapeFaultText, wallTitle } from '@steddo/text';
import { useRoomContext } from '../state/roomState';
import { Txt } from '../ui/Txt';
import { Verdict } from '../ui/Verdict';

/** Glued together, the outermost crosses are measured: within a millimetre it may be used, else it says how to print it. */
export function TemplateCheck({ tape }: { tape: TapeStyle }) {
  const { plan } = useRoomContext();
  return templateSpans(plan.holes ?? []).map((span, _, all) => (
    <SpanCheck key={span.wall} span={span} named={all.length > 1} tape={tape} />
  ));
}

/** One wall's template; the wall is named where there are two. */
function SpanCheck({ span, named, tape }: { span: TemplateSpan; named: boolean; tape: TapeStyle }) {
  const { say } = useRoomContext();
  const [text, setText] = useState('');
  const read = text.trim() === '' ? undefined : parseTape(text, { unit: tape.unit === 'mm' ? 'mm' : 'in' });
  const check = read?.ok && read.mm > 0 ? printScale(span.span, read.mm) : undefined;
  const end = span.wall === 'main' ? '' : `-${span.wall}`;
  const label = `${named ? `${wallTitle(span.wall)}: ` : ''}measured, cross ${holeNumber(span.from)} to cross ${holeNumber(span.to)}`;
  const fault = read && !read.ok ? tapeFaultText(read.fault, say, say.length(span.span)) : undefined;
  return (
    <View style={{ gap: 4 }} testID={`template-check${end}`}>
      <TextInput
        mode="outlined"
        label={label}
        aria-label={label}
        value={text}
        onChangeText={setText}
        error={fault !== undefined}
        testID={`measured-span${end}`}
      />
      <HelperText type="error" visible={fault !== undefined}>
        {fault ?? ''}
      </HelperText>
      {check ? (
        <View
          style={{ flexDirection: 'row', gap: 10, alignItems: 'center' }}
          testID={`span-verdict${end}`}
          role="status"
        >
          <Verdict verdict={check.fits ? 'go' : 'stop'} />
          <View style={{ flex: 1 }}>
            <Txt>
              {check.fits
                ? `It may be used: it should be ${say.length(span.span)}.`
                : `Do not use it: it should be ${say.length(span.span)}. Print it at ${rounded(check.printAt, 1)} %.`}
            </Txt>
          </View>
        </View>
      ) : (
        <Txt
          kind="small"
          soft
        >{`Glue it, then measure from cross to cross: it should be ${say.length(span.span)}.`}</Txt>
      )}
    </View>
  );
}
