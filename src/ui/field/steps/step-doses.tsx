'use client'
import { useTexts } from '@/ui/kit/texts'
import { DOSE_STOPS } from '@/core/water/dosing/products'
import type { StepDose } from '@/domain/water/dosing'
import { QuantityField } from '@/ui/kit/quantity-field'
import { doseProblemWords } from '@/messages/water/doses'
import { useShow } from '@/ui/person-context'

interface StepDosesProps {
  readonly doses: readonly StepDose[]
  readonly given: Readonly<Record<string, number | null>>
  readonly onGive: (given: Readonly<Record<string, number | null>>) => void
  readonly error?: string
}

const figure = (value: number): string => String(Number(value.toPrecision(3)))
const unitOf = (unit: string): string => (unit === 'each' ? 'pieces' : unit)

/**
 * The firm's products for a step: rate × volume = amount, in what it is measured with, and what speaks against it
 * now.
 */
export function StepDoses({ doses, given, onGive, error }: StepDosesProps) {
  const t = useTexts()

  const show = useShow()
  // what suits the water stands first and open
  const order = [...doses].sort((a, b) => a.problems.length - b.problems.length)
  if (order.length === 0) return <p className="soft">{t('field.stepDoses.productBookHasNothing')}</p>
  return (
    <div aria-label={t('field.stepDoses.products')} role="group">
      {order.map((dose) => {
        const { product, amount, measures, volumeM3, rangeM3, problems } = dose
        const unit = unitOf(product.unit)
        return (
          <div key={product.key} className="amount">
            <p className="mb-1">
              {product.name} <span className="soft">{t(`stores.purposeNames.${product.purpose}`).toLowerCase()}</span>
            </p>
            <p className="mb-1">
              {amount > 0 ? (
                <>
                  <strong>
                    {measures === null ? `${figure(amount)} ${unit}` : `${figure(measures)} × ${product.measure!.name}`}
                  </strong>{' '}
                  {measures === null ? '' : `(${figure(amount)} ${unit}) `}
                  <span className="soft">
                    {t('field.stepDoses.for', {
                      rate: figure(product.rate),
                      unit,
                      basis: t(`stores.basisNames.${product.basis}`),
                      volumeM3: show(volumeM3, 'volume'),
                    })}
                    {rangeM3 && rangeM3[1] > rangeM3[0]
                      ? t('field.stepDoses.range', {
                          lowM3: show(rangeM3[0], 'volume'),
                          highM3: show(rangeM3[1], 'volume'),
                        })
                      : null}
                  </span>
                </>
              ) : (
                <span className="soft">{t('field.stepDoses.noneNeededWhatKnown')}</span>
              )}
            </p>
            {problems.map((problem) => (
              <p key={problem.code} className={`verdict ${DOSE_STOPS.includes(problem.code) ? 'stop' : 'look'} mb-1`}>
                {doseProblemWords(problem, show, t)}
              </p>
            ))}
            <p className="small mb-1">{t('field.stepDoses.labelGovernsNeverMix', { safety: product.safety })}</p>
            <QuantityField
              large
              label={t('field.stepDoses.given', { name: product.name, unit })}
              optional
              kind="number"
              value={given[product.key] ?? null}
              onChange={(v) => onGive({ ...given, [product.key]: v })}
            />
            {amount > 0 && problems.length === 0 && given[product.key] == null ? (
              <button
                type="button"
                className="btn btn-outline-primary w-100"
                onClick={() => onGive({ ...given, [product.key]: Number(figure(amount)) })}
              >
                {t('field.stepDoses.givenWorkedOut')}
              </button>
            ) : null}
          </div>
        )
      })}
      {error ? <div className="field-error">{error}</div> : null}
    </div>
  )
}
