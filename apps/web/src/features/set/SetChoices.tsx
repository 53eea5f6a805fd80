import type { Job } from '@steddo/contract';
import { measure, type Command } from '@steddo/core';
import { View } from 'react-native';
import { classText, rounded } from '@steddo/text';
import { Choice } from '../../ui/Choice';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';
import type { SetStep } from './steps';

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

const THREADS = ['M4', 'M5', 'M6', 'M8'] as const;
const BACKS = [
  { value: 'flat', name: 'flat' },
  { value: 'stepped', name: 'stepped' },
  { value: 'curved', name: 'curved' },
] as const;
const PORTS = [
  { value: 'side', name: 'to the side' },
  { value: 'down', name: 'down' },
  { value: 'back', name: 'straight back' },
] as const;

/** The set's words: pattern, thread, back, plugs. */
export function SetChoice({ which }: { which: NonNullable<SetStep['choice']> }) {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const { screen } = job;
  switch (which) {
    case 'pattern': {
      const { width, height } = screen.pattern;
      const now = `${rounded(width, 1)}x${rounded(height, 1)}`;
      return (
        <>
          <Choice
            label="pattern, mm"
            disabled={readOnly}
            options={PATTERNS.map((value) => ({ value, name: value.replace('x', ' x ') }))}
            value={job.guessed?.includes('screen.pattern') ? undefined : (now as Pattern)}
            onChoose={(value) => dispatch(putPattern(job, value))}
          />
          <View style={{ paddingHorizontal: 16, paddingVertical: 6 }}>
            <Txt kind="small" soft testID="pattern-class">
              {classText(screen, say)}
            </Txt>
          </View>
        </>
      );
    }
    case 'thread':
      return (
        <Choice
          label="thread"
          disabled={readOnly}
          options={THREADS.map((value) => ({ value, name: value }))}
          value={THREADS.find((t) => t === screen.insert?.thread)}
          onChoose={(value) => dispatch(measure(job, 'screen.insert.thread', value))}
        />
      );
    case 'back':
      return (
        <Choice
          label="the back is"
          disabled={readOnly}
          options={BACKS}
          value={screen.back}
          onChoose={(value) => dispatch(measure(job, 'screen.back', value))}
        />
      );
    case 'ports':
      return (
        <Choice
          label="plugs go in"
          disabled={readOnly}
          options={PORTS}
          value={screen.ports}
          onChoose={(value) => dispatch(measure(job, 'screen.ports', value))}
        />
      );
  }
}

function putPattern(job: Job, value: Pattern): Command {
  const [width = 0, height = 0] = value.split('x').map(Number);
  return measure(job, 'screen.pattern', { width, height });
}
