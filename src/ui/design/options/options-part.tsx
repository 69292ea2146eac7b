'use client'
import { useMemo, useState } from 'react'
import ProgressBar from 'react-bootstrap/ProgressBar'
import { waterMeasureOf, type FoundOption, type OptionProblem } from '@/core/filter/options/option-problem'
import { picksOf } from '@/core/filter/options/picks'
import { FILTER_TYPE_FACTS, FILTER_TYPES, type FilterType } from '@/core/filter/types'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { may } from '@/domain/people/roles'
import { usePerson } from '@/ui/person-context'
import type { DesignPart } from '../use-design'
import { OptionsChart } from './options-chart'
import { OptionsForm, type OptionsAsked } from './options-form'
import { OptionsTable } from './options-table'
import { EVALUATIONS, useOptions } from './use-options'
import { useSavedOptions } from './use-saved-options'

/** Kinds that suit a pond of this volume; a pond without a filter is no option to a filter. */
const suiting = (volumeM3: number): FilterType[] =>
  FILTER_TYPES.filter((type) => {
    const { pondM3, path } = FILTER_TYPE_FACTS[type]
    return path !== 'none' && volumeM3 >= pondM3[0] && volumeM3 <= pondM3[1]
  })

/** What was asked last for each pond, kept as what was found for it is. */
const askedLast = new Map<string, OptionsAsked>()

/**
 * Options that the computer finds: what trades price, water, work and current best; three become versions by a click.
 */
export function OptionsPart(part: DesignPart) {
  const { data, shown, set } = part
  const t = useTexts()
  const { role } = usePerson()
  const { state, run, stop } = useOptions(data.pond.id)
  const { unsaved, save, saving, problem } = useSavedOptions(part)
  const [asked, setAsked] = useState<OptionsAsked>(
    () => askedLast.get(data.pond.id) ?? { types: suiting(data.designPond.volumeM3), budget: null, care: 'water' },
  )
  const change = (next: OptionsAsked) => {
    askedLast.set(data.pond.id, next)
    setAsked(next)
  }
  const [chosen, setChosen] = useState<FoundOption | null>(null)
  const front = useMemo(() => ('front' in state ? state.front : []), [state])
  const picks = useMemo(() => picksOf(front, asked.care), [front, asked.care])
  if (!data.priceBook) return <p className="sheet">{t('design.pricePart.pricesShownOwnersOffice')}</p>
  const book = data.priceBook
  const measure = waterMeasureOf(data.designPond.use)
  const problemOf = (): OptionProblem => ({
    pond: data.designPond,
    rules: data.rules,
    pumps: data.pumps,
    houseMethod: data.houseMethod,
    book,
    types: asked.types,
    own: shown.bed,
    budgetMinor: asked.budget === null ? null : Math.round(asked.budget * 100),
  })
  const find = () => {
    setChosen(null)
    run(problemOf())
  }
  const caredFor = asked.care === 'water' ? measure : asked.care
  const left = unsaved(picks)
  return (
    <>
      <section className="sheet">
        <h2>{t('options.page.title')}</h2>
        <p className="soft">{t('options.page.intro', { count: EVALUATIONS })}</p>
        <OptionsForm
          asked={asked}
          currency={book.currency}
          working={state.status === 'working'}
          measure={measure}
          onChange={change}
          onFind={find}
          onStop={stop}
        />
        <OptionsStatus state={state} />
      </section>
      {front.length > 0 ? (
        <section className="sheet" aria-label={t('options.page.found')}>
          <h2>{t('options.page.found')}</h2>
          <OptionsChart
            front={front}
            picks={picks}
            chosen={chosen}
            care={asked.care}
            measure={measure}
            currency={book.currency}
            onChoose={setChosen}
          />
          <OptionsTable
            front={front}
            picks={picks}
            chosen={chosen}
            care={asked.care}
            measure={measure}
            currency={book.currency}
            onOpen={(option) => set(option.design)}
          />
          {may(role, 'designs.write') ? (
            <div className="d-flex flex-wrap gap-3 align-items-center">
              <button
                type="button"
                className="btn btn-sm btn-primary"
                disabled={state.status === 'working' || saving || left.length === 0}
                onClick={() =>
                  void save(
                    left.map(({ option, reason }) => ({
                      option,
                      name: t(`options.names.${reason === 'cared-for' ? caredFor : reason}`),
                    })),
                  )
                }
              >
                {t('options.page.saveVersions', { count: left.length || picks.length })}
              </button>
              {left.length === 0 ? (
                <span role="status">{t('options.page.savedVersions', { count: picks.length })}</span>
              ) : null}
            </div>
          ) : null}
          <ProblemNote problem={problem} />
        </section>
      ) : null}
    </>
  )
}

function OptionsStatus({ state }: { readonly state: ReturnType<typeof useOptions>['state'] }) {
  const t = useTexts()
  if (state.status === 'idle') return null
  if (state.status === 'failed')
    return (
      <p className="stop-note" role="alert">
        {t('options.page.failed')}
      </p>
    )
  const { evaluated, passed, front, tookMs, status } = state
  return (
    <div className="mt-2">
      {status === 'working' ? (
        <ProgressBar max={EVALUATIONS} now={evaluated} aria-label={t('options.page.progressLabel')} />
      ) : null}
      <p className="soft mb-0" role="status" data-testid="options-state" data-ms={Math.round(tookMs)}>
        {t(`options.page.${status}`, { evaluated, passed, front: front.length, seconds: (tookMs / 1000).toFixed(1) })}
      </p>
      {status === 'done' && front.length === 0 ? <p className="stop-note">{t('options.page.nothing')}</p> : null}
    </div>
  )
}
