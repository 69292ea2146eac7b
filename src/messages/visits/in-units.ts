import type { QuantityKind } from '@/core/units/kinds'

const TOKEN = /\{(-?\d+(?:\.\d+)?)\|([a-zA-Z]+)\}/g

/** Words with quantities in them, such as {0.3|length}, in the units of who reads them. */
export const inUnits = (text: string, show: (value: number, kind: QuantityKind) => string): string =>
  text.replace(TOKEN, (_, value: string, kind: string) =>
    show(Number(value), kind as QuantityKind).replace(/\.0(?=\D|$)/, ''),
  )
