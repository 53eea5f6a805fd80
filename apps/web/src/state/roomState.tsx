import {
  Suspense,
  createContext,
  useContext,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import type { Job, Plan } from '@steddo/contract';
import { Coming } from '../ui/Coming';
import type { Planner } from './planner';
import { RoomSession, type RoomDoings, type RoomSource } from './roomSession';
import type { RoomActions, RoomShown, ShownSource } from './roomStore';
import { SeenStore, type CornerWall } from './seenStore';

const Context = createContext<ShownSource | undefined>(undefined);
/** What a part of a corner's room is seen from, and the whole of it. */
const SeenContext = createContext<{ wall: CornerWall; whole: ShownSource } | undefined>(undefined);

/** Hands an open room to everything below it; what reads its plan waits for the first one. */
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
  return (
    <Context.Provider value={session.store}>
      <Suspense fallback={<Coming />}>{children}</Suspense>
    </Context.Provider>
  );
}

/** Everything below it sees one wall of a corner job alone, and works on it as on any wall; any other room is as it is. */
export function OnWall({ wall, children }: { wall: CornerWall; children: ReactNode }) {
  const given = useStore();
  const whole = useContext(SeenContext)?.whole ?? given;
  const seen = useMemo(() => new SeenStore(whole, wall), [whole, wall]);
  const corner = useShown((s) => s.plan.corner !== undefined);
  const value = useMemo(() => ({ wall, whole }), [wall, whole]);
  if (!corner) return children;
  return (
    <SeenContext.Provider value={value}>
      <Context.Provider value={seen}>{children}</Context.Provider>
    </SeenContext.Provider>
  );
}

/** Which wall of a corner is seen here; undefined where all of the room is. */
export const useSeenWall = (): CornerWall | undefined => useContext(SeenContext)?.wall;

/** The job and plan of the whole room at the moment of asking, whatever wall is seen here. */
export function useWholeNow(): () => RoomShown {
  const own = useStore();
  return (useContext(SeenContext)?.whole ?? own).get;
}

function useStore(): ShownSource {
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
  const from = useRef(store);
  if (from.current !== store) {
    // another wall is another room to whoever works on it
    from.current = store;
    last.current = store.get();
  }
  const shown = useSyncExternalStore(store.subscribe, () => {
    const now = store.get();
    const changed = [...used.current].some((field) => !Object.is(now[field], last.current[field]));
    if (changed) last.current = now;
    return last.current;
  });
  const view = useMemo(() => new Tracked(used.current, store), [store]);
  view.shown = shown;
  return view;
}

/** Notes each field that is read. */
class Tracked implements RoomShown, RoomActions {
  shown: RoomShown;
  constructor(
    private readonly used: Set<keyof RoomShown>,
    private readonly store: ShownSource,
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
  get planned() {
    return this.read('planned');
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
