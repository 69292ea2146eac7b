import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { SearchHit } from '@/domain/search/search'
import type { Role } from '@/domain/people/roles'
import { ServerData } from '@/ui/kit/server-data'
import { AsPerson } from '../../../../tests/fixtures/person'
import { fetchJson, send } from '../../send'
import { SearchPalette } from './search-palette'

jest.mock('../../send', () => ({ fetchJson: jest.fn(), send: jest.fn(async () => ({ ok: true, value: {} })) }))
const push = jest.fn()
let path = '/'
jest.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh: jest.fn() }), usePathname: () => path }))
const asked = jest.mocked(fetchJson)
Element.prototype.scrollIntoView = jest.fn()
window.ResizeObserver = class {
  observe = () => undefined
  unobserve = () => undefined
  disconnect = () => undefined
}

const AT = { pondId: 'p1', pondName: 'Mill pool', siteName: 'Tarn House', town: 'Ferrygate' }
const HITS: readonly SearchHit[] = [
  { kind: 'pond', id: 'p1', customerName: 'Reeves', ...AT },
  { kind: 'visit', id: 'v1', jobName: 'Routine visit', day: '2027-04-02', done: false, ...AT },
  { kind: 'visit', id: 'v2', jobName: 'Spring cleanout', day: '2026-04-02', done: true, ...AT },
  { kind: 'plant', id: 'p1 iris', speciesKey: 'iris-pseudacorus', ...AT },
]
const onClose = jest.fn()
const show = (role: Role = 'owner') =>
  render(
    <AsPerson role={role}>
      <ServerData>
        <SearchPalette onClose={onClose} onShortcuts={jest.fn()} />
      </ServerData>
    </AsPerson>,
  )
beforeEach(() => {
  path = '/'
  for (const mock of [push, onClose]) mock.mockReset()
  asked.mockReset().mockResolvedValue({ ok: true, value: { hits: HITS } })
})

describe('search and commands', () => {
  it('finds at the office once one stops typing, and opens what is chosen by keys alone', async () => {
    show()
    await userEvent.type(screen.getByRole('combobox'), 'mill')
    expect(await screen.findByRole('option', { name: /^Tarn House: Mill pool Reeves/ })).toBeInTheDocument()
    expect(asked).toHaveBeenCalledTimes(1)
    expect(asked.mock.calls[0]![0]).toBe('/api/v1/search?q=mill')
    await userEvent.keyboard('{Enter}')
    expect(push).toHaveBeenCalledWith('/ponds/p1')
    expect(onClose).toHaveBeenCalled()
  })
  it('always has a line picked: Enter opens the first of what came last', async () => {
    asked.mockImplementation(async (url) => ({
      ok: true,
      value: { hits: String(url).endsWith('mill') ? HITS.slice(0, 2) : HITS.slice(3) },
    }))
    show()
    await userEvent.type(screen.getByRole('combobox'), 'mill')
    await screen.findByRole('option', { name: /^Tarn House: Mill pool Reeves/ })
    await userEvent.keyboard('{ArrowDown}')
    await userEvent.type(screen.getByRole('combobox'), ' pool')
    const plant = await screen.findByRole('option', { name: /Yellow flag|iris/i })
    await waitFor(() => expect(screen.queryByText(/Routine visit/)).not.toBeInTheDocument())
    expect(plant).toHaveAttribute('aria-selected', 'true')
  })
  it('opens a visit to come on the field sheet and a past one as its report', async () => {
    show()
    await userEvent.type(screen.getByRole('combobox'), 'visit')
    await userEvent.click(await screen.findByText(/Routine visit, Fri 2 Apr 2027/))
    expect(push).toHaveBeenLastCalledWith('/field?visit=v1')
    await userEvent.click(screen.getByText(/Spring cleanout, Thu 2 Apr 2026/))
    expect(push).toHaveBeenLastCalledWith('/visits/v2/report')
  })
  it('offers pages and actions of the role, narrowed down by what is typed', async () => {
    asked.mockResolvedValue({ ok: true, value: { hits: [] } })
    show('technician')
    expect(screen.getByText('Field sheet')).toBeInTheDocument()
    expect(screen.queryByText('Build plan')).not.toBeInTheDocument()
    expect(screen.queryByText('Add pond')).not.toBeInTheDocument()
    await userEvent.type(screen.getByRole('combobox'), 'dark')
    expect(screen.queryByText('Field sheet')).not.toBeInTheDocument()
    await userEvent.click(screen.getByText('Dark theme'))
    expect(document.documentElement.dataset.bsTheme).toBe('dark')
    // kept for the person, not for this page alone, even when it is left at once
    expect(send).toHaveBeenCalledWith(
      'PUT',
      '/api/v1/preferences',
      { units: 'metric', theme: 'dark', region: 'system' },
      { keepalive: true },
    )
  })
  it('offers the tabs of the pond that is open', () => {
    path = '/ponds/00000000-0000-4000-8000-000000000001/water'
    show()
    expect(screen.getByText('This pond')).toBeInTheDocument()
    expect(screen.getByText('Files')).toBeInTheDocument()
  })
  it('says that nothing was found, and that the office was not reached while pages still open', async () => {
    asked.mockResolvedValue({ ok: true, value: { hits: [] } })
    const { unmount } = show()
    await userEvent.type(screen.getByRole('combobox'), 'xyzzy')
    expect(await screen.findByText(/Nothing found for “xyzzy”/)).toBeInTheDocument()
    unmount()
    asked.mockResolvedValue({ ok: false, problem: { title: '', status: 0, kind: 'offline' } })
    show()
    await userEvent.type(screen.getByRole('combobox'), 'season')
    await waitFor(() => expect(screen.getByText(/did not reach the office/)).toBeInTheDocument())
    expect(screen.getByText('Season')).toBeInTheDocument()
  })
})
