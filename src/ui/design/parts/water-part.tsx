'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { fittingsK, type PipeSize } from '@/core/hydraulics/fittings'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import { fallsReaeration } from '@/core/hydraulics/falls'
import { formatNumber } from '@/core/units/format'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { Why } from '@/ui/kit/why'
import { powerWords } from '@/messages/design/checks'
import { useShow } from '@/ui/person-context'
import { PumpChart } from '../pump-chart'
import { orNaN, type DesignPart } from '@/ui/design/use-design'
import { fittingName } from '@/messages/house-rules/usual-tables'

const boreOptions = (boreM: number, pipes: readonly PipeSize[], t: Texts) => {
  const sizes = pipes.map((size) => ({
    value: String(size.boreM),
    label: t('design.waterPart.boreMm', { name: size.name, boreM: Math.round(size.boreM * 1000) }),
  }))
  return sizes.some((size) => Number(size.value) === boreM)
    ? sizes
    : [{ value: String(boreM), label: t('design.waterPart.boreMm2', { boreM: Math.round(boreM * 1000) }) }, ...sizes]
}

/** Pump, pipes, fittings, the way back, falls: where they agree, and what that costs. */
export function WaterPart({ data, bed, shown, set, errorOf }: DesignPart) {
  const t = useTexts()

  const show = useShow()
  const { result } = shown
  const { duty, demand, head } = result
  const facts = FILTER_TYPE_FACTS[bed.type]
  const { tables } = data.rules
  const m = (value: number) => show(value, 'length', { scale: Math.abs(value) < 0.1 ? 'small' : 'usual' })
  const delivery = (change: Partial<typeof bed.delivery>, what: string) =>
    set({ delivery: { ...bed.delivery, ...change } }, what)
  const outlet = (change: Partial<typeof bed.outlet>, what: string) =>
    set({ outlet: { ...bed.outlet, ...change } }, what)
  return (
    <>
      <div className="columns two">
        <section className="sheet">
          <h2>{result.pump.name}</h2>
          <PumpChart result={result} />
          <dl className="figures">
            <div>
              <dt>{t('design.waterPart.duty')}</dt>
              <dd data-testid="duty-flow">
                {duty.status === 'no-flow' ? t('design.waterPart.noFlow') : show(duty.flowM3PerH, 'flow')}
              </dd>
            </div>
            <div>
              <dt>{t('design.waterPart.needed', { governedBy: t(`design.demandNames.${demand.governedBy}`) })}</dt>
              <dd>{show(demand.neededM3PerH, 'flow')}</dd>
            </div>
            <div>
              <dt>{t('design.waterPart.quarterClogged')}</dt>
              <dd>{show(result.cloggedFlowM3PerH, 'flow')}</dd>
            </div>
            <div>
              <dt>{t('design.waterPart.power')}</dt>
              <dd>{powerWords(result.powerW, t)}</dd>
            </div>
          </dl>
          <Why title={t('design.waterPart.headHowAddsUp', { totalM: m(head.totalM) })}>
            {t('design.waterPart.liftPipeFrictionDarcy', {
              staticM: m(head.staticM),
              darcyM: m(head.darcyM),
              hazenM: m(head.hazenM),
              minorM: m(head.minorM),
              bedM: m(head.bedM),
              nozzlesM: m(head.nozzlesM),
              companionsM: m(head.companionsM),
              velocityMPerS: formatNumber(head.velocityMPerS),
              litresPerKWh: formatNumber(result.litresPerKWh, 'en', 3),
            })}
          </Why>
          <Why title={t('design.waterPart.whatFlowMustDo')}>
            {t('design.waterPart.methodOxygenTurnoverFalls', {
              methodM3PerH: show(demand.methodM3PerH, 'flow'),
              oxygenM3PerH: show(demand.oxygenM3PerH, 'flow'),
              turnoverM3PerH: show(demand.turnoverM3PerH, 'flow'),
              fallsM3PerH: show(demand.fallsM3PerH, 'flow'),
              skimmerM3PerH: show(demand.skimmerM3PerH, 'flow'),
            })}
          </Why>
        </section>
        <section className="sheet">
          <h2>{t('design.waterPart.pump')}</h2>
          <div className="field-grid">
            <ChoiceField
              label={t('design.waterPart.pump')}
              value={bed.pumpId}
              onChange={(e) => set({ pumpId: e.target.value })}
              options={data.pumps.map((p) => ({ value: p.id, label: `${p.name}, ${p.powerW} W` }))}
            />
            <ChoiceField
              label={t('design.waterPart.working')}
              value={bed.pumpSet.arrangement}
              onChange={(e) => {
                const arrangement = e.target.value as typeof bed.pumpSet.arrangement
                set({
                  pumpSet: {
                    ...bed.pumpSet,
                    arrangement,
                    count: arrangement === 'single' ? 1 : Math.max(2, bed.pumpSet.count),
                  },
                })
              }}
              options={[
                { value: 'single', label: t('design.waterPart.onePump') },
                { value: 'parallel', label: t('design.waterPart.sideSide') },
                { value: 'series', label: t('design.waterPart.oneAfterOther') },
              ]}
            />
            {bed.pumpSet.arrangement === 'single' ? null : (
              <QuantityField
                label={t('design.waterPart.howMany')}
                kind="number"
                value={bed.pumpSet.count}
                onChange={(v) => set({ pumpSet: { ...bed.pumpSet, count: orNaN(v) } }, 'count')}
                error={errorOf('pumpSet.count')}
              />
            )}
            <QuantityField
              label={t('design.waterPart.speed')}
              kind="share"
              value={bed.pumpSet.speed}
              onChange={(v) => set({ pumpSet: { ...bed.pumpSet, speed: orNaN(v) } }, 'speed')}
              error={errorOf('pumpSet.speed')}
            />
            <QuantityField
              label={t('design.waterPart.liftBedsWater')}
              kind="length"
              value={bed.staticLiftM}
              onChange={(v) => set({ staticLiftM: orNaN(v) }, 'lift')}
              error={errorOf('staticLiftM')}
            />
            <QuantityField
              label={t('design.waterPart.sharePastBed')}
              kind="share"
              value={bed.bypassShare}
              onChange={(v) => set({ bypassShare: orNaN(v) }, 'bypass')}
              error={errorOf('bypassShare')}
            />
          </div>
          <h2 className="mt-3">{t('design.waterPart.deliveryPipe')}</h2>
          <div className="field-grid">
            <ChoiceField
              label={t('design.waterPart.pipeSize')}
              value={String(bed.delivery.diameterM)}
              onChange={(e) => delivery({ diameterM: Number(e.target.value) }, 'bore')}
              options={boreOptions(bed.delivery.diameterM, tables.pipes, t)}
            />
            <QuantityField
              label={t('design.waterPart.length')}
              kind="length"
              value={bed.delivery.lengthM}
              onChange={(v) => delivery({ lengthM: orNaN(v) }, 'run')}
              error={errorOf('delivery.lengthM')}
            />
          </div>
          <CheckField
            label={t('design.waterPart.flexiblePipe')}
            checked={bed.delivery.flexible}
            onChange={(flexible) => delivery({ flexible }, 'flexible')}
          />
          <CheckField
            label={t('design.waterPart.dryMountedSuctionPipe')}
            checked={bed.suctionDiameterM !== null}
            onChange={(dry) => set({ suctionDiameterM: dry ? bed.delivery.diameterM : null })}
          />
          {bed.suctionDiameterM === null ? null : (
            <ChoiceField
              label={t('design.waterPart.suctionPipe')}
              value={String(bed.suctionDiameterM)}
              onChange={(e) => set({ suctionDiameterM: Number(e.target.value) })}
              options={boreOptions(bed.suctionDiameterM, tables.pipes, t)}
            />
          )}
          <details className="mt-2">
            <summary>
              {t('design.waterPart.fittingsKAll', {
                fittings: formatNumber(
                  fittingsK(shown.bed.delivery.fittings, tables.fittings) + shown.bed.delivery.otherK,
                ),
              })}
            </summary>
            <div className="field-grid mt-1">
              {tables.fittings.map(({ key, name, k }) => (
                <QuantityField
                  key={key}
                  label={`${fittingName({ key, name }, t)} (${k})`}
                  kind="number"
                  value={bed.delivery.fittings[key] ?? 0}
                  onChange={(v) => delivery({ fittings: { ...bed.delivery.fittings, [key]: orNaN(v) } }, key)}
                  error={errorOf(`delivery.fittings.${key}`)}
                />
              ))}
              <QuantityField
                label={t('design.waterPart.anythingElseK')}
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
            <h2>{t('design.waterPart.wayBack')}</h2>
            <div className="field-grid">
              <QuantityField
                label={t('design.waterPart.returnPipes')}
                kind="number"
                value={bed.outlet.count}
                onChange={(v) => outlet({ count: orNaN(v) }, 'outlets')}
                error={errorOf('outlet.count')}
              />
              <ChoiceField
                label={t('design.waterPart.returnSize')}
                value={String(bed.outlet.diameterM)}
                onChange={(e) => outlet({ diameterM: Number(e.target.value) }, 'outletBore')}
                options={boreOptions(bed.outlet.diameterM, tables.pipes, t)}
              />
              <QuantityField
                label={t('design.waterPart.returnLength')}
                kind="length"
                value={bed.outlet.lengthM}
                onChange={(v) => outlet({ lengthM: orNaN(v) }, 'outletLength')}
                error={errorOf('outlet.lengthM')}
              />
              <QuantityField
                label={t('design.waterPart.returnFall')}
                kind="length"
                scale="small"
                value={bed.outlet.dropM}
                onChange={(v) => outlet({ dropM: orNaN(v) }, 'outletDrop')}
                error={errorOf('outlet.dropM')}
              />
            </div>
            <p className="soft small mb-0">
              {t('design.waterPart.oneCarriesHalfFull', {
                halfFullM3PerH: show(result.outlet.halfFullM3PerH, 'flow'),
                fullM3PerH: show(result.outlet.fullM3PerH, 'flow'),
              })}
            </p>
          </section>
        ) : null}
        <section className="sheet">
          <h2>{t('design.waterPart.falls')}</h2>
          <CheckField
            label={t('design.waterPart.waterFallsBackOver')}
            checked={bed.falls !== null}
            onChange={(has) => set({ falls: has ? { widthM: 0.6, dropM: 0.4 } : null })}
          />
          {bed.falls ? (
            <>
              <div className="field-grid">
                <QuantityField
                  label={t('design.waterPart.lipWidth')}
                  kind="length"
                  value={bed.falls.widthM}
                  onChange={(v) => set({ falls: { ...bed.falls!, widthM: orNaN(v) } }, 'lip')}
                  error={errorOf('falls.widthM')}
                />
                <QuantityField
                  label={t('design.waterPart.drop')}
                  kind="length"
                  value={bed.falls.dropM}
                  onChange={(v) => set({ falls: { ...bed.falls!, dropM: orNaN(v) } }, 'drop')}
                  error={errorOf('falls.dropM')}
                />
              </div>
              {result.falls ? (
                <p className="soft small mb-0">
                  {t('design.waterPart.thickDropMakesGood', {
                    sheetM: m(result.falls.sheetM),
                    look: t(`design.lookNames.${result.falls.look}`),
                    dropM: show(fallsReaeration(bed.falls.dropM, 20), 'share'),
                  })}
                </p>
              ) : null}
            </>
          ) : null}
        </section>
      </div>
    </>
  )
}
