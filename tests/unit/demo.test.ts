import { CREWS, PEOPLE } from '../../demo/people'
import { SITES } from '../../demo/all-sites'
import { STORIES } from '../../demo/history'
import { NewPondInput } from '@/domain/customers/customer'
import { PersonInput } from '@/domain/people/people'
import { pondFacts } from '@/domain/ponds/pond-facts'
import { ROLES } from '@/domain/people/roles'
import { assertStation } from '@/core/season/station'
import { STATIONS } from '../../stand-ins/weather-desk/stations'

const ponds = SITES.flatMap((s) => s.ponds.map((p) => ({ site: s, ...p })))

describe('the demo firm', () => {
  it('has three crews, nine people and every role', () => {
    expect([CREWS.length, PEOPLE.length]).toEqual([3, 9])
    expect(new Set(PEOPLE.map((p) => p.role))).toEqual(new Set(ROLES))
    expect(new Set(PEOPLE.map((p) => p.email)).size).toBe(9)
    for (const p of PEOPLE)
      expect(
        PersonInput.safeParse({ name: p.name, email: p.email, role: p.role, password: 'long enough 1' }).success,
      ).toBe(true)
  })
  it('has at least twelve sites, each at a station that reports', () => {
    expect(SITES.length).toBeGreaterThanOrEqual(12)
    for (const site of SITES) expect(STATIONS.map((s) => s.id)).toContain(site.stationId)
  })
  it.each(ponds.map((p) => [p.key, p] as const))('can measure up %s', (_, { site, pond }) => {
    const input = {
      customer: { kind: 'new', customer: { name: site.customer } },
      site: { kind: 'new', site: { name: site.site, stationId: site.stationId } },
      pond,
    }
    expect(NewPondInput.safeParse(input).error?.issues ?? []).toEqual([])
    const facts = pondFacts(pond)
    expect(facts.ok ? [] : facts.problem).toEqual([])
    // a metered fill in the sample agrees with its survey
    expect(facts.ok && facts.value.adopted.conflicts).toEqual([])
  })
  it('tells its stories about ponds that exist', () => {
    for (const key of Object.keys(STORIES)) expect(ponds.map((p) => p.key)).toContain(key)
  })
  it('has weather that can be computed with, colder inland and up', () => {
    STATIONS.forEach((s) => assertStation(s.normals))
    const january = (id: string) => STATIONS.find((s) => s.id === id)!.normals.months[0]!.minAirC
    expect(january('cold-ash-common')).toBeLessThan(january('ferrygate'))
    expect(january('ferrygate')).toBeLessThan(january('marrow-quay'))
  })
})
