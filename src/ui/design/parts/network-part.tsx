'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { linkIds, networkOf } from '@/core/filter/flow/flow-network'
import {
  BRANCH_KINDS,
  firstFlowPlan,
  type BranchKind,
  type FlowBranch,
  type FlowIntake,
  type FlowPlan,
} from '@/core/filter/flow/flow-plan'
import { writeInp } from '@/core/hydraulics/network/inp'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { FileButton } from '@/ui/kit/file-button'
import { QuantityField } from '@/ui/kit/quantity-field'
import { FlowDiagram } from '@/ui/drawing/flow-diagram'
import { useShow } from '@/ui/person-context'
import { fileName, saveFile } from '@/ui/save-file'
import { useNetwork } from '../use-network'
import { orNaN, type DesignPart } from '@/ui/design/use-design'
import { HeaterPanel } from '../heater-panel'
import { ForeignNetwork } from '../foreign-network'

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

function PlanEditor({
  bed,
  shown,
  plan,
  pumps,
  set,
  errorOf,
  data,
}: DesignPart & { plan: FlowPlan; pumps: DesignPart['data']['pumps'] }) {
  const t = useTexts()

  const show = useShow()
  const [season, setSeason] = useState<'summer' | 'winter'>('summer')
  // the last plan that reads well is solved, so that a half typed figure does not empty the picture
  const good = shown.bed.network
  const inp = useMemo(
    () => (good ? writeInp(networkOf(shown.bed, good, season, pumps, data.rules.tables)) : null),
    [shown.bed, good, season, pumps, data],
  )
  const state = useNetwork(inp)
  const change = (next: Partial<FlowPlan>, what: string) => set({ network: { ...plan, ...next } }, what)
  const branch = (i: number, next: Partial<FlowBranch>) =>
    change({ branches: plan.branches.map((b, n) => (n === i ? { ...b, ...next } : b)) }, `branch${i}`)
  const intake = (i: number, next: Partial<FlowIntake>) =>
    change({ intakes: plan.intakes.map((b, n) => (n === i ? { ...b, ...next } : b)) }, `intake${i}`)
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
        <section className="sheet">
          <h2>{t('design.networkPart.branches')}</h2>
          {plan.branches.map((b, i) => (
            <div key={i} className="companion">
              <div className="d-flex gap-2 align-items-baseline">
                <strong>{t(`design.branchNames.${b.kind}`)}</strong>
                <span className="soft">
                  {flowOf(linkIds.branch(i)) === null ? '' : show(flowOf(linkIds.branch(i))!, 'flow')}
                </span>
                <button
                  type="button"
                  className="btn btn-sm btn-outline-secondary ms-auto"
                  aria-label={t('design.networkPart.remove', { kind: t(`design.branchNames.${b.kind}`) })}
                  disabled={plan.branches.length === 1}
                  onClick={() => change({ branches: plan.branches.filter((_, n) => n !== i) }, '')}
                >
                  ×
                </button>
              </div>
              <div className="field-grid">
                <QuantityField
                  label={t('design.networkPart.valveOpen')}
                  kind="share"
                  value={b.valve}
                  onChange={(v) => branch(i, { valve: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.valve`)}
                />
                <QuantityField
                  label={t('design.networkPart.bore')}
                  kind="length"
                  scale="small"
                  value={b.boreM}
                  onChange={(v) => branch(i, { boreM: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.boreM`)}
                />
                <QuantityField
                  label={t('design.networkPart.length')}
                  kind="length"
                  value={b.lengthM}
                  onChange={(v) => branch(i, { lengthM: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.lengthM`)}
                />
                <QuantityField
                  label={t('design.networkPart.levelOverPond')}
                  kind="length"
                  value={b.levelM}
                  onChange={(v) => branch(i, { levelM: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.levelM`)}
                />
                <QuantityField
                  label={t('design.networkPart.fittingsK')}
                  kind="number"
                  value={b.k}
                  onChange={(v) => branch(i, { k: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.k`)}
                />
              </div>
            </div>
          ))}
          <ChoiceField
            label={t('design.networkPart.addBranch')}
            value=""
            onChange={(e) =>
              e.target.value &&
              change({ branches: [...plan.branches, newBranch(e.target.value as BranchKind, bed)] }, '')
            }
            options={[
              { value: '', label: t('design.networkPart.choose') },
              ...BRANCH_KINDS.map((kind) => ({ value: kind, label: t(`design.branchNames.${kind}`) })),
            ]}
          />
        </section>
        <section className="sheet">
          <h2>{t('design.networkPart.intakes')}</h2>
          {plan.intakes.map((n, i) => (
            <div key={i} className="companion">
              <strong>{t(`design.intakeNames.${n.kind}`)}</strong>
              <div className="d-flex gap-3">
                <CheckField
                  label={t('design.networkPart.openSummer')}
                  checked={n.summer}
                  onChange={(summer) => intake(i, { summer })}
                />
                <CheckField
                  label={t('design.networkPart.openWinter')}
                  checked={n.winter}
                  onChange={(winter) => intake(i, { winter })}
                />
              </div>
              <div className="field-grid">
                <QuantityField
                  label={t('design.networkPart.bore')}
                  kind="length"
                  scale="small"
                  value={n.boreM}
                  onChange={(v) => intake(i, { boreM: orNaN(v) })}
                  error={errorOf(`network.intakes.${i}.boreM`)}
                />
                <QuantityField
                  label={t('design.networkPart.length')}
                  kind="length"
                  value={n.lengthM}
                  onChange={(v) => intake(i, { lengthM: orNaN(v) })}
                  error={errorOf(`network.intakes.${i}.lengthM`)}
                />
              </div>
            </div>
          ))}
          {plan.intakes.some((n) => n.kind === 'skimmer') ? null : (
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              onClick={() =>
                change(
                  {
                    intakes: [
                      ...plan.intakes,
                      { kind: 'skimmer', boreM: bed.delivery.diameterM, lengthM: 4, k: 2, summer: true, winter: false },
                    ],
                  },
                  '',
                )
              }
            >
              {t('design.networkPart.addSkimmerLine')}
            </button>
          )}
          <h2 className="mt-3">{t('design.networkPart.morePumpsSideSide')}</h2>
          {plan.morePumps.map((id, i) => (
            <div key={i} className="d-flex gap-2 align-items-end mb-1">
              <ChoiceField
                label={t('design.networkPart.pump', { i: i + 2 })}
                value={id}
                onChange={(e) =>
                  change({ morePumps: plan.morePumps.map((p, n) => (n === i ? e.target.value : p)) }, '')
                }
                options={pumps.map((p) => ({ value: p.id, label: `${p.name}, ${p.powerW} W` }))}
              />
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                aria-label={t('design.networkPart.removePump', { i: i + 2 })}
                onClick={() => change({ morePumps: plan.morePumps.filter((_, n) => n !== i) }, '')}
              >
                ×
              </button>
            </div>
          ))}
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            disabled={plan.morePumps.length >= 4}
            onClick={() => change({ morePumps: [...plan.morePumps, bed.pumpId] }, '')}
          >
            {t('design.networkPart.addPump')}
          </button>
        </section>
      </div>
    </>
  )
}

const newBranch = (kind: BranchKind, bed: DesignPart['bed']): FlowBranch => {
  const levelM = () => {
    if (kind === 'trickle-tower') return 1.6
    if (kind === 'stream') return Math.max(0.3, bed.staticLiftM)
    if (kind === 'heater') return 0
    return bed.staticLiftM
  }

  return {
    kind,
    boreM: bed.delivery.diameterM,
    lengthM: kind === 'stream' ? 8 : 3,
    k: 1.5,
    valve: kind === 'heater' ? 0.3 : 0.6,
    levelM: levelM(),
  }
}
