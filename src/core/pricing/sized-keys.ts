import { DEFAULT_TABLES, nearestSize } from '../hydraulics/fittings'

/** Usual fittings that are a part one buys: water that runs free at a pipe's end is none. */
export const FITTING_PARTS = DEFAULT_TABLES.fittings.map(({ key }) => key).filter((key) => key !== 'exit')

/** Key of a fitting's line in the price book for pipe of a size. */
export const fittingKey = (fitting: string, pipeName: string): string => `fitting:${fitting}:${pipeName}`

/**
 * Keys that a fitting in pipe of a bore may be priced by, best first: its own size, the nearest usual one, and a
 * fitting of the firm's own that has one price for all sizes.
 */
export const fittingPriceKeys = (
  fitting: string,
  pipe: { readonly name: string; readonly boreM: number },
): string[] => [
  fittingKey(fitting, pipe.name),
  fittingKey(fitting, nearestSize(pipe.boreM, DEFAULT_TABLES.pipes).name),
  `fitting:${fitting}`,
]

/** Cleanout vaults as they are sold, by their width, m. @source usual inspection shafts */
const VAULT_SIZES_M = [0.2, 0.3, 0.4, 0.5, 0.6, 0.8, 1] as const
export const VAULT_SIZES_CM = VAULT_SIZES_M.map((m) => Math.round(m * 100))

/** Key of the vault that is bought for a width: the smallest that is as wide. */
export const vaultKey = (diameterM: number): string => {
  const cm = Math.round(diameterM * 100)
  return `vault:${VAULT_SIZES_CM.find((size) => size >= cm) ?? VAULT_SIZES_CM.at(-1)!}`
}
