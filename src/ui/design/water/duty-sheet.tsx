'use client'
import { useTexts } from '@/ui/kit/texts'
import { formatNumber } from '@/core/units/format'
import { Why } from '@/ui/kit/why'
import { powerWords } from '@/messages/design/checks'
import { useShow } from '@/ui/person-context'
import { PumpChart } from './pump-chart'
import type { DesignPart } from '@/ui/design/use-design'

/** Where pump and pipes agree, how the head adds up, and what the flow must do. */
export function DutySheet({ shown: { result } }: DesignPart) {
  const t = useTexts()
  const show = useShow()
  const { duty, demand, head, pump } = result
  const m = (value: number) => show(value, 'length', { scale: Math.abs(value) < 0.1 ? 'small' : 'usual' })
  if (pump === null || duty.status === 'no-pump')
    return (
      <section className="sheet">
        <h2>{t('design.waterPart.noPump')}</h2>
        <p className="mb-0">{t('design.waterPart.surfaceAndPlantsWork')}</p>
      </section>
    )
  return (
    <section className="sheet">
      <h2>{pump.name}</h2>
      <PumpChart result={result} name={pump.name} />
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
          <dd>{powerWords(result.powerW, result.energyKWhPerYear, t)}</dd>
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
          trainM: m(head.trainM),
          suctionM: m(head.suctionM),
          velocityMPerS: formatNumber(head.velocityMPerS),
          litresPerKWh: formatNumber(result.litresPerKWh, 'en', 3),
        })}
      </Why>
      <Why title={t('design.waterPart.whatFlowMustDo')}>
        {t('design.waterPart.methodOxygenTurnoverFalls', {
          methodM3PerH: show(demand.methodM3PerH, 'flow'),
          ammoniaM3PerH: show(demand.ammoniaM3PerH, 'flow'),
          oxygenM3PerH: show(demand.oxygenM3PerH, 'flow'),
          turnoverM3PerH: show(demand.turnoverM3PerH, 'flow'),
          fallsM3PerH: show(demand.fallsM3PerH, 'flow'),
          skimmerM3PerH: show(demand.skimmerM3PerH, 'flow'),
        })}
      </Why>
    </section>
  )
}
