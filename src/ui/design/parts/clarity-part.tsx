'use client'
import { useTexts } from '@/ui/kit/texts'
import { useEffect, useMemo, useState } from 'react'
import { ecoFilterOf, fallOf } from '@/domain/forecasts/eco-pond'
import { comparisonOf, newOption, nextTime, type WhatIfInput } from '@/domain/forecasts/what-if'
import type { WhatIfPageData } from '@/server/forecasts/what-ifs'
import { ProblemNote } from '@/ui/kit/problem-note'
import { EyeView } from '@/ui/forecasts/eye-view'
import { ForecastCharts } from '@/ui/forecasts/forecast-charts'
import { clarityOf, measuresOfRuns, useComparison } from '@/ui/forecasts/use-comparison'
import { Verdict } from '@/ui/forecasts/verdict'
import { useServerData } from '@/ui/kit/server-data'
import type { DesignPart } from '@/ui/design/use-design'

/** Stands for the design being worked on among the filters that can be run. */
const DESIGN_PARTS = '00000000-0000-4000-8000-000000000001'
const MEMBERS = 24
const DAYS = 90
/** A change is run when the figures have stood still for so long, ms. */
const SETTLED_MS = 500

/**
 * What this design does for the look of the water: from a green pond in early summer, beside the filter that stands.
 */
export function ClarityPart({ data, shown }: DesignPart) {
  const t = useTexts()

  const { value: loaded, problem } = useServerData<WhatIfPageData>(`/api/v1/ponds/${data.pond.id}/model`)
  const [day, setDay] = useState(21)
  const { state, run } = useComparison()
  const names = useMemo(() => [t('design.clarityPart.asItIs'), t('design.clarityPart.design')], [t])
  const { filter, fallM } = useMemo(
    () => ({ filter: ecoFilterOf(shown.bed, shown.result, data.rules), fallM: fallOf(shown.bed) }),
    [shown, data.rules],
  )
  useEffect(() => {
    const model = loaded?.model
    if (!loaded || !model) return
    const timer = setTimeout(() => {
      const whatIf: WhatIfInput = {
        name: t('design.clarityPart.clarityOutlook'),
        from: nextTime('05-20', loaded.today, model),
        days: DAYS,
        start: 'green',
        members: MEMBERS,
        options: [newOption(names[0]!), newOption(names[1]!, { filter: DESIGN_PARTS })],
      }
      run(
        comparisonOf(whatIf, {
          ...model,
          filters: [...model.filters, { key: DESIGN_PARTS, name: names[1]!, filter, fallM }],
        }),
        MEMBERS,
      )
    }, SETTLED_MS)
    return () => clearTimeout(timer)
  }, [loaded, filter, fallM, run, names, t])
  const result = state.status === 'done' ? state.result : null
  return (
    <section className="sheet" aria-label={t('design.clarityPart.clarityOutlook')}>
      <h2>{t('design.clarityPart.clarityOutlook')}</h2>
      <p className="soft">
        {t('design.clarityPart.runsPondGreenSoup', {
          members: MEMBERS,
          filterAssumed: loaded?.model?.filterAssumed ? t('design.clarityPart.takenHouseWouldSize') : '',
        })}{' '}
        <a className="text-decoration-underline" href={`/ponds/${data.pond.id}/what-if`}>
          {t('design.clarityPart.whatIf')}
        </a>
        .
      </p>
      <ProblemNote problem={problem} />
      {loaded?.model === null ? <p className="soft">{t('design.clarityPart.noWeatherKnownPond')}</p> : null}
      {state.status === 'failed' ? <p className="field-error">{t('design.clarityPart.runsBrokeOffChange')}</p> : null}
      {result && loaded ? (
        <>
          <Verdict days={result.days} measures={measuresOfRuns(result)} names={names} />
          <EyeView
            from={result.from}
            days={result.days}
            options={clarityOf(result, names)}
            basin={loaded.basin}
            day={Math.min(day, DAYS - 1)}
            onDay={setDay}
          />
          <ForecastCharts result={result} names={names} day={Math.min(day, DAYS - 1)} outputs={['clarityM', 'tan']} />
        </>
      ) : (
        <p role="status">{problem || loaded?.model === null ? '' : t('design.clarityPart.running')}</p>
      )}
    </section>
  )
}
