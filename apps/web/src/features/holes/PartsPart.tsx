import { View } from 'react-native';
import type { Part, SchemePlan } from '@steddo/contract';
import { partFrom, partText, schemeName } from '@steddo/text';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

/** What to take along: for the plan, and what its second best would need besides. */
export function PartsPart() {
  const { plan } = useRoomContext();
  const { scheme } = plan;
  if (!scheme || scheme.kind === 'none') return null;
  const second = scheme.alternatives?.find((a) => a.stoppedBy === undefined);
  return (
    <View testID="parts" style={{ paddingBottom: 8 }}>
      <PartList heading={schemeName(scheme.kind)} parts={scheme.parts} />
      {second ? (
        <PartList
          heading={`besides, for the second best: ${schemeName(second.kind).toLowerCase()}`}
          parts={besides(second, scheme)}
        />
      ) : null}
    </View>
  );
}

const same = (a: Part, b: Part): boolean =>
  a.what === b.what && a.kind === b.kind && a.diameter === b.diameter && a.id === b.id;

const besides = (second: SchemePlan, best: SchemePlan): Part[] =>
  second.parts.filter((p) => !best.parts.some((o) => same(o, p)));

function PartList({ heading, parts }: { heading: string; parts: readonly Part[] }) {
  const { say } = useRoomContext();
  const palette = usePalette();
  return (
    <View style={{ paddingHorizontal: 16, paddingTop: 8 }}>
      <Txt kind="bold">{heading}</Txt>
      {parts.length === 0 ? <Txt soft>nothing more</Txt> : null}
      {parts.map((p, i) => (
        <View
          key={i}
          testID={`part-${p.what}`}
          style={{ flexDirection: 'row', gap: 8, minHeight: 36, alignItems: 'center' }}
        >
          <View style={{ flex: 1 }}>
            <Txt>{partText(p, say)}</Txt>
          </View>
          <Txt kind="small" color={p.from === 'get' ? palette.caution : palette.soft}>
            {partFrom(p.from)}
          </Txt>
        </View>
      ))}
    </View>
  );
}
