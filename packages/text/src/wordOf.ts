/** A word from a complete table; what stands in no table, of a file from elsewhere, is its own word. */
export const wordOf =
  <K extends string>(table: Record<K, string>) =>
  (key: string): string =>
    key in table ? table[key as K] : key;
