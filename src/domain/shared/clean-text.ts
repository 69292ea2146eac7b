/** Half of a pair that stands for no character, and the character that databases do not take. */
const LONE_SURROGATE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g

/** Text that can be stored: without U+0000, and with U+FFFD for halves of characters. */
export const storableText = (text: string): string => text.replaceAll('\u0000', '').replace(LONE_SURROGATE, '\uFFFD')

export const isStorable = (text: string): boolean => storableText(text) === text

/** Every text in a value made storable; everything else as it is. */
export function storable<Value>(value: Value): Value {
  if (typeof value === 'string') return storableText(value) as Value
  if (Array.isArray(value)) return value.map(storable) as Value
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([key, v]) => [storableText(key), storable(v)])) as Value
  return value
}

/** Where in a value a text stands that cannot be stored; null where none does. */
export function unstorablePath(value: unknown, path: readonly string[] = []): readonly string[] | null {
  if (typeof value === 'string') return isStorable(value) ? null : path
  if (value === null || typeof value !== 'object') return null
  for (const [key, inner] of Object.entries(value)) {
    if (!isStorable(key)) return [...path, '?']
    const found = unstorablePath(inner, [...path, key])
    if (found) return found
  }
  return null
}
