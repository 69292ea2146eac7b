import { act, screen } from '@testing-library/react'
import { useState } from 'react'
import { hydrateRoot } from 'react-dom/client'
import { writtenPage } from '../../../tests/fixtures/written-page'
import { EarlyInput } from './early-input'
import { KEEP_EARLY_INPUT } from './keep-early-input'

function Page() {
  const [open, setOpen] = useState(false)
  const [name, setName] = useState('Tarn')
  const [tick, setTick] = useState(false)
  const [kind, setKind] = useState('bog')
  const [sent, setSent] = useState(0)
  return (
    <form onSubmit={(e) => (e.preventDefault(), setSent(sent + 1))}>
      <a href="#menu" role="button" onClick={(e) => (e.preventDefault(), setOpen(!open))}>
        Menu
      </a>
      <button>Save</button>
      <input aria-label="Name" value={name} onChange={(e) => setName(e.target.value)} />
      <input aria-label="Heron" type="checkbox" checked={tick} onChange={(e) => setTick(e.target.checked)} />
      <select aria-label="Kind" value={kind} onChange={(e) => setKind(e.target.value)}>
        <option>bog</option>
        <option>wetland</option>
      </select>
      <p role="status">{JSON.stringify({ open, name, tick, kind, sent })}</p>
      <EarlyInput />
    </form>
  )
}

/** The page as the server writes it, with the script of its head run. */
async function written(): Promise<HTMLElement> {
  const page = await writtenPage(<Page />)
  window.eval(KEEP_EARLY_INPUT)
  return page
}
const comesToLife = (page: HTMLElement) =>
  act(async () => {
    hydrateRoot(page, <Page />)
  })
const state = () => JSON.parse(screen.getByRole('status').textContent)
const enter = (label: string, value: string) => {
  const field = screen.getByLabelText<HTMLInputElement>(label)
  field.value = value
  field.dispatchEvent(new Event('input', { bubbles: true }))
  field.dispatchEvent(new Event('change', { bubbles: true }))
}

describe('what is pressed and entered before a page has come to life', () => {
  afterEach(() => document.body.replaceChildren())
  it('a press is done as soon as something listens, once', async () => {
    const page = await written()
    screen.getByText('Menu').click()
    await comesToLife(page)
    expect(state().open).toBe(true)
  })
  it('a form is sent by the app with what was entered, once', async () => {
    const page = await written()
    enter('Name', 'Rill')
    screen.getByText('Save').click()
    await comesToLife(page)
    expect(state()).toMatchObject({ name: 'Rill', sent: 1 })
  })
  it('a tick and a choice stay', async () => {
    const page = await written()
    screen.getByLabelText('Heron').click()
    enter('Kind', 'wetland')
    await comesToLife(page)
    expect(state()).toMatchObject({ tick: true, kind: 'wetland' })
    expect(screen.getByLabelText('Heron')).toBeChecked()
  })
  it('nothing entered, nothing changed', async () => {
    const page = await written()
    await comesToLife(page)
    expect(state()).toEqual({ open: false, name: 'Tarn', tick: false, kind: 'bog', sent: 0 })
    act(() => screen.getByText('Menu').click())
    expect(state().open).toBe(true)
    expect(window.earlyInput).toBeUndefined()
  })
})
