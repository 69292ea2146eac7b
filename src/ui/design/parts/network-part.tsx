'use client'
import { useMemo, useState } from 'react'
import { linkIds, networkOf } from '@/core/filter/flow/flow-network'
import { BRANCH_KINDS, firstFlowPlan, type BranchKind, type FlowBranch, type FlowIntake, type FlowPlan } from '@/core/filter/flow/flow-plan'
import { writeInp } from '@/core/hydraulics/network/inp'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { FileButton } from '@/ui/kit/file-button'
import { QuantityField } from '@/ui/kit/quantity-field'
import { FlowDiagram } from '@/ui/drawing/flow-diagram'
import { BRANCH_NAMES, INTAKE_NAMES } from '@/messages/en/filters'
import { useShow } from '@/ui/person-context'
import { fileName, saveFile } from '@/ui/save-file'
import { useNetwork } from '../use-network'
import { orNaN, type BenchPart } from '../use-bench'
import { HeaterPanel } from '../heater-panel'
import { ForeignNetwork } from '../foreign-network'

/** Network mode: intakes, pumps and branches solved together, drawn with the flows on them. */
export function NetworkPart(part: BenchPart) {
  const { bed, shown, data, set } = part
  const [foreign, setForeign] = useState<{ name: string; text: string } | null>(null)
  const plan = bed.network
  return (
    <>
      <section className="sheet">
        <h2>Network</h2>
        <p className="soft">
          For splits and several pumps: bed, bypass, stream, trickle tower, heater; other intakes in summer and winter. Solved as a pipe network by EPANET in
          this browser.
        </p>
        <div className="d-flex flex-wrap gap-2">
          {plan ? (
            <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => set({ network: null })}>
              Leave network mode
            </button>
          ) : (
            <button type="button" className="btn btn-sm btn-primary" onClick={() => set({ network: firstFlowPlan(shown.bed) })}>
              Split the flow
            </button>
          )}
          <FileButton label="Open an INP file" accept=".inp,.txt" onText={(text, name) => setForeign({ name, text })} />
        </div>
      </section>
      <HeaterPanel {...part} />
      {foreign ? <ForeignNetwork name={foreign.name} text={foreign.text} onClose={() => setForeign(null)} /> : null}
      {plan ? <PlanEditor {...part} plan={plan} pumps={data.pumps} /> : null}
    </>
  )
}

function PlanEditor({ bed, shown, plan, pumps, set, errorOf, data }: BenchPart & { plan: FlowPlan; pumps: BenchPart['data']['pumps'] }) {
  const show = useShow()
  const [season, setSeason] = useState<'summer' | 'winter'>('summer')
  // the last plan that reads well is solved, so that a half typed figure does not empty the picture
  const good = shown.bed.network
  const inp = useMemo(() => (good ? writeInp(networkOf(shown.bed, good, season, pumps, data.practice.tables)) : null), [shown.bed, good, season, pumps, data])
  const state = useNetwork(inp)
  const change = (next: Partial<FlowPlan>, what: string) => set({ network: { ...plan, ...next } }, what)
  const branch = (i: number, next: Partial<FlowBranch>) => change({ branches: plan.branches.map((b, n) => (n === i ? { ...b, ...next } : b)) }, `branch${i}`)
  const intake = (i: number, next: Partial<FlowIntake>) => change({ intakes: plan.intakes.map((b, n) => (n === i ? { ...b, ...next } : b)) }, `intake${i}`)
  const flowOf = (id: string) => (state.status === 'solved' ? (state.network.links.find((l) => l.id === id)?.flowM3PerH ?? 0) : null)
  return (
    <>
      <section className="sheet">
        <div className="d-flex flex-wrap gap-3 align-items-center mb-2">
          <div className="btn-group btn-group-sm" role="group" aria-label="Season of the intakes">
            {(['summer', 'winter'] as const).map((s) => (
              <button
                key={s}
                type="button"
                className={`btn btn-outline-secondary ${s === season ? 'active' : ''}`}
                aria-pressed={s === season}
                onClick={() => setSeason(s)}
              >
                {s === 'summer' ? 'Summer intakes' : 'Winter intakes'}
              </button>
            ))}
          </div>
          <span className="soft small" data-testid="network-state" data-ms={state.status === 'solved' ? state.tookMs.toFixed(0) : ''}>
            {state.status === 'solving' ? 'Solving.' : state.status === 'solved' ? 'Solved.' : 'Cannot be solved like this.'}
          </span>
          <button
            type="button"
            className="btn btn-sm btn-outline-primary ms-auto"
            disabled={!inp}
            onClick={() => inp && saveFile(fileName(`${data.pond.name} ${season}`, 'inp'), inp, 'text/plain')}
          >
            Save as INP
          </button>
        </div>
        {state.status === 'refused' ? (
          <div className="stop-note" role="alert">
            {plan.intakes.some((i) => i[season]) ? state.problem.messages.join('. ') : `No intake is open in ${season}: the pumps have nothing to draw.`}
          </div>
        ) : null}
        {good ? <FlowDiagram plan={good} season={season} pumpCount={1 + good.morePumps.length} flowOf={flowOf} /> : null}
      </section>
      <div className="columns two">
        <section className="sheet">
          <h2>Branches</h2>
          {plan.branches.map((b, i) => (
            <div key={i} className="companion">
              <div className="d-flex gap-2 align-items-baseline">
                <strong>{BRANCH_NAMES[b.kind]}</strong>
                <span className="soft">{flowOf(linkIds.branch(i)) === null ? '' : show(flowOf(linkIds.branch(i))!, 'flow')}</span>
                <button
                  type="button"
                  className="btn btn-sm btn-outline-secondary ms-auto"
                  aria-label={`Remove ${BRANCH_NAMES[b.kind]}`}
                  disabled={plan.branches.length === 1}
                  onClick={() => change({ branches: plan.branches.filter((_, n) => n !== i) }, '')}
                >
                  ×
                </button>
              </div>
              <div className="field-grid">
                <QuantityField
                  label="Valve open"
                  kind="share"
                  value={b.valve}
                  onChange={(v) => branch(i, { valve: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.valve`)}
                />
                <QuantityField
                  label="Bore"
                  kind="length"
                  scale="small"
                  value={b.boreM}
                  onChange={(v) => branch(i, { boreM: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.boreM`)}
                />
                <QuantityField
                  label="Length"
                  kind="length"
                  value={b.lengthM}
                  onChange={(v) => branch(i, { lengthM: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.lengthM`)}
                />
                <QuantityField
                  label="Level over the pond"
                  kind="length"
                  value={b.levelM}
                  onChange={(v) => branch(i, { levelM: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.levelM`)}
                />
                <QuantityField
                  label="Fittings, K"
                  kind="number"
                  value={b.k}
                  onChange={(v) => branch(i, { k: orNaN(v) })}
                  error={errorOf(`network.branches.${i}.k`)}
                />
              </div>
            </div>
          ))}
          <ChoiceField
            label="Add a branch"
            value=""
            onChange={(e) => e.target.value && change({ branches: [...plan.branches, newBranch(e.target.value as BranchKind, bed)] }, '')}
            options={[{ value: '', label: 'Choose…' }, ...BRANCH_KINDS.map((kind) => ({ value: kind, label: BRANCH_NAMES[kind] }))]}
          />
        </section>
        <section className="sheet">
          <h2>Intakes</h2>
          {plan.intakes.map((n, i) => (
            <div key={i} className="companion">
              <strong>{INTAKE_NAMES[n.kind]}</strong>
              <div className="d-flex gap-3">
                <CheckField label="open in summer" checked={n.summer} onChange={(summer) => intake(i, { summer })} />
                <CheckField label="open in winter" checked={n.winter} onChange={(winter) => intake(i, { winter })} />
              </div>
              <div className="field-grid">
                <QuantityField
                  label="Bore"
                  kind="length"
                  scale="small"
                  value={n.boreM}
                  onChange={(v) => intake(i, { boreM: orNaN(v) })}
                  error={errorOf(`network.intakes.${i}.boreM`)}
                />
                <QuantityField
                  label="Length"
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
                change({ intakes: [...plan.intakes, { kind: 'skimmer', boreM: bed.delivery.diameterM, lengthM: 4, k: 2, summer: true, winter: false }] }, '')
              }
            >
              Add a skimmer line
            </button>
          )}
          <h2 className="mt-3">More pumps, side by side</h2>
          {plan.morePumps.map((id, i) => (
            <div key={i} className="d-flex gap-2 align-items-end mb-1">
              <ChoiceField
                label={`Pump ${i + 2}`}
                value={id}
                onChange={(e) => change({ morePumps: plan.morePumps.map((p, n) => (n === i ? e.target.value : p)) }, '')}
                options={pumps.map((p) => ({ value: p.id, label: `${p.name}, ${p.powerW} W` }))}
              />
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                aria-label={`Remove pump ${i + 2}`}
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
            Add a pump
          </button>
        </section>
      </div>
    </>
  )
}

const newBranch = (kind: BranchKind, bed: BenchPart['bed']): FlowBranch => ({
  kind,
  boreM: bed.delivery.diameterM,
  lengthM: kind === 'stream' ? 8 : 3,
  k: 1.5,
  valve: kind === 'heater' ? 0.3 : 0.6,
  levelM: kind === 'trickle-tower' ? 1.6 : kind === 'stream' ? Math.max(0.3, bed.staticLiftM) : kind === 'heater' ? 0 : bed.staticLiftM,
})
