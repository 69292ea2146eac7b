import { RIGHTS, ROLES } from './roles'

describe('rights', () => {
  it('gives the owner every right and the technician no desk', () => {
    for (const roles of Object.values(RIGHTS)) expect(roles).toContain('owner')
    expect(RIGHTS['ponds.write']).not.toContain('technician')
    expect(RIGHTS['visits.override-gate']).not.toContain('technician')
    expect(ROLES).toHaveLength(5)
  })
})
