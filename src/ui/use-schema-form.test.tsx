import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { z } from 'zod'
import { said } from '@/domain/shared/said'
import { ProblemNote } from './kit/problem-note'
import { TextField } from './kit/text-field'
import { useSchemaForm } from './use-schema-form'

const Body = z.strictObject({
  name: z.string().min(2, { error: said('people.problems.enterYourPassword') }),
  note: z.string().nullable(),
})
const sent = jest.fn()
const kept = jest.fn()

function Form() {
  const { field, submit, problem, saved } = useSchemaForm({
    schema: Body,
    values: { name: '', note: '' },
    bodyOf: ({ name, note }) => ({ name, note: note || null }),
    part: 'thing',
  })
  return (
    <form onSubmit={submit((body) => sent(body), kept)}>
      <TextField label="Name" {...field('name')} />
      <TextField label="Note" {...field('note')} />
      <ProblemNote problem={problem} />
      <p role="status">{saved ? 'kept' : ''}</p>
      <button>Save</button>
    </form>
  )
}
const press = () => userEvent.click(screen.getByRole('button', { name: 'Save' }))

describe('a form', () => {
  beforeEach(() => {
    sent.mockReset().mockResolvedValue({ ok: true, value: { id: 'a1' } })
    kept.mockClear()
    render(<Form />)
  })
  it('is not sent while the schema finds something wrong, says it at the field, and takes it back once mended', async () => {
    await press()
    expect(await screen.findByText('Enter your password.')).toBeInTheDocument()
    expect(screen.getByLabelText('Name')).toBeInvalid()
    expect(sent).not.toHaveBeenCalled()
    await userEvent.type(screen.getByLabelText('Name'), 'Tarn')
    await waitFor(() => expect(screen.queryByText('Enter your password.')).not.toBeInTheDocument())
  })
  it('is sent as its body, tells what came of it, and is kept until something changes', async () => {
    await userEvent.type(screen.getByLabelText('Name'), 'Tarn')
    await press()
    await waitFor(() => expect(kept).toHaveBeenCalledWith({ id: 'a1' }, { name: 'Tarn', note: '' }))
    expect(sent).toHaveBeenCalledWith({ name: 'Tarn', note: null })
    expect(screen.getByRole('status')).toHaveTextContent('kept')
    await userEvent.type(screen.getByLabelText('Note'), 'x')
    expect(screen.getByRole('status')).toHaveTextContent('')
  })
  it('says what the server refuses at its field, and keeps what was entered', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: {
        title: 'Taken.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'thing.name', message: 'Choose another.' }],
      },
    })
    await userEvent.type(screen.getByLabelText('Name'), 'Tarn')
    await press()
    expect((await screen.findAllByText('Choose another.')).length).toBeGreaterThan(0)
    expect(screen.getByLabelText('Name')).toBeInvalid()
    expect(screen.getByLabelText('Name')).toHaveValue('Tarn')
    expect(kept).not.toHaveBeenCalled()
  })
})
