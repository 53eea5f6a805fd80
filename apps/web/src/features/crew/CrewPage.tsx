import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { crewState, type CrewState } from '../../data/crewState';
import { askCrew } from '../../data/crewApi';
import { useFollowed } from '../../data/followed';
import { Action, IconTap } from '../../ui/Action';
import { Notice } from '../../ui/Notice';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { momentText } from '../../ui/moment';
import { CrewDevices } from './CrewDevices';
import { EnterForm } from './EnterForm';
import { PairingPart } from './PairingPart';
import { MyNames } from './MyNames';

/** Who may use this server: who this device is in the crew, letting another one in, taking a lost one out. */
export function CrewPage() {
  const palette = usePalette();
  const state = useFollowed(crewState);
  useEffect(() => void askCrew(), []);
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground, alignItems: 'center' }}>
      <View style={{ flex: 1, width: '100%', maxWidth: 760 }}>
        <View style={{ flexDirection: 'row', alignItems: 'center' }}>
          <IconTap icon="back" label="all rooms" onPress={() => router.replace('/')} />
          <Txt kind="title" level={1}>
            Crew
          </Txt>
        </View>
        <ScrollView style={{ flex: 1 }} tabIndex={0} testID="crew" contentContainerStyle={{ paddingBottom: 32 }}>
          <Body state={state} />
        </ScrollView>
      </View>
    </View>
  );
}

function Body({ state }: { state: CrewState }) {
  switch (state.kind) {
    case 'unasked':
      return (
        <Notice
          tone="note"
          text="The server has not said yet whether it has a crew, or it cannot be reached. What is on this device works meanwhile."
        >
          <Action quiet label="ask again" onPress={() => void askCrew()} />
        </Notice>
      );
    case 'none':
      return (
        <Notice
          tone="note"
          testID="no-crew"
          text="This server answers this machine only, so it asks nobody who they are. To use it with several phones it needs a passcode and an address of its own: docs/running.md has the steps."
        />
      );
    case 'passcode':
    case 'taken-out':
      return <Stranger state={state} />;
    case 'in':
      return (
        <>
          <MyNames me={state.me} />
          <PairingPart />
          <CrewDevices me={state.me} />
        </>
      );
  }
}

function Stranger({ state }: { state: Extract<CrewState, { kind: 'passcode' | 'taken-out' }> }) {
  const [entered, setEntered] = useState(false);
  if (entered) return null;
  return (
    <>
      {state.kind === 'taken-out' ? (
        <Notice
          tone="stop"
          testID="taken-out"
          title="This device was taken out of the crew"
          text={`${state.at ? `Somebody of the crew did it ${momentText(state.at)}. ` : ''}Nothing is sent or fetched from here. What you did is kept on this device, and is sent if the crew lets it in again.`}
        />
      ) : (
        <View style={{ padding: 16 }}>
          <Txt>
            This server is a crew’s: it asks once who you are. Somebody whose phone is in can show you a code; else the
            passcode lets you in.
          </Txt>
        </View>
      )}
      <EnterForm onIn={() => setEntered(true)} />
    </>
  );
}
