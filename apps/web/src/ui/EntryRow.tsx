import type { ReactNode } from 'react';
import { View } from 'react-native';
import { IconTap } from './Action';
import { Icon } from './Icon';
import { steady } from './steady';
import { Tap } from './Tap';
import { chosenRow } from './chosenRow';
import { usePalette } from './tokens';
import { Txt } from './Txt';
import { useIntoView } from './useIntoView';

export interface EntryRowProps {
  title: string;
  note?: string;
  open: boolean;
  onOpen: () => void;
  onRemove?: () => void;
  disabled: boolean;
  testID: string;
  children: ReactNode;
}

/** A line of a list that opens into its fields, with a way to take it away; undo brings it back. */
export function EntryRow(props: EntryRowProps) {
  const { title, note, open, onOpen, onRemove, disabled, testID, children } = props;
  const palette = usePalette();
  const place = useIntoView(open);
  return (
    <View
      ref={place}
      testID={testID}
      style={{
        ...chosenRow(palette, open),
      }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <Head title={title} note={note} open={open} onOpen={onOpen} />
        {onRemove ? <IconTap icon="trash" label={`take ${title} away`} disabled={disabled} onPress={onRemove} /> : null}
      </View>
      {open ? children : null}
    </View>
  );
}

type HeadProps = Pick<EntryRowProps, 'title' | 'open' | 'onOpen'> & { note: string | undefined };

const Head = steady(function Head({ title, note, open, onOpen }: HeadProps) {
  return (
    <Tap
      label={`${title}${note ? `, ${note}` : ''}, ${open ? 'close' : 'open'}`}
      expanded={open}
      onPress={onOpen}
      style={{ flex: 1, paddingLeft: 10, minHeight: 52 }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Txt kind="bold">{title}</Txt>
          {note ? (
            <Txt kind="small" soft>
              {note}
            </Txt>
          ) : null}
        </View>
        <Icon name={open ? 'up' : 'down'} />
      </View>
    </Tap>
  );
});
