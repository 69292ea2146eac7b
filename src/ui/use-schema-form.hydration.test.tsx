import { act, screen } from '@testing-library/react'
import { hydrateRoot } from 'react-dom/client'
import { z } from 'zod'
import { TextField } from './kit/text-field'
import { useSchemaForm } from './use-schema-form'

// the stand-in for a browser has no channels, which writing a page on the server waits by
globalThis.MessageChannel ??= class {
  port1 = { onmessage: null }
  port2 = { postMessage: () => undefined }
} as never

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

/** The page as the server writes it, before it comes to life. */
async function written(): Promise<HTMLElement> {
  const { renderToString } = await import('react-dom/server')
  const page = document.body.appendChild(document.createElement('div'))
  page.innerHTML = renderToString(<Form />)
  return page
}
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
