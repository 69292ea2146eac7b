import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { createTranslator } from 'use-intl/core'
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
    // steps name their words by code: their own test sees to it that all are used
    const places = new Set([...code.matchAll(/`([a-zA-Z]+\.[a-zA-Z]+)\.\$\{/g)].map((m) => m[1]))
    const unsaid = entries
      .map(({ key }) => key)
      .filter((key) => !key.startsWith('visitSteps.'))
      .filter((key) => !code.includes(`'${key}'`) && !places.has(key.split('.').slice(0, 2).join('.')))
    expect(unsaid).toEqual([])
  })
  it('is given the values that its texts name, and no others', () => {
    const wrong: string[] = []
    const t = createTranslator({
      locale: 'en',
      messages: en,
      onError: (error) => wrong.push(error.message),
      getMessageFallback: ({ key }) => key,
    })
    const texts = new Map(entries.map(({ key, text }) => [key, text]))
    for (const { key, values } of calls()) {
      const text = texts.get(key)
      if (text === undefined) continue
      t(key as never, Object.fromEntries(values.map((name) => [name, 2])) as never)
      wrong.push(
        ...values
          .filter((name) => !new RegExp(`\\{\\s*${name}\\b`).test(text))
          .map((name) => `${key} names no ${name}`),
      )
    }
    expect(wrong).toEqual([])
  })
})

/** What says a text: the translator of a view, that of papers, and the address that domain and server give. */
const SAYERS = ['t', 'firmTexts()', 'said']

/**
 * Every `t('key', { … })` of the code with the names of its values; those that are spread in from elsewhere cannot be
 * told.
 */
function calls(): { key: string; values: string[] }[] {
  const found: { key: string; values: string[] }[] = []
  const visit = (node: ts.Node): void => {
    if (ts.isCallExpression(node) && SAYERS.includes(node.expression.getText())) {
      const [key, values] = node.arguments
      const plain =
        values === undefined || (ts.isObjectLiteralExpression(values) && !values.properties.some(ts.isSpreadAssignment))
      if (key && ts.isStringLiteral(key) && plain)
        found.push({
          key: key.text,
          values: values ? (values as ts.ObjectLiteralExpression).properties.map((p) => p.name!.getText()) : [],
        })
    }
    ts.forEachChild(node, visit)
  }
  for (const source of sources())
    visit(ts.createSourceFile('x.tsx', source, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX))
  return found
}
