import { useMemo } from 'react';
import { View } from 'react-native';
import { policyOf, type FixingPolicy, type PolicySays } from '@steddo/core';
import { findingText, fixingPolicyText, schemeName, schemePrice } from '@steddo/text';
import { chosenRow } from '../../ui/chosenRow';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { usePlanning } from '../../state/planning';
import { useRoomContext } from '../../state/roomState';

/** What each school of fastening makes of this room, side by side; the installer chooses. */
export function PolicyPart() {
  const { job, dispatch, readOnly } = useRoomContext();
  const { fixingPolicies } = usePlanning();
  const says = useMemo(() => fixingPolicies(job), [job, fixingPolicies]);
  const follow = (school: FixingPolicy) => dispatch({ do: 'put', path: 'fixing.school', value: school });
  return (
    <View role="radiogroup" aria-label="schools of fastening" testID="fixing-schools">
      {says.map((s) => (
        <PolicyRow
          key={s.school}
          says={s}
          chosen={policyOf(job) === s.school}
          disabled={readOnly}
          onChoose={() => follow(s.school)}
        />
      ))}
    </View>
  );
}

function PolicyRow({
  says,
  chosen,
  disabled,
  onChoose,
}: {
  says: PolicySays;
  chosen: boolean;
  disabled: boolean;
  onChoose: () => void;
}) {
  const { say } = useRoomContext();
  const palette = usePalette();
  const { name, says: rule } = fixingPolicyText(says.school);
  const scheme = says.scheme && says.scheme.kind !== 'none' ? says.scheme : undefined;
  const stop = says.findings.find((f) => f.level === 'stop');
  const line = scheme ? `${schemeName(scheme.kind)}: ${schemePrice(scheme, say)}` : 'no holes under this school';
  return (
    <Tap
      role="radio"
      selected={chosen}
      label={`${name}. ${line}`}
      testID={`fixing-${says.school}`}
      disabled={disabled}
      onPress={onChoose}
      style={{ ...chosenRow(palette, chosen), paddingHorizontal: 10, paddingVertical: 8 }}
    >
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'flex-start' }}>
        <View style={{ flex: 1, gap: 2 }}>
          <Txt kind="bold">{name}</Txt>
          <Txt kind="small" soft>
            {rule}
          </Txt>
          <Txt kind="small">{line}</Txt>
          {stop ? (
            <Txt kind="small" color={palette.stop}>
              {findingText(stop, say)}
            </Txt>
          ) : null}
        </View>
        <Verdict verdict={says.verdict} />
      </View>
    </Tap>
  );
}
