import type { Obligation, Op, Unit, Working } from '@steddo/contract';
import { alike, atMost } from './obligations';
import type { Read } from './wallRead';

/* Every number is one, every working gives the number that it explains, and every guess that matters is named. */

const DEG = 180 / Math.PI;

/** The checker's own arithmetic. */
const OPS: Record<Op, (v: readonly number[]) => number> = {
  '+': (v) => v.reduce((a, b) => a + b, 0),
  '-': ([first = 0, ...rest]) => rest.reduce((a, b) => a - b, first),
  '*': (v) => v.reduce((a, b) => a * b, 1),
  '/': ([a = 0, b = 1]) => a / b,
  min: (v) => Math.min(...v),
  max: (v) => Math.max(...v),
  mean: (v) => v.reduce((a, b) => a + b, 0) / v.length,
  atan: ([a = 0, b = 0]) => Math.atan2(a, b) * DEG,
  tan: ([a = 0]) => Math.tan(a / DEG),
  sin: ([a = 0]) => Math.sin(a / DEG),
  cos: ([a = 0]) => Math.cos(a / DEG),
  abs: ([a = 0]) => Math.abs(a),
  hypot: (v) => Math.sqrt(v.reduce((a, b) => a + b * b, 0)),
  sqrt: ([a = 0]) => Math.sqrt(a),
  pow: ([a = 0, b = 1]) => Math.pow(a, b),
  round: ([a = 0, b = 1]) => Math.round(a / b) * b,
};

const CLOSE = 1e-6;

/** Every number of the plan finite; every node of every working what its terms make of it. */
export function numberChecks({ plan }: Pick<Read, 'plan'>): Obligation[] {
  const seen = new Set<object>();
  let [odd, off, where] = [0, 0, 'plan'];
  const walk = (value: unknown, path: string): void => {
    if (typeof value === 'number') {
      if (Number.isFinite(value)) return;
      odd += 1;
      where = path;
    }
    if (typeof value !== 'object' || value === null || seen.has(value)) return;
    seen.add(value);
    const { op, terms } = value as Working;
    if (op && terms) {
      const node = value as Working;
      const apart = Math.abs(OPS[op](terms.map((t) => t.value)) - node.value) / Math.max(1, Math.abs(node.value));
      if (!(apart <= CLOSE)) [off, where] = [off + 1, path];
    }
    for (const key in value) walk((value as Record<string, unknown>)[key], path === 'plan' ? key : path);
  };
  walk(plan, 'plan');
  return [atMost('numbers', where, odd, 0, 'count'), atMost('numbers', where, off, 0, 'count')];
}

/** How far off a guess may be: a share of it, and at least so much. Ours, as the plan states it. */
const SPAN: Partial<Record<Unit, { share: number; least: number }>> = {
  mm: { share: 0.1, least: 2 },
  kg: { share: 0.2, least: 0.5 },
  deg: { share: 0, least: 5 },
};
const USUAL_SPAN = { share: 0.1, least: 0 };
const DIVISION_MM = { imperial: 25.4 / 16, metric: 1 };
const UTILISATION = 0.05;

function valueWith(w: Working, path: string, by: number): number {
  if (!w.op || !w.terms) return w.path === path ? w.value + by : w.value;
  return OPS[w.op](w.terms.map((t) => valueWith(t, path, by)));
}

function leavesOf(w: Working, into: Map<string, Working>, guessed: ReadonlySet<string>): void {
  if (w.terms) for (const t of w.terms) leavesOf(t, into, guessed);
  else if (w.path !== undefined && (w.guess || guessed.has(w.path))) into.set(w.path, w);
}

/** What a person acts on: where each hole is, and what the worst fastener has to hold. */
function actedOn({ plan }: Read): { what: string; working: Working; tells: number }[] {
  const [first] = plan.loads?.fasteners ?? [];
  return [
    ...(plan.holes ?? []).flatMap((h) => [
      { what: h.id, working: h.working, tells: 0 },
      { what: h.id, working: h.workings.x, tells: 0 },
    ]),
    ...(first ? [{ what: 'utilisation', working: first.workings.utilisation, tells: UTILISATION }] : []),
  ];
}

/** Every guess that moves a mark by a division or a utilisation by 0.05 is named, with what the workings say at its ends. */
export function guessChecks(read: Read): Obligation[] {
  const { plan, job } = read;
  const guessed = new Set(job.guessed ?? []);
  const division = DIVISION_MM[job.units];
  const named = new Set(plan.findings.flatMap((f) => (f.code === 'still-guessed' ? (f.values.paths as string[]) : [])));
  const checks: Obligation[] = [];
  for (const { what, working, tells } of actedOn(read)) {
    const guesses = new Map<string, Working>();
    leavesOf(working, guesses, guessed);
    for (const [path, leaf] of guesses) {
      const { share, least } = SPAN[leaf.unit] ?? USUAL_SPAN;
      const span = Math.max(least, share * Math.abs(leaf.value));
      const moved = Math.max(...[-span, span].map((by) => Math.abs(valueWith(working, path, by) - working.value)));
      const stated = plan.guesses?.find((g) => g.path === path)?.moves.find((m) => m.what === what);
      if (!named.has(path)) checks.push(atMost('guesses', path, moved, tells || division, working.unit));
      else if (stated) checks.push(alike('guesses', path, stated.by, moved, working.unit, { share: 0.05, mm: 1e-6 }));
    }
  }
  return checks;
}
