import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import type { Working } from '@steddo/contract';

interface Opened {
  title: string;
  working: Working;
}
interface WorkingSheetState {
  opened: Opened | undefined;
  open: (title: string, working: Working) => void;
  close: () => void;
}

const Context = createContext<WorkingSheetState | undefined>(undefined);

/** Which working is open; any Figure opens one. */
export function WorkingProvider({ children }: { children: ReactNode }) {
  const [opened, setOpened] = useState<Opened>();
  const value = useMemo(
    () => ({
      opened,
      open: (title: string, working: Working) => setOpened({ title, working }),
      close: () => setOpened(undefined),
    }),
    [opened],
  );
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useWorking(): WorkingSheetState {
  const state = useContext(Context);
  if (!state) throw new Error('a Figure stands outside a room');
  return state;
}
