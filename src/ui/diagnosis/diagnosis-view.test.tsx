import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { DiagnosisData } from '@/server/diagnosis/diagnosis'
import { AsPerson } from '../../../tests/fixtures/person'
import { DiagnosisView } from './diagnosis-view'

const data = (known: object, waterC: number): DiagnosisData =>
  ({
    pond: { id: 'p1', name: 'Pool', siteName: 'Tarn' },
    today: '2027-06-01',
    known,
    dosing: { products: [], systemM3: 10, waterC: 18, recent: [] },
    weeklyWaterC: Array<number>(52).fill(waterC),
    kept: [],
    mayPlan: true,
    mayLog: true,
  }) as unknown as DiagnosisData
const show = (known: object = {}, waterC = 18) =>
  render(
    <AsPerson>
      <DiagnosisView data={data(known, waterC)} />
    </AsPerson>,
  )
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))
const causes = () => screen.getByRole('region', { name: 'Likely causes' })
const next = () => screen.queryByRole('region', { name: 'Next question' })
const answer = (word: string) => userEvent.click(within(next()!).getByRole('button', { name: word }))

describe('what is wrong with this water', () => {
  it('suggests nothing and asks nothing while nothing is reported, whatever the file says of the pond', () => {
    const known = { 'water-cold': { found: true, source: { text: 'diagnosis.sources.weather' } } }
    show(known)
    expect(within(causes()).queryAllByRole('listitem')).toEqual([])
    expect(causes()).toHaveTextContent('Press what you see.')
    expect(next()).not.toBeInTheDocument()
    expect(screen.queryByRole('region', { name: 'What to do' })).not.toBeInTheDocument()
  })
  it('begins with pictures of places, each with what may be seen there', async () => {
    show()
    expect(screen.queryByRole('button', { name: 'Gasp at the surface' })).not.toBeInTheDocument()
    await press('Fish')
    await press('Gasp at the surface')
    expect(screen.getByRole('button', { name: 'Gasp at the surface' })).toHaveAttribute('aria-pressed', 'true')
    expect(within(causes()).getAllByRole('listitem').length).toBeGreaterThan(0)
    expect(screen.getByRole('region', { name: 'What to do' })).toBeInTheDocument()
  })
  it('then asks one question at a time; one that nobody can answer is not asked again', async () => {
    show()
    await press('Water colour')
    await press('Green')
    const asked = new Set<string>()
    for (let i = 0; i < 8; i++) {
      const question = within(next()!).getByRole('group').getAttribute('aria-label')!
      expect(asked).not.toContain(question)
      asked.add(question)
      await answer(i % 2 === 0 ? 'Don’t know' : 'No')
    }
    // at most eight before it is said what to do; who wants to goes on
    expect(next()).toHaveTextContent('8 questions are answered')
    await answer('Ask another question')
    expect(asked).not.toContain(within(next()!).getByRole('group').getAttribute('aria-label'))
  })
  it('takes an answer back, and starts again', async () => {
    show()
    await press('Algae')
    await press('Strings or mats')
    await press('Take back: Are there strings or mats of algae?')
    expect(within(causes()).queryAllByRole('listitem')).toEqual([])
    await press('Strings or mats')
    await press('Start again')
    expect(screen.getByRole('button', { name: 'Strings or mats' })).toHaveAttribute('aria-pressed', 'false')
  })
  it('lets what the file says be denied at the water', async () => {
    show({ 'level-falls': { found: true, source: { text: 'diagnosis.sources.levels' } } })
    await press('Water level 1')
    const tile = screen.getByRole('button', { name: 'Level falls' })
    expect(tile).toHaveAttribute('aria-pressed', 'true')
    await userEvent.click(tile)
    expect(tile).toHaveAttribute('aria-pressed', 'false')
    expect(within(causes()).queryAllByRole('listitem')).toEqual([])
    await userEvent.click(tile)
    expect(tile).toHaveAttribute('aria-pressed', 'true')
  })
  it('has every question for those who want them all', async () => {
    show()
    expect(screen.queryByRole('group', { name: 'Is the water green?' })).not.toBeInTheDocument()
    await userEvent.click(screen.getByText('All questions'))
    await userEvent.click(
      within(await screen.findByRole('group', { name: 'Is the water green?' })).getByRole('button', { name: 'Yes' }),
    )
    expect(within(causes()).getAllByRole('listitem').length).toBeGreaterThan(0)
  })
  const onFile = (...findings: string[]) =>
    Object.fromEntries(findings.map((key) => [key, { found: true, source: { text: 'diagnosis.sources.weather' } }]))
  it('says what is probably wrong at once, and what can kill and is not ruled out', async () => {
    show(onFile('filter-small', 'fish-many', 'plants-few'))
    await press('Water colour')
    await press('Green')
    expect(causes()).toHaveTextContent(/Probably several at once: .*too small.* · .*plants/)
    expect(causes()).not.toHaveTextContent('Not ruled out')
    await press('Fish')
    await press('Gasp at the surface')
    expect(causes()).toHaveTextContent('Not ruled out, and dangerous: ')
  })
  it('a course is told by how often it is done, and cold water by what it does to the dates', () => {
    show(onFile('ammonia-high', 'fed-much'), 4)
    const todo = screen.getByRole('region', { name: 'What to do' })
    expect(todo).toHaveTextContent('7 times, Wed 2 Jun – Tue 8 Jun')
    expect(todo).toHaveTextContent('The water is expected at 4.0 °C: below 8.0 °C bacteria hardly grow.')
  })
  it('says nothing of cold where the water is warm', () => {
    show(onFile('ammonia-high', 'fed-much'))
    expect(screen.getByRole('region', { name: 'What to do' })).not.toHaveTextContent('bacteria hardly grow')
  })
})
