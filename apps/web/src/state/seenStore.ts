import type { Side } from '@steddo/contract';
import { sideWallCommand, wallSeen, type Command } from '@steddo/core';
import type { RoomActions, RoomShown, ShownSource } from './roomStore';

/** A wall of a corner job. */
export type CornerWall = 'main' | Side;

/** On the other wall everything along it is measured from the corner. */
export const isFromCorner = (wall: CornerWall | undefined): boolean => wall !== undefined && wall !== 'main';

/** One wall of a corner for whoever works on it: shown as if it were the room's only one, its edits put where they belong. */
export class SeenStore implements ShownSource {
  private last: { whole: RoomShown; seen: RoomShown } | undefined;
  readonly actions: RoomActions;

  constructor(
    private readonly whole: ShownSource,
    private readonly wall: CornerWall,
  ) {
    const { actions } = whole;
    const there = (command: Command): Command =>
      wall === 'main' ? command : sideWallCommand(whole.get().job, wall, command);
    this.actions = {
      ...actions,
      dispatch: (command) => actions.dispatch(there(command)),
      preview: (command, when) => actions.preview(command && there(command), when),
    };
  }

  get = (): RoomShown => {
    const whole = this.whole.get();
    if (this.last?.whole !== whole) {
      const { job, plan } = wallSeen(whole.job, whole.plan, this.wall);
      this.last = { whole, seen: { ...whole, job, plan, planned: plan } };
    }
    return this.last.seen;
  };

  subscribe = (listener: () => void): (() => void) => this.whole.subscribe(listener);
}
