import type { PipeSize } from '@/core/hydraulics/fittings'
import type { Texts } from '@/ui/kit/texts'

/** Pipe sizes to choose from; a bore that is none of them stands first. */
export const boreOptions = (boreM: number, pipes: readonly PipeSize[], t: Texts) => {
  const sizes = pipes.map((size) => ({
    value: String(size.boreM),
    label: t('design.waterPart.boreMm', { name: size.name, boreM: Math.round(size.boreM * 1000) }),
  }))
  return sizes.some((size) => Number(size.value) === boreM)
    ? sizes
    : [{ value: String(boreM), label: t('design.waterPart.boreMm2', { boreM: Math.round(boreM * 1000) }) }, ...sizes]
}
