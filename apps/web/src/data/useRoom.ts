import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Opened, RoomState } from './rooms';
import { rooms, turns } from './shared';

export type Opening = 'opening' | Opened;

/** A room of this device, kept up to date; `opening` says how far it is. */
export function useRoom(id: string): { state: RoomState | undefined; opening: Opening } {
  const [opening, setOpening] = useState<Opening>('opening');
  const state = useSyncExternalStore(rooms.subscribe, () => rooms.get(id));
  useEffect(() => {
    let here = true;
    setOpening('opening');
    void rooms.open(id).then((result) => here && setOpening(result));
    return () => {
      here = false;
    };
  }, [id]);
  return { state, opening };
}

/** Whether this tab may edit the room: asking for the turn, having it, or another tab has it. */
export type EditTurn = 'asking' | 'mine' | 'elsewhere';

/** A turn that takes longer than this is in another tab's hands, ms. */
const ASKING_MS = 600;

/** One editing tab per room. Reads the room again when the turn comes. */
export function useEditTurn(id: string): EditTurn {
  const [turn, setTurn] = useState<EditTurn>('asking');
  useEffect(() => {
    const leave = new AbortController();
    const patience = setTimeout(() => setTurn((t) => (t === 'asking' ? 'elsewhere' : t)), ASKING_MS);
    let release = () => {};
    const held = new Promise<void>((resolve) => (release = resolve));
    const mine = async () => {
      clearTimeout(patience);
      await rooms.takeTurn(id);
      setTurn('mine');
    };
    turns.take(id, leave.signal, mine, held).catch(() => undefined);
    return () => {
      clearTimeout(patience);
      leave.abort();
      release();
      setTurn('asking');
    };
  }, [id]);
  return turn;
}
