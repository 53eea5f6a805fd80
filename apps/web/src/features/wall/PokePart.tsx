import { useState } from 'react';
import { View } from 'react-native';
import { leaf, probeRoutine, studPly } from '@steddo/core';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { useRoomContext } from '../../state/roomState';
import { logMark } from '../../state/marks';
import { useWall } from '../../state/wallState';

const PHASES = {
  'find-wood': 'Poke until the drill meets wood.',
  'first-edge': 'Wood. Now along the line to its edge.',
  'other-edge': 'One edge is known. Confirm from the other side.',
  done: 'Both edges are known.',
} as const;

/** Poke along a line to an edge, then 3/4 in in; and the other edge from the other side. */
export function PokePart() {
  const { job, plan, say, dispatch, readOnly } = useRoomContext();
  const { y, take } = useWall();
  const studs = plan.studs ?? [];
  const holes = new Set((plan.holes ?? []).map((h) => h.stud));
  const [chosen, setChosen] = useState<string>();
  const first = studs.findIndex((_, i) => holes.has(i));
  const index = Number(chosen ?? Math.max(0, first));
  const plate = plan.placement?.plate;
  const start = studs[index]?.centre ?? plate?.x ?? job.room.wall.width / 2;
  // the edge on the plate's side of the stud: the plate hides its pokes
  const towards = plate && plate.x < start ? 'left' : 'right';
  const at = probeRoutine({
    evidence: (job.evidence ?? []).filter((e) => (e.wall ?? 'main') === 'main'),
    start,
    plyWidth: studPly(job.room.wall, job.guessed),
    first: towards,
  });
  const poked = (found: 'wood' | 'hollow') => (at.next === undefined ? [] : dispatch(logMark(job, found, at.next, y)));
  return (
    <View testID="poke-routine" style={{ paddingBottom: 10 }}>
      {studs.length > 1 ? (
        <Choice
          label="at"
          options={studs.map((s, i) => ({ value: String(i), name: say.length(s.centre) }))}
          value={String(index)}
          onChoose={setChosen}
        />
      ) : null}
      <View style={{ paddingHorizontal: 16, paddingTop: 8, gap: 6 }}>
        <Txt kind="bold">{PHASES[at.phase]}</Txt>
        {at.width ? (
          <Txt kind="small">
            {at.width === 'double'
              ? 'It is two plies wide: a doubled stud. Drill into one ply, not the seam.'
              : 'No stud is that wide. Poke again on both sides.'}
          </Txt>
        ) : null}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
          {at.next === undefined ? null : (
            <Figure label="poke at, from left" working={leaf('poke-next', at.next, 'mm')} size={24} />
          )}
          {at.middle ? <Figure label="middle, from left" working={at.middle} /> : null}
        </View>
        {at.next === undefined ? null : take ? (
          <Action quiet label="take the drill there" onPress={() => take('drill', at.next!, y)} />
        ) : (
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <View style={{ flex: 1 }}>
              <Action quiet label="wood" testID="poke-wood" disabled={readOnly} onPress={() => void poked('wood')} />
            </View>
            <View style={{ flex: 1 }}>
              <Action
                quiet
                label="hollow"
                testID="poke-hollow"
                disabled={readOnly}
                onPress={() => void poked('hollow')}
              />
            </View>
          </View>
        )}
      </View>
    </View>
  );
}
