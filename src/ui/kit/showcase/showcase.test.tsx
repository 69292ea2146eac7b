import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { AsPerson } from '../../../../tests/fixtures/person'
import { Showcase } from './showcase'

describe('the parts that views are made of', () => {
  it('stand in every theme, and work there', async () => {
    const { container } = render(
      <AsPerson>
        <Showcase />
      </AsPerson>,
    )
    const themes = [...container.querySelectorAll('[data-bs-theme]')].map((e) => e.getAttribute('data-bs-theme'))
    expect(themes).toEqual(['light', 'dark', 'sun'])
    for (const name of ['Light', 'Dark', 'Bright sun'])
      expect(within(screen.getByRole('region', { name })).getByRole('table')).toBeInTheDocument()
    const dark = within(screen.getByRole('region', { name: 'Dark' }))
    await userEvent.click(dark.getByRole('button', { name: /^Emergency/ }))
    expect(dark.getByRole('button', { name: /^Emergency/ })).toHaveAttribute('aria-pressed', 'true')
    await userEvent.click(dark.getByRole('button', { name: 'Leave without saving' }))
    expect(screen.getByRole('dialog')).toHaveTextContent('not saved yet')
  })
})
