'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import type { DesignResult } from '@/core/filter/design'
import type { SchoolCost } from '@/core/filter/sizing/school-costs'
import type { School } from '@/core/filter/house-rules'
import { money } from '@/domain/prices/pricing'
import { useShow } from '@/ui/person-context'

const MONTHS = [
  textId('design.schoolTable.january'),
  textId('design.schoolTable.february'),
  textId('design.schoolTable.march'),
  textId('design.schoolTable.april'),
  textId('design.schoolTable.may'),
  textId('design.schoolTable.june'),
  textId('design.schoolTable.july'),
  textId('design.schoolTable.august'),
  textId('design.schoolTable.september'),
  textId('design.schoolTable.october'),
  textId('design.schoolTable.november'),
  textId('design.schoolTable.december'),
]

interface SchoolTableProps {
  readonly result: DesignResult
  readonly chosen: School
  readonly house: School
  readonly onChoose: (school: School) => void
  /** What the bed each school would begin with takes: its pump, and its price where the reader may see prices. */
  readonly costs: readonly SchoolCost[]
  readonly currency: string | null
}

/** A first price is worth two figures. */
const roundMoney = (minor: number): number => Number(minor.toPrecision(2))

/** The four schools side by side, for the fish of today and grown up. */
export function SchoolTable({ result, chosen, house, onChoose, costs, currency }: SchoolTableProps) {
  const t = useTexts()

  const show = useShow()
  const areas = result.grown.schools.map((s) => s.areaM2)
  const spread = Math.max(...areas) / Math.max(0.01, Math.min(...areas))
  return (
    <>
      <div className="table-responsive" tabIndex={0} role="region" aria-label={t('design.schoolTable.fourSchoolsSizing')}>
        <table className="table table-sm align-middle mb-1">
          <thead>
            <tr>
              <th>{t('design.schoolTable.school')}</th>
              <th className="text-end">{t('design.schoolTable.area')}</th>
              <th className="text-end">{t('design.schoolTable.bed')}</th>
              <th className="text-end">{t('design.schoolTable.flow')}</th>
              <th>{t('design.schoolTable.pumpBegin')}</th>
              {currency ? <th className="text-end">{t('design.schoolTable.priceAbout')}</th> : null}
              <th className="text-end">{t('design.schoolTable.tanExpected')}</th>
              <th className="text-end">{t('design.schoolTable.todaysFish')}</th>
              <th>{t('design.schoolTable.worstMonth')}</th>
            </tr>
          </thead>
          <tbody>
            {result.grown.schools.map((s, i) => (
              <tr key={s.school} className={s.school === chosen ? 'governs' : ''}>
                <th scope="row" className="fw-normal">
                  <label>
                    <input type="radio" className="form-check-input me-2" name="school" checked={s.school === chosen} onChange={() => onChoose(s.school)} />
                    {t(`design.schoolNames.${s.school}`)}
                    {s.school === house ? <span className="soft"> {t('design.schoolTable.house')}</span> : null}
                  </label>
                </th>
                <td className="text-end">{show(s.areaM2, 'area')}</td>
                <td className="text-end">{show(s.volumeM3, 'volume')}</td>
                <td className="text-end">{show(s.flowM3PerH, 'flow')}</td>
                <td>{costs[i].pumpName}</td>
                {currency ? <td className="text-end">{money(roundMoney(costs[i].totalMinor!), currency)}</td> : null}
                <td className="text-end">{Number.isFinite(s.tanMgL) ? show(s.tanMgL, 'concentration', { significant: 2 }) : '–'}</td>
                <td className="text-end">{show(result.now.schools[i].areaM2, 'area')}</td>
                <td>{s.school === 'volume' || s.school === 'surface' ? '' : t(MONTHS[s.month])}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="soft small mb-0">
        {t('design.schoolTable.sizedGrownFishLargest', {
          governing: t(`design.schoolNames.${result.grown.governing}`).toLowerCase(),
          spread:
            spread >= 1.05
              ? t('design.schoolTable.timesSmallest', { spread: spread >= 10 ? spread.toFixed(0) : spread.toFixed(1) })
              : t('design.schoolTable.aboutSameOthers'),
        })}
      </p>
    </>
  )
}
