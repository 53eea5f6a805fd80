import { ScrollView, View } from 'react-native';
import { Action } from '../ui/Action';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';

const MISSING = [
  'rooms cannot be begun or kept safely: the browser gives no ids, no locks between tabs, no check of what is sent',
  'nothing works without a signal: the app itself is not kept on the device',
  'the screen goes dark at the ladder, and the phone does not tell how level it is',
];

/** The page came over a way that others can read along, and the browser holds back what the app stands on: said, not half done. */
export function Insecure() {
  const palette = usePalette();
  const address = `https://${window.location.hostname}`;
  return (
    <ScrollView style={{ flex: 1, backgroundColor: palette.ground }} tabIndex={0} testID="insecure">
      <View style={{ padding: 24, gap: 14, maxWidth: 640 }}>
        <Txt kind="title" level={1}>
          This address is not secure
        </Txt>
        <Txt>
          {`Steddo was opened over plain http on ${window.location.host}. Others on the network could read along, and the browser holds back what the app needs:`}
        </Txt>
        {MISSING.map((line) => (
          <Txt key={line}>{`– ${line}`}</Txt>
        ))}
        <Txt>
          Open it over https, or on the machine that the server runs on. Whoever looks after the server finds the steps
          in docs/running.md. Nothing that is kept on this device under another address is lost.
        </Txt>
        <Action label={`try ${address}`} testID="try-secure" onPress={() => window.location.assign(address)} />
      </View>
    </ScrollView>
  );
}
