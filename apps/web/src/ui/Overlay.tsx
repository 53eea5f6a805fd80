import { useEffect, useRef, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { View, type ViewStyle } from 'react-native';
import { useBackCloses } from './useBackCloses';

/**
 * Something over the whole page that has to be closed first: Back and Escape close it, what is below can be neither
 * reached nor read aloud meanwhile, and the focus goes back to where it was. In the page's own tree of contexts,
 * which a portal of Paper's would lose.
 */
export function Overlay({
  label,
  onClose,
  children,
  testID,
}: {
  label: string;
  onClose: () => void;
  children: ReactNode;
  testID?: string;
}) {
  const place = useRef<View>(null);
  useBackCloses(onClose);
  useEffect(() => holdFocus(place.current as unknown as HTMLElement), []);
  return createPortal(
    <View ref={place} role="dialog" aria-modal aria-label={label} tabIndex={-1} testID={testID} style={FIXED}>
      {children}
    </View>,
    document.body,
  );
}

/** On the window itself; React Native's types do not know it, its web target does. */
const FIXED = { position: 'fixed', inset: 0, zIndex: 20, outlineStyle: 'none' } as unknown as ViewStyle;

/** Takes the focus in, and what stands beside out of reach; undone by what comes back. */
function holdFocus(place: HTMLElement): () => void {
  const before = document.activeElement;
  const below = [...document.body.children].filter((e): e is HTMLElement => e !== place && e instanceof HTMLElement);
  const reachable = below.filter((e) => !e.inert);
  for (const element of reachable) element.inert = true;
  if (!place.contains(before)) place.focus();
  return () => {
    for (const element of reachable) element.inert = false;
    if (before instanceof HTMLElement && before.isConnected) before.focus({ preventScroll: true });
  };
}
