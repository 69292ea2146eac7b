import { render, screen, within } from '@testing-library/react'
import { patchesNow } from '@/domain/plants/plants'
import type { FieldVisit } from '@/domain/field/field-pack'
import type { PondId } from '@/domain/shared/ids'
import { AsPerson } from '../../../tests/fixtures/person'
import { pondInput } from '../../../tests/fixtures/pond-input'
import { STEP_GATES } from '@/core/visits/step'
import { gateOnPaper } from '@/messages/visits/gates-on-paper'
import { textsIn } from '@/messages/texts'
import { PaperSheet } from './paper-sheet'
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'
import type { VisitTypeKey } from '@/core/visits/visit-type-keys'

const plants = patchesNow(
  [
    {
      id: 'canna',
      pondId: 'p1' as PondId,
      place: 'pond',
      species: 'canna-hybrids',
      xM: 1,
      yM: 1,
      plantedOn: null,
      version: 1,
    },
  ],
  [
    {
      id: 'e',
      patchId: 'canna',
      at: '2026-05-01T10:00:00Z',
      byName: 'x',
      action: 'planted',
      condition: null,
      count: 4,
      kept: 0,
      note: '',
      visitId: null,
    },
  ],
  'Etc/UTC',
)
const field = (key: VisitTypeKey, over: object = {}): FieldVisit =>
  ({
    visit: {
      id: 'v1',
      day: '2026-11-20',
      startTime: '08:00',
      plannedMinutes: 130,
      siteName: 'Tarn House',
      pondName: 'Pool',
      crewName: 'Otter',
      customerName: 'The Reeves',
      address: '4 Gull Stair',
      town: 'Ferrygate',
      accessNotes: 'Side gate',
      note: 'Mind the dog',
      job: jobInWords(key),
    },
    pond: { ...pondInput(), id: 'p1' },
    gateFacts: { systemM3: 15, planted: true, lastChangeAt: null },
    cleanout: {
      waterM3: 12,
      maxDepthM: 1.1,
      fish: [{ species: 'goldfish', count: 10, lengthM: 0.12 }],
      sourceChlorinated: true,
    },
    lastReadings: [],
    recentDoses: [],
    notesForNextSeason: ['Loose edge stone'],
    forecastRisks: {
      madeAt: '2026-11-19T03:00:00Z',
      risks: [
        { hazard: 'nitrite', week: 0.6, whole: 0.8, day: '2026-11-23', weight: 0.5, jobKey: 'routine' },
        { hazard: 'murk', week: 0.1, whole: 0.4, day: '2026-12-01', weight: 0.1, jobKey: 'wetland-flush' },
      ],
    },
    plants,
    care: [{ patchId: 'canna', action: 'lift', due: '2026-11-10', latest: '2026-12-01', why: 'frost-comes' }],
    ...over,
  }) as unknown as FieldVisit
const show = (key: VisitTypeKey, units: 'metric' | 'us' = 'metric') =>
  render(
    <AsPerson units={units}>
      <PaperSheet field={field(key)} products={USUAL_PRODUCTS_IN_WORDS} />
    </AsPerson>,
  )

describe('a visit on paper', () => {
  it('says where, when, who, and what to heed', () => {
    show('netting')
    expect(
      screen.getByText(/^Friday, 20 November 2026, 08:00, about 2 h 10 min · Otter · The Reeves/),
    ).toBeInTheDocument()
    expect(screen.getByText('4 Gull Stair, Ferrygate. Side gate')).toBeInTheDocument()
    expect(screen.getByText('Notes for this season: Loose edge stone')).toBeInTheDocument()
    expect(screen.getByText(/^Forecast 19 Nov 2026/)).toHaveTextContent(
      /likely Nitrite: above 0\.5 mg\/L in 80 % of runs, about Mon 23 Nov; maybe Murky water: .* in 40 % of runs/,
    )
  })
  it('holds every step, with its caution beside it', () => {
    show('netting')
    for (const step of jobInWords('netting').steps) expect(screen.getByText(step.title)).toBeInTheDocument()
    expect(screen.getByText('Ladders on firm ground only; no lone work over deep water.')).toBeInTheDocument()
  })
  it('names the groups of plants that are due, at their step only', () => {
    show('netting')
    expect(screen.getAllByText(/Lift and store frost-free: 4 Water canna/)).toHaveLength(1)
  })
  it('works amounts out, and writes the stop of each gate in words', () => {
    show('spring-cleanout')
    expect(screen.getAllByText(/^Holding tank of at least/).length).toBeGreaterThan(0)
    expect(screen.getByText(/Fish go back only with NH₃ at 0\.05\smg\/L or less/)).toBeInTheDocument()
  })
  it('leaves room for tests in the reader’s units', () => {
    show('winter-shutdown', 'us')
    const test = screen.getByText('Test the pond').closest('.paper-step') as HTMLElement
    expect(within(test).getByText(/Water temperature/)).toHaveTextContent('°F')
  })
  it('knows a rule for every gate', () => {
    const show = (value: number) => String(value)
    for (const gate of STEP_GATES) expect(gateOnPaper(gate, show, textsIn('en'))).toMatch(/^[A-Z].* .*\.$/)
  })
})
