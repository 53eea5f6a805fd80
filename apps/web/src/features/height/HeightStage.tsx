import { View } from 'react-native';
import type { Height, Job, School } from '@steddo/contract';
import { SCHOOLS, chooseHeight, isComfortable, measure, type Command } from '@steddo/core';
import { bindingName, rounded, schoolName, type Say } from '@steddo/text';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { VerdictShape } from '../../ui/Verdict';
import { Figure } from '../../work/Figure';
import { FoldedFindings } from '../room/Findings';
import { useRoomContext } from '../room/RoomContext';

/** What each school says for this room, side by side; the installer chooses, or moves the set. */
export function HeightStage() {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const chosen = job.choices?.centreY;
  const choose = (school: School) => {
    if (!readOnly) dispatch(followSchool(job, school));
  };
  return (
    <View>
      <View role="radiogroup" aria-label="schools of height">
        {SCHOOLS.map((school) => (
          <SchoolRow
            key={school}
            school={school}
            height={plan.heights?.find((h) => h.school === school)}
            chosen={chosen === undefined && job.aim.height === school}
            onChoose={() => choose(school)}
          />
        ))}
      </View>
      <TapeFields fields={[centreField(job, plan.placement?.centre.y)]} />
      <FoldedFindings stage="height" />
    </View>
  );
}

function followSchool(job: Job, school: School): Command {
  const commands = [
    measure(job, 'aim.height', school),
    { do: 'drop', path: 'choices.centreY' } as const,
  ];
  return { do: 'all', commands };
}

function centreField(job: Job, now: number | undefined): Field {
  const chosen = job.choices?.centreY;
  return {
    path: 'choices.centreY',
    label: chosen === undefined ? 'or the centre at' : 'centre, by hand',
    hint: chosen === undefined ? 'type it, or drag the set' : 'choose a school to let go of it',
    kind: 'length',
    value: chosen ?? now,
    min: 100,
    max: job.room.wall.height,
    command: (value, now) => chooseHeight(now, value),
  };
}

function SchoolRow({
  school,
  height,
  chosen,
  onChoose,
}: {
  school: School;
  height: Height | undefined;
  chosen: boolean;
  onChoose: () => void;
}) {
  const palette = usePalette();
  const { job, say } = useRoomContext();
  const comfortable = isComfortable(height?.angles ?? []);
  return (
    <View
      testID={`school-${school}`}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
        borderLeftWidth: 6,
        borderLeftColor: chosen ? palette.action : 'transparent',
        backgroundColor: chosen ? palette.sheet : 'transparent',
      }}
    >
      <Tap
        role="radio"
        selected={chosen}
        label={schoolName(school)}
        onPress={onChoose}
        style={{ flex: 1, paddingLeft: 10, paddingVertical: 6, minHeight: 56 }}
      >
        <Txt kind="bold">{capital(schoolName(school))}</Txt>
        <Txt kind="small" soft>
          {subline(school, height, job, say)}
        </Txt>
      </Tap>
      {height?.working ? (
        <View style={{ width: 92 }}>
          <Figure label={`centre, ${schoolName(school)}`} working={height.working} hideLabel />
        </View>
      ) : null}
      {height?.tiltWorking ? (
        <View style={{ width: 62 }}>
          <Figure
            label="tilt needed"
            working={height.tiltWorking}
            size={15}
            after={height.tiltWorking.value < 0 ? 'down' : 'up'}
            hideLabel
          />
        </View>
      ) : null}
      <View style={{ width: 34 }}>
        {height?.centre === undefined ? null : (
          <VerdictShape verdict={comfortable ? 'go' : 'caution'} />
        )}
      </View>
    </View>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function subline(school: School, height: Height | undefined, job: Job, say: Say): string {
  if (!height)
    return school === 'above' ? 'needs something that stands below' : 'needs an eye height';
  if (height.centre === undefined)
    return `no height works: ${height.binding.map((b) => bindingName(b, say)).join(', ')}`;
  if (height.binding.length > 0)
    return `moved: ${height.binding.map((b) => bindingName(b, say)).join(', ')}`;
  return angleWords(height, job) || plainWords(school);
}

const plainWords = (school: School): string =>
  school === 'eyes'
    ? 'eyes, on average'
    : school === 'above'
      ? 'clear of what stands below'
      : 'nearest to the eyes';

/** How far each viewer's gaze leaves its rest. */
function angleWords(height: Height, job: Job): string {
  return height.angles
    .map((a) => {
      const name = job.room.viewers?.find((v) => v.id === a.viewer)?.name ?? a.viewer;
      const off = Math.round(a.fromRest);
      if (off === 0) return `${name} at rest`;
      return `${name} ${rounded(Math.abs(off), 0)}° ${off < 0 ? 'below' : 'above'} rest`;
    })
    .join(', ');
}
