import type { Job } from '@steddo/contract';
import { measure } from '@steddo/core';
import { rounded } from '@steddo/text';
import { TapeFields } from '../../pad/TapeField';
import type { Field } from '../../pad/fields';
import { Choice } from '../../ui/Choice';
import { Fold } from '../room/Fold';
import { FoldedFindings } from '../room/Findings';
import { useRoomContext } from '../room/RoomContext';

/** The common hole patterns, width x height between the inserts, mm. */
const PATTERNS = [
  '200x200',
  '300x200',
  '300x300',
  '400x200',
  '400x300',
  '400x400',
  '600x400',
  '200x100',
  '100x100',
  '75x75',
] as const;
type Pattern = (typeof PATTERNS)[number];

/** Measure the set; never trust the diagonal. */
export function SetStage() {
  const { job, dispatch, readOnly } = useRoomContext();
  const { pattern } = job.screen;
  const fields = setFields(job);
  const rest = patternFields(job);
  const choose = (value: Pattern) => {
    const [width = 0, height = 0] = value.split('x').map(Number);
    dispatch(measure(job, 'screen.pattern', { width, height }));
  };
  const now = `${rounded(pattern.width, 1)}x${rounded(pattern.height, 1)}`;
  const guess = job.guessed?.includes('screen.pattern');
  return (
    <>
      <TapeFields fields={fields} />
      <Choice
        label="pattern, mm"
        disabled={readOnly}
        options={PATTERNS.map((value) => ({ value, name: value.replace('x', ' x ') }))}
        value={guess ? undefined : (now as Pattern)}
        onChoose={choose}
      />
      <FoldedFindings stage="set" />
      <Fold name="thickness, other patterns, sideways">
        <TapeFields fields={rest} />
      </Fold>
    </>
  );
}

const centreOf = (job: Job) => job.screen.patternCentre ?? { right: 0, up: 0 };

function setFields(job: Job): Field[] {
  const { screen } = job;
  const guessed = (path: string) => job.guessed?.includes(path);
  const put = (path: string) => (value: number, now: Job) => measure(now, path, value);
  return [
    {
      path: 'screen.diagonal',
      label: 'diagonal',
      kind: 'length',
      value: screen.diagonal,
      guess: guessed('screen.diagonal'),
      min: 250,
      max: 4000,
      hint: 'on the label',
      command: put('screen.diagonal'),
    },
    {
      path: 'screen.width',
      label: 'width, overall',
      kind: 'length',
      value: screen.width,
      min: 200,
      max: 4000,
      command: put('screen.width'),
    },
    {
      path: 'screen.height',
      label: 'height, overall',
      kind: 'length',
      value: screen.height,
      min: 100,
      max: 3000,
      command: put('screen.height'),
    },
    {
      path: 'screen.mass',
      label: 'mass',
      kind: 'mass',
      value: screen.mass,
      guess: guessed('screen.mass'),
      min: 0.5,
      max: 200,
      command: put('screen.mass'),
    },
    {
      path: 'screen.patternCentre.up',
      label: 'pattern above the middle',
      hint: 'minus when it sits below',
      kind: 'length',
      value: screen.patternCentre?.up,
      min: -1000,
      max: 1000,
      command: (up, now) => measure(now, 'screen.patternCentre', { ...centreOf(now), up }),
    },
  ];
}

function patternFields(job: Job): Field[] {
  const { screen } = job;
  const side = (axis: 'width' | 'height'): Field => ({
    path: `screen.pattern.${axis}`,
    label: `pattern ${axis}`,
    kind: 'length',
    alwaysMm: true,
    value: screen.pattern[axis],
    min: 20,
    max: 1500,
    command: (value, now) =>
      measure(now, 'screen.pattern', { ...now.screen.pattern, [axis]: value }),
  });
  return [
    {
      path: 'screen.thickness',
      label: 'thickness at the holes',
      kind: 'length',
      value: screen.thickness,
      guess: job.guessed?.includes('screen.thickness'),
      min: 3,
      max: 600,
      command: (v, now) => measure(now, 'screen.thickness', v),
    },
    side('width'),
    side('height'),
    {
      path: 'screen.patternCentre.right',
      label: 'pattern right of the middle',
      hint: 'seen from the front',
      kind: 'length',
      value: screen.patternCentre?.right,
      min: -1000,
      max: 1000,
      command: (right, now) => measure(now, 'screen.patternCentre', { ...centreOf(now), right }),
    },
  ];
}
