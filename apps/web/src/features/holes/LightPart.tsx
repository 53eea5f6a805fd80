import { View } from 'react-native';
import type { Item, Light } from '@steddo/contract';
import { bitText, fixingName, intoName, stepText } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { useRoomContext } from '../../state/roomState';

/** A picture, a shelf, a soundbar's bracket on the same wall: its mass, and what in the kit holds it. */
export function LightPart() {
  const { job, plan } = useRoomContext();
  const things = (job.room.objects ?? []).filter((o) => LIGHT_KINDS.includes(o.kind) && (o.wall ?? 'main') === 'main');
  return (
    <View testID="light">
      <View style={{ paddingHorizontal: 16, paddingVertical: 8 }}>
        <Txt kind="small" soft>
          {things.length === 0
            ? 'Put a shelf, a soundbar or something else on the wall (stage Room), then give its mass here: up to 20 lb an anchor serves, chosen by its load.'
            : 'Up to 20 lb (9 kg) is light: wood where it is, or else the anchor that its load asks for. A loaded cabinet goes into wood.'}
        </Txt>
      </View>
      {things.map((t) => (
        <ThingRow key={t.id} thing={t} light={plan.light?.find((l) => l.object === t.id)} />
      ))}
    </View>
  );
}

const LIGHT_KINDS: readonly Item['kind'][] = ['shelf', 'soundbar', 'other', 'mantel', 'cabinet', 'curtain'];

function ThingRow({ thing, light }: { thing: Item; light: Light | undefined }) {
  const { say } = useRoomContext();
  const palette = usePalette();
  return (
    <View
      testID={`light-${thing.id}`}
      style={{ borderBottomWidth: 1, borderBottomColor: palette.hairline, paddingBottom: 6 }}
    >
      <View style={{ flexDirection: 'row', paddingHorizontal: 16, gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Txt kind="bold">{say.thing(thing.id)}</Txt>
        </View>
        {light ? <Verdict verdict={light.verdict} /> : null}
      </View>
      <TapeFields fields={fieldsOf(thing)} />
      {light ? <Chosen light={light} /> : null}
    </View>
  );
}

const MOST_SHOWN = 3;

function Chosen({ light }: { light: Light }) {
  const { job, say } = useRoomContext();
  const [taken] = light.choices;
  const named = [...(job.anchors ?? []), ...(job.lags ?? [])];
  if (light.choices.length === 0)
    return (
      <View style={{ paddingHorizontal: 16 }}>
        <Txt>Nothing in the kit is rated for it here.</Txt>
      </View>
    );
  return (
    <View style={{ paddingHorizontal: 16 }}>
      {taken ? (
        <View testID={`light-set-${light.object}`} style={{ gap: 2, paddingBottom: 4 }}>
          <Txt kind="small">
            {`at ${light.at.map((a) => say.length(a.x)).join(' and ')} from the left, ${say.length(light.at[0]!.y)} up${taken.bit === undefined ? '' : `; bit ${bitText(taken.bit, say)}`}`}
          </Txt>
          {taken.steps.map((s, i) => (
            <Txt key={s} kind="small" soft>{`${i + 1}. ${stepText(s)}`}</Txt>
          ))}
        </View>
      ) : null}
      {light.choices.slice(0, MOST_SHOWN).map((c) => (
        <View key={`${c.into}${c.id}`} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <View style={{ flex: 1 }}>
            <Txt>{`${named.find((a) => a.id === c.id)?.name ?? fixingName(c.kind)}, into ${intoName(c.into)}`}</Txt>
          </View>
          <Figure label="of what it may" working={c.working} as="utilisation" size={18} />
        </View>
      ))}
    </View>
  );
}

function fieldsOf(thing: Item): Field[] {
  const path = `room.objects.${thing.id}` as const;
  return [
    {
      path: `${path}.mass`,
      label: 'mass, with what stands on it',
      kind: 'mass',
      min: 0.05,
      max: 500,
      ...(thing.mass === undefined ? {} : { value: thing.mass }),
      command: (v) => ({ do: 'put', path: `${path}.mass`, value: v }),
    },
    {
      path: `${path}.fixings`,
      label: 'by how many fixings',
      kind: 'count',
      min: 1,
      max: 12,
      ...(thing.fixings === undefined ? {} : { value: thing.fixings }),
      command: (v) => ({ do: 'put', path: `${path}.fixings`, value: Math.round(v) }),
    },
  ];
}
