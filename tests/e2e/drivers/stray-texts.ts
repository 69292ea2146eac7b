import type { Page } from '@playwright/test'
import knexFactory from 'knex'
import { SPECIES_ROWS } from '../../../src/core/plants/species-table'
import { UNIT_KINDS } from '../../../src/core/units/kinds'
import { MARKS } from '../../../src/messages/pseudo'
import { en } from '../../../src/messages/en'

/** Names of the core that are the same in every language: units, and the botanical names of plants. */
const SAME_EVERYWHERE = [SPECIES_ROWS.map(([, botanical]) => botanical), UNIT_KINDS]

/** What the firm begins with and what the server writes down in the firm's language, since it is kept or printed. */
const FIRMS = [
  en.design.bedMaterialNames,
  en.design.trainNames,
  en.design.cuttingPieces,
  en.design.fittingNames,
  en.design.pumpNames,
  en.equipment.kindTasks,
  en.forecasts.filterNames,
  en.plants.speciesNames,
  en.prices.items,
  en.prices.units,
  en.stores.cuttings,
  en.stores.measureNames,
  en.stores.productNames,
  en.stores.productSafety,
  en.visitSteps,
  en.visitTypes,
]

function* stringsIn(value: unknown): Generator<string> {
  if (typeof value === 'string') yield value
  else if (value && typeof value === 'object') for (const part of Object.values(value)) yield* stringsIn(part)
}

/** What the program itself writes down: "under-way". */
const CODE = /^[a-z][a-z-]*$/

/** All that the firm itself has written, and what an external service told: names, notes, addresses. */
async function writtenByTheFirm(): Promise<string[]> {
  const db = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
  try {
    const { rows } = await db.raw<{ rows: { table_name: string; column_name: string }[] }>(
      `select table_name, column_name from information_schema.columns
       where table_schema = 'public' and data_type in ('text', 'character varying', 'jsonb', 'json')`,
    )
    const words = new Set<string>()
    for (const { table_name, column_name } of rows)
      for (const row of await db(table_name)
        .distinct(db.raw('??::text as value', [column_name]))
        .whereNotNull(column_name)
        .limit(5000))
        for (const text of stringsIn(parsed(row.value))) if (!CODE.test(text)) words.add(text)
    return [...words]
  } finally {
    await db.destroy()
  }
}

function parsed(text: string): unknown {
  try {
    return text.startsWith('{') || text.startsWith('[') || text.startsWith('"') ? JSON.parse(text) : text
  } catch {
    return text
  }
}

let made: Promise<(line: string) => string> | undefined

/**
 * What a view says that is neither from the catalogue nor written by the firm, each with its line; the view is in the
 * language that marks its texts. Other tests write on at the same time: what seems to be one is asked about again.
 */
export async function straysOn(page: Page): Promise<string[]> {
  const lines = await unmarked(page)
  const found = async () => {
    const strayIn = await (made ??= makeFinder())
    return lines.flatMap((line) => (strayIn(line) ? [`${strayIn(line)} (${line.trim().slice(0, 60)})`] : []))
  }
  if ((await found()).length === 0) return []
  made = undefined
  return found()
}

/** Makes what finds in a line that which is no text of the catalogue and nothing that the firm has written. */
async function makeFinder(): Promise<(line: string) => string> {
  const known = new Set(
    [...(await writtenByTheFirm()), ...stringsIn(SAME_EVERYWHERE), ...stringsIn(FIRMS)]
      .flatMap((text) => text.split(/\n|\{\w+\}/))
      .map((text) => text.trim().toLowerCase())
      .map((text) => text.replace(/^[^\p{L}\d]+|[^\p{L}\d)]+$/gu, ''))
      .filter((text) => /\p{L}{2}/u.test(text) && text.length < 500),
  )
  const byLength = [...known].sort((a, b) => b.length - a.length)
  const cache = new Map<string, string>()
  return (line) => {
    const key = line.toLowerCase()
    const found = cache.get(key)
    if (found !== undefined) return found
    let rest = key
    for (const text of byLength) if (rest.includes(text)) rest = withoutWhole(rest, text)
    const left = rest
      .replace(DATES, ' ')
      // words in braces are written as they are
      .replace(/\{\w+\}/g, ' ')
      .replace(/[^\p{L}]+/gu, ' ')
      .trim()
    const stray = /\p{L}{2}/u.test(left) ? left : ''
    cache.set(key, stray)
    return stray
  }
}

const letter = (char: string | undefined) => char !== undefined && /\p{L}/u.test(char)
function withoutWhole(line: string, text: string): string {
  let from = 0
  for (;;) {
    const at = line.indexOf(text, from)
    if (at < 0) return line
    if (letter(line[at - 1]) || letter(line[at + text.length])) from = at + 1
    else line = `${line.slice(0, at)} ${line.slice(at + text.length)}`
  }
}

/** Days and months as dates write them. */
const DATES =
  /\b(mon|tue|wed|thu|fri|sat|sun|(mon|tues|wednes|thurs|fri|satur|sun)day|jan(uary)?|feb(ruary)?|mar(ch)?|apr(il)?|may|june?|july?|aug(ust)?|sept?(ember)?|oct(ober)?|nov(ember)?|dec(ember)?)\b/g

/** What a page shows and says to screen readers, without the texts that stand between marks. */
async function unmarked(page: Page): Promise<string[]> {
  const lines = await page.evaluate(() => [
    ...document.body.innerText.split('\n'),
    ...[...document.querySelectorAll('svg text, svg title, svg desc, option')].map((el) => el.textContent ?? ''),
    ...['aria-label', 'placeholder', 'title', 'alt'].flatMap((name) =>
      [...document.querySelectorAll(`[${name}]`)].map((el) => el.getAttribute(name) ?? ''),
    ),
  ])
  return [...new Set(lines.map(withoutMarked))].filter((line) => line.trim() !== '')
}

/** A line with what stands between marks cut out; marks may stand within marks. */
function withoutMarked(line: string): string {
  let depth = 0
  let rest = ''
  for (const char of line) {
    if (char === MARKS[0]) depth++
    else if (char === MARKS[1]) depth = Math.max(0, depth - 1)
    else if (depth === 0) rest += char
  }
  return rest
}
