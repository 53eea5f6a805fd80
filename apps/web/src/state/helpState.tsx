import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';

interface Help {
  shown: boolean;
  show: () => void;
  hide: () => void;
}

const Context = createContext<Help>({ shown: false, show: () => undefined, hide: () => undefined });

/** Whether words and keys are being looked up. */
export function HelpProvider({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState(false);
  const value = useMemo(() => ({ shown, show: () => setShown(true), hide: () => setShown(false) }), [shown]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export const useHelp = (): Help => useContext(Context);
