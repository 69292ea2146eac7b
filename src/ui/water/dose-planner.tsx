'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { chloramineAmmoniaMgL } from '@/core/water/dosing/doses'
import { productDose, type Product } from '@/core/water/dosing/products'
import { USUAL_TAP_CHLORINE_MG_L, type FillWater } from '@/core/water/fill-water'
import { waterVerdict } from '@/core/water/verdict'
import { givenEarlier } from '@/domain/water/dosing'
import type { DosesData } from '@/server/water/doses'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useShow } from '@/ui/person-context'
import { DoseAnswer } from './dose-answer'
import { judgedDose } from './judged-dose'

const STEP_LABELS = {
  volume: '',
  chlorine: textId('water.dosePlanner.chlorineNewWater'),
  hardness: textId('water.dosePlanner.riseWanted'),
  salt: textId('water.dosePlanner.saltWanted'),
} as const

/** One product of the book for this pond: rate × volume = amount, in portions, with the days of its course. */
export function DosePlanner({ data }: { data: DosesData }) {
  const t = useTexts()

  const tested = (kind: string): number | null => data.readings.find((r) => r.kind === kind)?.value ?? null
  const [key, setKey] = useState(data.products[0]?.key ?? '')
  const [newM3, setNewM3] = useState<number | null>(data.system.totalM3 / 3)
  const [steps, setSteps] = useState<number | null>(null)
  const [waterC, setWaterC] = useState<number | null>(tested('waterTemp'))
  const [chloramine, setChloramine] = useState<number | null>(data.gateFacts.fill?.chloramineMgL ?? null)
  const product = data.products.find((p) => p.key === key)
  const volumeM3 = product?.treats === 'new-water' ? (newM3 ?? 0) : data.system.totalM3
  const wanted = steps ?? usualSteps(product, data.gateFacts.fill ?? null)
  const dose = useMemo(
    () =>
      product && volumeM3 > 0 && wanted >= 0
        ? productDose(product, {
            volumeM3,
            leastM3: product.treats === 'system' ? data.system.lowM3 : undefined,
            steps: product.basis === 'salt' ? wanted * 1000 : wanted,
            waterC: waterC !== null && Number.isNaN(waterC) ? null : waterC,
            recent: givenEarlier(data.recentDoses, data.products, Date.parse(data.now)),
          })
        : null,
    [product, volumeM3, wanted, waterC, data],
  )
  if (!product) return <section className="sheet">{t('water.dosePlanner.productBookEmptyEnter')}</section>
  const judged = dose && judgedDose(data, product, dose, wanted, volumeM3)
  const unitKind = () => {
    if (product.basis === 'hardness') return 'hardness'
    if (product.basis === 'salt') return 'share'
    return 'concentration'
  }
  return (
    <section className="sheet" aria-label={t('water.dosePlanner.dose')}>
      <h2>{t('water.dosePlanner.dose2')}</h2>
      <div className="field-grid roomy">
        <ChoiceField
          label={t('water.dosePlanner.product')}
          value={key}
          onChange={(e) => {
            setKey(e.target.value)
            setSteps(null)
          }}
          options={data.products.map((p) => ({ value: p.key, label: p.name }))}
        />
        {product.treats === 'new-water' ? (
          <QuantityField label={t('water.dosePlanner.newWater')} kind="volume" value={newM3} onChange={setNewM3} />
        ) : null}
        {product.basis === 'volume' ? null : (
          <QuantityField
            label={t(STEP_LABELS[product.basis])}
            kind={unitKind()}
            value={wanted}
            onChange={(v) => setSteps(v ?? 0)}
          />
        )}
        {product.basis === 'chlorine' ? (
          <QuantityField
            label={t('water.dosePlanner.ofItChloramine')}
            kind="concentration"
            value={chloramine}
            onChange={setChloramine}
            optional
          />
        ) : null}
        <QuantityField
          label={t('water.dosePlanner.waterTemperature')}
          kind="temperature"
          value={waterC}
          onChange={setWaterC}
          optional
        />
      </div>
      {product.basis === 'chlorine' && chloramine ? (
        <ChloramineNote
          combinedMgL={Math.min(chloramine, wanted)}
          share={Math.min(1, volumeM3 / data.system.totalM3)}
          ph={tested('ph')}
          waterC={waterC}
        />
      ) : null}
      {judged ? (
        <DoseAnswer key={product.key} data={data} product={product} dose={judged} wanted={wanted} volumeM3={volumeM3} />
      ) : (
        <p className="soft">{t('water.dosePlanner.enterHowMuchWater')}</p>
      )}
    </section>
  )
}

interface ChloramineNoteProps {
  readonly combinedMgL: number
  /** Share of the pond that the new water is. */
  readonly share: number
  readonly ph: number | null
  readonly waterC: number | null
}

/** The ammonia that chloramine leaves behind once it is taken apart, in the new water and in the pond. */
function ChloramineNote({ combinedMgL, share, ph, waterC }: ChloramineNoteProps) {
  const t = useTexts()

  const show = useShow()
  if (!(combinedMgL > 0)) return null
  const newMgL = chloramineAmmoniaMgL(combinedMgL)
  const { bands, nh3MgL } = waterVerdict({
    tan: newMgL * share,
    ...(ph === null ? {} : { ph }),
    ...(waterC === null || Number.isNaN(waterC) ? {} : { waterTemp: waterC }),
  })
  return (
    <p className="mb-2">
      {t('water.dosePlanner.chloramineLeaves', {
        newWater: show(newMgL, 'concentration'),
        pond: show(newMgL * share, 'concentration'),
      })}{' '}
      {nh3MgL === null ? (
        t('water.dosePlanner.testToJudgeChloramine')
      ) : (
        <>
          {t('water.dosePlanner.ofItToxic', { nh3: show(nh3MgL, 'concentration') })}{' '}
          <span className={`verdict ${bands.tan!}`}>{t(`water.bandNames.${bands.tan!}`)}</span>
        </>
      )}
    </p>
  )
}

/** What is usually wanted of a product, until something else is typed: chlorine as the site's fill water last held. */
function usualSteps(product: Product | undefined, fill: FillWater | null): number {
  if (product?.basis === 'chlorine') return fill?.chlorineMgL ?? USUAL_TAP_CHLORINE_MG_L
  if (product?.basis === 'salt') return 0.001
  return 1
}
