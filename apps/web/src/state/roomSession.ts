import type { CrewKit, Fault, Job, Stage } from '@steddo/contract';
import { applyCommand, withKit, type Command } from '@steddo/core';
import { sameContent } from '../ui/useSame';
import { Pace, browserFrames } from './pace';
import { Planner, type Planned } from './planner';
import { RoomStore, type ShownParts } from './roomStore';

/** What an open room is made from; `document` is what the device's store holds. */
export interface RoomSource {
  id: string;
  document: Job;
  kit: CrewKit;
  readOnly: boolean;
}

export interface RoomDoings {
  dispatch: (command: Command) => Fault[];
  goTo: (stage: Stage) => void;
}

/** An open room: its document with the crew's kit and the drag in hand, planned, for all that shows it. */
export class RoomSession {
  readonly store: RoomStore;
  private previewed: Command | undefined;
  private readonly pace: Pace;

  constructor(
    private source: RoomSource,
    doings: RoomDoings,
    private readonly planner = new Planner(),
    frames = browserFrames,
  ) {
    this.pace = new Pace(() => {
      const shown = this.shown();
      return () => this.store.set({ ...shown, readOnly: this.source.readOnly });
    }, frames);
    const actions = { ...doings, preview: this.preview };
    const job = this.job();
    const { id, readOnly } = source;
    this.store = new RoomStore({ id, readOnly, previewing: false, job, ...this.plan(job) }, actions);
  }

  /** Another document, kit or turn; the same ones change nothing. */
  update(next: RoomSource): void {
    const { id, document, kit, readOnly } = this.source;
    this.source = next;
    if (document !== next.document || kit !== next.kit || id !== next.id) this.show();
    else if (readOnly !== next.readOnly) this.store.set({ readOnly: next.readOnly });
  }

  private preview = (command: Command | undefined, when: 'now' | 'paced' = 'now'): void => {
    if (sameContent(command, this.previewed)) return;
    this.previewed = command;
    if (when === 'paced') this.pace.ask();
    else this.show();
  };

  private job(): Job {
    const { document, kit } = this.source;
    return withKit(this.previewed ? applyCommand(document, this.previewed).job : document, kit);
  }

  private show(): void {
    this.pace.drop();
    this.store.set(this.shown());
  }

  private shown(): ShownParts {
    const job = this.job();
    const { id, readOnly } = this.source;
    return { id, readOnly, previewing: this.previewed !== undefined, job, ...this.plan(job) };
  }

  /** Nothing is planned yet where the core is still on its way. */
  private plan(job: Job): Pick<ShownParts, 'planned' | 'late'> {
    const later = ({ plan, late }: Planned) => this.store.set({ planned: plan, late });
    const now = this.planner.plan(job, later, (error) => this.store.fail(error));
    return { planned: now?.plan, late: now?.late };
  }
}
