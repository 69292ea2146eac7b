import { useId, type ComponentProps } from 'react'

interface TextFieldProps extends Omit<ComponentProps<'input'>, 'id'> {
  readonly label: string
  readonly error?: string
  readonly hideLabel?: boolean
}

/** A labelled line of text with its own error. */
export function TextField({ label, error, hideLabel = false, className = '', ...input }: TextFieldProps) {
  const id = useId()
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'visually-hidden' : 'form-label mb-0'}>
        {label}
      </label>
      <input
        id={id}
        className={`form-control form-control-sm ${error ? 'is-invalid' : ''}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        {...input}
      />
      {error ? (
        <div id={`${id}-error`} className="field-error">
          {error}
        </div>
      ) : null}
    </div>
  )
}
