import { View } from 'react-native';
import type { SchemePlan } from '@steddo/contract';
import { findingText, schemeName, schemePrice } from '@steddo/text';
import { Action } from '../../ui/Action';
import { chosenRow } from '../../ui/chosenRow';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

/** The scheme that stands, the next two of another kind, each with its price, and what would make one pass. */
export function SchemePart() {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const { scheme } = plan;
  if (!scheme) return null;
  const choose = (key: string) => dispatch({ do: 'put', path: 'choices.scheme', value: key });
  const chosen = job.choices?.scheme;
  const all = [...(scheme.kind === 'none' ? [] : [scheme]), ...(scheme.alternatives ?? [])];
  return (
    <View testID="schemes">
      <View role="radiogroup" aria-label="ways to hold it">
        {all.map((s, i) => (
          <SchemeRow
            key={s.key}
            scheme={s}
            best={i === 0 && scheme.kind !== 'none'}
            disabled={readOnly}
            onChoose={() => choose(s.key)}
          />
        ))}
      </View>
      {chosen !== undefined ? (
        <View style={{ padding: 12 }}>
          <Action
            quiet
            label="let the plan choose"
            testID="free-scheme"
            disabled={readOnly}
            onPress={() => dispatch({ do: 'drop', path: 'choices.scheme' })}
          />
        </View>
      ) : null}
    </View>
  );
}

function SchemeRow({
  scheme,
  best,
  disabled,
  onChoose,
}: {
  scheme: SchemePlan;
  best: boolean;
  disabled: boolean;
  onChoose: () => void;
}) {
  const { say } = useRoomContext();
  const palette = usePalette();
  const name = schemeName(scheme.kind);
  return (
    <Tap
      role="radio"
      selected={best}
      label={`${name}, ${schemePrice(scheme, say)}`}
      testID={`scheme-${scheme.kind}`}
      disabled={disabled}
      onPress={() => (best ? undefined : onChoose())}
      style={{ ...chosenRow(palette, best), paddingHorizontal: 10, paddingVertical: 8 }}
    >
      <Txt kind="bold">{best ? `${name}: as planned` : `or: ${name.toLowerCase()}`}</Txt>
      <Txt kind="small" soft>
        {schemePrice(scheme, say)}
      </Txt>
      {scheme.stoppedBy && !best ? (
        <Txt kind="small" color={palette.stop}>
          {stopWords(scheme.stoppedBy, say)}
        </Txt>
      ) : null}
    </Tap>
  );
}

/** The reason in few words: the numbers stand in the price beside it. */
function stopWords(code: string, say: Parameters<typeof findingText>[1]): string {
  if (code === 'load-too-great') return 'It would not hold.';
  const plain = { code, level: 'stop', stage: 'holes', acknowledgeable: false, acknowledged: false } as const;
  const known = ['anchors-refused', 'arm-on-anchors-refused', 'studs-not-sought'];
  return known.includes(code)
    ? findingText({ ...plain, values: {} }, say)
    : 'Not under this school, or nothing is rated for it.';
}
