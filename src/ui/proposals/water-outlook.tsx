'use client'
import { useState } from 'react'
import type { OfferedOutlook } from '@/domain/proposals/proposal'
import { EyeView } from '@/ui/forecasts/eye-view'
import { Verdict } from '@/ui/forecasts/verdict'

const FIRST_DAY_SHOWN = 28

/** What the water would do with and without what is offered, for someone who looks at the pond and not at figures. */
export function WaterOutlook({ outlook }: { outlook: OfferedOutlook }) {
  const { question, names, days, from, ways, basin } = outlook
  const [day, setDay] = useState(Math.min(FIRST_DAY_SHOWN, days - 1))
  return (
    <section className="sheet" aria-label="What the water would do">
      <h2>What the water would do</h2>
      <p className="soft">
        {question}. A model of your pond, run many times with other weather; how deep a hand is seen in it, and what that means for the fish.
      </p>
      <EyeView from={from} days={days} ways={ways.map(({ clarity }, i) => ({ name: names[i], clarity }))} basin={basin} day={day} onDay={setDay} />
      <div className="mt-3">
        <Verdict days={days} measures={ways.map((way) => way.measures)} names={names} />
      </div>
    </section>
  )
}
