import { act, screen } from '@testing-library/react'
import { hydrateRoot } from 'react-dom/client'
import { z } from 'zod'
import { writtenPage } from '../../tests/fixtures/written-page'
import { TextField } from './kit/text-field'
import { useSchemaForm } from './use-schema-form'

function Form() {
  const { field, values, put, ready } = useSchemaForm({
    schema: z.strictObject({ name: z.string(), product: z.string() }),
    values: { name: 'Tarn', product: 'salt' },
  })
  return (
    <form>
      <TextField label="Name" {...field('name')} />
      <select
        aria-label="Product"
        disabled={!ready}
        value={values.product}
        onChange={(e) => put({ product: e.target.value, name: e.target.value })}
      >
        <option>salt</option>
        <option>clay</option>
      </select>
      <p role="status">{values.name}</p>
    </form>
  )
}

const written = (): Promise<HTMLElement> => writtenPage(<Form />)
const name = () => screen.getByLabelText<HTMLInputElement>('Name')

describe('a form on a page that the server wrote', () => {
  afterEach(() => document.body.replaceChildren())
  it('shows its first values before it comes to life', async () => {
    await written()
    expect(name()).toHaveValue('Tarn')
  })
  it('keeps what was entered until it came to life', async () => {
    const page = await written()
    name().value = 'Rill'
    await act(async () => {
      hydrateRoot(page, <Form />)
    })
    expect(name()).toHaveValue('Rill')
    expect(screen.getByRole('status')).toHaveTextContent('Rill')
  })
  it('takes no choice that others follow from until it has come to life', async () => {
    const page = await written()
    expect(screen.getByLabelText('Product')).toBeDisabled()
    await act(async () => {
      hydrateRoot(page, <Form />)
    })
    expect(screen.getByLabelText('Product')).toBeEnabled()
  })
})
