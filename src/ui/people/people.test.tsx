import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { CrewSetup } from '@/domain/people/crew-setup'
import type { CrewId, UserId } from '@/domain/shared/ids'
import type { Crew, Person, SignedInDevice } from '@/domain/people/people'
import type { Role } from '@/domain/people/roles'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '../send'
import { PeopleView } from './people-view'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))

const OTTER = '0b7c6c1e-4a57-4d0f-9c1c-7f1a3f0c2d11' as CrewId
const otter = { id: OTTER, name: 'Otter', setup: CrewSetup.parse({}), version: 3 } as unknown as Crew
const person = {
  id: 'u1' as UserId,
  name: 'Hale',
  email: 'hale@x.example',
  role: 'crew-lead',
  crewId: OTTER,
  crewName: 'Otter',
  active: true,
} as unknown as Person
const phone = { id: 'd1', person: 'Hale', device: 'Phone', seenAt: '2027-03-20T08:00:00Z' } as unknown as SignedInDevice
const show = (role: Role = 'owner') =>
  render(
    <AsPerson role={role}>
      <PeopleView people={[person]} crews={[otter]} devices={[phone]} />
    </AsPerson>,
  )

describe('people', () => {
  it('are listed with role and crew', () => {
    show()
    expect(screen.getByRole('row', { name: /Hale/ })).toHaveTextContent(/Hale\s*hale@x.exampleCrew leadOtter/)
  })
  it('are added; what was typed stays when something is wrong, and is gone once kept', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: {
        title: 'This e-mail is taken.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'email', message: 'This e-mail is taken.' }],
      },
    })
    show()
    const name = screen.getByLabelText('Name')
    await userEvent.type(name, 'Wilka')
    await userEvent.type(screen.getByLabelText('E-mail'), 'hale@x.example')
    await userEvent.selectOptions(screen.getByLabelText('Crew'), 'Otter')
    await userEvent.click(screen.getByRole('button', { name: 'Save person' }))
    expect(await screen.findByText(/password needs at least/)).toBeInTheDocument()
    expect(sent).not.toHaveBeenCalled()
    await userEvent.type(screen.getByLabelText('Initial password'), 'reed-and-water')
    await userEvent.click(screen.getByRole('button', { name: 'Save person' }))
    expect((await screen.findAllByText('This e-mail is taken.')).length).toBeGreaterThan(0)
    expect(name).toHaveValue('Wilka')
    await userEvent.click(screen.getByRole('button', { name: 'Save person' }))
    expect(sent.mock.lastCall![2]).toMatchObject({ name: 'Wilka', role: 'technician', crewId: OTTER })
    await waitFor(() => expect(name).toHaveValue(''))
  })
  it('are the owner’s to change', () => {
    show('office')
    expect(screen.queryByRole('button', { name: 'Save person' })).not.toBeInTheDocument()
    expect(screen.queryByRole('region', { name: 'Devices' })).not.toBeInTheDocument()
    // the office sets crews up, since it plans with them
    expect(screen.getByRole('region', { name: 'Crews' })).toBeInTheDocument()
  })
})

describe('a lost device', () => {
  it('is shut out once that is confirmed', async () => {
    show()
    const button = screen.getByRole('button', { name: 'Block Phone of Hale' })
    await userEvent.click(button)
    const question = await screen.findByRole('dialog')
    expect(question).toHaveTextContent(/Block Phone of Hale\?/)
    await userEvent.click(within(question).getByRole('button', { name: 'Cancel' }))
    expect(sent).not.toHaveBeenCalled()
    await userEvent.click(button)
    await userEvent.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Block device' }))
    await waitFor(() => expect(sent).toHaveBeenCalledWith('POST', '/api/v1/devices/d1/shut-out', {}))
    expect(screen.queryByRole('dialog')).not.toBeInTheDocument()
  })
})

describe('a crew', () => {
  it('keeps what it may do, carries and when it works, one version after the other', async () => {
    show()
    const crews = screen.getByRole('region', { name: 'Crews' })
    await userEvent.click(within(crews).getByText('Otter'))
    const before = otter.setup.skills.length
    await userEvent.click(within(crews).getAllByRole('checkbox')[0]!)
    await userEvent.click(within(crews).getByRole('button', { name: 'Save Otter' }))
    const [, path, body] = sent.mock.lastCall!
    expect(path).toBe(`/api/v1/crews/${OTTER}`)
    expect(body).toMatchObject({ version: 3 })
    expect((body as { setup: { skills: string[] } }).setup.skills.length).not.toBe(before)
    await userEvent.click(within(crews).getByRole('button', { name: 'Save Otter' }))
    expect(sent.mock.lastCall![2]).toMatchObject({ version: 4 })
  })
})

describe('a person', () => {
  it('is changed, sent a password link, or deactivated by the owner', async () => {
    show()
    await userEvent.click(screen.getByRole('button', { name: 'Edit Hale' }))
    sent.mockResolvedValueOnce({ ok: true, value: { token: 's3cret' } } as never)
    await userEvent.click(screen.getByRole('button', { name: 'Password reset link' }))
    expect(sent).toHaveBeenLastCalledWith('POST', '/api/v1/people/u1/password-link', {})
    expect(screen.getByRole('link', { name: /set-password\/s3cret/ })).toBeInTheDocument()
    sent.mockResolvedValueOnce({
      ok: false,
      problem: { title: 'This is the last owner.', status: 409, kind: 'refused' },
    } as never)
    await userEvent.click(screen.getByRole('button', { name: 'Deactivate' }))
    expect(screen.getByText('This is the last owner.')).toBeInTheDocument()
    sent.mockResolvedValueOnce({ ok: true, value: {} } as never)
    await userEvent.click(screen.getByRole('button', { name: 'Save' }))
    expect(sent).toHaveBeenLastCalledWith('PUT', '/api/v1/people/u1', { role: 'crew-lead', crewId: OTTER })
  })
  it('changes the own password, and nobody but the owner sees more', async () => {
    show('technician')
    expect(screen.queryByRole('button', { name: 'Edit Hale' })).not.toBeInTheDocument()
    sent.mockResolvedValueOnce({ ok: true, value: {} } as never)
    await userEvent.type(screen.getByLabelText('Current password'), 'old one here')
    await userEvent.type(screen.getByLabelText('New password'), 'new one here 1')
    await userEvent.click(screen.getByRole('button', { name: 'Change password' }))
    expect(sent).toHaveBeenLastCalledWith('POST', '/api/v1/password', {
      current: 'old one here',
      next: 'new one here 1',
    })
    expect(screen.getByText('Saved. Your other devices have been signed out.')).toBeInTheDocument()
  })
})
