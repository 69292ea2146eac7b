'use client'
import { useTexts } from '@/ui/kit/texts'
import { useId, useState } from 'react'
import type { QuantityKind } from '@/core/units/kinds'
import { formatQuantity } from '@/core/units/format'
import { parseQuantity } from '@/core/units/parse'
import { success } from '@/core/result'
import { SHOWN_UNIT, type QuantityScale } from '@/core/units/systems'
import { usePerson } from '@/ui/person-context'
import { quantityProblemWords } from '@/messages/units/quantity-problem'

interface QuantityFieldProps {
  readonly label: string
  readonly kind: QuantityKind
  readonly scale?: QuantityScale
  /** Canonical value; null when empty, NaN when what is typed cannot be read. */
  readonly value: number | null
  /** @param typed the text as it stands in the field */
  readonly onChange: (value: number | null, typed: string) => void
  /** Reads texts that are no quantity but mean one, such as "none"; null where it does not know them. */
  readonly special?: (text: string) => number | null
  readonly onBlur?: () => void
  readonly error?: string
  readonly hideLabel?: boolean
  readonly optional?: boolean
  readonly disabled?: boolean
  readonly large?: boolean
  readonly hint?: string
}

/** A field for a number with a unit: takes any unit of its kind and shows what it understood. */
export function QuantityField({
  label,
  kind,
  scale = 'usual',
  value,
  onChange,
  onBlur,
  error,
  hideLabel = false,
  optional = false,
  disabled = false,
  large = false,
  hint,
  special,
}: QuantityFieldProps) {
  const t = useTexts()

  const { units } = usePerson().preferences
  const id = useId()
  const show = (canonical: number | null) =>
    canonical === null || Number.isNaN(canonical)
      ? ''
      : formatQuantity(canonical, kind, units, { scale, significant: 4 }).replaceAll('\u00a0', ' ')
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? show(value)
  const read = (said: string) => {
    const meant = special?.(said) ?? null
    return meant === null ? parseQuantity(said, kind, units, scale) : success({ value: meant, units: [] })
  }
  const parsed = text.trim() === '' ? null : read(text)
  const symbol = SHOWN_UNIT[units][kind][scale]
  const unreadable = parsed && !parsed.ok ? quantityProblemWords(parsed.problem, kind, t) : undefined
  const message = unreadable ?? error
  const understood =
    typed !== null && parsed?.ok
      ? `= ${formatQuantity(parsed.value.value, kind, units, { scale, significant: 4 })}`
      : (hint ?? (text === '' && symbol ? t('kit.quantityField.in', { symbol }) : ''))

  const change = (next: string) => {
    setTyped(next)
    if (next.trim() === '') return onChange(null, next)
    const found = read(next)
    onChange(found.ok ? found.value.value : Number.NaN, next)
  }
  const leave = () => {
    // an unreadable text stays to be mended; a readable one is shown the way the rest of the page shows it
    if (parsed === null || (parsed.ok && (special?.(text) ?? null) === null)) setTyped(null)
    onBlur?.()
  }
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'visually-hidden' : 'form-label mb-0'}>
        {label}
        {optional ? <span className="soft"> {t('kit.quantityField.ifKnown')}</span> : null}
      </label>
      <input
        id={id}
        className={`form-control ${large ? 'form-control-lg' : 'form-control-sm'} ${message ? 'is-invalid' : ''}`}
        value={text}
        onChange={(event) => change(event.target.value)}
        onBlur={leave}
        disabled={disabled}
        inputMode={large ? 'decimal' : 'text'}
        autoComplete="off"
        aria-invalid={message ? true : undefined}
        aria-describedby={`${id}-note`}
      />
      <div id={`${id}-note`} className={message ? 'field-error' : 'understood'} aria-live="polite">
        {message ?? understood}
      </div>
    </div>
  )
}
