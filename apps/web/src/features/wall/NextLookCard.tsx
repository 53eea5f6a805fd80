import { View } from 'react-native';
import type { NextLook } from '@steddo/contract';
import { enoughText, nextLookText, nextLookWhy } from '@steddo/text';
import { Action } from '../../ui/Action';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { useRoomContext, useSeenWall } from '../../state/roomState';
import { logMark, logScan } from '../../state/marks';
import type { Tool } from '../../state/tools';
import { useAskNext, useWall } from '../../state/wallState';

/** Where to look next, with what, why, and how much it helps; logged in one tap where it can be. */
export function NextLookCard() {
  useAskNext();
  const palette = usePalette();
  const { next, nextFor, working: asking, skipped, unskip } = useWall();
  const { job, say } = useRoomContext();
  const wall = useSeenWall() ?? 'main';
  const working = asking || nextFor !== job;
  if (!next) return working ? <Waiting /> : null;
  const [look] = next.looks;
  return (
    <View
      testID="next-look"
      aria-busy={working}
      style={{
        margin: 10,
        padding: 10,
        gap: 4,
        backgroundColor: palette.sheet,
        borderLeftWidth: 4,
        borderLeftColor: palette.action,
        opacity: working ? 0.6 : 1,
      }}
    >
      {look ? (
        <>
          <Txt kind="bold">{nextLookText(look, say, wall)}</Txt>
          <Txt kind="small">{nextLookWhy(look, next.looking.now)}</Txt>
          <Answers look={look} />
        </>
      ) : (
        <>
          <Txt kind="bold">{enoughText(next.looking)}</Txt>
          {skipped.length > 0 ? <Word label="what I could not do, I can now" onPress={unskip} /> : null}
        </>
      )}
    </View>
  );
}

function Waiting() {
  return (
    <View style={{ padding: 16 }} aria-busy>
      <Txt soft>Working out where to look…</Txt>
    </View>
  );
}

/** A poke is answered with what it met; a pass with what it showed, then that it was made. */
function Answers({ look }: { look: NextLook }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const { skip, take } = useWall();
  const { kind, x, y, from, to } = look;
  const poked = (found: 'wood' | 'hollow') => dispatch(logMark(job, found, x, y));
  const scanned = () => {
    if (from === undefined || to === undefined) return;
    dispatch(logScan(job, { instrument: kind === 'centre' ? 'centre' : 'edge', from, to, y }));
  };
  return (
    <View style={{ gap: 2 }}>
      {take ? (
        <Action quiet label="take it there" testID="look-take" onPress={() => take(toolFor(kind), from ?? x, y)} />
      ) : kind === 'probe' ? (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <View style={{ flex: 1 }}>
            <Action quiet label="wood" testID="look-wood" disabled={readOnly} onPress={() => poked('wood')} />
          </View>
          <View style={{ flex: 1 }}>
            <Action quiet label="hollow" testID="look-hollow" disabled={readOnly} onPress={() => poked('hollow')} />
          </View>
        </View>
      ) : (
        <Action
          quiet
          label="scanned: all it showed is marked"
          testID="look-scanned"
          disabled={readOnly}
          onPress={scanned}
        />
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
        <Word label="can't get there" onPress={() => skip(`${kind}@${Math.round(x)}`)} />
        <Word label={kind === 'probe' ? 'no poking' : `no ${kind} finder`} onPress={() => skip(kind)} />
      </View>
    </View>
  );
}

const toolFor = (kind: string): Tool['kind'] => (kind === 'probe' ? 'drill' : kind === 'centre' ? 'centre' : 'edge');

function Word({ label, onPress }: { label: string; onPress: () => void }) {
  return (
    <Tap label={label} onPress={onPress}>
      <Txt kind="small" style={{ textDecorationLine: 'underline' }}>
        {label}
      </Txt>
    </Tap>
  );
}
