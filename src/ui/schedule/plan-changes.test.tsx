import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { PlanChange } from '@/domain/schedule/plan-run'
import { AsPerson } from '../../../tests/fixtures/person'
import { PlanChanges } from './plan-changes'

const change = (over: Partial<PlanChange> & { key: string }): PlanChange =>
  ({
    kind: 'new',
    job: 'spring-cleanout',
    also: [],
    siteName: 'Lark House',
    town: 'Ferrygate',
    day: '2027-04-06',
    startTime: '08:00',
    crewId: 'c1',
    minutes: 240,
    window: { earliest: '2027-03-20', latest: '2027-04-25' },
    tasks: [],
    ...over,
  }) as unknown as PlanChange

const show = (changes: readonly PlanChange[]) => {
  const onAccept = jest.fn().mockResolvedValue(undefined)
  render(
    <AsPerson>
      <PlanChanges changes={changes} crewName={(id) => (id === 'c1' ? 'Newt' : 'Otter')} onAccept={onAccept} />
    </AsPerson>,
  )
  return onAccept
}
const accept = () => screen.getByRole('button', { name: /^Accept/ })
const box = (name: RegExp) => screen.getByRole('checkbox', { name })

describe('the changes of a plan', () => {
  it('stand under their weeks, with crew, visit and window', () => {
    show([change({ key: 'a' }), change({ key: 'b', day: '2027-04-14', siteName: 'Heron House' })])
    const weeks = screen.getAllByRole('table')
    expect(weeks).toHaveLength(2)
    const row = screen.getByRole('row', { name: /Lark House/ })
    expect(row).toHaveTextContent('Newt')
    expect(row).toHaveTextContent('Spring cleanout, Lark House')
    expect(row).toHaveTextContent(/20 Mar – .*25 Apr/)
  })
  it('are taken over whole, or without what was unticked', async () => {
    const onAccept = show([change({ key: 'a' }), change({ key: 'b', siteName: 'Heron House' })])
    expect(accept()).toHaveTextContent('Accept all visits')
    await userEvent.click(box(/Heron House/))
    expect(accept()).toHaveTextContent('Accept 1 visit')
    await userEvent.click(accept())
    expect(onAccept).toHaveBeenCalledWith(['a'])
  })
  it('of a cleanout over two days go together', async () => {
    const onAccept = show([
      change({ key: 'first', pair: 'second' }),
      change({ key: 'second', pair: 'first', day: '2027-04-07' }),
      change({ key: 'other', siteName: 'Heron House' }),
    ])
    await userEvent.click(box(/Lark House, 6 Apr|Lark House.*6 Apr/))
    await userEvent.click(accept())
    expect(onAccept).toHaveBeenCalledWith(['other'])
    await userEvent.click(box(/Lark House.*7 Apr/))
    await userEvent.click(accept())
    expect(onAccept).toHaveBeenLastCalledWith(['first', 'second', 'other'])
  })
  it('of a week are ticked and unticked at once, and nothing can be accepted of nothing', async () => {
    show([change({ key: 'a' }), change({ key: 'b', siteName: 'Heron House' })])
    await userEvent.click(box(/week|5 Apr/i))
    expect(accept()).toBeDisabled()
    await userEvent.click(box(/week|5 Apr/i))
    expect(accept()).toHaveTextContent('Accept all visits')
  })
  it('say from where a visit moves, and who has to be told; a shift of the hour needs nobody’s tick', () => {
    show([
      change({
        key: 'a',
        kind: 'moved',
        was: { crewId: 'c2', day: '2027-04-01', startTime: '09:30' } as PlanChange['was'],
        tell: { customer: 'Reeves', email: 'reeves@reeves.example', phone: '' } as unknown as PlanChange['tell'],
      }),
      change({ key: 's', kind: 'shifted', siteName: 'Heron House' }),
    ])
    const row = screen.getByRole('row', { name: /Lark House/ })
    expect(row).toHaveTextContent(/Otter/)
    expect(row).toHaveTextContent(/1 Apr/)
    expect(row).toHaveTextContent(/Reeves/)
    expect(screen.queryByRole('row', { name: /Heron House/ })).not.toBeInTheDocument()
    expect(screen.getByText(/1 customer/)).toBeInTheDocument()
  })
})
