import { inWords, said } from '@/domain/shared/said'
import { saidWords } from './said'
import { firmTexts } from './texts'

const words = (message: string) => saidWords(message, firmTexts())

describe('what domain and server name by address', () => {
  it('is put into words', () => expect(words(said('kit.problems.signInFirst'))).toBe('Sign in first.'))
  it('is filled with figures and with what people wrote, as they wrote it', () =>
    expect(words(said('field.problems.stepWaits', { title: 'Rinse {twice}\n“well” kit.problems.signInFirst' }))).toBe(
      '“Rinse {twice}\n“well” kit.problems.signInFirst” has to wait. Read why, or pass the stop with a reason.',
    ))
  it('holds words of the catalogue, days and sentences within sentences', () => {
    expect(words(said('diagnosis.remedyTask.check', { cause: { text: 'diagnosis.causeNames.low-oxygen' } }))).toBe(
      'Check whether it is better: Gasping fish: too little oxygen',
    )
    expect(words(said('diagnosis.sources.built', { day: { day: '2027-07-08' } }))).toBe('built Thu 8 Jul')
    const problem = said('kit.fields.missing', { noun: { text: 'ponds.fields.length' } })
    expect(words(said('kit.problems.atColumn', { column: 'length', problem: { said: problem } }))).toBe(
      'length: Length is missing.',
    )
  })
  it('counts', () => {
    expect(words(said('design.problems.stopNeedsReason', { count: 1 }))).toMatch(/^One check says stop/)
    expect(words(said('design.problems.stopNeedsReason', { count: 3 }))).toMatch(/^3 checks say stop/)
  })
  it('names an address whose last part has a hyphen', () =>
    expect(words(said('diagnosis.causeNames.green-cleaned'))).toMatch(/^Green water: cleaned too well/))
  it('leaves other words as they are', () => {
    expect(words('tempC: 99 is outside 0 to 40')).toBe('tempC: 99 is outside 0 to 40')
    expect(words(inWords('Nothing of ours.'))).toBe('Nothing of ours.')
  })
})
