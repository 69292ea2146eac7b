import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { en } from './en'
import { textsIn, type TextKey } from './texts'

const entries = Object.entries(en).flatMap(([noun, places]) =>
  Object.entries(places as Record<string, Record<string, string>>).flatMap(([place, texts]) =>
    Object.entries(texts).map(([key, text]) => ({ key: `${noun}.${place}.${key}`, text })),
  ),
)
const namesIn = (text: string) => [...new Set([...text.matchAll(/\{\s*(\w+)/g)].map((m) => m[1]))]

/** The sources that may say something, without the catalogue itself. */
function sources(folder = 'src'): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (path === join('src', 'messages', 'en')) return []
    if (statSync(path).isDirectory()) return sources(path)
    return /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name) ? [readFileSync(path, 'utf8')] : []
  })
}
const code = [...sources('src'), readFileSync('demo/load.ts', 'utf8')].join('\n')

describe('the catalogue', () => {
  it('holds only texts that can be read: every one is filled in with its values', () => {
    const t = textsIn('en')
    for (const { key, text } of entries) {
      const values = Object.fromEntries(namesIn(text).map((name) => [name, 2]))
      expect(t(key as TextKey, values)).not.toMatch(/\{|undefined/)
    }
  })
  it('speaks calmly, also to customers', () => expect(entries.filter(({ text }) => text.includes('!'))).toEqual([]))
  it('has no text that nothing says', () => {
    const places = new Set([...code.matchAll(/`([a-zA-Z]+\.[a-zA-Z]+)\.\$\{/g)].map((m) => m[1]))
    const unsaid = entries.map(({ key }) => key).filter((key) => !code.includes(`'${key}'`) && !places.has(key.split('.').slice(0, 2).join('.')))
    expect(unsaid).toEqual([])
  })
  it('is given the values that its texts name', () => {
    const named = new Set(entries.filter(({ text }) => namesIn(text).length > 0).map(({ key }) => key))
    const wrong = [...code.matchAll(/\bt\(\s*'([\w.-]+)'\s*(\)?)/g)].filter(([, key, closed]) => closed && named.has(key)).map(([, key]) => key)
    expect(wrong).toEqual([])
  })
})
