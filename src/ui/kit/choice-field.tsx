import { useId, type ComponentProps } from 'react'
import type { TextId, Texts } from './texts'

interface ChoiceFieldProps extends Omit<ComponentProps<'select'>, 'id' | 'children'> {
  readonly label: string
  readonly options: readonly { readonly value: string; readonly label: string }[]
  readonly error?: string
  readonly hideLabel?: boolean
}

/** A labelled choice among a few. */
export function ChoiceField({ label, options, error, hideLabel = false, className = '', ...select }: ChoiceFieldProps) {
  const id = useId()
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'visually-hidden' : 'form-label mb-0'}>
        {label}
      </label>
      <select id={id} className={`form-select form-select-sm ${error ? 'is-invalid' : ''}`} {...select}>
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
      {error ? <div className="field-error">{error}</div> : null}
    </div>
  )
}

/** Options of a names table, in its order. */
export const optionsOf = (names: Readonly<Record<string, TextId>>, t: Texts) =>
  Object.entries(names).map(([value, label]) => ({ value, label: t(label) }))
