/**
 * Keeps the last answers of a pure function by the identity of exactly its arguments: objects by
 * reference, plain values by value. It belongs to whoever made it; nothing is kept for everybody.
 * An edit of a job keeps the identity of all that it does not touch, so that identity is a key.
 * `const twice = memo((x: number) => 2 * x); twice(4); twice(4)` works it out once.
 */
export function memo<A extends readonly unknown[], R>(work: (...args: A) => R, most = 1): (...args: A) => R {
  const kept: { args: A; answer: R }[] = [];
  return (...args) => {
    const known = kept.find((k) => k.args.length === args.length && k.args.every((a, i) => Object.is(a, args[i])));
    if (known) return known.answer;
    const answer = work(...args);
    if (kept.length >= most) kept.shift();
    kept.push({ args, answer });
    return answer;
  };
}

/** The same, with answers of its own for each first argument, as long as that lives: for long lists of mounts. */
export function memoEach<K extends object, A extends readonly unknown[], R>(
  work: (each: K, ...args: A) => R,
  most = 1,
): (each: K, ...args: A) => R {
  const kept = new WeakMap<K, (...args: A) => R>();
  return (each, ...args) => {
    const own = kept.get(each) ?? memo((...rest: A) => work(each, ...rest), most);
    kept.set(each, own);
    return own(...args);
  };
}
