'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import type { ProposedOutlook } from '@/domain/proposals/proposal'
import { EyeView } from '@/ui/forecasts/eye-view'
import { Verdict } from '@/ui/forecasts/verdict'

const FIRST_DAY_SHOWN = 28

/** What the water would do with and without what is offered, for someone who looks at the pond and not at figures. */
export function WaterOutlook({ outlook }: { outlook: ProposedOutlook }) {
  const t = useTexts()

  const { question, names, days, from, options, basin } = outlook
  const [day, setDay] = useState(Math.min(FIRST_DAY_SHOWN, days - 1))
  return (
    <section className="sheet" aria-label={t('proposals.waterOutlook.whatWaterWouldDo')}>
      <h2>{t('proposals.waterOutlook.whatWaterWouldDo')}</h2>
      <p className="soft">{t('proposals.waterOutlook.modelYourPondRun', { question })}</p>
      <EyeView
        from={from}
        days={days}
        options={options.map(({ clarity }, i) => ({ name: names[i]!, clarity }))}
        basin={basin}
        day={day}
        onDay={setDay}
      />
      <div className="mt-3">
        <Verdict days={days} measures={options.map((option) => option.measures)} names={names} />
      </div>
    </section>
  )
}
