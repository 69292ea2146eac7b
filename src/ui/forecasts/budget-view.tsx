'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import type { MemberRun } from '@/core/ecosystem/comparison/comparison'
import type { BudgetIn, BudgetOut, HeldIn, NutrientBudget } from '@/core/ecosystem/ledger'
import { middle } from '@/core/ecosystem/measures'
import { useShow } from '@/ui/person-context'
import type { ComparisonRuns } from './use-comparison'
import { Swatch } from './option-ink'

const IN_NAMES: Readonly<Record<BudgetIn, TextId>> = {
  feed: textId('forecasts.budgetView.feed'),
  leaves: textId('forecasts.budgetView.leavesIn'),
  water: textId('forecasts.budgetView.rainTap'),
  added: textId('forecasts.budgetView.added'),
  deadFish: textId('forecasts.budgetView.deadFish'),
}
const OUT_NAMES: Readonly<Record<BudgetOut, TextId>> = {
  fish: textId('forecasts.budgetView.grownIntoFish'),
  overflow: textId('forecasts.budgetView.leftWater'),
  air: textId('forecasts.budgetView.goneAir'),
  takenOut: textId('forecasts.budgetView.takenOutPlantsSludge'),
}
const HELD_NAMES: Readonly<Record<HeldIn, TextId>> = {
  water: textId('forecasts.budgetView.water'),
  algae: textId('forecasts.budgetView.algae'),
  plants: textId('forecasts.budgetView.plants'),
  floor: textId('forecasts.budgetView.floor'),
  bed: textId('forecasts.budgetView.bed'),
  leaves: textId('forecasts.budgetView.leaves'),
}

/** Where a nutrient came from and where it went, way by way, in the middle of the runs. */
export function BudgetView({
  result,
  names,
  of,
}: {
  result: ComparisonRuns
  names: readonly string[]
  of: 'nitrogen' | 'phosphorus'
}) {
  const t = useTexts()

  return (
    <section className="sheet" aria-label={t('forecasts.budgetView.whereWent', { of })}>
      <h2>{t('forecasts.budgetView.whereDidGo', { of })}</h2>
      <div className="eye-row">
        {names.map((name, option) => (
          <OptionBudget
            key={`${name}${option}`}
            name={name}
            option={option}
            budgets={result.runs[option]!.map((r: MemberRun) => r[of])}
          />
        ))}
      </div>
    </section>
  )
}

function OptionBudget({ name, option, budgets }: { name: string; option: number; budgets: readonly NutrientBudget[] }) {
  const t = useTexts()

  const show = useShow()
  const mid = (pick: (b: NutrientBudget) => number) => middle(budgets.map(pick))
  const grams = (g: number) => show(g / 1000, 'mass', { significant: 2, scale: 'small' })
  const came = Object.entries(IN_NAMES).map(([key, words]) => ({
    words: t(words),
    g: mid((b) => b.in[key as BudgetIn]),
  }))
  const went = [
    ...Object.entries(OUT_NAMES).map(([key, words]) => ({ words: t(words), g: mid((b) => b.out[key as BudgetOut]) })),
    // what the pond held at the start and holds at the end: only the change is news
    ...Object.entries(HELD_NAMES).map(([key, words]) => ({
      words: t('forecasts.budgetView.end', { words: t(words) }),
      g: mid((b) => b.held[key as HeldIn]),
    })),
  ]
  const max = Math.max(...came.map((c) => c.g), ...went.map((w) => w.g), 1e-9)
  const rows = (list: readonly { words: string; g: number }[]) =>
    list
      .filter((row) => row.g > 0.005 * max)
      .sort((a, b) => b.g - a.g)
      .map((row) => (
        <li key={row.words}>
          <span className="bar" style={{ width: `${(100 * row.g) / max}%` }} />
          <span>
            {row.words} <strong>{grams(row.g)}</strong>
          </span>
        </li>
      ))
  return (
    <div className="forecast-budget">
      <h3>
        <Swatch index={option} /> {name}
      </h3>
      <p className="soft small mb-1">{t('forecasts.budgetView.pondStart', { mid: grams(mid((b) => b.start)) })}</p>
      <h4>{t('forecasts.budgetView.came')}</h4>
      {came.some((row) => row.g > 0.005 * max) ? (
        <ul>{rows(came)}</ul>
      ) : (
        <p className="soft mb-0">{t('forecasts.budgetView.nextNothing')}</p>
      )}
      <h4>{t('forecasts.budgetView.went')}</h4>
      <ul>{rows(went)}</ul>
    </div>
  )
}
