'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useEffect, useEffectEvent, useState } from 'react'
import { WhatIfInput, comparisonOf } from '@/domain/forecasts/what-if'
import { START_KINDS } from '@/core/ecosystem/start'
import type { WhatIfPageData } from '@/server/forecasts/what-ifs'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'
import { SavedWhatIfs } from './saved-what-ifs'
import { useComparison, useProgress } from './use-comparison'
import { OptionCards } from './option-cards'
import { useWhatIf, type WhatIfState } from './use-what-if'
import { WhatIfResults } from './what-if-results'
import { OptionEditor } from './option-editor'
import { saidWords } from '@/messages/said'
import { WHAT_IF_TEMPLATES } from '@/domain/forecasts/what-if-templates'

const SPANS = [
  { value: '30', label: textId('forecasts.whatIfView.month') },
  { value: '45', label: textId('forecasts.whatIfView.sixWeeks') },
  { value: '60', label: textId('forecasts.whatIfView.twoMonths') },
  { value: '90', label: textId('forecasts.whatIfView.threeMonths') },
  { value: '120', label: textId('forecasts.whatIfView.fourMonths') },
  { value: '270', label: textId('forecasts.whatIfView.nineMonths') },
  { value: '365', label: textId('forecasts.whatIfView.year') },
  { value: '730', label: textId('forecasts.whatIfView.twoYears') },
]
const MEMBERS = [
  { value: '20', label: textId('forecasts.whatIfView.n20Quickly') },
  { value: '60', label: textId('forecasts.whatIfView.n60') },
  { value: '200', label: textId('forecasts.whatIfView.n200FinerBands') },
  { value: '500', label: textId('forecasts.whatIfView.n500') },
]

/** The what-if page: options side by side on one pond, with the pond's own figures, weather and readings. */
export function WhatIfView({ data, saved, begin }: { data: WhatIfPageData; saved?: string; begin?: string }) {
  const t = useTexts()

  const state = useWhatIf(data, saved, begin)
  const comparison = useComparison()
  const [shown, setShown] = useState<readonly string[]>([])
  const [wrong, setWrong] = useState<string | null>(null)
  /** What the result is of. */
  const [ran, setRan] = useState<WhatIfInput | null>(null)
  const { model } = data
  const go = () => {
    const read = WhatIfInput.safeParse(state.whatIf)
    if (!read.success) return setWrong(saidWords(read.error.issues[0]!.message, t))
    setWrong(null)
    setRan(state.whatIf)
    setShown(read.data.options.map((w) => w.name))
    comparison.run(comparisonOf(read.data, model!), read.data.members)
  }
  // a page that opens with an answer: the question's usual one is worked out at once, without holding the page
  const answer = useEffectEvent(go)
  useEffect(() => {
    // once the page is drawn
    const soon = setTimeout(() => model && answer(), 0)
    return () => clearTimeout(soon)
  }, [state.begun, model])
  const results = () => {
    if (comparison.state.status === 'done' || comparison.state.status === 'stopped')
      return (
        <WhatIfResults
          result={comparison.state.result}
          names={shown}
          data={data}
          stopped={comparison.state.status === 'stopped'}
        />
      )
    if (comparison.state.status === 'idle')
      return <p className="sheet soft">{t('forecasts.whatIfView.composeWaysLeftThen')}</p>
    return null
  }
  return (
    <>
      <div className="tab-head">
        <h2>{t('forecasts.whatIfView.whatIf')}</h2>
        <span className="soft">{t('forecasts.whatIfView.choicesSideSidePond')}</span>
      </div>
      {model === null ? (
        <p className="sheet">{t('forecasts.whatIfView.noWeatherKnownPond')}</p>
      ) : (
        <div className="forecast">
          <div>
            <section className="sheet" aria-label={t('forecasts.whatIfView.question')}>
              <ChoiceField
                label={t('forecasts.whatIfView.beginFrom')}
                options={[
                  ...(state.template === '' ? [{ value: '', label: t('forecasts.whatIfView.questionOurOwn') }] : []),
                  ...WHAT_IF_TEMPLATES.map(({ key }) => ({ value: key, label: t(`forecasts.templateNames.${key}`) })),
                ]}
                value={state.template}
                onChange={(e) => state.begin(e.target.value)}
              />
              <div className="field-grid tight mt-2">
                <TextField
                  label={t('forecasts.whatIfView.from')}
                  type="date"
                  value={state.whatIf.from}
                  onChange={(e) => e.target.value && state.change({ from: e.target.value })}
                />
                <ChoiceField
                  label={t('forecasts.whatIfView.for')}
                  options={SPANS.map((o) => ({ ...o, label: t(o.label) }))}
                  value={String(state.whatIf.days)}
                  onChange={(e) => state.change({ days: Number(e.target.value) })}
                />
                <ChoiceField
                  label={t('forecasts.whatIfView.pond')}
                  options={START_KINDS.map((start) => ({ value: start, label: t(`forecasts.startNames.${start}`) }))}
                  value={state.whatIf.start}
                  onChange={(e) => state.change({ start: e.target.value as WhatIfInput['start'] })}
                />
                <ChoiceField
                  label={t('forecasts.whatIfView.runsEach')}
                  options={MEMBERS.map((o) => ({ ...o, label: t(o.label) }))}
                  value={String(state.whatIf.members)}
                  onChange={(e) => state.change({ members: Number(e.target.value) })}
                />
              </div>
              <OptionEditor model={model} state={state} />
              {model.filterAssumed ? (
                <p className="soft small mt-2 mb-0">{t('forecasts.whatIfView.noFilterSavedPond')}</p>
              ) : null}
            </section>
            <KeepIt data={data} state={state} />
          </div>
          <div>
            <OptionCards model={model} state={state} />
            <RunBar comparison={comparison} onRun={go} wrong={wrong} changed={ran !== null && ran !== state.whatIf} />
            {results()}
          </div>
        </div>
      )}
      <p className="soft">{t('forecasts.whatIfView.modelAdvisesTestWater')}</p>
    </>
  )
}

function RunBar({
  comparison,
  onRun,
  wrong,
  changed,
}: {
  comparison: ReturnType<typeof useComparison>
  onRun: () => void
  wrong: string | null
  /** What is set is no longer what the result is of. */
  changed: boolean
}) {
  const t = useTexts()

  const { state } = comparison
  return (
    <div className="forecast-run">
      {state.status === 'running' ? (
        <>
          <RunProgress progress={state.progress} />
          <button className="btn btn-outline-secondary" onClick={comparison.stop}>
            {t('forecasts.whatIfView.stop')}
          </button>
        </>
      ) : (
        <button className="btn btn-primary" onClick={onRun}>
          {t('forecasts.whatIfView.runThem')}
        </button>
      )}
      {changed ? (
        <span className="verdict look" role="status">
          {t('forecasts.whatIfView.changedSince')}
        </span>
      ) : null}
      {wrong ? (
        <span className="field-error" role="alert">
          {wrong}
        </span>
      ) : null}
      {state.status === 'failed' ? (
        <span className="field-error" role="alert">
          {t('forecasts.whatIfView.runsBrokeOffCheck')}
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
        aria-label={t('forecasts.whatIfView.runsDone')}
        aria-valuenow={done}
        aria-valuemin={0}
        aria-valuemax={progress.of}
      >
        <div className="progress-bar" style={{ width: `${(100 * done) / progress.of}%` }} />
      </div>
      <span>{t('forecasts.whatIfView.runs', { done, of: progress.of })}</span>
    </>
  )
}

function KeepIt({ data, state }: { data: WhatIfPageData; state: WhatIfState }) {
  const t = useTexts()

  const { problem, saved, save, touched } = useSave()
  return (
    <section className="sheet" aria-label={t('forecasts.whatIfView.keptWhatIfs')}>
      <h2>{t('forecasts.whatIfView.keptWhatIfs')}</h2>
      {data.maySave ? (
        <>
          <TextField
            label={t('forecasts.whatIfView.name')}
            value={state.whatIf.name}
            maxLength={80}
            onChange={(e) => {
              touched()
              state.change({ name: e.target.value })
            }}
          />
          <button
            className="btn btn-sm btn-outline-primary mt-2"
            onClick={() => save('POST', `/api/v1/ponds/${data.pond.id}/what-ifs`, state.whatIf)}
          >
            {t('forecasts.whatIfView.keepWhatIf')}
          </button>
          {saved ? (
            <span className="ms-2" role="status">
              {t('forecasts.whatIfView.kept')}
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
