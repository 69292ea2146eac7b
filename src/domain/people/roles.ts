/** Who may do what. This table is the only place; every use case names the right it needs. */
export const ROLES = ['owner', 'office', 'designer', 'crew-lead', 'technician'] as const
export type Role = (typeof ROLES)[number]

const ALL = ROLES
const DESK = ['owner', 'office', 'designer'] as const

export const RIGHTS = {
  'ponds.read': ALL,
  'ponds.write': DESK,
  'designs.write': ['owner', 'designer'],
  'prices.read': DESK,
  'prices.write': ['owner', 'office'],
  'proposals.write': ['owner', 'designer'],
  'visits.read': ALL,
  'visits.plan': ['owner', 'office'],
  'visits.log': ['owner', 'office', 'crew-lead', 'technician'],
  'visits.override-gate': ['owner', 'crew-lead'],
  'stores.read': ALL,
  'stores.write': ['owner', 'office'],
  'stores.move': ['owner', 'office', 'crew-lead', 'technician'],
  'people.write': ['owner'],
  'houseRules.write': ['owner'],
  'calc.run': ALL,
  'account.own': ALL,
} as const satisfies Record<string, readonly Role[]>
export type Right = keyof typeof RIGHTS

export const may = (role: Role, right: Right): boolean => (RIGHTS[right] as readonly Role[]).includes(role)
