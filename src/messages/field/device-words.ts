import { deviceParts } from '@/domain/field/device-name'
import type { Texts } from '../texts'

/** A device in words that its owner knows it by, from what its browser says of itself. */
export function deviceWords(userAgent: string, t: Texts): string {
  const { system, browser } = deviceParts(userAgent)
  const name = typeof system === 'object' ? t(`field.deviceKinds.${system.kind}`) : system
  return [name, browser].filter(Boolean).join(', ') || t('field.deviceKinds.unknown')
}
