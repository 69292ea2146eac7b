import { render, screen, within } from '@testing-library/react'
import type { VisitReport } from '@/domain/visits/visit-report'
import type { ReportPage } from '@/server/visits/report'
import { AsPerson } from '../../../tests/fixtures/person'
import { ReportView } from './report-view'

const report = (over: Partial<VisitReport> = {}): VisitReport => ({
  visit: {
    id: 'v1',
    pondId: 'p1',
    pondName: 'Pool',
    siteName: 'Tarn',
    town: 'Ferrygate',
    day: '2027-03-20',
    job: { name: 'Routine visit' },
  } as VisitReport['visit'],
  day: '2027-03-22',
  sections: [
    {
      title: 'Water',
      done: [
        {
          title: 'Level',
          remark: { choice: 'topped up', fish: [], losses: 0, signedBy: '' },
          said: '',
          figures: [['levelDropM', 0.02]],
        },
      ],
    },
  ],
  leftOut: [],
  notes: [],
  fishOut: null,
  fishBack: null,
  losses: 0,
  doses: [],
  crew: ['Hale', 'Tamsy'],
  overrides: [{ title: 'Fish back', reason: 'Tank too warm', by: 'Hale' }],
  disputes: [],
  twice: [],
  findings: [],
  plants: [{ action: 'deadhead', species: ['carex-elata'] }],
  parts: [],
  time: [{ name: 'Hale', minutes: 70 }],
  ending: null,
  advice: 'Feed by the temperature.',
  followUps: [{ title: 'Test again', from: '2027-03-23', to: '2027-03-27' }],
  ...over,
})
const show = (over: Partial<ReportPage> = {}, customerPage: { photos: string } | null = null) =>
  render(
    <AsPerson>
      <ReportView
        page={{ report: report(), meanings: [], photos: [], firmName: 'Rushlight Ponds', ...over }}
        customerPage={customerPage}
      />
    </AsPerson>,
  )

describe('the report of a visit', () => {
  it('begins with what the customer should do and what comes next', () => {
    show()
    expect(screen.getByText('Feed by the temperature.')).toBeInTheDocument()
    expect(
      screen.getByText('Next: Test again, between Tuesday, 23 March 2027 and Saturday, 27 March 2027.'),
    ).toBeInTheDocument()
    expect(
      screen.getByText(/Tarn, Ferrygate · Monday, 22 March 2027 · Hale, Tamsy · Rushlight Ponds/),
    ).toBeInTheDocument()
  })
  it('says what was done in figures of the reader’s units, to plants too, and keeps a stop that was passed', () => {
    show()
    expect(screen.getByText(/Level/).closest('li')).toHaveTextContent(/Level: topped up \(.*20\smm|0\.02\sm\)/)
    expect(screen.getByText('Plants deadheaded: Tufted sedge')).toBeInTheDocument()
    expect(screen.getByText('Stop overridden by Hale at “Fish back”: Tank too warm')).toBeInTheDocument()
  })
  it('has no table of tests where nothing was tested, and no fish where none were moved', () => {
    show()
    expect(screen.queryByRole('heading', { name: 'The water' })).not.toBeInTheDocument()
    expect(screen.queryByRole('heading', { name: 'Fish' })).not.toBeInTheDocument()
  })
  it('tells the water with its meaning, toxic ammonia by its share', () => {
    show({
      meanings: [
        { kind: 'tan', before: 0.5, after: 0.25, noneFound: false, band: 'watch', nh3MgL: 0.004, missing: [] },
        { kind: 'freeChlorine', before: null, after: 0, noneFound: true, band: 'fine', nh3MgL: null, missing: [] },
      ],
    })
    const tan = screen.getByRole('row', { name: /Total ammonia/ })
    expect(tan).toHaveTextContent(/0\.5\smg\/L.*0\.25\smg\/L.*Watch NH₃ below 0\.01\smg\/L/)
    expect(within(screen.getByRole('row', { name: /Free chlorine/ })).getByText('none found')).toBeInTheDocument()
  })
  it('counts fish out and back', () => {
    show({ report: report({ fishOut: 8, fishBack: 7, losses: 1 }) })
    expect(screen.getByText(/8 taken out, 7 put back, 1 lost\./)).toBeInTheDocument()
  })
  it('shows two photos as before and after, and the customer neither the office’s lines nor its links', () => {
    const photos = ['a', 'b'].map((id) => ({ id }) as ReportPage['photos'][number])
    show({ photos }, { photos: '/api/v1/customer-page/t/photos' })
    expect(screen.getByRole('img', { name: 'Pond before' })).toHaveAttribute('src', '/api/v1/customer-page/t/photos/a')
    expect(screen.getByRole('img', { name: 'Pond after' })).toBeInTheDocument()
    expect(screen.queryByText('For the office')).not.toBeInTheDocument()
    expect(screen.queryByRole('link')).not.toBeInTheDocument()
  })
})
