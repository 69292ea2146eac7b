'use client'
import { Controller, type FieldPath } from 'react-hook-form'
import type { QuantityKind } from '@/core/units/kinds'
import type { QuantityScale } from '@/core/units/systems'
import { QuantityField } from '@/ui/kit/quantity-field'
import type { SurveyFormValues } from './survey-form-values'

interface QuantityProps {
  readonly name: FieldPath<SurveyFormValues>
  readonly label: string
  readonly kind: QuantityKind
  readonly scale?: QuantityScale
  readonly hideLabel?: boolean
  readonly optional?: boolean
  readonly disabled?: boolean
  readonly hint?: string
}

/** A quantity of the survey form, by its path. */
export function Quantity({ name, ...props }: QuantityProps) {
  return (
    <Controller
      name={name}
      render={({ field, fieldState }) => (
        <QuantityField
          {...props}
          value={field.value as number | null}
          onChange={field.onChange}
          onBlur={field.onBlur}
          error={fieldState.error?.message}
        />
      )}
    />
  )
}
