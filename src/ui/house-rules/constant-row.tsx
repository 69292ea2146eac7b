'use client'
import type { HouseConstant } from '@/core/filter/house-constants'
import type { OwnConstant } from '@/domain/house-rules/house-constants'
import { constantName, constantValue } from '@/messages/house-rules/constant-words'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'

interface ConstantRowProps {
  readonly of: HouseConstant
  readonly own: OwnConstant | null
  /** The house's figure where it is not the usual one; null at the house itself. */
  readonly house: number | null
  readonly locked: boolean
  readonly errorOf: (part: 'value' | 'reason' | 'source') => string | undefined
  readonly onChange: (own: OwnConstant | null) => void
}

/** One figure: what is usual and where from, and the one that is set in its place. */
export function ConstantRow({ of, own, house, locked, errorOf, onChange }: ConstantRowProps) {
  const t = useTexts()
  const { units } = usePerson().preferences
  const name = constantName(of, t)
  const show = (value: number) => constantValue(of, value, units, t)
  return (
    <li className="constant-row">
      <div className="d-flex flex-wrap align-items-baseline gap-2">
        <span className="fw-semibold">{name}</span>
        <span>{t('houseRules.constants.usual', { value: show(of.usual) })}</span>
        {house === null ? null : <span>{t('houseRules.constants.house', { value: show(house) })}</span>}
        <span className="soft small">{t(`houseRules.constantSources.${of.source}`)}</span>
        {locked ? null : (
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary ms-auto"
            aria-label={t(own ? 'houseRules.constants.backOne' : 'houseRules.constants.changeOne', { name })}
            onClick={() => onChange(own ? null : { value: house ?? of.usual, reason: '', source: '' })}
          >
            {t(own ? 'houseRules.constants.back' : 'houseRules.constants.change')}
          </button>
        )}
      </div>
      {own ? <OwnFigure of={of} own={own} name={name} locked={locked} errorOf={errorOf} onChange={onChange} /> : null}
    </li>
  )
}

function OwnFigure({
  of,
  own,
  name,
  locked,
  errorOf,
  onChange,
}: Omit<ConstantRowProps, 'own' | 'house'> & { own: OwnConstant; name: string }) {
  const t = useTexts()
  const { units } = usePerson().preferences
  const [from, to] = of.range
  const range = t('houseRules.constants.range', {
    from: constantValue(of, from, units, t),
    to: constantValue(of, to, units, t),
  })
  const outside = own.value < from || own.value > to
  return (
    <div className="constant-own" role="group" aria-label={name}>
      <QuantityField
        label={of.unit ? t('houseRules.constants.valueIn', { unit: of.unit }) : t('houseRules.constants.value')}
        kind={of.kind}
        scale={of.scale}
        value={own.value}
        onChange={(value) => onChange({ ...own, value: value ?? Number.NaN })}
        error={errorOf('value') && outside ? range : errorOf('value')}
        hint={range}
        disabled={locked}
      />
      <TextField
        label={t('houseRules.constants.reason')}
        value={own.reason}
        onChange={(e) => onChange({ ...own, reason: e.target.value })}
        error={errorOf('reason')}
      />
      <TextField
        label={t('houseRules.constants.source')}
        value={own.source}
        onChange={(e) => onChange({ ...own, source: e.target.value })}
        error={errorOf('source')}
      />
    </div>
  )
}
