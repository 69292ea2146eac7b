import type { PriceBook } from '../../pricing/price-book'
import type { DesignPond, FilterDesign } from '../design-input'
import type { CataloguePump } from '../flow/pump-catalogue'
import type { FilterRules, PondUse, SizingMethod } from '../house-rules'
import type { FilterType } from '../types'

/** What options are searched for: a pond, the firm's rules and prices, and what may be built there. */
export interface OptionProblem {
  readonly pond: DesignPond
  readonly rules: FilterRules
  readonly pumps: readonly CataloguePump[]
  readonly houseMethod: SizingMethod
  readonly book: PriceBook
  /** Kinds of filter that may be offered. */
  readonly types: readonly FilterType[]
  /** The design at hand: its site, its layout and what was agreed on site hold for every option. */
  readonly own: FilterDesign
  /** Most that it may cost with tax, minor units; null: no limit. */
  readonly budgetMinor: number | null
}

/** What options are weighed by; less is better in each. */
export const OBJECTIVES = ['price', 'water', 'hours', 'energy'] as const
export type Objective = (typeof OBJECTIVES)[number]
export type Objectives = Readonly<Record<Objective, number>>

/** A design that passes all stops, with what it costs and does. */
export interface FoundOption {
  readonly design: FilterDesign
  /** Price with tax, minor units; worst month of what the water is judged by, mg/L; hours a year; kWh a year. */
  readonly objectives: Objectives
}

/** What the water of a pond is judged by: clear water without algae hangs on phosphorus, fish on ammonia. */
export type WaterMeasure = 'tan' | 'phosphorus'
export const waterMeasureOf = (use: PondUse): WaterMeasure =>
  use === 'swimming' || use === 'wildlife' ? 'phosphorus' : 'tan'
