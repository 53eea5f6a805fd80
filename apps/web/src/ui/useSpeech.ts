import { useCallback, useEffect, useState } from 'react';

/** Reads a text aloud with the device's own voice, once; nothing where it has none. */
export function useSpeech(): { can: boolean; speaking: boolean; say: (text: string) => void } {
  const can = typeof window !== 'undefined' && 'speechSynthesis' in window;
  const [speaking, setSpeaking] = useState(false);
  useEffect(() => () => (can ? window.speechSynthesis.cancel() : undefined), [can]);
  const say = useCallback(
    (text: string) => {
      if (!can) return;
      window.speechSynthesis.cancel();
      const words = new SpeechSynthesisUtterance(text);
      words.lang = 'en-GB';
      words.rate = 0.9;
      words.onend = () => setSpeaking(false);
      words.onerror = () => setSpeaking(false);
      setSpeaking(true);
      window.speechSynthesis.speak(words);
    },
    [can],
  );
  return { can, speaking, say };
}
