/** Old name of a key → new name. */
export type KeyNames = Readonly<Record<string, string>>

/** A stored document with some of its keys renamed wherever they stand; all else stays as it is, in its order. */
export function renameKeys(value: unknown, names: KeyNames): unknown {
  if (Array.isArray(value)) return value.map((item) => renameKeys(item, names))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, item]) => [Object.hasOwn(names, key) ? names[key] : key, renameKeys(item, names)]),
  )
}
