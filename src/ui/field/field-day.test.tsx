import { render, screen, within } from '@testing-library/react'
import { AsPerson, FIELD_PERSON } from '../../../tests/fixtures/person'
import type { VisitView } from './device/device-view'
import { FieldProvider, type Field } from './field-context'
import { FieldDay } from './field-day'
// what other apps share is looked at by tests of its own
jest.mock('./shared-photos', () => ({ SharedPhotos: () => null }))
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'
const SPRING_CLEANOUT = jobInWords('spring-cleanout')

const TODAY = '2027-04-10'
const view = (siteName: string, day: string, state: 'planned' | 'under-way' | 'done' | 'cancelled'): VisitView =>
  ({
    visit: {
      id: siteName,
      siteName,
      pondName: 'Pond',
      day,
      state,
      startTime: '08:00',
      plannedMinutes: 60,
      crewName: 'Otter',
      job: SPRING_CLEANOUT,
    },
    log: [],
    photos: [],
    waiting: 0,
    refused: [],
    refusedPhotos: [],
  }) as unknown as VisitView

const show = (...views: VisitView[]) =>
  render(
    <AsPerson>
      <FieldProvider value={{ person: FIELD_PERSON, openLogs: new Set(), clockOffsetMs: 0 } as unknown as Field}>
        <FieldDay views={views} today={TODAY} />
      </FieldProvider>
    </AsPerson>,
  )

describe('the day on the phone', () => {
  it('keeps a visit under way in sight when its day was moved, back or ahead', () => {
    show(
      view('Weir Cottage', '2027-04-14', 'under-way'),
      view('Lanternhouse', '2027-04-08', 'under-way'),
      view('Highcairn', TODAY, 'planned'),
    )
    expect(screen.getByRole('heading', { name: 'Unfinished' })).toBeInTheDocument()
    for (const site of ['Weir Cottage', 'Lanternhouse', 'Highcairn'])
      expect(screen.getByRole('region', { name: `08:00 ${site}` })).toBeInTheDocument()
  })
  it('lists the coming days, and nothing that was cancelled today', () => {
    show(view('Weir Cottage', '2027-04-14', 'planned'), view('Lanternhouse', TODAY, 'cancelled'))
    expect(within(screen.getByRole('list')).getByText(/Weir Cottage/)).toBeInTheDocument()
    expect(screen.queryByText(/Lanternhouse/)).toBeNull()
    expect(screen.queryByRole('heading', { name: 'Unfinished' })).toBeNull()
  })
})
