import type { QuantityKind } from './kinds'

export type UnitSystem = 'metric' | 'us'

/** Where a quantity is shown: `small` suits stone, pipe and water levels; `dose` suits weighed chemicals. */
export type QuantityScale = 'usual' | 'small'

/** Unit in which each kind is shown, and taken when a bare number is typed. */
export const SHOWN_UNIT: Readonly<
  Record<UnitSystem, Readonly<Record<QuantityKind, Readonly<Record<QuantityScale, string>>>>>
> = {
  metric: {
    length: { usual: 'm', small: 'mm' },
    area: { usual: 'm²', small: 'm²' },
    volume: { usual: 'm³', small: 'L' },
    flow: { usual: 'm³/h', small: 'L/min' },
    mass: { usual: 'kg', small: 'g' },
    temperature: { usual: '°C', small: '°C' },
    temperatureStep: { usual: '°C', small: '°C' },
    concentration: { usual: 'mg/L', small: 'mg/L' },
    hardness: { usual: '°dH', small: '°dH' },
    speed: { usual: 'm/s', small: 'm/s' },
    loading: { usual: 'm/h', small: 'm/h' },
    lineLoad: { usual: 'kN/m', small: 'kN/m' },
    floorLoad: { usual: 'kN/m²', small: 'kN/m²' },
    share: { usual: '%', small: '%' },
    time: { usual: 'min', small: 'min' },
    ph: { usual: '', small: '' },
    number: { usual: '', small: '' },
  },
  us: {
    length: { usual: 'ft', small: 'in' },
    area: { usual: 'ft²', small: 'ft²' },
    volume: { usual: 'gal', small: 'gal' },
    flow: { usual: 'gpm', small: 'gpm' },
    mass: { usual: 'lb', small: 'oz' },
    temperature: { usual: '°F', small: '°F' },
    temperatureStep: { usual: '°F', small: '°F' },
    concentration: { usual: 'mg/L', small: 'mg/L' },
    hardness: { usual: '°dH', small: '°dH' },
    speed: { usual: 'ft/s', small: 'ft/s' },
    loading: { usual: 'gpm/ft²', small: 'gpm/ft²' },
    lineLoad: { usual: 'lb/ft', small: 'lb/ft' },
    floorLoad: { usual: 'lb/ft²', small: 'lb/ft²' },
    share: { usual: '%', small: '%' },
    time: { usual: 'min', small: 'min' },
    ph: { usual: '', small: '' },
    number: { usual: '', small: '' },
  },
}
