import type { SaidValue } from '@/domain/shared/said'
import type { TextKey, Texts } from './texts'
import { shortDate } from '@/domain/shared/dates'

const SAID = /^([a-z]\w*\.[a-z]\w*\.[a-z][\w-]*)(?: (\{.*\}))?$/is

/** Whether a message is the address of a text, with or without values. */
export const isSaid = (message: string): boolean => SAID.test(message)

/** What domain and server named by address (`said`), in words; what is no address stands as it is. */
export function saidWords(message: string, t: Texts): string {
  const [, key, values] = SAID.exec(message) ?? []
  if (!key) return message
  const filled = Object.entries(JSON.parse(values ?? '{}') as Record<string, SaidValue>)
  return t(key as TextKey, Object.fromEntries(filled.map(([name, value]) => [name, valueWords(value, t)])))
}

function valueWords(value: SaidValue, t: Texts): string | number {
  if (typeof value !== 'object') return value
  if ('text' in value) return t(value.text)
  return 'day' in value ? shortDate(value.day) : saidWords(value.said, t)
}
