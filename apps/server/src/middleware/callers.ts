import type { Middleware } from 'koa';
import type { Device } from '../db/devices';
import { callerOf, type Caller, type Reach } from '../reach';

/** What is known of a request once it has come through. */
interface Known {
  caller: Caller;
  /** The crew's device that asks. */
  device?: Device;
}

type Holding = { state: object };

export const callerIn = (ctx: Holding): Caller => (ctx.state as Known).caller;
export const deviceIn = (ctx: Holding): Device | undefined => (ctx.state as Known).device;

export const setDevice = (ctx: Holding, device: Device): void => {
  (ctx.state as Known).device = device;
};

/** Answers only to names of its own, so that no page elsewhere can reach the rooms through a name of that page's. */
export const callers =
  (reach: Reach): Middleware =>
  (ctx, next) => {
    const caller = callerOf(ctx.req, reach);
    (ctx.state as Known).caller = caller;
    if (!caller.known)
      ctx.throw(
        421,
        reach.hosts.length === 0 ? 'this server answers on this machine only' : 'this server has another name',
      );
    return next();
  };
