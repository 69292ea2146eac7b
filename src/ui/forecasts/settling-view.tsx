'use client'
import Link from 'next/link'
import { useEffect, useMemo, useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { dayMonth, shortDate } from '@/domain/shared/dates'
import { READING_NAMES } from '@/domain/water/reading-names'
import {
  expectation,
  OUTAGE_HOURS,
  SETTLING_MEMBERS,
  SETTLING_NAMES,
  SETTLING_TESTS,
  settlingRuns,
  settlingWords,
  type Expectation,
  type Settling,
  type SettlingKind,
} from '@/domain/forecasts/settling'
import { comparisonOf } from '@/domain/forecasts/what-if'
import type { WhatIfBenchData } from '@/server/forecasts/what-ifs'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField, optionsOf } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'
import { LabCharts } from './lab-charts'
import { useComparison } from './use-comparison'

/** Runs begin when the figures have stood still for so long, ms. */
const SETTLED_MS = 400
const USUAL_HOURS = 24
const AGO_DAYS = 14

/** How a filter settles in, or recovers: what tests should show day by day, and what they did show. */
export function SettlingView({ data }: { data: WhatIfBenchData }) {
  const [settling, setSettling] = useState<Settling>({
    kind: data.built ? 'new-filter' : 'outage',
    on: data.built ?? addDays(data.today, -AGO_DAYS),
    hours: USUAL_HOURS,
    seeded: false,
  })
  const change = (changes: Partial<Settling>) => setSettling((s) => ({ ...s, ...changes }))
  const { state, run } = useComparison()
  /** What the runs shown were made for. */
  const [asked, setAsked] = useState(settling)
  const { lab } = data
  useEffect(() => {
    if (!lab) return
    const timer = setTimeout(() => {
      setAsked(settling)
      run(comparisonOf(settlingRuns(settling), lab), SETTLING_MEMBERS)
    }, SETTLED_MS)
    return () => clearTimeout(timer)
  }, [settling, lab, run])
  const result = state.status === 'done' ? state.result : null
  const expected = useMemo(() => (result ? expectation(asked, result.runs[0], data.tests) : null), [result, asked, data.tests])
  return (
    <>
      <div className="page-head">
        <h1>Settling in</h1>
        <Link href={`/ponds/${data.pond.id}`}>
          {data.pond.siteName}: {data.pond.name}
        </Link>
        <span className="soft">What tests should show while bacteria grow, beside what they did show.</span>
      </div>
      {lab === null ? (
        <p className="sheet">No weather is known for this pond yet. Choose its weather station at the site, then come back.</p>
      ) : (
        <div className="lab">
          <section className="sheet" aria-label="What happened">
            <ChoiceField
              label="After"
              options={optionsOf(SETTLING_NAMES)}
              value={settling.kind}
              onChange={(e) => change({ kind: e.target.value as SettlingKind })}
            />
            <TextField className="mt-2" label="On" type="date" value={settling.on} onChange={(e) => e.target.value && change({ on: e.target.value })} />
            {settling.kind === 'outage' ? <HoursField hours={settling.hours} onHours={(hours) => change({ hours })} /> : null}
            <CheckField label="Mature media were brought" checked={settling.seeded} onChange={(seeded) => change({ seeded })} />
            {lab.filterAssumed ? <p className="soft small mt-2 mb-0">No filter is saved for this pond: it is taken as the house would size one.</p> : null}
          </section>
          <div>
            {result && expected ? (
              <>
                <Settled expected={expected} settling={asked} />
                <section className="sheet" aria-label="Day by day">
                  <h2>Day by day</h2>
                  <LabCharts result={result} names={['Expected']} day={0} outputs={['tan', 'nitrite', 'nh3', 'bacteriaShare']} tests={data.tests} />
                </section>
                <Tests expected={expected} />
              </>
            ) : (
              <p className="sheet soft" role="status">
                {state.status === 'failed' ? 'The runs broke off. Change a figure, and they begin anew.' : 'Working it out…'}
              </p>
            )}
          </div>
        </div>
      )}
      <p className="soft">A model advises. Test the water before acting on it; local codes and licensed practice decide.</p>
    </>
  )
}

function HoursField({ hours, onHours }: { hours: number; onHours: (hours: number) => void }) {
  const [text, setText] = useState(String(hours))
  const [least, most] = OUTAGE_HOURS
  const value = Number(text)
  const wrong = text.trim() === '' || !(value >= least && value <= most)
  return (
    <TextField
      className="mt-2"
      label="For, hours"
      inputMode="decimal"
      value={text}
      error={wrong ? `Hours must be between ${least} and ${most}.` : undefined}
      onChange={(e) => {
        setText(e.target.value)
        const typed = Number(e.target.value)
        if (e.target.value.trim() !== '' && typed >= least && typed <= most) onHours(typed)
      }}
    />
  )
}

function Settled({ expected, settling }: { expected: Expectation; settling: Settling }) {
  const { settled } = expected
  const show = useShow()
  const day = (days: number) => shortDate(addDays(settling.on, days))
  return (
    <section className="sheet" aria-label="What to expect">
      <h2>What to expect</h2>
      <p>
        {settled === null ? (
          <>Ammonia and nitrite do not come down to a trace within this time in most runs.</>
        ) : settled.middle === 0 ? (
          <>Ammonia and nitrite are expected to stay at a trace all along.</>
        ) : (
          <>
            Ammonia and nitrite stay at a trace from about <strong>{day(settled.middle)}</strong> on, {settled.middle} days after (from {settled.soonest} days
            to {settled.latest === null ? 'not within this time' : `${settled.latest} days`} in eight of ten runs).
          </>
        )}{' '}
        {settlingWords(expected)}
      </p>
      <div className="notebook" tabIndex={0} role="group" aria-label="Expected week by week">
        <table className="table table-sm mb-1">
          <thead>
            <tr>
              <th scope="col">Week from</th>
              {SETTLING_TESTS.map((test) => (
                <th key={test} scope="col">
                  {READING_NAMES[test]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {expected.weeks.map(({ day: from, bands }) => (
              <tr key={from}>
                <th scope="row" className="fw-normal">
                  {dayMonth(from)}
                </th>
                {SETTLING_TESTS.map((test) => (
                  <td key={test}>
                    {show(bands[test].from, 'concentration', { significant: 2 })} to {show(bands[test].to, 'concentration', { significant: 2 })}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Why>
        The pond’s own model with its filter, fish and feed, run {SETTLING_MEMBERS} times with other weather and other ponds’ biology. Ranges hold eight of ten
        runs; a test counts as expected within one step of its kit.
      </Why>
    </section>
  )
}

const IS_WORDS = { 'as-expected': 'as expected', higher: 'higher', lower: 'lower' } as const
const IS_KIND = { 'as-expected': 'fine', higher: 'look', lower: 'fine' } as const

function Tests({ expected }: { expected: Expectation }) {
  const show = useShow()
  const value = (v: number) => show(v, 'concentration', { significant: 2 })
  if (expected.tests.length === 0) return null
  return (
    <section className="sheet" aria-label="Tests beside it">
      <h2>Tests beside it</h2>
      <ul className="plain-list">
        {expected.tests.map((t) => (
          <li key={`${t.kind}${t.day}`}>
            <span className={`verdict ${IS_KIND[t.is]}`}>{IS_WORDS[t.is]}</span> {shortDate(t.day)}: {READING_NAMES[t.kind].toLowerCase()} {value(t.value)}{' '}
            <span className="soft">
              (expected {value(t.from)} to {value(t.to)})
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
