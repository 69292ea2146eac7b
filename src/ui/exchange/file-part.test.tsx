import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { sendFile } from '@/ui/send'
import { AsPerson } from '../../../tests/fixtures/person'
import type { ExchangeData } from '@/server/exchange/exchange-page'
import { FilePart } from './file-part'

jest.mock('@/ui/send', () => ({ sendFile: jest.fn() }))
const sent = jest.mocked(sendFile)

const PREVIEW = {
  added: 1,
  changed: 1,
  same: 2,
  preview: true,
  rows: [
    { line: 2, name: 'Lowen Carew: Weir House', what: 'added', fields: [] },
    { line: 3, name: 'Per Holm: Boathouse', what: 'changed', fields: ['town', 'email'] },
    { line: 4, name: 'Ede M: Bank', what: 'same', fields: [] },
  ],
  problems: [{ line: 5, message: 'customer: missing.' }],
}
const show = () =>
  render(
    <AsPerson>
      <FilePart data={{ today: '2027-02-10', stations: [], feeds: [], crews: [] } as unknown as ExchangeData} />
    </AsPerson>,
  )
const choose = (bytes: Uint8Array) => {
  const file = new File(['x'], 'sites.csv', { type: 'text/csv' })
  Object.assign(file, { arrayBuffer: () => Promise.resolve(bytes.buffer) })
  return userEvent.upload(screen.getByLabelText('Import sites (CSV): file'), file)
}

beforeEach(() => {
  sent.mockReset()
  Element.prototype.scrollIntoView = jest.fn()
})

describe('a file of sites', () => {
  it('is shown with what it would do before anything is written, and taken over at a press', async () => {
    sent.mockResolvedValueOnce({ ok: true, value: PREVIEW } as never)
    show()
    await choose(new TextEncoder().encode('customer,site'))
    expect(await screen.findByText('Nothing has been saved yet.')).toBeInTheDocument()
    expect(sent.mock.calls[0]![0]).toBe('/api/v1/sites.csv?preview')
    expect(screen.getByText('Line 3: Per Holm: Boathouse, changed: town, e-mail')).toBeInTheDocument()
    expect(screen.getByText('Line 5: customer: missing.')).toBeInTheDocument()
    sent.mockResolvedValueOnce({ ok: true, value: { ...PREVIEW, preview: false } } as never)
    await userEvent.click(screen.getByRole('button', { name: 'Take over 2 lines' }))
    expect(sent.mock.calls[1]![0]).toBe('/api/v1/sites.csv')
    expect(await screen.findByText('Sites: 1 added, 1 changed, 2 unchanged.')).toBeInTheDocument()
  })
  it('is left alone at a press', async () => {
    sent.mockResolvedValueOnce({ ok: true, value: PREVIEW } as never)
    show()
    await choose(new TextEncoder().encode('customer,site'))
    await userEvent.click(await screen.findByRole('button', { name: 'Cancel' }))
    expect(screen.queryByText(/Nothing has been written/)).not.toBeInTheDocument()
    expect(sent).toHaveBeenCalledTimes(1)
  })
  it('in letters that cannot be read for certain is refused, and nothing is sent', async () => {
    show()
    await choose(Uint8Array.from([0x41, 0, 0x42, 0]))
    expect(await screen.findByRole('alert')).toHaveTextContent(/Save it as “CSV UTF-8”/)
    expect(sent).not.toHaveBeenCalled()
  })
})
