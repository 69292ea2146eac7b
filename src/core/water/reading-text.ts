import type { ReadingKindName } from './readings'

/** What a person at the water's edge writes down where a number with a unit is not what the test says. */
export interface SpecialReading {
  readonly value: number
  /** The test saw nothing: less than its first step. */
  readonly belowStep: boolean
}

const BELOW = /^(?:<|≤|below|under|less than)\s*=?\s*(?=[\d.,])/i
const NOTHING = /^(?:none|nil|nothing|nothing seen|not found|nd|n\.d\.)$/i
const BOTTOM = /^(?:(?:to |seen to )?the )?(?:bottom|floor)$|^to (?:bottom|floor)$/i
const DROPS = /^(\d{1,3})\s*drops?$/i

/**
 * Kinds whose kits count drops, each with what one drop stands for, in its canonical unit.
 * @source usual drop kits: a drop a degree
 */
const PER_DROP: Partial<Readonly<Record<ReadingKindName, number>>> = { kh: 1, gh: 1, tapKh: 1 }
const DEPTHS: readonly ReadingKindName[] = ['clarityDepth']

/** Whether a text says "less than" what follows. */
export const saysBelow = (text: string): boolean => BELOW.test(text.trim())
/** What stands behind "less than". */
export const withoutBelow = (text: string): string => text.trim().replace(BELOW, '')

/**
 * Reads "<0.25", "none", "4 drops", "bottom": values of a test that are no plain number.
 * @param deepestM depth of the pond's deepest water, m, which "bottom" means; null where it is not known
 * @returns null where the text is a plain quantity, or nothing that is known
 */
export function specialReading(text: string, kind: ReadingKindName, deepestM: number | null): SpecialReading | null {
  const said = text.trim()
  if (NOTHING.test(said) || saysBelow(said)) return { value: 0, belowStep: true }
  if (BOTTOM.test(said))
    return DEPTHS.includes(kind) && deepestM !== null ? { value: deepestM, belowStep: false } : null
  const drops = DROPS.exec(said)
  const perDrop = PER_DROP[kind]
  return drops && perDrop !== undefined ? { value: Number(drops[1]) * perDrop, belowStep: false } : null
}
