/** What a log may hold of an error: which and where; never what a statement was given, which is people's rooms. */
export interface LoggedError {
  type: string;
  message: string;
  code?: string;
  at: string[];
  cause?: LoggedError;
}

/** Drivers put the statement's values behind this word. */
const VALUES = /\n?\s*params:[\s\S]*$/;
const DEEPEST = 4;

export function loggedError(error: unknown, depth = 0): LoggedError {
  const { name, message, code, stack, cause } = error as Partial<Error> & { code?: unknown; cause?: unknown };
  return {
    type: name ?? typeof error,
    message: String(message ?? '').replace(VALUES, ''),
    ...(typeof code === 'string' ? { code } : {}),
    at: (stack ?? '')
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .map((line) => line.trim()),
    ...(cause !== undefined && depth < DEEPEST ? { cause: loggedError(cause, depth + 1) } : {}),
  };
}
