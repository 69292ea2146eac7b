'use client'
import { fittingsK, type PipeSize } from '@/core/hydraulics/fittings'
import { FILTER_TYPE_FACTS } from '@/core/filter/filter-types'
import { fallsReaeration } from '@/core/hydraulics/falls'
import { formatNumber } from '@/core/units/format'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { Why } from '@/ui/kit/why'
import { DEMAND_NAMES, LOOK_NAMES } from '@/messages/en/filters'
import { powerWords } from '@/messages/en/checks'
import { useShow } from '@/ui/person-context'
import { PumpChart } from '../pump-chart'
import { orNaN, type BenchPart } from '../use-bench'

const boreOptions = (boreM: number, pipes: readonly PipeSize[]) => {
  const sizes = pipes.map((size) => ({ value: String(size.boreM), label: `${size.name} (bore ${Math.round(size.boreM * 1000)} mm)` }))
  return sizes.some((size) => Number(size.value) === boreM) ? sizes : [{ value: String(boreM), label: `bore ${Math.round(boreM * 1000)} mm` }, ...sizes]
}

/** Pump, pipes, fittings, the way back, falls: where they agree, and what that costs. */
export function WaterPart({ data, bed, shown, set, errorOf }: BenchPart) {
  const show = useShow()
  const { result } = shown
  const { duty, demand, head } = result
  const facts = FILTER_TYPE_FACTS[bed.type]
  const { tables } = data.practice
  const m = (value: number) => show(value, 'length', { scale: Math.abs(value) < 0.1 ? 'small' : 'usual' })
  const delivery = (change: Partial<typeof bed.delivery>, what: string) => set({ delivery: { ...bed.delivery, ...change } }, what)
  const outlet = (change: Partial<typeof bed.outlet>, what: string) => set({ outlet: { ...bed.outlet, ...change } }, what)
  return (
    <>
      <div className="columns two">
        <section className="sheet">
          <h2>{result.pump.name}</h2>
          <PumpChart result={result} />
          <dl className="figures">
            <div>
              <dt>Duty</dt>
              <dd data-testid="duty-flow">{duty.status === 'no-flow' ? 'no flow' : show(duty.flowM3PerH, 'flow')}</dd>
            </div>
            <div>
              <dt>Needed ({DEMAND_NAMES[demand.governedBy]})</dt>
              <dd>{show(demand.neededM3PerH, 'flow')}</dd>
            </div>
            <div>
              <dt>A quarter clogged</dt>
              <dd>{show(result.cloggedFlowM3PerH, 'flow')}</dd>
            </div>
            <div>
              <dt>Power</dt>
              <dd>{powerWords(result.powerW)}</dd>
            </div>
          </dl>
          <Why title={`Head ${m(head.totalM)}: how it adds up`}>
            Lift {m(head.staticM)} + pipe friction {m(head.darcyM)} (Darcy–Weisbach; Hazen–Williams says {m(head.hazenM)}) + fittings {m(head.minorM)} + bed{' '}
            {m(head.bedM)} + slots {m(head.nozzlesM)} + equipment {m(head.companionsM)}. Pipe velocity {formatNumber(head.velocityMPerS)} m/s.{' '}
            {formatNumber(result.litresPerKWh, 'en', 3)} L per kWh.
          </Why>
          <Why title="What the flow must do">
            School {show(demand.schoolM3PerH, 'flow')}, oxygen {show(demand.oxygenM3PerH, 'flow')}, turnover {show(demand.turnoverM3PerH, 'flow')}, falls{' '}
            {show(demand.fallsM3PerH, 'flow')}, skimmers {show(demand.skimmerM3PerH, 'flow')}. The largest counts; what the bed cannot take goes past it.
          </Why>
        </section>
        <section className="sheet">
          <h2>Pump</h2>
          <div className="field-grid">
            <ChoiceField
              label="Pump"
              value={bed.pumpId}
              onChange={(e) => set({ pumpId: e.target.value })}
              options={data.pumps.map((p) => ({ value: p.id, label: `${p.name}, ${p.powerW} W` }))}
            />
            <ChoiceField
              label="Working"
              value={bed.pumpSet.arrangement}
              onChange={(e) => {
                const arrangement = e.target.value as typeof bed.pumpSet.arrangement
                set({ pumpSet: { ...bed.pumpSet, arrangement, count: arrangement === 'single' ? 1 : Math.max(2, bed.pumpSet.count) } })
              }}
              options={[
                { value: 'single', label: 'one pump' },
                { value: 'parallel', label: 'side by side' },
                { value: 'series', label: 'one after the other' },
              ]}
            />
            {bed.pumpSet.arrangement === 'single' ? null : (
              <QuantityField
                label="How many"
                kind="number"
                value={bed.pumpSet.count}
                onChange={(v) => set({ pumpSet: { ...bed.pumpSet, count: orNaN(v) } }, 'count')}
                error={errorOf('pumpSet.count')}
              />
            )}
            <QuantityField
              label="Speed"
              kind="share"
              value={bed.pumpSet.speed}
              onChange={(v) => set({ pumpSet: { ...bed.pumpSet, speed: orNaN(v) } }, 'speed')}
              error={errorOf('pumpSet.speed')}
            />
            <QuantityField
              label="Lift to the bed’s water"
              kind="length"
              value={bed.staticLiftM}
              onChange={(v) => set({ staticLiftM: orNaN(v) }, 'lift')}
              error={errorOf('staticLiftM')}
            />
            <QuantityField
              label="Share past the bed"
              kind="share"
              value={bed.bypassShare}
              onChange={(v) => set({ bypassShare: orNaN(v) }, 'bypass')}
              error={errorOf('bypassShare')}
            />
          </div>
          <h2 className="mt-3">Delivery pipe</h2>
          <div className="field-grid">
            <ChoiceField
              label="Pipe size"
              value={String(bed.delivery.diameterM)}
              onChange={(e) => delivery({ diameterM: Number(e.target.value) }, 'bore')}
              options={boreOptions(bed.delivery.diameterM, tables.pipes)}
            />
            <QuantityField
              label="Length"
              kind="length"
              value={bed.delivery.lengthM}
              onChange={(v) => delivery({ lengthM: orNaN(v) }, 'run')}
              error={errorOf('delivery.lengthM')}
            />
          </div>
          <CheckField label="Flexible pipe" checked={bed.delivery.flexible} onChange={(flexible) => delivery({ flexible }, 'flexible')} />
          <CheckField
            label="Dry-mounted, with a suction pipe"
            checked={bed.suctionDiameterM !== null}
            onChange={(dry) => set({ suctionDiameterM: dry ? bed.delivery.diameterM : null })}
          />
          {bed.suctionDiameterM === null ? null : (
            <ChoiceField
              label="Suction pipe"
              value={String(bed.suctionDiameterM)}
              onChange={(e) => set({ suctionDiameterM: Number(e.target.value) })}
              options={boreOptions(bed.suctionDiameterM, tables.pipes)}
            />
          )}
          <details className="mt-2">
            <summary>Fittings, K = {formatNumber(fittingsK(shown.bed.delivery.fittings, tables.fittings) + shown.bed.delivery.otherK)} in all</summary>
            <div className="field-grid mt-1">
              {tables.fittings.map(({ key, name, k }) => (
                <QuantityField
                  key={key}
                  label={`${name} (${k})`}
                  kind="number"
                  value={bed.delivery.fittings[key] ?? 0}
                  onChange={(v) => delivery({ fittings: { ...bed.delivery.fittings, [key]: orNaN(v) } }, key)}
                  error={errorOf(`delivery.fittings.${key}`)}
                />
              ))}
              <QuantityField
                label="Anything else, K"
                kind="number"
                value={bed.delivery.otherK}
                onChange={(v) => delivery({ otherK: orNaN(v) }, 'otherK')}
                error={errorOf('delivery.otherK')}
              />
            </div>
          </details>
        </section>
      </div>
      <div className="columns two">
        {facts.pipedOutlet ? (
          <section className="sheet">
            <h2>The way back</h2>
            <div className="field-grid">
              <QuantityField
                label="Return pipes"
                kind="number"
                value={bed.outlet.count}
                onChange={(v) => outlet({ count: orNaN(v) }, 'outlets')}
                error={errorOf('outlet.count')}
              />
              <ChoiceField
                label="Return size"
                value={String(bed.outlet.diameterM)}
                onChange={(e) => outlet({ diameterM: Number(e.target.value) }, 'outletBore')}
                options={boreOptions(bed.outlet.diameterM, tables.pipes)}
              />
              <QuantityField
                label="Return length"
                kind="length"
                value={bed.outlet.lengthM}
                onChange={(v) => outlet({ lengthM: orNaN(v) }, 'outletLength')}
                error={errorOf('outlet.lengthM')}
              />
              <QuantityField
                label="Return fall"
                kind="length"
                scale="small"
                value={bed.outlet.dropM}
                onChange={(v) => outlet({ dropM: orNaN(v) }, 'outletDrop')}
                error={errorOf('outlet.dropM')}
              />
            </div>
            <p className="soft small mb-0">
              One carries {show(result.outlet.halfFullM3PerH, 'flow')} half full (Manning), {show(result.outlet.fullM3PerH, 'flow')} full.
            </p>
          </section>
        ) : null}
        <section className="sheet">
          <h2>Falls</h2>
          <CheckField
            label="The water falls back over a lip"
            checked={bed.falls !== null}
            onChange={(has) => set({ falls: has ? { widthM: 0.6, dropM: 0.4 } : null })}
          />
          {bed.falls ? (
            <>
              <div className="field-grid">
                <QuantityField
                  label="Lip width"
                  kind="length"
                  value={bed.falls.widthM}
                  onChange={(v) => set({ falls: { ...bed.falls!, widthM: orNaN(v) } }, 'lip')}
                  error={errorOf('falls.widthM')}
                />
                <QuantityField
                  label="Drop"
                  kind="length"
                  value={bed.falls.dropM}
                  onChange={(v) => set({ falls: { ...bed.falls!, dropM: orNaN(v) } }, 'drop')}
                  error={errorOf('falls.dropM')}
                />
              </div>
              {result.falls ? (
                <p className="soft small mb-0">
                  {m(result.falls.sheetM)} thick: {LOOK_NAMES[result.falls.look]}. The drop makes good {show(fallsReaeration(bed.falls.dropM, 20), 'share')} of
                  the oxygen that is lacking, at 20 °C.
                </p>
              ) : null}
            </>
          ) : null}
        </section>
      </div>
    </>
  )
}
