import { lazy, Suspense } from 'react';
import { View } from 'react-native';
import { governsText, holeList, shareText } from '@steddo/text';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { Fold } from '../../ui/Fold';
import { useRoomContext } from '../../state/roomState';
import { SwingLimit } from './SwingLimit';

const UtilisationChart = lazy(async () => ({ default: (await import('../../work/charts')).UtilisationChart }));

/** What every fastener has to hold and may, in the worst pose; and how that grows with the arm's reach. */
export function LoadPart() {
  const { plan, say } = useRoomContext();
  const palette = usePalette();
  const { loads } = plan;
  if (!loads) return null;
  const { pose, handling, curve, swing } = loads;
  return (
    <View testID="loads">
      <View style={{ paddingHorizontal: 16, paddingVertical: 8, gap: 4 }}>
        <Txt kind="small" soft>
          {`Worst ${curve ? `with the set ${say.length(pose.extension)} out, turned ${say.degrees(Math.abs(pose.yaw))}${pose.yaw === 0 ? '' : pose.yaw > 0 ? ' right' : ' left'}` : 'as it hangs'}${handling === 'none' ? '' : `, with a hand ${handling === 'down' ? 'leaning on it' : `pushing it ${handling}`}`}.`}
        </Txt>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
          <Figure label="all that pulls down" working={loads.weight} />
          <Figure label="moment off the wall" working={loads.moment} />
        </View>
        {loads.fourfold === undefined ? null : (
          <Txt kind="small">{`Its ratings bear ${(loads.fourfold * 4).toFixed(1)} times the load; four times is asked (IEC 62368-1, UL 2442, from memory).`}</Txt>
        )}
      </View>
      {loads.leaned === undefined ? null : (
        <View style={{ paddingHorizontal: 16, paddingBottom: 6 }} testID="loads-apart">
          <Txt kind="small">{`What hangs there by itself: ${shareText(loads.standing)}. With a hand on it: ${shareText(loads.leaned)}.`}</Txt>
        </View>
      )}
      <SwingLimit />
      {loads.fasteners.map((f) => (
        <View
          key={f.hole}
          testID={`load-${f.hole}`}
          style={{
            paddingHorizontal: 16,
            paddingVertical: 4,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <View style={{ flex: 1 }}>
              <Txt kind="bold">{holeList([f.hole])}</Txt>
            </View>
            <Txt kind="small" soft>
              {governsText(f.governs)}
            </Txt>
          </View>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
            <Figure label="of what it may" working={f.workings.utilisation} as="utilisation" size={20} />
            <Figure label="pull" working={f.workings.tension} size={15} />
            <Figure label="may pull" working={f.workings.allowableTension} size={15} />
            <Figure label="across" working={f.workings.shear} size={15} />
            <Figure label="may across" working={f.workings.allowableShear} size={15} />
          </View>
        </View>
      ))}
      {curve ? (
        <Fold name="as the arm comes out" start>
          <Suspense fallback={<Txt>…</Txt>}>
            <UtilisationChart curve={curve} />
          </Suspense>
          <CurveTable curve={curve.map((c) => ({ at: c.extension, word: 'out', use: c.utilisation }))} />
        </Fold>
      ) : null}
      {swing ? (
        <Fold name="as it swings aside">
          <CurveTable curve={swing.map((c) => ({ at: c.aside, word: 'aside', use: c.utilisation }))} />
        </Fold>
      ) : null}
    </View>
  );
}

function CurveTable({ curve }: { curve: readonly { at: number; word: string; use: number }[] }) {
  const { say } = useRoomContext();
  const palette = usePalette();
  return (
    <View role="table" aria-label="share of what the worst fastener may hold, by where the set is">
      {curve.map((c) => (
        <View
          key={c.at}
          role="row"
          testID="curve-row"
          style={{ flexDirection: 'row', paddingHorizontal: 16, minHeight: 32, alignItems: 'center' }}
        >
          <View role="cell" style={{ flex: 1 }}>
            <Txt>{`${say.length(c.at)} ${c.word}`}</Txt>
          </View>
          <View role="cell">
            <Txt kind="bold" color={c.use > 1 ? palette.stop : palette.ink}>
              {shareText(c.use)}
            </Txt>
          </View>
        </View>
      ))}
    </View>
  );
}
