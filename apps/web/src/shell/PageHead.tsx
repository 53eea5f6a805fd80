import type { ReactNode } from 'react';
import { View } from 'react-native';
import { IconTap } from '../ui/Action';
import { Txt } from '../ui/Txt';

/** Back, what the page is, and what stands beside its name. */
export function PageHead({
  title,
  back,
  onBack,
  under,
  children,
}: {
  title: string;
  /** Where back leads. */
  back: string;
  onBack: () => void;
  under?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', paddingTop: 4 }}>
      <IconTap icon="back" label={back} onPress={onBack} />
      <View style={{ flex: 1 }}>
        <Txt kind="title" level={1} lines={2}>
          {title}
        </Txt>
        {under}
      </View>
      {children}
    </View>
  );
}
