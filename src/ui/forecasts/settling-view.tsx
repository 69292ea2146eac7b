'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useEffect, useMemo, useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import {
  expectation,
  OUTAGE_HOURS,
  SETTLING_MEMBERS,
  SETTLING_KINDS,
  SETTLING_TESTS,
  settlingRuns,
  type Expectation,
  type Settling,
  type SettlingKind,
} from '@/domain/forecasts/settling'
import { comparisonOf } from '@/domain/forecasts/what-if'
import type { WhatIfPageData } from '@/server/forecasts/what-ifs'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'
import { ForecastCharts } from './forecast-charts'
import { useComparison } from './use-comparison'
import { settlingWords } from '@/messages/forecasts/settling-words'

/** Runs begin when the figures have stood still for so long, ms. */
const SETTLED_MS = 400
const USUAL_HOURS = 24
const AGO_DAYS = 14

/** How a filter settles in, or recovers: what tests should show day by day, and what they did show. */
export function SettlingView({ data }: { data: WhatIfPageData }) {
  const t = useTexts()

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
  const { model } = data
  useEffect(() => {
    if (!model) return
    const timer = setTimeout(() => {
      setAsked(settling)
      run(comparisonOf(settlingRuns(settling), model), SETTLING_MEMBERS)
    }, SETTLED_MS)
    return () => clearTimeout(timer)
  }, [settling, model, run])
  const result = state.status === 'done' ? state.result : null
  const expected = useMemo(
    () => (result ? expectation(asked, result.runs[0]!, data.tests) : null),
    [result, asked, data.tests],
  )
  return (
    <>
      <div className="tab-head">
        <h2>{t('forecasts.settlingView.settling')}</h2>
        <span className="soft">{t('forecasts.settlingView.whatTestsShouldShow')}</span>
      </div>
      {model === null ? (
        <p className="sheet">{t('forecasts.settlingView.noWeatherKnownPond')}</p>
      ) : (
        <div className="forecast">
          <section className="sheet" aria-label={t('forecasts.settlingView.whatHappened')}>
            <ChoiceField
              label={t('forecasts.settlingView.after')}
              options={SETTLING_KINDS.map((kind) => ({ value: kind, label: t(`forecasts.settlingNames.${kind}`) }))}
              value={settling.kind}
              onChange={(e) => change({ kind: e.target.value as SettlingKind })}
            />
            <TextField
              className="mt-2"
              label={t('forecasts.settlingView.on')}
              type="date"
              value={settling.on}
              onChange={(e) => e.target.value && change({ on: e.target.value })}
            />
            {settling.kind === 'outage' ? (
              <HoursField hours={settling.hours} onHours={(hours) => change({ hours })} />
            ) : null}
            <CheckField
              label={t('forecasts.settlingView.matureMediaBrought')}
              checked={settling.seeded}
              onChange={(seeded) => change({ seeded })}
            />
            {model.filterAssumed ? (
              <p className="soft small mt-2 mb-0">{t('forecasts.settlingView.noFilterSavedPond')}</p>
            ) : null}
          </section>
          <div>
            {result && expected ? (
              <>
                <Settled expected={expected} settling={asked} />
                <section className="sheet" aria-label={t('forecasts.settlingView.dayDay')}>
                  <h2>{t('forecasts.settlingView.dayDay')}</h2>
                  <ForecastCharts
                    result={result}
                    names={[t('forecasts.settlingView.expected')]}
                    day={0}
                    outputs={['tan', 'nitrite', 'nh3', 'bacteriaShare']}
                    tests={data.tests}
                  />
                </section>
                <Tests expected={expected} />
              </>
            ) : (
              <p className="sheet soft" role="status">
                {state.status === 'failed'
                  ? t('forecasts.settlingView.runsBrokeOffChange')
                  : t('forecasts.settlingView.workingOut')}
              </p>
            )}
          </div>
        </div>
      )}
      <p className="soft">{t('forecasts.settlingView.modelAdvisesTestWater')}</p>
    </>
  )
}

function HoursField({ hours, onHours }: { hours: number; onHours: (hours: number) => void }) {
  const t = useTexts()

  const [text, setText] = useState(String(hours))
  const [min, max] = OUTAGE_HOURS
  const value = Number(text)
  const wrong = text.trim() === '' || !(value >= min && value <= max)
  return (
    <TextField
      className="mt-2"
      label={t('forecasts.settlingView.hours')}
      inputMode="decimal"
      value={text}
      error={wrong ? t('forecasts.settlingView.hoursMustBetween', { least: min, most: max }) : undefined}
      onChange={(e) => {
        setText(e.target.value)
        const typed = Number(e.target.value)
        if (e.target.value.trim() !== '' && typed >= min && typed <= max) onHours(typed)
      }}
    />
  )
}

function Settled({ expected, settling }: { expected: Expectation; settling: Settling }) {
  const t = useTexts()

  const { settled } = expected
  const show = useShow()
  const day = (days: number) => t.shortDate(addDays(settling.on, days))
  const answer = () => {
    if (settled === null) return <>{t('forecasts.settlingView.ammoniaNitriteDoNot')}</>
    if (settled.middle === 0) return <>{t('forecasts.settlingView.ammoniaNitriteExpectedStay')}</>
    return (
      <>
        {t('forecasts.settlingView.ammoniaNitriteStayTrace')} <strong>{day(settled.middle)}</strong>{' '}
        {t('forecasts.settlingView.daysAfterFromDays', {
          middle: settled.middle,
          soonest: settled.soonest,
          latest:
            settled.latest === null
              ? t('forecasts.settlingView.notWithinTime')
              : t('forecasts.settlingView.days', { latest: settled.latest }),
        })}
      </>
    )
  }
  return (
    <section className="sheet" aria-label={t('forecasts.settlingView.whatExpect')}>
      <h2>{t('forecasts.settlingView.whatExpect')}</h2>
      <p>
        {answer()} {settlingWords(expected, t)}
      </p>
      <div className="notebook" tabIndex={0} role="group" aria-label={t('forecasts.settlingView.expectedWeekWeek')}>
        <table className="table table-sm mb-1">
          <thead>
            <tr>
              <th scope="col">{t('forecasts.settlingView.weekFrom')}</th>
              {SETTLING_TESTS.map((test) => (
                <th key={test} scope="col">
                  {t(`water.readingNames.${test}`)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {expected.weeks.map(({ day: from, bands }) => (
              <tr key={from}>
                <th scope="row" className="fw-normal">
                  {t.dayMonth(from)}
                </th>
                {SETTLING_TESTS.map((test) => (
                  <td key={test}>
                    {t('forecasts.settlingView.to', {
                      from: show(bands[test].from, 'concentration', { significant: 2 }),
                      to: show(bands[test].to, 'concentration', { significant: 2 }),
                    })}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Why>{t('forecasts.settlingView.pondsOwnModelFilter', { settlingMembers: SETTLING_MEMBERS })}</Why>
    </section>
  )
}

const IS_WORDS = {
  'as-expected': textId('forecasts.settlingView.expected2'),
  higher: textId('forecasts.settlingView.higher'),
  lower: textId('forecasts.settlingView.lower'),
} as const
const IS_KIND = { 'as-expected': 'fine', higher: 'look', lower: 'fine' } as const

function Tests({ expected }: { expected: Expectation }) {
  const t = useTexts()

  const show = useShow()
  const value = (v: number) => show(v, 'concentration', { significant: 2 })
  if (expected.tests.length === 0) return null
  return (
    <section className="sheet" aria-label={t('forecasts.settlingView.testsBeside')}>
      <h2>{t('forecasts.settlingView.testsBeside')}</h2>
      <ul className="plain-list">
        {expected.tests.map((test) => (
          <li key={`${test.kind}${test.day}`}>
            <span className={`verdict ${IS_KIND[test.is]}`}>{t(IS_WORDS[test.is])}</span> {t.shortDate(test.day)}:{' '}
            {t(`water.readingNames.${test.kind}`).toLowerCase()} {value(test.value)}{' '}
            <span className="soft">
              {t('forecasts.settlingView.expected3', { from: value(test.from), to: value(test.to) })}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
