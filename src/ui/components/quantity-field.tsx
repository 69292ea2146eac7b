'use client'
import { useId, useState } from 'react'
import type { QuantityKind } from '@/core/units/kinds'
import { formatQuantity } from '@/core/units/format'
import { parseQuantity, quantityProblemText } from '@/core/units/parse'
import type { QuantityScale } from '@/core/units/systems'
import { usePerson } from '@/ui/person-context'

interface QuantityFieldProps {
  readonly label: string
  readonly kind: QuantityKind
  readonly scale?: QuantityScale
  /** Canonical value; null when empty, NaN when what is typed cannot be read. */
  readonly value: number | null
  readonly onChange: (value: number | null) => void
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
}: QuantityFieldProps) {
  const { units } = usePerson().preferences
  const id = useId()
  const show = (canonical: number | null) =>
    canonical === null || Number.isNaN(canonical) ? '' : formatQuantity(canonical, kind, units, { scale, significant: 4 }).replaceAll('\u00a0', ' ')
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? show(value)
  const parsed = text.trim() === '' ? null : parseQuantity(text, kind, units, scale)
  const unreadable = parsed && !parsed.ok ? quantityProblemText(parsed.problem, kind) : undefined
  const message = unreadable ?? error
  const understood = typed !== null && parsed?.ok ? `= ${formatQuantity(parsed.value.value, kind, units, { scale, significant: 4 })}` : (hint ?? '')

  const change = (next: string) => {
    setTyped(next)
    if (next.trim() === '') return onChange(null)
    const read = parseQuantity(next, kind, units, scale)
    onChange(read.ok ? read.value.value : Number.NaN)
  }
  const leave = () => {
    // an unreadable text stays to be mended; a readable one is shown the way the rest of the page shows it
    if (parsed === null || parsed.ok) setTyped(null)
    onBlur?.()
  }
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'visually-hidden' : 'form-label mb-0'}>
        {label}
        {optional ? <span className="soft"> (if known)</span> : null}
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
