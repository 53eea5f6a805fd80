import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Txt } from './Txt';

/** After this somebody wants to know why it takes so long, ms. */
const LONG_MS = 5000;

/** Stands in for what is worked out or drawn, while what does that is still on its way to the page. */
export function Coming({ words = 'Being worked out…' }: { words?: string }) {
  const [long, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), LONG_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <View style={{ padding: 16, gap: 4 }} testID="coming">
      <Txt soft>{words}</Txt>
      {long ? (
        <Txt kind="small" soft>
          The part of the app that does this has not come yet; it is asked for again and again. What is entered is kept,
          also when the page is opened anew.
        </Txt>
      ) : null}
    </View>
  );
}
