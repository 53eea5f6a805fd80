import { proxy } from 'comlink';

/**
 * Asks a worker that tells how far it is, until it has answered: what it tells comes another way than its answer, and
 * may come after it.
 */
export async function told<A extends unknown[], T>(
  tell: (...args: A) => void,
  ask: (tell: (...args: A) => void) => Promise<T>,
): Promise<T> {
  let answered = false;
  try {
    return await ask(
      proxy((...args: A) => {
        if (!answered) tell(...args);
      }),
    );
  } finally {
    answered = true;
  }
}
