/** A value for every key of a list, so that none can be missing. */
export const recordOf = <Key extends string, Value>(
  keys: readonly Key[],
  valueOf: (key: Key, index: number) => Value,
): Record<Key, Value> => Object.fromEntries(keys.map((key, index) => [key, valueOf(key, index)])) as Record<Key, Value>
