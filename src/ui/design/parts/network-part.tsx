'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { networkOf } from '@/core/filter/flow/flow-network'
import { firstFlowPlan, type FlowPlan } from '@/core/filter/flow/flow-plan'
import { writeInp } from '@/core/hydraulics/network/inp'
import { FileButton } from '@/ui/kit/file-button'
import { FlowDiagram } from '@/ui/drawing/flow-diagram'
import { fileName, saveFile } from '@/ui/save-file'
import { useNetwork } from '../use-network'
import type { DesignPart } from '@/ui/design/use-design'
import { HeaterPanel } from '../heater-panel'
import { ForeignNetwork } from '../foreign-network'
import { BranchRows } from './branch-rows'
import { IntakeRows } from './intake-rows'

/** Network mode: intakes, pumps and branches solved together, drawn with the flows on them. */
export function NetworkPart(part: DesignPart) {
  const t = useTexts()

  const { bed, shown, data, set } = part
  const [foreign, setForeign] = useState<{ name: string; text: string } | null>(null)
  const plan = bed.network
  return (
    <>
      <section className="sheet">
        <h2>{t('design.networkPart.network')}</h2>
        <p className="soft">{t('design.networkPart.splitsSeveralPumpsBed')}</p>
        <div className="d-flex flex-wrap gap-2">
          {plan ? (
            <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => set({ network: null })}>
              {t('design.networkPart.leaveNetworkMode')}
            </button>
          ) : (
            <button
              type="button"
              className="btn btn-sm btn-primary"
              onClick={() => set({ network: firstFlowPlan(shown.bed) })}
            >
              {t('design.networkPart.splitFlow')}
            </button>
          )}
          <FileButton
            label={t('design.networkPart.openInpFile')}
            accept=".inp,.txt"
            onText={(text, name) => setForeign({ name, text })}
          />
        </div>
      </section>
      <HeaterPanel {...part} />
      {foreign ? <ForeignNetwork name={foreign.name} text={foreign.text} onClose={() => setForeign(null)} /> : null}
      {plan ? <PlanEditor {...part} plan={plan} pumps={data.pumps} /> : null}
    </>
  )
}

function PlanEditor(part: DesignPart & { plan: FlowPlan; pumps: DesignPart['data']['pumps'] }) {
  const { shown, plan, pumps, set, data } = part
  const t = useTexts()

  const [season, setSeason] = useState<'summer' | 'winter'>('summer')
  // the last plan that reads well is solved, so that a half typed figure does not empty the picture
  const good = shown.bed.network
  const inp = useMemo(
    () => (good ? writeInp(networkOf(shown.bed, good, season, pumps, data.rules)) : null),
    [shown.bed, good, season, pumps, data],
  )
  const state = useNetwork(inp)
  const change = (next: Partial<FlowPlan>, what: string) => set({ network: { ...plan, ...next } }, what)
  const flowOf = (id: string) =>
    state.status === 'solved' ? (state.network.links.find((l) => l.id === id)?.flowM3PerH ?? 0) : null
  const stateText = () => {
    if (state.status === 'solving') return t('design.networkPart.solving')
    if (state.status === 'solved') return t('design.networkPart.solved')
    return t('design.networkPart.cannotSolvedLike')
  }
  return (
    <>
      <section className="sheet">
        <div className="d-flex flex-wrap gap-3 align-items-center mb-2">
          <div className="btn-group btn-group-sm" role="group" aria-label={t('design.networkPart.seasonIntakes')}>
            {(['summer', 'winter'] as const).map((s) => (
              <button
                key={s}
                type="button"
                className={`btn btn-outline-secondary ${s === season ? 'active' : ''}`}
                aria-pressed={s === season}
                onClick={() => setSeason(s)}
              >
                {s === 'summer' ? t('design.networkPart.summerIntakes') : t('design.networkPart.winterIntakes')}
              </button>
            ))}
          </div>
          <span
            className="soft small"
            data-testid="network-state"
            data-ms={state.status === 'solved' ? state.tookMs.toFixed(0) : ''}
          >
            {stateText()}
          </span>
          <button
            type="button"
            className="btn btn-sm btn-outline-primary ms-auto"
            disabled={!inp}
            onClick={() => inp && saveFile(fileName(`${data.pond.name} ${season}`, 'inp'), inp, 'text/plain')}
          >
            {t('design.networkPart.saveInp')}
          </button>
        </div>
        {state.status === 'refused' ? (
          <div className="stop-note" role="alert">
            {plan.intakes.some((i) => i[season])
              ? state.problem.messages.join('. ')
              : t('design.networkPart.noIntakeOpenPumps', { season })}
          </div>
        ) : null}
        {good ? (
          <FlowDiagram plan={good} season={season} pumpCount={1 + good.morePumps.length} flowOf={flowOf} />
        ) : null}
      </section>
      <div className="columns two">
        <BranchRows {...part} change={change} flowOf={flowOf} />
        <IntakeRows {...part} change={change} flowOf={flowOf} />
      </div>
    </>
  )
}
