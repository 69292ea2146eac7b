import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { AsPerson, FIELD_PERSON } from '../../../tests/fixtures/person'
import type { VisitView } from './device/device-view'
import { dropPhoto, letGo, tryAgain, type NewEntry } from './device/field-device'
import { FieldProvider } from './field-context'
import { NotTaken } from './not-taken'
import { VisitExtras } from './visit-extras'
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'
const SPRING_CLEANOUT = jobInWords('spring-cleanout')

jest.mock('./device/field-device', () => ({
  dropPhoto: jest.fn(),
  letGo: jest.fn(),
  tryAgain: jest.fn().mockResolvedValue(undefined),
}))
jest.mock('./use-field-place', () => ({ goTo: jest.fn() }))

const logged = jest.fn<Promise<void>, [string, NewEntry]>()
const sync = jest.fn().mockResolvedValue('synced')
const LAMP = {
  id: 'e1',
  kind: 'uv-lamp',
  name: 'Clarifier lamp',
  fittedOn: '2026-03-01',
  due: '2027-03-01',
  warrantyUntil: '2028-03-01',
}
const NET = { id: 'g1', kind: 'net', name: 'Net A', state: 'on-pond', place: '' }
const line = (kind: string, byId: string, more: object = {}) => ({
  kind,
  id: `${kind}-${byId}`,
  at: '2027-03-20T08:00:00Z',
  byId,
  byName: byId,
  receivedAt: '',
  ...more,
})

const viewOf = (over: object = {}): VisitView =>
  ({
    visit: { id: 'v1', job: SPRING_CLEANOUT, state: 'under-way' },
    log: [],
    equipment: [LAMP],
    gear: [NET],
    plants: [],
    care: [],
    refused: [],
    refusedPhotos: [],
    ...over,
  }) as unknown as VisitView
const inField = (children: React.ReactNode) =>
  render(
    <AsPerson>
      <FieldProvider
        value={{ person: FIELD_PERSON, today: '2027-03-20', products: USUAL_PRODUCTS_IN_WORDS, log: logged, sync }}
      >
        {children}
      </FieldProvider>
    </AsPerson>,
  )
const show = (over: object = {}) => inField(<VisitExtras view={viewOf(over)} />)
const button = (name: string) => screen.getByRole('button', { name })
const said = () => logged.mock.calls.map(([, entry]) => entry)

beforeEach(() => {
  logged.mockReset().mockResolvedValue()
  jest.mocked(tryAgain).mockClear()
})

describe('beside the steps', () => {
  it('a note is kept, and an empty one is not', async () => {
    show()
    expect(button('Save note')).toBeDisabled()
    await userEvent.type(screen.getByLabelText('Note about this visit'), 'The gate sticks')
    await userEvent.click(button('Save note'))
    expect(said()).toEqual([{ kind: 'note', stepKey: null, text: 'The gate sticks' }])
    expect(screen.getByLabelText('Note about this visit')).toHaveValue('')
  })
  it('a finding goes where the crew says: to the office, a quote, or next season', async () => {
    show({ log: [line('finding', 'hale', { text: 'Breather valve fouled', becomes: 'follow-up' })] })
    expect(
      within(screen.getByRole('list', { name: 'Findings' })).getByText(/Breather valve fouled/),
    ).toBeInTheDocument()
    await userEvent.type(screen.getByLabelText('What did you find?'), 'A second skimmer')
    await userEvent.selectOptions(screen.getByLabelText('Next action'), 'quote')
    await userEvent.click(button('Save finding'))
    expect(said()).toEqual([{ kind: 'finding', stepKey: null, text: 'A second skimmer', becomes: 'quote' }])
  })
  it('a renewed part names its piece, and keeps the old one for the claim while it is under warranty', async () => {
    show()
    expect(screen.getByText(/Keep the old part for the claim/)).toBeInTheDocument()
    await userEvent.selectOptions(screen.getByLabelText('Warranty'), '2 years')
    await userEvent.click(button('Save replaced part'))
    expect(said()).toEqual([
      {
        kind: 'part',
        equipmentId: 'e1',
        equipmentKind: 'uv-lamp',
        name: 'Clarifier lamp',
        warrantyUntil: '2029-03-19',
      },
    ])
  })
  it('a part that is new here needs a name', async () => {
    show({ equipment: [] })
    expect(button('Save replaced part')).toBeDisabled()
    await userEvent.type(screen.getByLabelText('Name of part'), 'Second pump')
    await userEvent.click(button('Save replaced part'))
    expect(said()[0]).toMatchObject({ kind: 'part', equipmentId: null, name: 'Second pump', warrantyUntil: null })
  })
  it('gear stands where the visit last said, also without signal', async () => {
    show({
      log: [
        line('gear', 'hale', { gearId: 'g1', gearKind: 'net', name: 'Net A', state: 'stored', place: 'Boat shed' }),
      ],
    })
    expect(screen.getByRole('list', { name: 'Seasonal equipment' })).toHaveTextContent(/Net A.*Boat shed/)
    await userEvent.type(screen.getByLabelText(/^Storage place/), 'Loft')
    await userEvent.click(button('Save location'))
    expect(said()).toEqual([
      { kind: 'gear', gearId: 'g1', gearKind: 'net', name: 'Net A', state: 'stored', place: 'Loft' },
    ])
  })
})

describe('who is here', () => {
  it('joins by a tap, and leaves before the others', async () => {
    const { unmount } = show({ log: [line('started', 'hale')] })
    await userEvent.click(button('I am here too'))
    expect(said()).toEqual([{ kind: 'started' }])
    unmount()
    show({ log: [line('started', FIELD_PERSON.userId)] })
    await userEvent.click(button('I am leaving early'))
    expect(said()[1]).toEqual({ kind: 'left' })
  })
  it('does not leave twice', () => {
    show({ log: [line('started', FIELD_PERSON.userId), line('left', FIELD_PERSON.userId)] })
    expect(screen.queryByRole('button', { name: /leaving|here too/ })).not.toBeInTheDocument()
  })
})

describe('a visit that cannot be done', () => {
  it('needs words, and begins before it: end', async () => {
    show({ visit: { id: 'v1', job: SPRING_CLEANOUT, state: 'planned' } })
    expect(screen.queryByText('Add note')).not.toBeInTheDocument()
    expect(button('End visit')).toBeDisabled()
    await userEvent.selectOptions(screen.getByLabelText('Reason'), 'weather')
    await userEvent.type(screen.getByLabelText('What happened'), 'Thunderstorm')
    await userEvent.click(button('End visit'))
    expect(said()).toEqual([{ kind: 'started' }, { kind: 'finished', ending: 'weather', reason: 'Thunderstorm' }])
  })
})

describe('what the office could not take', () => {
  const refused = [
    {
      seq: 3,
      id: 'l1',
      entry: { kind: 'done', stepKey: SPRING_CLEANOUT.steps[0]!.key },
      problem: { title: 'Enter the pH.' },
    },
  ]
  it('is named with the reason, and sent again once it is mended', async () => {
    inField(<NotTaken view={viewOf({ refused })} />)
    expect(screen.getByRole('alert')).toHaveTextContent(`${SPRING_CLEANOUT.steps[0]!.title}: Enter the pH.`)
    await userEvent.click(button('Send again'))
    expect(tryAgain).toHaveBeenCalledWith(3)
    expect(sync).toHaveBeenCalled()
  })
  it('is given up only by a person: a line by its place, a photo by its id', async () => {
    inField(
      <NotTaken
        view={viewOf({ refused, refusedPhotos: [{ id: 'ph1', problem: { title: 'That is no picture.' } }] })}
      />,
    )
    const [lineButton, photoButton] = screen.getAllByRole('button', { name: 'Discard' })
    await userEvent.click(lineButton!)
    await userEvent.click(photoButton!)
    expect(letGo).toHaveBeenCalledWith(3)
    expect(dropPhoto).toHaveBeenCalledWith('ph1')
  })
  it('is not spoken of where there is none', () => {
    inField(<NotTaken view={viewOf()} />)
    expect(screen.queryByRole('alert')).not.toBeInTheDocument()
  })
})
