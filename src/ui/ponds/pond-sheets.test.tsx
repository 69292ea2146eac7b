import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { EquipmentDue } from '@/domain/equipment/equipment'
import type { Finding } from '@/domain/visits/finding'
import type { Gear } from '@/domain/equipment/gear'
import type { PondId } from '@/domain/shared/ids'
import type { FollowUp } from '@/domain/water/reading'
import type { Role } from '@/domain/people/roles'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '../send'
import { EquipmentSheet } from '@/ui/equipment/equipment-sheet'
import { FindingsSheet } from '@/ui/visits/findings-sheet'
import { FollowUpsSheet } from '@/ui/visits/follow-ups-sheet'
import { GearSheet } from '@/ui/equipment/gear-sheet'
import { LogReadingsForm } from '@/ui/water/log-readings-form'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))
const as = (role: Role, children: React.ReactNode) => render(<AsPerson role={role}>{children}</AsPerson>)
const pondId = 'p1' as PondId

describe('equipment', () => {
  const lamp: EquipmentDue = {
    id: 'e1',
    pondId,
    kind: 'uv-lamp',
    name: 'Clarifier',
    fittedOn: '2025-03-01',
    everyDays: 365,
    doneOn: null,
    retired: false,
    warrantyUntil: null,
    version: 4,
    due: '2026-03-01',
  }
  it('is overdue in words, and done with one press', async () => {
    as('technician', <EquipmentSheet pondId="p1" equipment={[lamp]} today="2026-06-01" />)
    expect(screen.getByText('overdue')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Clarifier: serviced today' }))
    expect(sent).toHaveBeenCalledWith(
      'PUT',
      '/api/v1/equipment/e1',
      expect.objectContaining({ version: 4, equipment: expect.objectContaining({ doneOn: '2026-06-01' }) }),
    )
  })
  it('is added with the interval of its kind', async () => {
    as('office', <EquipmentSheet pondId="p1" equipment={[]} today="2026-06-01" />)
    await userEvent.click(screen.getByText('Add equipment'))
    await userEvent.selectOptions(screen.getByLabelText('Type'), 'filter-pads')
    await userEvent.type(screen.getByLabelText('Name'), 'Pads')
    await userEvent.click(screen.getByRole('button', { name: 'Save equipment' }))
    expect(sent.mock.calls[0]![2]).toMatchObject({
      kind: 'filter-pads',
      name: 'Pads',
      fittedOn: '2026-06-01',
      everyDays: expect.any(Number),
    })
  })
  it('is looked at only by who does not log', () => {
    as('designer', <EquipmentSheet pondId="p1" equipment={[lamp]} today="2026-06-01" />)
    expect(screen.queryByRole('button')).not.toBeInTheDocument()
  })
})

describe('what visits found', () => {
  const finding = {
    id: 'f1',
    pondId,
    siteName: 'Tarn',
    text: 'Breather fouled',
    becomes: 'quote',
    foundOn: '2026-05-02',
  } as unknown as Finding
  it('is named with its use, and settled', async () => {
    as('office', <FindingsSheet findings={[finding]} withPond />)
    expect(screen.getByRole('listitem')).toHaveTextContent(/Tarn: Breather fouled .*Sat 2 May/)
    await userEvent.click(screen.getByRole('button', { name: 'Resolve: Breather fouled' }))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/findings/f1/settle', {})
  })
  it('takes no room while there is nothing', () => {
    const { container } = as('office', <FindingsSheet findings={[]} />)
    expect(container).toHaveTextContent(/^$/)
    expect(screen.queryByRole('heading')).not.toBeInTheDocument()
  })
})

describe('what is still to be done', () => {
  const followUp = (over: Partial<FollowUp>): FollowUp => ({
    id: 'u1',
    pondId,
    pondName: 'Pool',
    siteName: 'Tarn',
    title: 'Test again',
    dueFrom: '2026-05-01',
    dueTo: '2026-05-08',
    minutes: 10,
    doneAt: null,
    askedByCustomer: false,
    urgent: false,
    ...over,
  })
  it('is late or due, and struck off by the office', async () => {
    as(
      'office',
      <FollowUpsSheet
        pondId="p1"
        today="2026-05-20"
        followUps={[followUp({}), followUp({ id: 'u2', title: 'Lamp', dueTo: '2026-06-01' })]}
      />,
    )
    const [late, due] = screen.getAllByRole('listitem')
    expect(late).toHaveTextContent(/^Late/)
    expect(due).toHaveTextContent(/^Due/)
    await userEvent.click(within(late!).getByRole('button', { name: 'Remove: Test again' }))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/follow-ups/u1/close', undefined)
  })
  it('is added with its days, and keeps what was typed when the server says no', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: {
        title: 'The end is before the start.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'to', message: 'The end is before the start.' }],
      },
    })
    as('office', <FollowUpsSheet pondId="p1" today="2026-05-20" followUps={[]} />)
    await userEvent.click(screen.getByText('Add follow-up'))
    await userEvent.type(screen.getByLabelText('Task'), 'Look at the gate')
    await userEvent.click(screen.getByRole('button', { name: 'Save follow-up' }))
    expect(screen.getAllByText('The end is before the start.').length).toBeGreaterThan(0)
    expect(screen.getByLabelText('Task')).toHaveValue('Look at the gate')
    await userEvent.click(screen.getByRole('button', { name: 'Save follow-up' }))
    expect(screen.getByLabelText('Task')).toHaveValue('')
  })
  it('is not the crew’s to change', () => {
    as('technician', <FollowUpsSheet pondId="p1" today="2026-05-20" followUps={[followUp({})]} />)
    expect(screen.queryByRole('button')).not.toBeInTheDocument()
  })
})

describe('seasonal gear', () => {
  const gear = (over: Partial<Gear>): Gear => ({
    id: 'g1',
    pondId,
    kind: 'net',
    name: 'Net A',
    state: 'on-pond',
    place: '',
    since: '2026-10-20T09:00:00Z',
    ...over,
  })
  it('stands on the pond or lies somewhere, and cuttings are told in nutrients', () => {
    as(
      'office',
      <GearSheet
        gear={[gear({}), gear({ id: 'g2', kind: 'pump', name: 'Pump', state: 'stored', place: 'Loft' })]}
        cuttingBuckets={7}
      />,
    )
    expect(screen.getByRole('heading', { name: 'On the pond' })).toBeInTheDocument()
    expect(screen.getByText('Loft, since Tue 20 Oct 2026')).toBeInTheDocument()
    // 7 buckets × 10 L × 0.22 kg/L × 15 % dry × 2 % N
    expect(screen.getByText(/Cuttings this year: 7 buckets.*46\.2\sg of nitrogen/)).toBeInTheDocument()
  })
})

describe('readings between visits', () => {
  it('are logged, and an unusual one is asked about once more', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: {
        title: 'pH 9.8 is unusual.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'readings.ph', message: 'pH 9.8 is unusual.', code: 'unusual' }],
      },
    })
    as('technician', <LogReadingsForm deepestM={1.4} pondId={pondId} />)
    await userEvent.type(screen.getByLabelText('pH'), '9.8')
    await userEvent.selectOptions(screen.getByLabelText('Test method'), 'meter')
    await userEvent.click(screen.getByRole('button', { name: 'Log water tests' }))
    expect(screen.getByLabelText('pH')).toHaveValue('9.8')
    await userEvent.click(screen.getByRole('button', { name: 'Confirm this reading' }))
    expect(sent.mock.lastCall![2]).toMatchObject({
      readings: { ph: { value: 9.8 } },
      method: 'meter',
      confirmedUnlikely: true,
    })
    expect(screen.getByLabelText('pH')).toHaveValue('')
  })
})
