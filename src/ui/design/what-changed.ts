import { type Texts } from '@/ui/kit/texts'
import { checkWords, type Show } from '@/messages/design/checks'
import { trainWords } from '@/messages/design/train-words'
import type { Worked } from './use-design'
import { VERDICT_NAMES } from './verdict-names'

export interface Change {
  readonly what: string
  readonly before: string
  readonly after: string
}

/** What a change of the design did to its figures and checks, in words; only what reads differently. */
export function changesBetween(before: Worked, after: Worked, show: Show, t: Texts): Change[] {
  const figures = (w: Worked): [string, string][] => [
    [
      t('design.whatChanged.bed'),
      `${show(w.bed.lengthM, 'length')} × ${show(w.bed.widthM, 'length')}${w.bed.vessels > 1 ? ` × ${w.bed.vessels}` : ''}`,
    ],
    [t('design.whatChanged.area'), show(w.result.areaM2, 'area')],
    [t('design.whatChanged.depth'), show(w.result.depthM, 'length', { scale: 'small' })],
    [t('design.whatChanged.pump'), w.result.pump?.name ?? t('design.waterPart.noPump')],
    [t('design.whatChanged.flow'), show(w.result.flowM3PerH, 'flow')],
    [t('design.whatChanged.pastBed'), show(w.bed.bypassShare, 'share')],
    [t('design.whatChanged.deliveryBore'), show(w.bed.delivery.diameterM, 'length', { scale: 'small' })],
    [t('design.whatChanged.distributionPipe'), show(w.bed.manifold.diameterM, 'length', { scale: 'small' })],
    [
      t('design.whatChanged.return'),
      `${w.bed.outlet.count} × ${show(w.bed.outlet.diameterM, 'length', { scale: 'small' })}`,
    ],
    [t('design.whatChanged.train'), trainWords(w.bed, w.result, show, t) || t('train.page.none')],
    [t('design.whatChanged.tanWorstMonth'), show(w.result.worstTanMgL, 'concentration')],
    [t('design.whatChanged.power'), `${Math.round(w.result.powerW)} W`],
    [t('design.whatChanged.stone'), show(w.result.weights.stoneT * 1000, 'mass')],
  ]
  const [old, now] = [figures(before), figures(after)]
  const changed = now.flatMap(([what, value], i) =>
    value === old[i]![1] ? [] : [{ what, before: old[i]![1], after: value }],
  )
  const verdicts = after.checks.flatMap((check) => {
    const was = before.checks.find((c) => c.id === check.id)
    return was && was.verdict !== check.verdict
      ? [
          {
            what: checkWords(check, show, t).title,
            before: t(VERDICT_NAMES[was.verdict]),
            after: t(VERDICT_NAMES[check.verdict]),
          },
        ]
      : []
  })
  return [...changed, ...verdicts]
}
