import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { FoundOption, Objectives } from '@/core/filter/options/option-problem'
import { picksOf } from '@/core/filter/options/picks'
import { PUMP_CATALOGUE } from '@/core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES } from '@/core/filter/house-rules'
import { suggestDesign } from '@/core/filter/suggest'
import { koiPond } from '../../../../tests/fixtures/design-pond'
import { AsPerson } from '../../../../tests/fixtures/person'
import { trainUnit } from '../../../../tests/fixtures/train-unit'
import { OptionsForm, type OptionsAsked } from './options-form'
import { OptionsTable } from './options-table'

const design = suggestDesign(koiPond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, 'lined-wetland')
const option = (objectives: Objectives, train: FoundOption['design']['train'] = []): FoundOption => ({
  design: { ...design, train },
  objectives,
})
const cheap = option({ price: 600_000, water: 0.2, hours: 20, energy: 3000 })
const clean = option({ price: 1_200_000, water: 0.05, hours: 40, energy: 6000 }, [trainUnit('drum')])
const middle = option({ price: 750_000, water: 0.1, hours: 22, energy: 2700 })
const quiet = option({ price: 900_000, water: 0.15, hours: 15, energy: 2500 })
const front = [cheap, clean, middle, quiet]

const show = (chosen: FoundOption | null = null, onOpen = jest.fn()) => {
  render(
    <AsPerson>
      <OptionsTable
        front={front}
        picks={picksOf(front, 'water')}
        chosen={chosen}
        care="water"
        measure="tan"
        currency="EUR"
        onOpen={onOpen}
      />
    </AsPerson>,
  )
  return onOpen
}
const row = (name: RegExp) => screen.getByRole('row', { name })

describe('the picked options', () => {
  it('say what they are, cost and do, and what they are the best of all in', () => {
    show()
    expect(row(/^Lowest price/)).toHaveTextContent('best of all in price')
    expect(row(/^Lowest price/)).toHaveTextContent('€6,000')
    expect(row(/^Lowest ammonia/)).toHaveTextContent('Rotary drum filter')
    expect(row(/^Lowest ammonia/)).toHaveTextContent('0.05 mg/L')
  })
  it('that are the best in nothing say what they have over the cheapest, from the figures', () => {
    show()
    // 750 against 600; 0.1 against 0.2; 2,700 against 3,000: more work is no gain and is not said
    expect(row(/^Best balance/)).toHaveTextContent(
      '25 % more than the cheapest: 50 % less ammonia, 10 % less electricity',
    )
  })
  it('have the one that was chosen on the chart beside them, once', () => {
    show(quiet)
    expect(row(/^Chosen on the chart/)).toHaveTextContent('best of all in work, electricity')
    expect(screen.getAllByRole('row')).toHaveLength(5)
  })
  it('that was chosen and is picked already stands once', () => {
    show(cheap)
    expect(screen.getAllByRole('row')).toHaveLength(4)
  })
  it('are opened each by its own button', async () => {
    const onOpen = show()
    await userEvent.click(within(row(/^Lowest ammonia/)).getByRole('button', { name: /Open Lowest ammonia/ }))
    expect(onOpen).toHaveBeenCalledWith(clean)
  })
})

describe('what is asked of the search', () => {
  const asked: OptionsAsked = { types: ['lined-wetland'], budget: null, care: 'water' }
  const form = (over: Partial<OptionsAsked> = {}, working = false) => {
    const onChange = jest.fn()
    const onStop = jest.fn()
    render(
      <AsPerson>
        <OptionsForm
          asked={{ ...asked, ...over }}
          currency="EUR"
          working={working}
          measure="tan"
          onChange={onChange}
          onFind={jest.fn()}
          onStop={onStop}
        />
      </AsPerson>,
    )
    return { onChange, onStop }
  }
  const find = () => screen.getByRole('button', { name: 'Find options' })
  it('wants a kind that may be built and a budget above nothing, and says so', () => {
    form({ types: [], budget: -5 })
    expect(screen.getByText('Choose at least one filter type.')).toBeVisible()
    expect(screen.getByText(/Give a budget above 0/)).toBeVisible()
    expect(find()).toBeDisabled()
  })
  it('keeps the kinds in their order, and is stopped while it works', async () => {
    const { onChange } = form()
    expect(screen.queryByRole('button', { name: 'Stop search' })).toBeNull()
    await userEvent.click(screen.getByLabelText('Container bog'))
    expect(onChange).toHaveBeenCalledWith({ ...asked, types: ['container-bog', 'lined-wetland'] })
  })
  it('can be stopped while it works, and not begun again', async () => {
    const { onStop } = form({}, true)
    expect(find()).toBeDisabled()
    await userEvent.click(screen.getByRole('button', { name: 'Stop search' }))
    expect(onStop).toHaveBeenCalledTimes(1)
  })
})
