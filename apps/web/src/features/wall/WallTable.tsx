import { View } from 'react-native';

import { evidenceName } from '@steddo/text';
import { RemovableRow } from '../../ui/RemovableRow';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';

import { Figure } from '../../work/Figure';
import { useRoomContext, useSeenWall } from '../../state/roomState';
import { isFromCorner } from '../../state/seenStore';

/** Studs with width and doubt, left to right. */
export function Studs() {
  const { plan, say } = useRoomContext();
  const fromCorner = isFromCorner(useSeenWall());
  const palette = usePalette();
  const studs = plan.studs ?? [];
  if (studs.length === 0)
    return (
      <View style={{ padding: 16 }}>
        <Txt soft>
          No stud yet. Mark both edges of one: its middle is half-way. Studs are usually 16 or 24 in apart (400 or 600
          mm).
        </Txt>
      </View>
    );
  return (
    <View>
      {studs.map((s, i) => (
        <View
          key={i}
          testID={`stud-${i}`}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            paddingHorizontal: 16,
            gap: 12,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View
            style={{
              width: s.plies === 2 ? 20 : 10,
              height: 32,
              backgroundColor: palette.wood,
              opacity: s.probability,
            }}
          />
          <View style={{ flex: 1 }}>
            <Txt kind="bold">{`${s.plies === 2 ? 'double stud' : 'stud'} ${i + 1}`}</Txt>
            <Txt
              kind="small"
              soft
            >{`${marksText(s.evidence.length)}, a stud ${Math.floor(s.probability * 100)} in 100`}</Txt>
            <Txt kind="small" soft>{`${say.length(s.width)} wide, ± ${say.length(2 * s.sd)}`}</Txt>
          </View>
          {s.working ? (
            <Figure label={fromCorner ? 'middle, from the corner' : 'middle, from left'} working={s.working} />
          ) : null}
        </View>
      ))}
    </View>
  );
}

const marksText = (count: number): string =>
  count === 0 ? 'by the spacing alone' : `${count} ${count === 1 ? 'mark' : 'marks'}`;

/** Every mark, the last one first; those that go against the rest are named. */
export function Marks() {
  const { job, plan, dispatch, say, readOnly } = useRoomContext();
  const wall = useSeenWall();
  const fromCorner = isFromCorner(wall);
  // of a corner each wall shows its own
  const marks = [...(job.evidence ?? [])].reverse().filter((e) => wall !== 'main' || (e.wall ?? 'main') === 'main');
  return (
    <View>
      {marks.map((e) => (
        <RemovableRow
          key={e.id}
          text={`${evidenceName(e, fromCorner)} at ${say.length(e.x)}`}
          {...(plan.odd?.includes(e.id) ? { note: 'disagrees with the rest' } : {})}
          removeLabel={`take away the ${evidenceName(e, fromCorner)} at ${say.length(e.x)}`}
          disabled={readOnly}
          onRemove={() => dispatch({ do: 'drop', path: `evidence.${e.id}` })}
        />
      ))}
      {(job.scans ?? []).map((s) => (
        <RemovableRow
          key={s.id}
          text={`scanned with the ${s.instrument} finder, ${say.length(s.from)} to ${say.length(s.to)}`}
          removeLabel={`take away the scan from ${say.length(s.from)}`}
          disabled={readOnly}
          onRemove={() => dispatch({ do: 'drop', path: `scans.${s.id}` })}
        />
      ))}
    </View>
  );
}
