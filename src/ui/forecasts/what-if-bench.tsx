'use client'
import Link from 'next/link'
import { useState } from 'react'
import { WhatIfInput, comparisonOf, MOST_WAYS, START_NAMES, TEMPLATES } from '@/domain/forecasts/what-if'
import type { WhatIfBenchData } from '@/server/forecasts/what-ifs'
import { ChoiceField, optionsOf } from '@/ui/kit/choice-field'
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
  { value: '30', label: 'a month' },
  { value: '45', label: 'six weeks' },
  { value: '60', label: 'two months' },
  { value: '90', label: 'three months' },
  { value: '120', label: 'four months' },
  { value: '270', label: 'nine months' },
  { value: '365', label: 'a year' },
  { value: '730', label: 'two years' },
]
const MEMBERS = [
  { value: '20', label: '20, quickly' },
  { value: '60', label: '60' },
  { value: '200', label: '200, finer bands' },
  { value: '500', label: '500' },
]

/** The what-if bench: ways side by side on one pond, with the pond's own figures, weather and readings. */
export function WhatIfBench({ data, saved, begin }: { data: WhatIfBenchData; saved?: string; begin?: string }) {
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
        <h1>What if</h1>
        <Link href={`/ponds/${data.pond.id}`}>
          {data.pond.siteName}: {data.pond.name}
        </Link>
        <span className="soft">Choices side by side on this pond, before anyone gets wet.</span>
      </div>
      {lab === null ? (
        <p className="sheet">No weather is known for this pond yet. Choose its weather station at the site, then come back.</p>
      ) : (
        <div className="lab">
          <div>
            <section className="sheet" aria-label="The question">
              <ChoiceField
                label="Begin from"
                options={[
                  ...(state.template === '' ? [{ value: '', label: 'A question of our own' }] : []),
                  ...TEMPLATES.map((t) => ({ value: t.key, label: t.name })),
                ]}
                value={state.template}
                onChange={(e) => state.begin(e.target.value)}
              />
              <div className="field-grid tight mt-2">
                <TextField label="From" type="date" value={state.whatIf.from} onChange={(e) => e.target.value && state.change({ from: e.target.value })} />
                <ChoiceField label="For" options={SPANS} value={String(state.whatIf.days)} onChange={(e) => state.change({ days: Number(e.target.value) })} />
                <ChoiceField
                  label="The pond is"
                  options={optionsOf(START_NAMES)}
                  value={state.whatIf.start}
                  onChange={(e) => state.change({ start: e.target.value as WhatIfInput['start'] })}
                />
                <ChoiceField
                  label="Runs of each"
                  options={MEMBERS}
                  value={String(state.whatIf.members)}
                  onChange={(e) => state.change({ members: Number(e.target.value) })}
                />
              </div>
              <Ways state={state} />
              <WayEditor lab={lab} state={state} />
              {lab.filterAssumed ? <p className="soft small mt-2 mb-0">No filter is saved for this pond: it is taken as the house would size one.</p> : null}
            </section>
            <KeepIt data={data} state={state} />
          </div>
          <div>
            <RunBar comparison={comparison} onRun={go} wrong={wrong} />
            {comparison.state.status === 'done' || comparison.state.status === 'stopped' ? (
              <Results result={comparison.state.result} names={shown} data={data} stopped={comparison.state.status === 'stopped'} />
            ) : comparison.state.status === 'idle' ? (
              <p className="sheet soft">
                Compose the ways on the left, then run them. Each is run many times with other weather and biology, so that what is shown are bands and not one
                line.
              </p>
            ) : null}
          </div>
        </div>
      )}
      <p className="soft">A model advises. Test the water before acting on it; local codes and licensed practice decide.</p>
    </>
  )
}

/** One tab a way. */
function Ways({ state }: { state: WhatIfState }) {
  const { ways } = state.whatIf
  return (
    <div className="lab-ways">
      <div role="tablist" aria-label="Ways">
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
            <Swatch index={i} /> {way.name || `Way ${i + 1}`}
          </button>
        ))}
      </div>
      {ways.length < MOST_WAYS ? (
        <button className="btn btn-sm btn-link" onClick={state.addWay}>
          Add a way
        </button>
      ) : null}
      {ways.length > 1 ? (
        <button className="btn btn-sm btn-link" onClick={() => state.removeWay(state.chosen)}>
          Take this way out
        </button>
      ) : null}
    </div>
  )
}

function RunBar({ comparison, onRun, wrong }: { comparison: ReturnType<typeof useComparison>; onRun: () => void; wrong: string | null }) {
  const { state } = comparison
  return (
    <div className="lab-run">
      {state.status === 'running' ? (
        <>
          <RunProgress progress={state.progress} />
          <button className="btn btn-outline-secondary" onClick={comparison.stop}>
            Stop
          </button>
        </>
      ) : (
        <button className="btn btn-primary" onClick={onRun}>
          Run them
        </button>
      )}
      {wrong ? (
        <span className="field-error" role="alert">
          {wrong}
        </span>
      ) : null}
      {state.status === 'failed' ? (
        <span className="field-error" role="alert">
          The runs broke off. Check the figures, then run them again.
        </span>
      ) : null}
    </div>
  )
}

function RunProgress({ progress }: { progress: Parameters<typeof useProgress>[0] }) {
  const done = useProgress(progress)
  return (
    <>
      <div className="progress" role="progressbar" aria-label="Runs done" aria-valuenow={done} aria-valuemin={0} aria-valuemax={progress.of}>
        <div className="progress-bar" style={{ width: `${(100 * done) / progress.of}%` }} />
      </div>
      <span>
        {done} of {progress.of} runs
      </span>
    </>
  )
}

function Results({ result, names, data, stopped }: { result: ComparisonRuns; names: readonly string[]; data: WhatIfBenchData; stopped: boolean }) {
  const [day, setDay] = useState(Math.min(20, result.days - 1))
  const at = Math.min(day, result.days - 1)
  return (
    <>
      <section className="sheet" aria-label="The verdict">
        <h2>The verdict</h2>
        {stopped ? <p className="verdict look">Stopped early: {result.runs[0].length} runs of each. Bands are rough.</p> : null}
        <Verdict days={result.days} measures={measuresOfRuns(result)} names={names} />
      </section>
      <section className="sheet" aria-label="What the eye sees">
        <h2>What the eye sees</h2>
        <EyeView from={result.from} days={result.days} ways={clarityOf(result, names)} basin={data.basin} day={at} onDay={setDay} />
      </section>
      <section className="sheet" aria-label="The water, day by day">
        <h2>The water, day by day</h2>
        <p className="soft small mb-1">The line is the middle of the runs, the band holds eight of ten; dots are tests of this pond that fall into the time.</p>
        <LabCharts result={result} names={names} day={at} tests={data.tests} />
      </section>
      <BudgetView result={result} names={names} of="nitrogen" />
      <BudgetView result={result} names={names} of="phosphorus" />
    </>
  )
}

function KeepIt({ data, state }: { data: WhatIfBenchData; state: WhatIfState }) {
  const { problem, saved, save, touched } = useSave()
  return (
    <section className="sheet" aria-label="Kept what-ifs">
      <h2>Kept what-ifs</h2>
      {data.maySave ? (
        <>
          <TextField
            label="Name"
            value={state.whatIf.name}
            maxLength={80}
            onChange={(e) => {
              touched()
              state.change({ name: e.target.value })
            }}
          />
          <button className="btn btn-sm btn-outline-primary mt-2" onClick={() => save('POST', `/api/v1/ponds/${data.pond.id}/what-ifs`, state.whatIf)}>
            Keep this what-if
          </button>
          {saved ? (
            <span className="ms-2" role="status">
              Kept.
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
