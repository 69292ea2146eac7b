import type { SaidValue } from '@/domain/shared/said'
import type { TextKey, Texts } from './texts'

const SAID = /^([a-z]\w*\.[a-z]\w*\.[a-z]\w*)(?: (\{.*\}))?$/is

/** What domain and server named by address (`said`), in words; what is no address stands as it is. */
export function saidWords(message: string, t: Texts): string {
  const [, key, values] = SAID.exec(message) ?? []
  if (!key) return message
  const filled = Object.entries(JSON.parse(values ?? '{}') as Record<string, SaidValue>)
  return t(key as TextKey, Object.fromEntries(filled.map(([name, value]) => [name, valueWords(value, t)])))
}

function valueWords(value: SaidValue, t: Texts): string | number {
  if (typeof value !== 'object') return value
  return 'text' in value ? t(value.text) : saidWords(value.said, t)
}
