import { Counter, Gauge, Histogram, Registry, collectDefaultMetrics } from 'prom-client';
import type { Timed } from './middleware/requestLog';

/** Seconds; the small ones are what a request takes, the large ones what something in its way does. */
const BUCKETS = [0.002, 0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10];

/** What is counted of this process, in the usual text format; nothing in it names a room, a device or a person. */
export class Watch {
  private readonly registry = new Registry();
  private readonly requests = new Histogram({
    name: 'steddo_request_seconds',
    help: 'How long requests took, by what was asked and how it ended.',
    labelNames: ['method', 'route', 'status'] as const,
    buckets: BUCKETS,
    registers: [this.registry],
  });
  private readonly turnedAway = new Counter({
    name: 'steddo_turned_away_total',
    help: 'Passcodes and codes that were wrong, and tries while it was locked.',
    labelNames: ['why'] as const,
    registers: [this.registry],
  });
  private readonly writable = new Gauge({
    name: 'steddo_database_writable',
    help: '1 while the database could be written when it was last tried, else 0.',
    registers: [this.registry],
  });

  constructor(private readonly ownProcess: boolean) {
    if (ownProcess) collectDefaultMetrics({ register: this.registry });
  }

  readonly timed: Timed = ({ method, route, status, ms }) =>
    this.requests.observe({ method, route, status: String(status) }, ms / 1000);

  readonly refused = (why: 'wrong' | 'locked'): void => this.turnedAway.inc({ why });

  database(writable: boolean): void {
    this.writable.set(writable ? 1 : 0);
  }

  get type(): string {
    return this.registry.contentType;
  }
  text = (): Promise<string> => this.registry.metrics();
}
