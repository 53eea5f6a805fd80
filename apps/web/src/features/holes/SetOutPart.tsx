import { View } from 'react-native';
import { setOutOf, type SetOut } from '@steddo/core';
import { setOutName, setOutText } from '@steddo/text';
import { Choice } from '../../ui/Choice';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

const WAYS: readonly SetOut[] = ['one-bolt', 'held-up', 'template'];

/** How the marks come onto the wall: the steps at the holes go by it. */
export function SetOutPart() {
  const { job, dispatch, readOnly } = useRoomContext();
  const now = setOutOf(job);
  return (
    <View testID="set-out">
      <Choice
        label="by"
        options={WAYS.map((value) => ({ value, name: setOutName[value] }))}
        value={now}
        disabled={readOnly}
        onChoose={(value) => dispatch({ do: 'put', path: 'choices.setOut', value })}
      />
      <View style={{ paddingHorizontal: 16, paddingBottom: 8 }}>
        <Txt kind="small" soft>
          {setOutText[now]}
        </Txt>
      </View>
    </View>
  );
}
