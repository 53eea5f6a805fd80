import { useMemo } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Job } from '@steddo/contract';
import { roomFace } from '@steddo/drawing';
import { setLine, stageName, wordingFor } from '@steddo/text';
import { Drawing } from '../../canvas/Drawing';
import type { ListedRoom } from '../../data/useLists';
import { Action } from '../../ui/Action';
import { FindingNote } from '../../ui/FindingNote';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { PlanVerdict } from '../../ui/Verdict';
import { useListedPlan } from './listedPlans';
import { openAt } from './RoomRow';

const MOST_SAID = 3;

/** Beside the list at a desk: the room that is looked at, its wall and what stands against it. */
export function RoomPreview({ room, document }: { room: ListedRoom; document: Job }) {
  const palette = usePalette();
  const listed = useListedPlan(document);
  const { job, plan, stage = 'room' } = listed ?? { job: document };
  const say = useMemo(() => wordingFor(job), [job]);
  const scene = useMemo(() => plan && roomFace(job, plan, 'heights'), [job, plan]);
  const said = plan?.findings.filter((f) => f.level !== 'info').slice(0, MOST_SAID) ?? [];
  return (
    <View style={{ flex: 1, borderLeftWidth: 2, borderLeftColor: palette.ink }} testID="room-preview">
      <View style={{ padding: 16, flexDirection: 'row', alignItems: 'center', gap: 16 }}>
        <View style={{ flex: 1 }}>
          <Txt kind="title" level={2}>
            {job.title}
          </Txt>
          <Txt soft>{setLine(job, say)}</Txt>
        </View>
        {plan ? <PlanVerdict plan={plan} /> : null}
      </View>
      {scene ? (
        <View style={{ flex: 1, minHeight: 200 }}>
          <Drawing
            scene={scene}
            box={scene.bounds}
            units={job.units}
            label={`the wall, to scale: ${job.title}`}
            testID="preview-face"
          />
        </View>
      ) : null}
      <ScrollView style={{ maxHeight: 220, flexGrow: 0 }} tabIndex={0} contentContainerStyle={{ padding: 12, gap: 8 }}>
        <Txt>{listed?.waits ?? '…'}</Txt>
        {said.map((f) => (
          <FindingNote key={f.code} finding={f} say={say} />
        ))}
      </ScrollView>
      <View style={{ padding: 12 }}>
        <Action
          label={job.record?.done === undefined ? `open at ${stageName[stage]}` : 'open the summary'}
          icon="next"
          testID="preview-open"
          onPress={() => router.push(openAt(room.id, job, stage))}
        />
      </View>
    </View>
  );
}
