import { render, screen, within } from '@testing-library/react'
import { callTrust, durationTrust, volumeTrust } from '@/domain/trust/trust'
import type { PondId } from '@/domain/shared/ids'
import type { TrustData } from '@/server/trust/trust-page'
import { AsPerson } from '../../../tests/fixtures/person'
import { TrustView } from './trust-view'

const visit = (tookMin: number, job = 'routine') => ({ job, plannedMin: 60, lowMin: 45, highMin: 80, tookMin })
const data = (over: Partial<TrustData> = {}): TrustData => ({
  accuracy: { invented: false, counts: { tests: 0, lookedBack: 0, earlier: 0 }, kinds: [], said: [] },
  durations: { since: '2026-12-02', lines: [] },
  volumes: volumeTrust([]),
  calls: { all: callTrust([]), leaks: callTrust([]) },
  ...over,
})
const show = (over: Partial<TrustData> = {}) =>
  render(
    <AsPerson>
      <TrustView data={data(over)} />
    </AsPerson>,
  )
const sheet = (name: string) => within(screen.getByRole('region', { name }))

describe('how far to trust our figures', () => {
  it('says where there is nothing to judge by yet', () => {
    show()
    for (const name of ['Durations of visits', 'Pond volumes', 'Causes acted on'])
      expect(sheet(name).getByText('Nothing to judge by yet.')).toBeInTheDocument()
  })
  it('marks durations that lie in their range clearly too seldom, and not where few cases tell', () => {
    const seldom = Array.from({ length: 40 }, (_, i) => visit(i % 2 ? 60 : 120))
    show({ durations: { since: '2026-12-02', lines: durationTrust([...seldom, visit(90, 'netting')]) } })
    const rows = sheet('Durations of visits').getAllByRole('row')
    expect(rows[1]).toHaveTextContent(/All jobs41.*150 %/)
    expect(within(rows[1]!).getByText(/49 %/)).toHaveClass('look')
    expect(within(rows[3]!).getByText(/^0 % \(0 to 73\)/)).not.toHaveClass('look')
  })
  it('holds a meter against what had been surveyed, and names ponds that are open', () => {
    const pond = {
      pondId: 'p1' as PondId,
      pondName: 'Weir Cottage: Pond',
      evidence: [
        { method: 'geometry-free-form' as const, volumeM3: 20, sigmaM3: 2.4 },
        { method: 'metered-fill' as const, volumeM3: 26, sigmaM3: 0.5 },
      ],
      open: true,
    }
    show({ volumes: volumeTrust([pond]) })
    const volumes = sheet('Pond volumes')
    expect(
      volumes.getByRole('row', { name: /Weir Cottage: Pond 16\.\d\sm³ to 23\.\d\sm³ 26\sm³ \(Metered fill\) no/ }),
    ).toBeInTheDocument()
    expect(volumes.getByText(/it is not known which one is off/)).toBeInTheDocument()
  })
  it('counts causes by how likely they were called, leaks apart', () => {
    const calls = [
      { cause: 'leak-shell', likelihood: 0.9, outcome: 'better' as const },
      { cause: 'green-water', likelihood: 0.85, outcome: null },
    ]
    show({ calls: { all: callTrust(calls), leaks: callTrust(calls.slice(0, 1)) } })
    const [all, leaks] = sheet('Causes acted on').getAllByRole('table')
    expect(within(all!).getByRole('row', { name: /^80 to 100 % 2 1 0 1 100 %/ })).toBeInTheDocument()
    expect(within(leaks!).getByRole('row', { name: /^80 to 100 % 1 1 0 0 100 %/ })).toBeInTheDocument()
  })
})
