import type { ReactElement } from 'react';
import { ScrollView, View } from 'react-native';
import { moveAmong } from './moveAmong';
import { steady } from './steady';
import { Tap } from './Tap';
import { usePalette } from './tokens';
import { Txt } from './Txt';

export interface ChoiceProps<T extends string> {
  label: string;
  options: readonly { value: T; name: string }[];
  value: T | undefined;
  onChoose: (value: T) => void;
  disabled?: boolean;
  /** On several lines, where the page has room for them and the row would run out of sight. */
  wraps?: boolean;
}

/** A few words to choose one from, in a row that scrolls: one stop of the tab key, arrows walk along it. */
export const Choice = steady(Row) as <T extends string>(props: ChoiceProps<T>) => ReactElement;

function Row({ label, options, value, onChoose, disabled, wraps }: ChoiceProps<string>) {
  const palette = usePalette();
  // the one that the tab key meets
  const met = options.find((o) => o.value === value)?.value;
  const group = { role: 'radiogroup', 'aria-label': label, onKeyDown: moveAmong } as const;
  const choices = (
    <>
      <Txt style={{ marginRight: 6 }}>{label}</Txt>
      {options.map((o, i) => {
        const chosen = o.value === value;
        return (
          <Tap
            key={o.value}
            role="radio"
            selected={chosen}
            roving={o.value !== met && (met !== undefined || i > 0)}
            label={o.name}
            disabled={disabled}
            onPress={() => onChoose(o.value)}
            testID={`choice-${o.value}`}
            style={{
              paddingHorizontal: 12,
              borderWidth: chosen ? 2 : 1,
              borderColor: chosen ? palette.action : palette.hairline,
              backgroundColor: chosen ? palette.sheet : 'transparent',
            }}
          >
            <Txt kind={chosen ? 'bold' : 'text'}>{o.name}</Txt>
          </Tap>
        );
      })}
    </>
  );
  return (
    <View style={{ borderBottomWidth: 1, borderBottomColor: palette.hairline, paddingVertical: 2 }}>
      {wraps ? (
        <View {...group} style={[ROW, { flexDirection: 'row', flexWrap: 'wrap', paddingVertical: 6 }]}>
          {choices}
        </View>
      ) : (
        <ScrollView
          horizontal
          // while nothing in it can be focused the row itself can, to be scrolled by keys
          {...(disabled ? { tabIndex: 0 as const } : {})}
          showsHorizontalScrollIndicator={false}
          {...group}
          contentContainerStyle={ROW}
        >
          {choices}
        </ScrollView>
      )}
    </View>
  );
}

const ROW = { alignItems: 'center', paddingHorizontal: 16, gap: 6 } as const;
