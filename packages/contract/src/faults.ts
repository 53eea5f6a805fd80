import type { z } from 'zod';
import type { Fault } from './api';
import { JOB_BOUNDS, MOST_FAULTS, beyondBounds, pathText, shortened, type Bounds } from './bounds';

export type Checked<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

/**
 * Checks a value against a format and lists every fault with its path, not only the first; of more than 500 the
 * number. What is larger or nested deeper than anything real is told as that and not looked at.
 * `checkFile(job, { format: 'steddo-job' })` gives a fault at `version`, `title`, `units` and so on.
 */
export function checkFile<T>(schema: z.ZodType<T>, value: unknown, bounds: Bounds = JOB_BOUNDS): Checked<T> {
  const beyond = beyondBounds(value, bounds);
  if (beyond.length > 0) return { ok: false, faults: beyond };
  const result = schema.safeParse(value, { reportInput: true });
  if (result.success) return { ok: true, value: result.data };
  const { issues } = result.error;
  return { ok: false, faults: shortened(issues.slice(0, MOST_FAULTS).flatMap(faultsOf), issues.length) };
}

type Issue = z.core.$ZodIssue;

function faultsOf(issue: Issue): Fault[] {
  if (issue.code === 'unrecognized_keys')
    return issue.keys.map((key) => ({
      path: pathText([...issue.path, key]),
      reason: 'is not a field of this format',
    }));
  if (issue.code === 'invalid_union' && issue.errors.length > 0) return unionFaults(issue);
  return [{ path: pathText(issue.path), reason: reasonOf(issue) }];
}

/** Of a union, report the branch that came nearest (fewest faults), with its full path. */
function unionFaults(issue: Extract<Issue, { code: 'invalid_union' }>): Fault[] {
  const nearest = [...issue.errors].sort((a, b) => a.length - b.length)[0] ?? [];
  const wrongTypeOnly = nearest.every((i) => i.path.length === 0);
  if (wrongTypeOnly) return [{ path: pathText(issue.path), reason: reasonOf(issue) }];
  return nearest.flatMap((inner) => faultsOf({ ...inner, path: [...issue.path, ...inner.path] } as Issue));
}

function reasonOf(issue: Issue): string {
  const missing = issue.input === undefined;
  switch (issue.code) {
    case 'invalid_type':
      return missing ? `is missing (takes ${nameOfType(issue.expected)})` : typeReason(issue);
    case 'too_small':
      return smallReason(issue);
    case 'too_big':
      return `must be at most ${String(issue.maximum)}${counted(issue.origin)}`;
    case 'invalid_value':
      return `${missing ? 'is missing (' : ''}takes ${issue.values.map((v) => JSON.stringify(v)).join(', ')}${missing ? ')' : `, not ${shown(issue.input)}`}`;
    case 'invalid_union':
      return missing ? 'is missing' : unionReason(issue);
    default:
      return issue.message;
  }
}

function typeReason(issue: Extract<Issue, { code: 'invalid_type' }>): string {
  return `takes ${nameOfType(issue.expected)}, not ${shown(issue.input)}`;
}

function smallReason(issue: Extract<Issue, { code: 'too_small' }>): string {
  const custom = issue.origin === 'string' && !issue.message.startsWith('Too small');
  if (custom) return issue.message;
  const word = issue.inclusive === false ? 'more than' : 'at least';
  return `must be ${word} ${String(issue.minimum)}${counted(issue.origin)}${issue.origin === 'number' ? `, not ${shown(issue.input)}` : ''}`;
}

function unionReason(issue: Extract<Issue, { code: 'invalid_union' }>): string {
  return issue.message === 'Invalid input' ? `does not take ${shown(issue.input)}` : issue.message;
}

function counted(origin: string): string {
  if (origin === 'string') return ' characters';
  return origin === 'array' ? ' entries' : '';
}

function nameOfType(expected: string): string {
  const names: Record<string, string> = {
    number: 'a number',
    string: 'text',
    boolean: 'true or false',
    array: 'a list',
    object: 'an object',
    record: 'an object',
    int: 'a whole number',
    tuple: 'a list',
  };
  return names[expected] ?? expected;
}

function shown(input: unknown): string {
  if (input === null) return 'null (leave the field out instead)';
  const text = textOf(input);
  return text.length > 40 ? `${text.slice(0, 37)}…` : text;
}

/** As JSON writes it; of what is nested deeper than can be written, its kind. */
function textOf(input: unknown): string {
  try {
    return JSON.stringify(input) ?? String(input);
  } catch {
    return Array.isArray(input) ? 'a list nested too deep' : 'an object nested too deep';
  }
}
