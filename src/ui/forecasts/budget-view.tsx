'use client'
import type { MemberRun } from '@/core/ecosystem/comparison/comparison'
import type { BudgetIn, BudgetOut, HeldIn, NutrientBudget } from '@/core/ecosystem/ledger'
import { middle } from '@/core/ecosystem/measures'
import { useShow } from '@/ui/person-context'
import type { ComparisonRuns } from './use-comparison'
import { Swatch } from './way-ink'

const IN_NAMES: Readonly<Record<BudgetIn, string>> = { feed: 'feed', leaves: 'leaves', water: 'rain and tap', added: 'added' }
const OUT_NAMES: Readonly<Record<BudgetOut, string>> = {
  fish: 'grown into fish',
  overflow: 'left with water',
  air: 'gone to the air',
  takenOut: 'taken out: plants, sludge, algae',
}
const HELD_NAMES: Readonly<Record<HeldIn, string>> = {
  water: 'in the water',
  algae: 'in algae',
  plants: 'in plants',
  floor: 'on the floor',
  bed: 'in the bed',
  leaves: 'in leaves',
}

/** Where a nutrient came from and where it went, way by way, in the middle of the runs. */
export function BudgetView({ result, names, of }: { result: ComparisonRuns; names: readonly string[]; of: 'nitrogen' | 'phosphorus' }) {
  return (
    <section className="sheet" aria-label={`Where the ${of} went`}>
      <h2>Where did the {of} go?</h2>
      <div className="eye-row">
        {names.map((name, way) => (
          <WayBudget key={`${name}${way}`} name={name} way={way} budgets={result.runs[way].map((r: MemberRun) => r[of])} />
        ))}
      </div>
    </section>
  )
}

function WayBudget({ name, way, budgets }: { name: string; way: number; budgets: readonly NutrientBudget[] }) {
  const show = useShow()
  const mid = (pick: (b: NutrientBudget) => number) => middle(budgets.map(pick))
  const grams = (g: number) => show(g / 1000, 'mass', { significant: 2, scale: 'small' })
  const came = Object.entries(IN_NAMES).map(([key, words]) => ({ words, g: mid((b) => b.in[key as BudgetIn]) }))
  const went = [
    ...Object.entries(OUT_NAMES).map(([key, words]) => ({ words, g: mid((b) => b.out[key as BudgetOut]) })),
    // what the pond held at the start and holds at the end: only the change is news
    ...Object.entries(HELD_NAMES).map(([key, words]) => ({ words: `${words}, at the end`, g: mid((b) => b.held[key as HeldIn]) })),
  ]
  const most = Math.max(...came.map((c) => c.g), ...went.map((w) => w.g), 1e-9)
  const rows = (list: readonly { words: string; g: number }[]) =>
    list
      .filter((row) => row.g > 0.005 * most)
      .sort((a, b) => b.g - a.g)
      .map((row) => (
        <li key={row.words}>
          <span className="bar" style={{ width: `${(100 * row.g) / most}%` }} />
          <span>
            {row.words} <strong>{grams(row.g)}</strong>
          </span>
        </li>
      ))
  return (
    <div className="lab-budget">
      <h3>
        <Swatch index={way} /> {name}
      </h3>
      <p className="soft small mb-1">In the pond at the start: {grams(mid((b) => b.start))}</p>
      <h4>Came in</h4>
      {came.some((row) => row.g > 0.005 * most) ? <ul>{rows(came)}</ul> : <p className="soft mb-0">Next to nothing.</p>}
      <h4>Went</h4>
      <ul>{rows(went)}</ul>
    </div>
  )
}
