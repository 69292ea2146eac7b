import { createInterface } from 'node:readline'
import { text } from 'node:stream/consumers'
import { calculate, calculationSchema, CALCULATIONS, type CalcError } from './registry'

const BAD_INPUT_EXIT = 2

function refuse(error: CalcError | { code: string; message: string; path: string }): number {
  process.stderr.write(`${JSON.stringify({ error })}\n`)
  return BAD_INPUT_EXIT
}

function parseJson(
  source: string,
): { ok: true; value: unknown } | { ok: false; error: { code: string; message: string; path: string } } {
  try {
    return { ok: true, value: JSON.parse(source) }
  } catch (error) {
    return {
      ok: false,
      error: { code: 'bad-json', message: `The input is not JSON: ${(error as Error).message}`, path: '' },
    }
  }
}

async function batch(): Promise<number> {
  for await (const line of createInterface({ input: process.stdin })) {
    if (line.trim() === '') continue
    const parsed = parseJson(line)
    const call = (parsed.ok ? parsed.value : {}) as { id?: unknown; name?: unknown; input?: unknown }
    const outcome = parsed.ok ? await calculate(String(call?.name), call?.input) : parsed
    process.stdout.write(
      `${JSON.stringify({ id: call?.id ?? null, ...(outcome.ok ? { output: (outcome as { output: unknown }).output } : { error: outcome.error }) })}\n`,
    )
  }
  return 0
}

async function main(args: readonly string[]): Promise<number> {
  const [first, second] = args
  if (first === '--list') {
    process.stdout.write(CALCULATIONS.map((c) => `${c.name}\t${c.summary}\n`).join(''))
    return 0
  }
  if (first === '--batch') return batch()
  if (first === '--schema') {
    const schema = calculationSchema(second ?? '')
    if (!schema)
      return refuse({
        code: 'unknown-calculation',
        message: `There is no calculation “${second ?? ''}”; --list names them all.`,
        path: '',
      })
    process.stdout.write(`${JSON.stringify(schema, null, 2)}\n`)
    return 0
  }
  if (!first || first.startsWith('-'))
    return refuse({
      code: 'usage',
      message: 'Say which calculation: npm run -s calc -- NAME < input.json, or --list, --schema NAME, --batch.',
      path: '',
    })
  const parsed = parseJson(await text(process.stdin))
  if (!parsed.ok) return refuse(parsed.error)
  const outcome = await calculate(first, parsed.value)
  if (!outcome.ok) return refuse(outcome.error)
  process.stdout.write(`${JSON.stringify(outcome.output)}\n`)
  return 0
}

void main(process.argv.slice(2)).then((code) => {
  process.exitCode = code
})
