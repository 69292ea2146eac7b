import type { VisitId } from '../shared/ids'
import { attentionOf, type PondState } from './pond-state'

const pond = (over: Partial<PondState>): PondState => ({
  water: 'fine',
  risk: null,
  lastVisit: { id: 'v' as VisitId, jobName: 'Routine visit', day: '2026-05-02' },
  nextVisit: null,
  filter: null,
  agreed: 3,
  followUpsDue: 0,
  ...over,
})
const risk = (whole: number): PondState['risk'] => ({
  hazard: 'oxygen',
  week: 0,
  whole,
  day: '2026-06-01',
  weight: 1,
  jobKey: 'routine',
})

describe('what of a pond asks for a decision', () => {
  it('is the worst that holds', () => {
    expect(attentionOf(pond({ water: 'emergency', risk: risk(0.9), followUpsDue: 2 }))).toBe('emergency')
    expect(attentionOf(pond({ water: 'act', risk: risk(0.9) }))).toBe('act')
    expect(attentionOf(pond({ water: 'watch', risk: risk(0.2), followUpsDue: 1 }))).toBe('risk')
    expect(attentionOf(pond({ water: 'watch', risk: risk(0.19), followUpsDue: 1 }))).toBe('follow-up')
    expect(attentionOf(pond({ water: 'watch' }))).toBe('watch')
  })
  it('is nothing for a pond whose tests are fine or that has none', () => {
    expect(attentionOf(pond({}))).toBe('none')
    expect(attentionOf(pond({ water: null }))).toBe('none')
  })
})
