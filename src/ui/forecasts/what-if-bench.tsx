'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import { WhatIfInput, comparisonOf, MOST_WAYS, TEMPLATES } from '@/domain/forecasts/what-if'
import { START_KINDS } from '@/core/ecosystem/start'
import type { WhatIfBenchData } from '@/server/forecasts/what-ifs'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'
import { BudgetView } from './budget-view'
import { EyeView } from './eye-view'
import { LabCharts } from './lab-charts'
import { SavedWhatIfs } from './saved-what-ifs'
import { clarityOf, measuresOfRuns, useComparison, useProgress, type ComparisonRuns } from './use-comparison'
import { useWhatIf, type WhatIfState } from './use-what-if'
import { Verdict } from './verdict'
import { WayEditor } from './way-editor'
import { Swatch } from './way-ink'

const SPANS = [
  { value: '30', label: textId('forecasts.whatIfBench.month') },
  { value: '45', label: textId('forecasts.whatIfBench.sixWeeks') },
  { value: '60', label: textId('forecasts.whatIfBench.twoMonths') },
  { value: '90', label: textId('forecasts.whatIfBench.threeMonths') },
  { value: '120', label: textId('forecasts.whatIfBench.fourMonths') },
  { value: '270', label: textId('forecasts.whatIfBench.nineMonths') },
  { value: '365', label: textId('forecasts.whatIfBench.year') },
  { value: '730', label: textId('forecasts.whatIfBench.twoYears') },
]
const MEMBERS = [
  { value: '20', label: textId('forecasts.whatIfBench.n20Quickly') },
  { value: '60', label: textId('forecasts.whatIfBench.n60') },
  { value: '200', label: textId('forecasts.whatIfBench.n200FinerBands') },
  { value: '500', label: textId('forecasts.whatIfBench.n500') },
]

/** The what-if bench: ways side by side on one pond, with the pond's own figures, weather and readings. */
export function WhatIfBench({ data, saved, begin }: { data: WhatIfBenchData; saved?: string; begin?: string }) {
  const t = useTexts()

  const state = useWhatIf(data, saved, begin)
  const comparison = useComparison()
  const [shown, setShown] = useState<readonly string[]>([])
  const [wrong, setWrong] = useState<string | null>(null)
  const { lab } = data
  const go = () => {
    const read = WhatIfInput.safeParse(state.whatIf)
    if (!read.success) return setWrong(read.error.issues[0].message)
    setWrong(null)
    setShown(read.data.ways.map((w) => w.name))
    comparison.run(comparisonOf(read.data, lab!), read.data.members)
  }
  return (
    <>
      <div className="page-head">
        <h1>{t('forecasts.whatIfBench.whatIf')}</h1>
        <Link href={`/ponds/${data.pond.id}`}>
          {data.pond.siteName}: {data.pond.name}
        </Link>
        <span className="soft">{t('forecasts.whatIfBench.choicesSideSidePond')}</span>
      </div>
      {lab === null ? (
        <p className="sheet">{t('forecasts.whatIfBench.noWeatherKnownPond')}</p>
      ) : (
        <div className="lab">
          <div>
            <section className="sheet" aria-label={t('forecasts.whatIfBench.question')}>
              <ChoiceField
                label={t('forecasts.whatIfBench.beginFrom')}
                options={[
                  ...(state.template === '' ? [{ value: '', label: t('forecasts.whatIfBench.questionOurOwn') }] : []),
                  ...TEMPLATES.map((template) => ({ value: template.key, label: template.name })),
                ]}
                value={state.template}
                onChange={(e) => state.begin(e.target.value)}
              />
              <div className="field-grid tight mt-2">
                <TextField
                  label={t('forecasts.whatIfBench.from')}
                  type="date"
                  value={state.whatIf.from}
                  onChange={(e) => e.target.value && state.change({ from: e.target.value })}
                />
                <ChoiceField
                  label={t('forecasts.whatIfBench.for')}
                  options={SPANS.map((o) => ({ ...o, label: t(o.label) }))}
                  value={String(state.whatIf.days)}
                  onChange={(e) => state.change({ days: Number(e.target.value) })}
                />
                <ChoiceField
                  label={t('forecasts.whatIfBench.pond')}
                  options={START_KINDS.map((start) => ({ value: start, label: t(`forecasts.startNames.${start}`) }))}
                  value={state.whatIf.start}
                  onChange={(e) => state.change({ start: e.target.value as WhatIfInput['start'] })}
                />
                <ChoiceField
                  label={t('forecasts.whatIfBench.runsEach')}
                  options={MEMBERS.map((o) => ({ ...o, label: t(o.label) }))}
                  value={String(state.whatIf.members)}
                  onChange={(e) => state.change({ members: Number(e.target.value) })}
                />
              </div>
              <Ways state={state} />
              <WayEditor lab={lab} state={state} />
              {lab.filterAssumed ? <p className="soft small mt-2 mb-0">{t('forecasts.whatIfBench.noFilterSavedPond')}</p> : null}
            </section>
            <KeepIt data={data} state={state} />
          </div>
          <div>
            <RunBar comparison={comparison} onRun={go} wrong={wrong} />
            {comparison.state.status === 'done' || comparison.state.status === 'stopped' ? (
              <Results result={comparison.state.result} names={shown} data={data} stopped={comparison.state.status === 'stopped'} />
            ) : comparison.state.status === 'idle' ? (
              <p className="sheet soft">{t('forecasts.whatIfBench.composeWaysLeftThen')}</p>
            ) : null}
          </div>
        </div>
      )}
      <p className="soft">{t('forecasts.whatIfBench.modelAdvisesTestWater')}</p>
    </>
  )
}

/** One tab a way. */
function Ways({ state }: { state: WhatIfState }) {
  const t = useTexts()

  const { ways } = state.whatIf
  return (
    <div className="lab-ways">
      <div role="tablist" aria-label={t('forecasts.whatIfBench.ways')}>
        {ways.map((way, i) => (
          <button
            key={i}
            id={`lab-way-${i}`}
            role="tab"
            aria-selected={i === state.chosen}
            aria-controls="lab-way"
            className={`btn btn-sm btn-outline-secondary ${i === state.chosen ? 'active' : ''}`}
            onClick={() => state.choose(i)}
          >
            <Swatch index={i} /> {way.name || t('forecasts.whatIfBench.way', { i: i + 1 })}
          </button>
        ))}
      </div>
      {ways.length < MOST_WAYS ? (
        <button className="btn btn-sm btn-link" onClick={state.addWay}>
          {t('forecasts.whatIfBench.addWay')}
        </button>
      ) : null}
      {ways.length > 1 ? (
        <button className="btn btn-sm btn-link" onClick={() => state.removeWay(state.chosen)}>
          {t('forecasts.whatIfBench.takeWayOut')}
        </button>
      ) : null}
    </div>
  )
}

function RunBar({ comparison, onRun, wrong }: { comparison: ReturnType<typeof useComparison>; onRun: () => void; wrong: string | null }) {
  const t = useTexts()

  const { state } = comparison
  return (
    <div className="lab-run">
      {state.status === 'running' ? (
        <>
          <RunProgress progress={state.progress} />
          <button className="btn btn-outline-secondary" onClick={comparison.stop}>
            {t('forecasts.whatIfBench.stop')}
          </button>
        </>
      ) : (
        <button className="btn btn-primary" onClick={onRun}>
          {t('forecasts.whatIfBench.runThem')}
        </button>
      )}
      {wrong ? (
        <span className="field-error" role="alert">
          {wrong}
        </span>
      ) : null}
      {state.status === 'failed' ? (
        <span className="field-error" role="alert">
          {t('forecasts.whatIfBench.runsBrokeOffCheck')}
        </span>
      ) : null}
    </div>
  )
}

function RunProgress({ progress }: { progress: Parameters<typeof useProgress>[0] }) {
  const t = useTexts()

  const done = useProgress(progress)
  return (
    <>
      <div
        className="progress"
        role="progressbar"
        aria-label={t('forecasts.whatIfBench.runsDone')}
        aria-valuenow={done}
        aria-valuemin={0}
        aria-valuemax={progress.of}
      >
        <div className="progress-bar" style={{ width: `${(100 * done) / progress.of}%` }} />
      </div>
      <span>{t('forecasts.whatIfBench.runs', { done, of: progress.of })}</span>
    </>
  )
}

function Results({ result, names, data, stopped }: { result: ComparisonRuns; names: readonly string[]; data: WhatIfBenchData; stopped: boolean }) {
  const t = useTexts()

  const [day, setDay] = useState(Math.min(20, result.days - 1))
  const at = Math.min(day, result.days - 1)
  return (
    <>
      <section className="sheet" aria-label={t('forecasts.whatIfBench.verdict')}>
        <h2>{t('forecasts.whatIfBench.verdict')}</h2>
        {stopped ? <p className="verdict look">{t('forecasts.whatIfBench.stoppedEarlyRunsEach', { count: result.runs[0].length })}</p> : null}
        <Verdict days={result.days} measures={measuresOfRuns(result)} names={names} />
      </section>
      <section className="sheet" aria-label={t('forecasts.whatIfBench.whatEyeSees')}>
        <h2>{t('forecasts.whatIfBench.whatEyeSees')}</h2>
        <EyeView from={result.from} days={result.days} ways={clarityOf(result, names)} basin={data.basin} day={at} onDay={setDay} />
      </section>
      <section className="sheet" aria-label={t('forecasts.whatIfBench.waterDayDay')}>
        <h2>{t('forecasts.whatIfBench.waterDayDay')}</h2>
        <p className="soft small mb-1">{t('forecasts.whatIfBench.lineMiddleRunsBand')}</p>
        <LabCharts result={result} names={names} day={at} tests={data.tests} />
      </section>
      <BudgetView result={result} names={names} of="nitrogen" />
      <BudgetView result={result} names={names} of="phosphorus" />
    </>
  )
}

function KeepIt({ data, state }: { data: WhatIfBenchData; state: WhatIfState }) {
  const t = useTexts()

  const { problem, saved, save, touched } = useSave()
  return (
    <section className="sheet" aria-label={t('forecasts.whatIfBench.keptWhatIfs')}>
      <h2>{t('forecasts.whatIfBench.keptWhatIfs')}</h2>
      {data.maySave ? (
        <>
          <TextField
            label={t('forecasts.whatIfBench.name')}
            value={state.whatIf.name}
            maxLength={80}
            onChange={(e) => {
              touched()
              state.change({ name: e.target.value })
            }}
          />
          <button className="btn btn-sm btn-outline-primary mt-2" onClick={() => save('POST', `/api/v1/ponds/${data.pond.id}/what-ifs`, state.whatIf)}>
            {t('forecasts.whatIfBench.keepWhatIf')}
          </button>
          {saved ? (
            <span className="ms-2" role="status">
              {t('forecasts.whatIfBench.kept')}
            </span>
          ) : null}
          <ProblemNote problem={problem} />
        </>
      ) : null}
      <div className="mt-2">
        <SavedWhatIfs data={data} onOpen={state.open} />
      </div>
    </section>
  )
}
