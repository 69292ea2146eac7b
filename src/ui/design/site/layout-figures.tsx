'use client'
import { useTexts } from '@/ui/kit/texts'
import type { PondGround } from '@/core/site-plan/pond-ground'
import { useShow } from '@/ui/person-context'
import type { DesignPart } from '../use-design'

/** What follows from where the parts stand; every figure here is the one that checks, price and drawings use. */
export function LayoutFigures({ data, shown, ground }: DesignPart & { ground: PondGround }) {
  const t = useTexts()
  const show = useShow()
  const { bed, result } = shown
  const plan = result.sitePlan
  if (!plan) return null
  const length = (m: number) => show(m, 'length')
  const volume = (m3: number) => show(m3, 'volume')
  const spots = ground.survey.objects.some((o) => o.kind === 'spot-level')
  const rows: readonly (readonly [string, string])[] = [
    [
      t('sitePlan.figures.lift'),
      spots ? length(bed.staticLiftM) : t('sitePlan.figures.liftByHand', { lift: length(bed.staticLiftM) }),
    ],
    ...(bed.pumpId === null
      ? []
      : ([
          [
            t('sitePlan.figures.pipe'),
            t('sitePlan.figures.pipeBends', {
              length: length(bed.delivery.lengthM),
              bends: plan.bends.elbow90 + plan.bends.elbow45,
            }),
          ],
          [
            t('sitePlan.figures.head'),
            t('sitePlan.figures.headFlow', { head: length(result.head.totalM), flow: show(result.flowM3PerH, 'flow') }),
          ],
        ] as const)),
    ...(plan.stream
      ? ([
          [
            t('sitePlan.figures.stream'),
            t('sitePlan.figures.streamOf', {
              length: length(plan.stream.lengthM),
              volume: volume(plan.stream.volumeM3),
            }),
          ],
        ] as const)
      : []),
    [
      t('sitePlan.figures.dig'),
      t('sitePlan.figures.digSpoil', {
        dig: volume(plan.earthworks.bedM3 + plan.earthworks.pipeTrenchM3 + plan.earthworks.streamM3),
        spoil: volume(plan.earthworks.spoilM3),
      }),
    ],
    [t('sitePlan.figures.haul'), plan.haulM === null ? t('sitePlan.figures.noAccess') : length(plan.haulM)],
    [t('sitePlan.figures.cable'), plan.cableM === null ? t('sitePlan.figures.noSupply') : length(plan.cableM)],
    [
      t('sitePlan.figures.discharge'),
      bed.vault && ground.survey.objects.some((o) => o.kind === 'discharge')
        ? length(bed.vault.dischargeM)
        : t('sitePlan.figures.noDischarge'),
    ],
    [
      t('sitePlan.figures.leafLoad'),
      t('sitePlan.figures.perYear', { mass: show(data.designPond.leafKgPerYear, 'mass') }),
    ],
  ]
  return (
    <section className="sheet">
      <h2>{t('sitePlan.figures.title')}</h2>
      <dl className="figures" aria-live="polite">
        {rows.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  )
}
