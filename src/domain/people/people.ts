import { z } from 'zod'
import type { CrewSetup } from './crew-setup'
import { shortText } from '../shared/fields'
import { REGIONS } from '../shared/region'
import { CrewId, type UserId } from '../shared/ids'
import { ROLES, type Role } from './roles'
import { said } from '../shared/said'

const EmailAddress = z
  .email({ error: said('kit.problems.eMailAddressComplete') })
  .trim()
  .toLowerCase()
  .max(200)
const PASSWORD_LENGTH = { least: 10, most: 200 } as const
export const NewPassword = z
  .string({ error: said('people.problems.passwordMissing') })
  .min(PASSWORD_LENGTH.least, {
    error: said('people.problems.passwordNeedsLeastCharacters', { least: PASSWORD_LENGTH.least }),
  })
  .max(PASSWORD_LENGTH.most, {
    error: said('people.problems.passwordMayMostCharacters', { most: PASSWORD_LENGTH.most }),
  })

export const SignInInput = z.strictObject({
  email: EmailAddress,
  password: z
    .string()
    .min(1, { error: said('people.problems.enterYourPassword') })
    .max(PASSWORD_LENGTH.most),
})

/** A zone of the time zone database, such as Europe/Lisbon. */
export const TimeZone = z
  .string()
  .max(60)
  .refine((zone) => isTimeZone(zone), { error: said('people.problems.timeZoneKnownGiveOne') })

function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

export const FirstFirmInput = z.strictObject({
  firmName: shortText('people.fields.firmName', 80),
  ownerName: shortText('people.fields.yourName', 80),
  email: EmailAddress,
  password: NewPassword,
  /** The browser's guess; every "today" goes by it. */
  timeZone: TimeZone.default('Etc/UTC'),
})
export type FirstFirmInput = z.infer<typeof FirstFirmInput>

export const PersonInput = z.strictObject({
  name: shortText('people.fields.name', 80),
  email: EmailAddress,
  role: z.enum(ROLES),
  crewId: CrewId.nullable().default(null),
  password: NewPassword,
})
export type PersonInput = z.infer<typeof PersonInput>

export const ChangePersonInput = PersonInput.pick({ role: true, crewId: true })
export type ChangePersonInput = z.infer<typeof ChangePersonInput>

export const OwnPasswordInput = z.strictObject({
  current: z
    .string()
    .min(1, { error: said('people.problems.enterPasswordYouNow') })
    .max(PASSWORD_LENGTH.most),
  next: NewPassword,
})
export type OwnPasswordInput = z.infer<typeof OwnPasswordInput>

export const CrewInput = z.strictObject({ name: shortText('people.fields.crewName', 40) })

export const UNIT_SYSTEMS = ['metric', 'us'] as const
export const THEMES = ['light', 'dark', 'sun'] as const
/** What a person chooses: one of the themes, or light and dark as the device has it. */
export const THEME_CHOICES = ['system', ...THEMES] as const
export const REGION_CHOICES = ['system', ...REGIONS] as const
export const Preferences = z.strictObject({
  units: z.enum(UNIT_SYSTEMS).default('metric'),
  theme: z.enum(THEME_CHOICES).default('system'),
  /** How days are written, weeks begin and paper is cut; 'system' as the browser asks for. */
  region: z.enum(REGION_CHOICES).default('system'),
})
export type Preferences = z.infer<typeof Preferences>

export interface Person {
  readonly id: UserId
  readonly name: string
  readonly email: string
  readonly role: Role
  readonly crewId: CrewId | null
  readonly crewName: string | null
  /** Somebody who has left signs in no more. */
  readonly active: boolean
}

/** A browser in which someone of the firm is signed in. */
export interface SignedInDevice {
  readonly id: string
  readonly device: string
  readonly person: string
  readonly seenAt: string
}

export interface Crew {
  readonly id: CrewId
  readonly name: string
  readonly size: number
  readonly setup: CrewSetup
  readonly version: number
}
