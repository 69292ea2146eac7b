'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import type { DesignResult } from '@/core/filter/design'
import type { SizingMethodCost } from '@/core/filter/sizing/method-costs'
import { ownFlowM3PerH } from '@/core/filter/flow/flow-demand'
import type { PondUse, SizingMethod } from '@/core/filter/house-rules'
import { money } from '@/domain/prices/pricing'
import { useShow } from '@/ui/person-context'

const MONTHS = [
  textId('design.methodTable.january'),
  textId('design.methodTable.february'),
  textId('design.methodTable.march'),
  textId('design.methodTable.april'),
  textId('design.methodTable.may'),
  textId('design.methodTable.june'),
  textId('design.methodTable.july'),
  textId('design.methodTable.august'),
  textId('design.methodTable.september'),
  textId('design.methodTable.october'),
  textId('design.methodTable.november'),
  textId('design.methodTable.december'),
]

interface SizingMethodTableProps {
  readonly result: DesignResult
  /** What the pond is for: some shares of size say nothing of the flow then. */
  readonly use: PondUse
  readonly chosen: SizingMethod
  readonly house: SizingMethod
  readonly onChoose: (sizingMethod: SizingMethod) => void
  /**
   * What the bed each sizing method would begin with takes: its pump, and its price where the reader may see prices.
   */
  readonly costs: readonly SizingMethodCost[]
  readonly currency: string | null
}

/** A first price is worth two figures. */
const roundMoney = (minor: number): number => Number(minor.toPrecision(2))

/** The four sizing methods side by side, for the fish of today and grown up. */
export function SizingMethodTable({ result, use, chosen, house, onChoose, costs, currency }: SizingMethodTableProps) {
  const t = useTexts()

  const show = useShow()
  const flowOf = (s: (typeof result.grown.sizingMethods)[number]) => ownFlowM3PerH(s, use)
  const areas = result.grown.sizingMethods.map((s) => s.areaM2)
  const spread = Math.max(...areas) / Math.max(0.01, Math.min(...areas))
  return (
    <>
      <div
        className="table-responsive"
        tabIndex={0}
        role="region"
        aria-label={t('design.methodTable.fourMethodsSizing')}
      >
        <table className="table table-sm align-middle mb-1">
          <thead>
            <tr>
              <th>{t('design.methodTable.method')}</th>
              <th className="text-end">{t('design.methodTable.area')}</th>
              <th className="text-end">{t('design.methodTable.bed')}</th>
              <th className="text-end">{t('design.methodTable.flow')}</th>
              <th>{t('design.methodTable.pumpBegin')}</th>
              {currency ? <th className="text-end">{t('design.methodTable.priceAbout')}</th> : null}
              <th className="text-end">{t('design.methodTable.tanExpected')}</th>
              <th className="text-end">{t('design.methodTable.todaysFish')}</th>
              <th>{t('design.methodTable.worstMonth')}</th>
            </tr>
          </thead>
          <tbody>
            {result.grown.sizingMethods.map((s, i) => (
              <tr key={s.sizingMethod} className={s.sizingMethod === chosen ? 'governs' : ''}>
                <th scope="row" className="fw-normal">
                  <label>
                    <input
                      type="radio"
                      className="form-check-input me-2"
                      name="sizing-method"
                      checked={s.sizingMethod === chosen}
                      onChange={() => onChoose(s.sizingMethod)}
                    />
                    {t(`design.methodNames.${s.sizingMethod}`)}
                    {s.sizingMethod === house ? <span className="soft"> {t('design.methodTable.house')}</span> : null}
                  </label>
                </th>
                <td className="text-end">{show(s.areaM2, 'area')}</td>
                <td className="text-end">{show(s.volumeM3, 'volume')}</td>
                <td className="text-end">{flowOf(s) > 0 ? show(flowOf(s), 'flow') : '–'}</td>
                <td>{costs[i]!.pumpName ?? '–'}</td>
                {currency ? <td className="text-end">{money(roundMoney(costs[i]!.totalMinor!), currency)}</td> : null}
                <td className="text-end">
                  {Number.isFinite(s.tanMgL) ? show(s.tanMgL, 'concentration', { significant: 2 }) : '–'}
                </td>
                <td className="text-end">{show(result.now.sizingMethods[i]!.areaM2, 'area')}</td>
                <td>{s.sizingMethod === 'volume' || s.sizingMethod === 'surface' ? '' : t(MONTHS[s.month]!)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="soft small mb-0">
        {t('design.methodTable.sizedGrownFishLargest', {
          governing: t(`design.methodNames.${result.grown.governing}`).toLowerCase(),
          spread:
            spread >= 1.05
              ? t('design.methodTable.timesSmallest', { spread: spread >= 10 ? spread.toFixed(0) : spread.toFixed(1) })
              : t('design.methodTable.aboutSameOthers'),
        })}
      </p>
    </>
  )
}
