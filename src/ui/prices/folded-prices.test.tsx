import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { AsPerson } from '../../../tests/fixtures/person'
import { USUAL_PRICE_BOOK } from '../../../tests/fixtures/usual-in-words'
import { FoldedPrices, isFolded } from './folded-prices'

const rows = USUAL_PRICE_BOOK.items
  .flatMap((item, place) => (isFolded(item) ? [{ item, place }] : []))
  .filter(({ item }) => /:(drum|uv|union):|vault/.test(item.key))
const units = rows.filter(({ item }) => item.key.startsWith('unit:')).length
const show = (errorOf: (path: string) => string | undefined = () => undefined) => {
  const onChange = jest.fn()
  render(
    <AsPerson>
      <FoldedPrices rows={rows} locked={false} onChange={onChange} errorOf={errorOf} />
    </AsPerson>,
  )
  return onChange
}

describe('prices by size', () => {
  it('are folded until asked for, and then changed as any other', async () => {
    const onChange = show()
    expect(screen.queryByRole('table')).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: `Filter train equipment by size: show ${units} prices` }))
    const cost = screen.getByLabelText('Cost of Rotary drum filter to 20 m³/h')
    await userEvent.clear(cost)
    await userEvent.type(cost, '3100')
    await userEvent.tab()
    expect(onChange).toHaveBeenLastCalledWith('unit:drum:20', { costMinor: 310_000 })
    await userEvent.click(screen.getByRole('button', { name: 'Filter train equipment by size: hide prices' }))
    expect(screen.queryByRole('table')).toBeNull()
  })
  it('stand by what they are of: a fitting in each size of pipe, a vault in each width', async () => {
    show()
    await userEvent.click(screen.getByRole('button', { name: /^Fittings by pipe size/ }))
    expect(screen.getByLabelText('Cost of Union or coupling, 63 mm')).toBeVisible()
    expect(screen.queryByLabelText('Cost of Rotary drum filter to 20 m³/h')).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: /^Cleanout vaults by width/ }))
    expect(screen.getByLabelText('Cost of Cleanout vault 60 cm wide, with lid')).toBeVisible()
  })
  it('with one amiss are unfolded, so that it is seen', () => {
    const { place } = rows.find(({ item }) => item.key === 'unit:uv:75')!
    show((path) => (path === `items.${place}.costMinor` ? 'Cost below zero' : undefined))
    expect(screen.getByText('Cost below zero')).toBeVisible()
  })
})
