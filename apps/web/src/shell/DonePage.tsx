import { useMemo } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Hole, Job, Plan } from '@steddo/contract';
import { roomFace } from '@steddo/drawing';
import { findingText, holeName, levelLine, resultName, setLine } from '@steddo/text';
import { Drawing } from '../canvas/Drawing';
import { momentText } from '../ui/moment';
import { saveRoomFile } from '../features/kept/roomFile';
import { heightNumbers } from '../state/barNumbers';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { usePalette } from '../ui/tokens';
import { isBeside, type Posture } from '../ui/usePosture';
import { Txt } from '../ui/Txt';
import { PlanVerdict } from '../ui/Verdict';
import { Figure } from '../work/Figure';
import { PicturesLink } from '../work/PicturesLink';
import { WorkingSheet } from '../work/WorkingSheet';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';
import { HandOver, Part } from './HandOver';

/** The end of a job: what hangs where, what it hangs on, and the word that it is done. */
export function DonePage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ posture }) => <Summary id={id} posture={posture} />}</RoomFrame>;
}

function Summary({ id, posture }: { id: string; posture: Posture }) {
  const palette = usePalette();
  const { job, plan, say, dispatch, readOnly } = useRoomContext();
  const done = job.record?.done;
  const finish = () => {
    const at = new Date().toISOString();
    if (dispatch({ do: 'put', path: 'record.done', value: at }).length === 0) router.replace('/');
  };
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="done">
      <PageHead title={job.title} back="back to hanging" onBack={() => router.replace(`/room/${id}/hang`)}>
        <View style={{ paddingRight: 12 }}>
          <PlanVerdict plan={plan} />
        </View>
      </PageHead>
      <View style={{ flex: 1, flexDirection: isBeside(posture) ? 'row' : 'column' }}>
        {isBeside(posture) ? (
          <View style={{ flex: 1 }}>
            <WallDone />
          </View>
        ) : null}
        <ScrollView style={{ flex: 1 }} tabIndex={0}>
          {isBeside(posture) ? null : (
            <View style={{ height: DRAWING_PX }}>
              <WallDone />
            </View>
          )}
          <Part name="set">
            <Txt>{setLine({ screen: job.screen }, say)}</Txt>
          </Part>
          <Part name="mount">
            <Txt>{job.mount?.name ?? 'none picked'}</Txt>
          </Part>
          <Part name="height">
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 }}>
              {heightNumbers(job, plan).map((n) =>
                n.working ? <Figure key={n.label} label={n.label} working={n.working} size={20} /> : null,
              )}
            </View>
          </Part>
          <Part name="holes">
            {holeLines(plan, job.drilled).map((line) => (
              <Txt key={line}>{line}</Txt>
            ))}
          </Part>
          {plan.level ? (
            <Part name="level">
              <Txt>{levelLine(plan.level.corrections)}</Txt>
            </Part>
          ) : null}
          <Part name="pictures">
            <PicturesLink of="room" all />
          </Part>
          <HandOver />
          <Stands plan={plan} text={(f) => findingText(f, say)} />
          <View style={{ padding: 16 }}>
            <Txt kind="small" soft>
              A check of arithmetic on what was entered, not an engineer’s approval. Follow the leaflet and local codes;
              fixed wiring, gas and structure are for licensed trades.
            </Txt>
          </View>
          <View style={{ paddingHorizontal: 16, paddingBottom: 16, gap: 10 }}>
            <Action
              quiet
              label="on paper: sheet, template, drawings"
              testID="to-sheets"
              onPress={() => router.push(`/room/${id}/sheets`)}
            />
            <Action quiet label="save as a file" onPress={() => saveRoomFile(job)} />
            {done !== undefined && !readOnly ? (
              <Action
                quiet
                label="open it again"
                testID="reopen"
                onPress={() => dispatch({ do: 'drop', path: 'record.done' })}
              />
            ) : null}
          </View>
        </ScrollView>
      </View>
      <View
        style={{ padding: 6, backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink, gap: 4 }}
      >
        {done === undefined ? (
          <Action label="It is done" icon="check" testID="finish" disabled={readOnly} onPress={finish} />
        ) : (
          <>
            <Txt testID="done-at">{`Done ${momentText(done)}`}</Txt>
            <Action label="all rooms" icon="next" testID="primary-action" onPress={() => router.replace('/')} />
          </>
        )}
      </View>
      <WorkingSheet />
    </View>
  );
}

const DRAWING_PX = 260;

/** The wall as it was done, to scale. */
function WallDone() {
  const { job, plan } = useRoomContext();
  const scene = useMemo(() => roomFace(job, plan, 'holes'), [job, plan]);
  return (
    <Drawing
      scene={scene}
      box={scene.focus}
      units={job.units}
      label={`the wall as it was done, to scale: ${job.title}`}
      testID="done-face"
    />
  );
}

/** What still stands against it: nothing that was acknowledged or settled. */
function Stands({ plan, text }: { plan: Plan; text: (f: Plan['findings'][number]) => string }) {
  const open = plan.findings.filter((f) => f.level !== 'info');
  if (open.length === 0) return null;
  return (
    <Part name="stands">
      {open.map((f) => (
        <Txt key={f.code} kind="small">{`${text(f)}${f.acknowledged ? ' Acknowledged.' : ''}`}</Txt>
      ))}
    </Part>
  );
}

function holeLines({ holes = [] }: Plan, came: Job['drilled'] = []): string[] {
  const drilled = holes.filter((h) => h.done).length;
  const odd = came.filter((d) => d.result !== 'good');
  return [
    holes.length === 0 ? 'none' : `${drilled} of ${holes.length} drilled`,
    ...odd.map((d) => `${nameOf(d.hole, holes)}: ${resultName(d.result)}`),
  ];
}

function nameOf(id: string, holes: readonly Hole[]): string {
  const hole = holes.find((h) => h.id === id);
  return hole ? holeName(hole, holes) : id;
}
