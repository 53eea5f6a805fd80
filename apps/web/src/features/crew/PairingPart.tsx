import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { PairingReply } from '@steddo/contract';
import { offerCode } from '../../data/crewApi';
import { failureText } from '../../data/request';
import { Action } from '../../ui/Action';
import { Notice } from '../../ui/Notice';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { CodePicture } from './CodePicture';
import { addressOfCode } from './codeInAddress';

/** Lets another phone in: a code to be typed there, and its picture to be taken by its camera. */
export function PairingPart() {
  const [offered, setOffered] = useState<PairingReply>();
  const [said, setSaid] = useState('');
  const left = useSecondsLeft(offered?.endsAt);
  const offer = async () => {
    try {
      setOffered(await offerCode());
      setSaid('');
    } catch (error) {
      setSaid(failureText(error));
    }
  };
  const shown = offered !== undefined && left > 0;
  return (
    <View style={{ padding: 16, paddingTop: 0, gap: 10 }}>
      <Action
        quiet={shown}
        label={shown ? 'another code' : 'let another phone in'}
        testID="offer-code"
        onPress={() => void offer()}
      />
      {said ? <Notice tone="stop" text={said} /> : null}
      {shown ? <Code code={offered.code} left={left} /> : null}
      {offered !== undefined && left === 0 ? (
        <Notice tone="note" testID="code-over" text="The code was good for five minutes, and they are over." />
      ) : null}
    </View>
  );
}

function Code({ code, left }: { code: string; left: number }) {
  const palette = usePalette();
  const parted = `${code.slice(0, 4)} ${code.slice(4)}`;
  return (
    <View style={{ alignItems: 'center', gap: 8, backgroundColor: palette.sheet, padding: 16 }} testID="offered">
      <CodePicture text={addressOfCode(code)} label={`picture of the code ${parted}`} />
      <Txt kind="figure" style={{ fontSize: 34, lineHeight: 42 }} testID="code">
        {parted}
      </Txt>
      <Txt style={{ textAlign: 'center' }}>
        {`On the other phone: point its camera at the picture, or open ${window.location.host}/crew and type the code.`}
      </Txt>
      <Txt kind="small" soft>
        {`Good for one phone, for ${left < 120 ? `${left} seconds` : `${Math.ceil(left / 60)} minutes`}. Show it to nobody else.`}
      </Txt>
    </View>
  );
}

const TICK_MS = 1000;

/** Seconds until a moment, counted down while somebody looks. */
function useSecondsLeft(end: string | undefined): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (end === undefined) return;
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [end]);
  return end === undefined ? 0 : Math.max(0, Math.ceil((Date.parse(end) - now) / 1000));
}
