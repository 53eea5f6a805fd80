import {
  createContext,
  useContext,
  useLayoutEffect,
  useRef,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import type { Job, Plan } from '@steddo/contract';
import type { Planner } from './planner';
import { RoomSession, type RoomDoings, type RoomSource } from './roomSession';
import type { RoomActions, RoomShown, RoomStore } from './roomStore';

const Context = createContext<RoomStore | undefined>(undefined);

/** Hands an open room to everything below it. */
export function RoomProvider({
  source,
  doings,
  planner,
  children,
}: {
  source: RoomSource;
  doings: RoomDoings;
  planner?: Planner;
  children: ReactNode;
}) {
  const [session] = useState(() => new RoomSession(source, doings, planner));
  const { id, document, kit, readOnly } = source;
  useLayoutEffect(() => session.update({ id, document, kit, readOnly }), [session, id, document, kit, readOnly]);
  return <Context.Provider value={session.store}>{children}</Context.Provider>;
}

function useStore(): RoomStore {
  const store = useContext(Context);
  if (!store) throw new Error('used outside a room');
  return store;
}

/** What can be done; never a reason to draw anything anew. */
export const useActions = (): RoomActions => useStore().actions;

/** What is shown at the moment of asking, for what a tap does; never a reason to draw anything anew. */
export const useRoomNow = (): (() => RoomShown) => useStore().get;

/** A part of what is shown: drawn anew when just that is another, compared as `same` says. */
export function useShown<T>(select: (shown: RoomShown) => T, same: (a: T, b: T) => boolean = Object.is): T {
  const store = useStore();
  const last = useRef<{ value: T } | undefined>(undefined);
  return useSyncExternalStore(store.subscribe, () => {
    const value = select(store.get());
    if (last.current && same(last.current.value, value)) return last.current.value;
    last.current = { value };
    return value;
  });
}

export const usePlan = <T,>(select: (plan: Plan) => T, same?: (a: T, b: T) => boolean): T =>
  useShown((s) => select(s.plan), same);
export const useJob = <T,>(select: (job: Job) => T, same?: (a: T, b: T) => boolean): T =>
  useShown((s) => select(s.job), same);

/**
 * Everything of a room, field by field: who takes `say` and `dispatch` from it is drawn anew when the wording
 * changes, and not with every plan.
 */
export function useRoomContext(): RoomShown & RoomActions {
  const store = useStore();
  const used = useRef(new Set<keyof RoomShown>());
  const last = useRef(store.get());
  const shown = useSyncExternalStore(store.subscribe, () => {
    const now = store.get();
    const changed = [...used.current].some((field) => !Object.is(now[field], last.current[field]));
    if (changed) last.current = now;
    return last.current;
  });
  const [view] = useState(() => new Tracked(used.current, store));
  view.shown = shown;
  return view;
}

/** Notes each field that is read. */
class Tracked implements RoomShown, RoomActions {
  shown: RoomShown;
  constructor(
    private readonly used: Set<keyof RoomShown>,
    private readonly store: RoomStore,
  ) {
    this.shown = store.get();
  }
  private read<F extends keyof RoomShown>(field: F): RoomShown[F] {
    this.used.add(field);
    return this.shown[field];
  }
  get id() {
    return this.read('id');
  }
  get job() {
    return this.read('job');
  }
  get plan() {
    return this.read('plan');
  }
  get late() {
    return this.read('late');
  }
  get readOnly() {
    return this.read('readOnly');
  }
  get previewing() {
    return this.read('previewing');
  }
  get say() {
    return this.read('say');
  }
  get tape() {
    return this.read('tape');
  }
  get dispatch() {
    return this.store.actions.dispatch;
  }
  get preview() {
    return this.store.actions.preview;
  }
  get goTo() {
    return this.store.actions.goTo;
  }
}
