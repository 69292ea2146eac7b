'use client'
import { UNIT_FACTS } from '@/core/filter/train/unit-facts'
import { isPricedBySize } from '@/core/filter/train/unit-sizes'
import { UV } from '@/core/filter/train/uv'
import type { UnitResult } from '@/core/filter/train/evaluate-train'
import { formatNumber } from '@/core/units/format'
import { unitSizeWords } from '@/messages/design/unit-size-words'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'

const two = (value: number): string => formatNumber(Number(value.toPrecision(2)))

/** What a unit does at the flow it gets; what it has no part in is left out. */
export function UnitFigures({ worked }: { readonly worked: UnitResult }) {
  const { unit } = worked
  const t = useTexts()
  const show = useShow()
  const facts = UNIT_FACTS[unit.kind]
  const small = (m: number) => show(m, 'length', { scale: 'small' })
  const moved = unit.line !== 'pond'
  const said: readonly (string | false)[] = [
    moved && t('train.page.through', { flow: show(worked.flowM3PerH, 'flow') }),
    worked.pastM3PerH > 1e-6 && t('train.page.past', { flow: show(worked.pastM3PerH, 'flow') }),
    moved && t('train.page.head', { head: small(worked.headM) }),
    worked.keptShare > 0 &&
      t('train.page.keeps', {
        share: show(worked.keptShare, 'share'),
        grams: show(worked.solidsGPerD / 1000, 'mass', { scale: 'small' }),
      }),
    worked.removal > 0 &&
      t('train.page.nitrifies', { share: show(worked.removal, 'share'), area: show(worked.workingSurfaceM2, 'area') }),
    worked.wettedShare < 1 && t('train.page.wetted', { share: show(worked.wettedShare, 'share') }),
    worked.oxygenGPerD > 0 &&
      t('train.page.air', { grams: show(worked.oxygenGPerD / 1000, 'mass', { scale: 'small' }) }),
    worked.washM3PerD > 0 && t('train.page.wash', { volume: show(worked.washM3PerD, 'volume', { scale: 'small' }) }),
    worked.powerW > 0 && t('train.page.power', { watts: two(worked.powerW) }),
    worked.uv !== null &&
      t('train.page.dose', {
        fresh: two(worked.uv.newMjPerCm2),
        aged: two(worked.uv.endMjPerCm2),
        wanted: two(UV.wantedMjPerCm2),
      }),
    t('train.page.service', { months: facts.serviceMonths }),
    isPricedBySize(unit.kind) &&
      t('train.page.pricedAs', { size: unitSizeWords(unit.kind, worked.size, { flow: (q) => show(q, 'flow'), t }) }),
  ]
  return <p className="soft small mb-0">{said.filter(Boolean).join(' · ')}</p>
}
