import { useState } from 'react';
import { HelperText, TextInput } from 'react-native-paper';
import { useRoomContext } from '../state/roomState';

/** When somebody comes, as it is written down: a day and a time. */
export function VisitField() {
  const { job, dispatch, readOnly } = useRoomContext();
  const kept = job.visit?.start;
  const [text, setText] = useState(kept ? kept.slice(0, 16).replace('T', ' ') : '');
  const [refused, setRefused] = useState(false);
  const take = () => {
    if (text.trim() === '') {
      setRefused(false);
      if (kept !== undefined) dispatch({ do: 'drop', path: 'visit' });
      return;
    }
    // what the format does not take is refused with the same words
    const faults = dispatch({ do: 'put', path: 'visit', value: { start: text.trim().replace(/\s+/, 'T') } });
    setRefused(faults.length > 0);
  };
  return (
    <>
      <TextInput
        mode="outlined"
        label="day and time"
        aria-label="day and time of the visit"
        placeholder="2027-03-04 09:00"
        value={text}
        onChangeText={setText}
        onBlur={take}
        onSubmitEditing={take}
        disabled={readOnly}
        error={refused}
        testID="visit-start"
      />
      <HelperText type="error" visible={refused}>
        Takes a day and a time such as 2027-03-04 09:00.
      </HelperText>
    </>
  );
}
