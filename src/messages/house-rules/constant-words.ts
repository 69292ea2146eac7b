import type { ConstantName, HouseConstant } from '@/core/filter/house-constants'
import { formatNumber, formatQuantity } from '@/core/units/format'
import type { UnitSystem } from '@/core/units/systems'
import type { Texts } from '@/messages/texts'

type Joined<Path extends string> = Path extends `${infer First}.${infer Rest}`
  ? `${First}${Capitalize<Joined<Rest>>}`
  : Path

/** "clogging.gravelShare" stands under "cloggingGravelShare". */
const joined = (name: ConstantName) =>
  name.replace(/\.(.)/g, (_, letter: string) => letter.toUpperCase()) as Joined<ConstantName>

/** What a constant is called, with the use or the stone that it holds for. */
export function constantName({ name, use, stone }: HouseConstant, t: Texts): string {
  const what = t(`houseRules.constantNames.${joined(name)}`)
  if (use) return t('houseRules.constants.of', { name: what, of: t(`ponds.pondUseNames.${use}`) })
  return stone
    ? t('houseRules.constants.of', { name: t(`design.bedMaterialNames.${stone}`), of: what.toLowerCase() })
    : what
}

/** A value of a constant as its reader measures. */
export function constantValue(
  { kind, scale, unit }: HouseConstant,
  value: number,
  units: UnitSystem,
  t: Texts,
): string {
  const text =
    kind === 'number'
      ? formatNumber(value)
      : formatQuantity(value, kind, units, { scale: scale ?? 'usual', significant: 4 })
  return unit ? t('houseRules.constants.withUnit', { value: text, unit }) : text
}
