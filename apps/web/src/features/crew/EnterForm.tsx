import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { checkFile, crew, type EnterRequest } from '@steddo/contract';
import { enterCrew } from '../../data/crewApi';
import { device, localChoice, renameDevice } from '../../data/shared';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Notice } from '../../ui/Notice';
import { NamedLine } from './NamedLine';
import { codeInAddress, codeUsed } from './codeInAddress';

type Way = 'code' | 'passcode';
const WAYS: readonly { value: Way; name: string }[] = [
  { value: 'code', name: 'a code' },
  { value: 'passcode', name: 'the passcode' },
];

/** Who somebody is, and what lets them in. What was typed stays, whatever the server says of it. */
export function EnterForm({ onIn }: { onIn: () => void }) {
  const [given] = useState(codeInAddress);
  // after the router, which writes the address that it began with
  useEffect(() => {
    const timer = setTimeout(codeInAddress);
    return () => clearTimeout(timer);
  }, []);
  const [way, setWay] = useState<Way>('code');
  const [typed, setTyped] = useState(() => ({
    code: given,
    passcode: '',
    person: localChoice.get('person') ?? '',
    device: device.get(),
  }));
  const [faults, setFaults] = useState<Record<string, string>>({});
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const set = (part: Partial<typeof typed>) => {
    setTyped({ ...typed, ...part });
    setFaults({});
    setSaid('');
  };
  const enter = async () => {
    const { person, device: name } = typed;
    const secret = way === 'code' ? { code: typed.code } : { passcode: typed.passcode };
    const checked = checkFile(crew.enterRequest, { ...secret, person, device: name });
    if (!checked.ok) return setFaults(byField(checked.faults));
    setBusy(true);
    const result = await enterCrew(checked.value satisfies EnterRequest);
    setBusy(false);
    if (result.kind === 'refused') {
      const own = byField(result.faults);
      setFaults(Object.keys(own).length > 0 ? own : { [way]: '' });
      return setSaid(result.message);
    }
    codeUsed();
    localChoice.set('person', person.trim());
    renameDevice(name);
    onIn();
    router.replace('/');
  };
  return (
    <View testID="enter">
      <Choice label="let in by" options={WAYS} value={way} onChoose={setWay} />
      {way === 'code' ? (
        <NamedLine
          label="code"
          hint="eight letters and digits, on a phone that is in: crew, let another one in"
          value={typed.code}
          onChange={(code) => set({ code })}
          fault={faults.code}
          exact
          testID="enter-code"
        />
      ) : (
        <NamedLine
          label="passcode"
          hint="the crew’s; it is not kept on this device"
          value={typed.passcode}
          onChange={(passcode) => set({ passcode })}
          fault={faults.passcode}
          secret
          testID="enter-passcode"
        />
      )}
      <NamedLine
        label="your name"
        hint="stands beside what you change"
        value={typed.person}
        onChange={(person) => set({ person })}
        fault={faults.person}
        testID="enter-person"
      />
      <NamedLine
        label="this device"
        hint="so that the right one can be taken out if it is lost"
        value={typed.device}
        onChange={(name) => set({ device: name })}
        fault={faults.device}
        testID="enter-device"
      />
      {said ? <Notice tone="stop" testID="not-let-in" text={`Not let in: ${said}.`} /> : null}
      <View style={{ padding: 16 }}>
        <Action label={busy ? 'asking…' : 'let me in'} disabled={busy} testID="enter-go" onPress={() => void enter()} />
      </View>
    </View>
  );
}

const byField = (faults: readonly { path: string; reason: string }[]): Record<string, string> =>
  Object.fromEntries(faults.map(({ path, reason }) => [path, reason]));
