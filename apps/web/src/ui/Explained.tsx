import { useState, type KeyboardEvent } from 'react';
import { Text, View, type TextStyle } from 'react-native';
import { GLOSSARY, wordsIn, type GlossaryTerm } from '@steddo/text';
import { BottomSheet } from './BottomSheet';
import { TermSketch } from './TermSketch';
import { Txt } from './Txt';

/** A word of the glossary with its sentence and its drawing; the word itself where nothing above it says it. */
export function WordMeaning({ term, titled = true }: { term: GlossaryTerm; titled?: boolean }) {
  const { word, sentence } = GLOSSARY[term];
  return (
    <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
      <View style={{ flex: 1 }}>
        {titled ? <Txt kind="bold">{word}</Txt> : null}
        <Txt>{sentence}</Txt>
      </View>
      <TermSketch term={term} />
    </View>
  );
}

/** A sentence within a text, whose words that are not everyday ones open what they mean. */
export function Explained({ sentence }: { sentence: string }) {
  const [opened, open] = useState<GlossaryTerm>();
  return (
    <>
      {wordsIn(sentence).map(({ text, term }, at) =>
        term ? <Word key={at} term={term} text={text} onOpen={() => open(term)} /> : text,
      )}
      {opened ? (
        <BottomSheet title={GLOSSARY[opened].word} onClose={() => open(undefined)} testID="word-meaning">
          <WordMeaning term={opened} titled={false} />
        </BottomSheet>
      ) : null}
    </>
  );
}

/** As large as a thumb, without moving the words about it: what stands beside and between the lines can be spared. */
const OPENS = {
  textDecorationLine: 'underline',
  textDecorationStyle: 'dotted',
  paddingVertical: 16,
  marginVertical: -16,
  paddingHorizontal: 16,
  marginHorizontal: -16,
} as const satisfies TextStyle;

function Word({ term, text, onOpen }: { term: GlossaryTerm; text: string; onOpen: () => void }) {
  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key !== 'Enter' && e.key !== ' ') return;
    e.preventDefault();
    onOpen();
  };
  // the key handler is the browser's own: a text has none in the library
  const keys = { tabIndex: 0 as const, onKeyDown };
  return (
    <Text
      {...keys}
      role="button"
      aria-label={`${text}, what it means`}
      onPress={onOpen}
      style={OPENS}
      testID={`word-${term}`}
    >
      {text}
    </Text>
  );
}
