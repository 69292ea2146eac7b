import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { defaultTemplates } from '@/messages/messages/notice-templates'
import { firmTexts } from '@/messages/texts'
import type { MessagesData } from '@/server/messages/notices'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '@/ui/send'
import { MessagesView } from './messages-view'

jest.mock('@/ui/send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: { queued: 1 } }))

const due = (visitId: string, over: object = {}) => ({
  visitId,
  kind: 'visit-planned',
  customerName: `Customer ${visitId}`,
  email: `${visitId}@mail.example`,
  jobName: 'Spring cleanout',
  siteName: 'Tarn',
  day: '2027-03-20',
  startTime: '08:00',
  notified: null,
  ...over,
})
const show = (over: object = {}) =>
  render(
    <AsPerson>
      <MessagesView
        data={
          {
            due: [
              due('near'),
              due('far', { day: '2027-09-01' }),
              due('moved', {
                kind: 'visit-moved',
                day: '2027-09-02',
                notified: { day: '2027-08-30', startTime: '09:00' },
              }),
              due('paper', { email: '' }),
            ],
            soonUntil: '2027-04-10',
            sent: [],
            templates: defaultTemplates(firmTexts()),
            version: 2,
            ...over,
          } as unknown as MessagesData
        }
      />
    </AsPerson>,
  )

describe('who has to be told', () => {
  it('is told of changes at once, of new visits when they come near, and of none without an address', async () => {
    show()
    expect(screen.queryByLabelText(/^Notify Customer far/)).not.toBeInTheDocument()
    expect(screen.getByRole('row', { name: /Customer moved/ })).toHaveTextContent('was Mon 30 Aug 09:00')
    expect(screen.getByLabelText(/^Notify Customer paper/)).toBeDisabled()
    expect(screen.getByText('no e-mail address: call')).toBeInTheDocument()
    await userEvent.click(screen.getByLabelText(/^Notify Customer near/))
    await userEvent.click(screen.getByRole('button', { name: 'Send to 1 customer' }))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/notices', { visits: ['moved'] })
    expect(screen.getByText('1 message is being sent.')).toBeInTheDocument()
  })
  it('is shown as far ahead as is wished', async () => {
    show()
    await userEvent.click(screen.getByLabelText('Include the 1 new visits after Sat 10 Apr'))
    expect(screen.getByLabelText(/^Notify Customer far/)).toBeChecked()
    expect(screen.getByRole('button', { name: 'Send to 3 customers' })).toBeEnabled()
  })
  it('is nobody when everyone knows', () => {
    show({ due: [] })
    expect(screen.getByText('Everyone has been notified.')).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Send messages' })).toBeDisabled()
  })
})

describe('letters that were sent', () => {
  it('are read, and sent again when they did not get through', async () => {
    const letter = {
      id: 'n1',
      state: 'failed',
      subject: 'Your visit',
      recipient: 'a@mail.example',
      madeAt: '2027-03-01T10:00:00Z',
      sentAt: null,
      body: 'Dear Ada',
      problem: 'No such box',
    }
    show({ sent: [letter] })
    expect(screen.getByText('failed')).toBeInTheDocument()
    expect(screen.getByText('Dear Ada')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Send again: Your visit' }))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/notices/n1/again')
  })
})

describe('the words of letters', () => {
  it('are the firm’s own; an empty one is refused where it stands, and nothing is lost', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: {
        title: 'The text is missing.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'templates.visit-planned.body', message: 'The text is missing.' }],
      },
    })
    show()
    const subject = screen.getByLabelText(/^(Planned|New visit|Visit planned).*: subject$|planned: subject/i)
    await userEvent.clear(subject)
    await userEvent.type(subject, 'We come')
    await userEvent.click(screen.getByRole('button', { name: 'Save templates' }))
    expect(within(subject.closest('details')!).getByText('The text is missing.')).toBeInTheDocument()
    expect(subject).toHaveValue('We come')
    await userEvent.click(screen.getByRole('button', { name: 'Save templates' }))
    expect(sent.mock.lastCall![2]).toMatchObject({ version: 2, templates: { 'visit-planned': { subject: 'We come' } } })
    expect(screen.getByText('Saved. New messages will use these templates.')).toBeInTheDocument()
  })
})
