import { useState } from 'react';
import { View } from 'react-native';
import useSWR, { mutate } from 'swr';
import type { CrewDevice, CrewMember } from '@steddo/contract';
import { askCrew, fetchDevices, takeOutDevice } from '../../data/crewApi';
import { failureText } from '../../data/request';
import { Action } from '../../ui/Action';
import { ConfirmDialog } from '../../ui/ConfirmDialog';
import { Fold } from '../../ui/Fold';
import { Notice } from '../../ui/Notice';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { dayText, momentText } from '../../ui/moment';

/** Every device that is in, with a way to take a lost one out; those that were, below. */
export function CrewDevices({ me }: { me: CrewMember }) {
  const { data, error } = useSWR('crew-devices', fetchDevices);
  const [asked, setAsked] = useState<CrewDevice>();
  const [said, setSaid] = useState('');
  const takeOut = async ({ id }: CrewDevice) => {
    try {
      await takeOutDevice(id);
      setSaid('');
    } catch (failed) {
      setSaid(failureText(failed));
    }
    await mutate('crew-devices');
    if (id === me.id) await askCrew();
  };
  if (error) return <Notice tone="note" text="The crew’s devices are on the server, and it cannot be reached." />;
  const inside = data?.filter((d) => !d.takenOut) ?? [];
  const gone = data?.filter((d) => d.takenOut) ?? [];
  return (
    <>
      <View style={{ paddingHorizontal: 16, paddingTop: 8 }}>
        <Txt kind="title" level={2}>
          {data ? `In the crew: ${inside.length} ${inside.length === 1 ? 'device' : 'devices'}` : 'In the crew'}
        </Txt>
      </View>
      {said ? <Notice tone="stop" text={said} /> : null}
      {inside.map((d) => (
        <DeviceRow key={d.id} device={d} mine={d.id === me.id} onTakeOut={() => setAsked(d)} />
      ))}
      {gone.length > 0 ? (
        <Fold name={`taken out: ${gone.length}`} start={false}>
          {gone.map((d) => (
            <DeviceRow key={d.id} device={d} mine={false} />
          ))}
        </Fold>
      ) : null}
      {asked ? (
        <ConfirmDialog
          title={`Take ${asked.name} out?`}
          text={
            asked.id === me.id
              ? 'It is the one in your hand: it sends and fetches nothing until the crew lets it in again. What is on it stays on it.'
              : `${asked.person}’s ${asked.name} sends and fetches nothing from then on. What is on it stays on it, and nobody can read it from here; what it has not sent yet waits there.`
          }
          action="take it out"
          onTake={() => void takeOut(asked)}
          onClose={() => setAsked(undefined)}
        />
      ) : null}
    </>
  );
}

function DeviceRow({ device, mine, onTakeOut }: { device: CrewDevice; mine: boolean; onTakeOut?: () => void }) {
  const palette = usePalette();
  const { id, person, name, pairedAt, pairedBy, seenOn, takenOut } = device;
  const by = pairedBy === '' ? 'by the passcode' : `by ${pairedBy}`;
  return (
    <View
      testID={`device-${id}`}
      style={{
        paddingVertical: 12,
        paddingHorizontal: 16,
        gap: 6,
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
      }}
    >
      <Txt kind="bold">{`${person}, ${name}${mine ? ' (this one)' : ''}`}</Txt>
      <Txt kind="small" soft>
        {takenOut
          ? `taken out ${momentText(takenOut.at)}${takenOut.by === '' ? '' : ` by ${takenOut.by}`}`
          : `let in ${momentText(pairedAt)} ${by}; last heard of ${dayText(seenOn)}`}
      </Txt>
      {onTakeOut ? <Action quiet label={`take ${name} out`} testID={`take-out-${id}`} onPress={onTakeOut} /> : null}
    </View>
  );
}
