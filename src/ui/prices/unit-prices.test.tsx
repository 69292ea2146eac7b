import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { AsPerson } from '../../../tests/fixtures/person'
import { USUAL_PRICE_BOOK } from '../../../tests/fixtures/usual-in-words'
import { isUnit, UnitPrices } from './unit-prices'

const rows = USUAL_PRICE_BOOK.items
  .flatMap((item, place) => (isUnit(item) ? [{ item, place }] : []))
  .filter(({ item }) => /:(drum|uv):/.test(item.key))
const show = (errorOf: (path: string) => string | undefined = () => undefined) => {
  const onChange = jest.fn()
  render(
    <AsPerson>
      <UnitPrices rows={rows} locked={false} onChange={onChange} errorOf={errorOf} />
    </AsPerson>,
  )
  return onChange
}

describe('prices of filter train equipment', () => {
  it('are folded until asked for, and then changed as any other', async () => {
    const onChange = show()
    expect(screen.queryByRole('table')).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: `Show filter train equipment by size (${rows.length})` }))
    const cost = screen.getByLabelText('Cost of Rotary drum filter to 20 m³/h')
    await userEvent.clear(cost)
    await userEvent.type(cost, '3100')
    await userEvent.tab()
    expect(onChange).toHaveBeenLastCalledWith('unit:drum:20', { costMinor: 310_000 })
    await userEvent.click(screen.getByRole('button', { name: 'Hide filter train equipment' }))
    expect(screen.queryByRole('table')).toBeNull()
  })
  it('with one amiss are unfolded, so that it is seen', () => {
    const { place } = rows.find(({ item }) => item.key === 'unit:uv:75')!
    show((path) => (path === `items.${place}.costMinor` ? 'Cost below zero' : undefined))
    expect(screen.getByText('Cost below zero')).toBeVisible()
  })
})
