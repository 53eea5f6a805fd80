import { Suspense, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Coming } from './Coming';
import { Icon } from './Icon';
import { steady } from './steady';
import { Tap } from './Tap';
import { usePalette } from './tokens';
import { Txt } from './Txt';
import { useIntoView } from './useIntoView';

/** The rest of a stage's inputs, under a clear name. */
export function Fold({
  name,
  children,
  start = false,
  hold = false,
}: {
  name: string;
  children: ReactNode;
  /** Open from the start. */
  start?: boolean;
  /** Kept open while something in it is being worked on. */
  hold?: boolean;
}) {
  const [opened, setOpen] = useState(start);
  const open = opened || hold;
  const [pressed, setPressed] = useState(false);
  const place = useIntoView(open && pressed);
  return (
    <View ref={place}>
      <Head
        name={name}
        open={open}
        onPress={() => {
          setPressed(true);
          setOpen(!open);
        }}
      />
      {open ? <Suspense fallback={<Coming />}>{children}</Suspense> : null}
    </View>
  );
}

const Head = steady(function Head({ name, open, onPress }: { name: string; open: boolean; onPress: () => void }) {
  const palette = usePalette();
  return (
    <Tap
      label={`${name}, ${open ? 'hide' : 'show'}`}
      expanded={open}
      testID={`fold-${/^\w+/.exec(name)?.[0] ?? name}`}
      onPress={onPress}
      style={{ paddingHorizontal: 16, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View style={{ flex: 1 }}>
          <Txt kind="bold">{name}</Txt>
        </View>
        <Icon name={open ? 'up' : 'down'} />
      </View>
    </Tap>
  );
});
