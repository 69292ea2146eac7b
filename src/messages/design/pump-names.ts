import type { UsualPump } from '@/core/filter/flow/pump-catalogue'
import type { Texts } from '@/messages/texts'

/** The pumps of the catalogue with their names. */
export const namedPumps = (pumps: readonly UsualPump[], t: Texts) =>
  pumps.map((pump) => ({ ...pump, name: t(`design.pumpNames.${pump.family}`, { size: pump.size }) }))
