import { DEFAULT_TABLES, type UsualFittingKey } from '@/core/hydraulics/fittings'
import type { HouseTables } from '@/domain/house-rules/house-tables'
import type { Texts } from '@/messages/texts'

const usual: ReadonlySet<string> = new Set(DEFAULT_TABLES.fittings.map(({ key }) => key))

/** What a fitting is called: by the firm, or as usual. */
export const fittingName = ({ key, name }: { readonly key: string; readonly name?: string }, t: Texts): string =>
  name ?? (usual.has(key) ? t(`design.fittingNames.${key as UsualFittingKey}`) : key)

/** The fittings and pipes that a firm begins with, named in its language. */
export const usualTables = (t: Texts): HouseTables => ({
  fittings: DEFAULT_TABLES.fittings.map((row) => ({ ...row, name: fittingName(row, t) })),
  pipes: DEFAULT_TABLES.pipes.map((size) => ({ ...size })),
})
