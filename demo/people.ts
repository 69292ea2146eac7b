import type { Role } from '../src/domain/people/roles'

export const FIRM = { name: 'Tussock & Tarn Pond Care', timeZone: 'Etc/GMT+3' } as const

/** Shared by all demo accounts; shown when the demo starts. */
export const DEMO_PASSWORD = 'reed-and-water'

export const CREWS = ['Otter', 'Kingfisher', 'Newt'] as const

export interface DemoPerson {
  readonly name: string
  readonly email: string
  readonly role: Role
  readonly crew: string | null
}

export const person = (name: string, role: Role, crew: DemoPerson['crew'] = null): DemoPerson => ({
  name,
  email: `${name.split(' ')[0]!.toLowerCase()}@tussock-tarn.example`,
  role,
  crew,
})

export const PEOPLE: readonly DemoPerson[] = [
  person('Maren Tolleby', 'owner'),
  person('Ivo Quillane', 'office'),
  person('Sunnet Prask', 'designer'),
  person('Hale Underbrook', 'crew-lead', 'Otter'),
  person('Tamsy Weir', 'technician', 'Otter'),
  person('Ottoline Varr', 'crew-lead', 'Kingfisher'),
  person('Perrin Slade', 'technician', 'Kingfisher'),
  person('Joss Emberly', 'crew-lead', 'Newt'),
  person('Wilka Dorrin', 'technician', 'Newt'),
]
