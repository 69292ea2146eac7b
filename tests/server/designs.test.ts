import { execFileSync } from 'node:child_process'
import type { DesignId, PondId } from '@/domain/shared/ids'
import { optionFacts } from '@/domain/proposals/proposal-facts'
import { newOption } from '@/domain/forecasts/what-if'
import type { Actor } from '@/server/platform/auth/actor'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { dosesPage } from '@/server/water/doses'
import { todayPage } from '@/server/today/today'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { designPage, moveDesignOn, saveDesign } from '@/server/design/designs'
import { dropWhatIf, saveWhatIf } from '@/server/forecasts/what-ifs'
import { addPond } from '@/server/ponds/ponds'
import { firmPumps, importPrices, importPumps, priceBook, setPriceBook } from '@/server/prices/prices'
import { tellAnswer } from '@/server/proposals/proposal-answers'
import { answerProposal, makeProposal, publicProposal, renewLink, withdrawProposal } from '@/server/proposals/proposals'
import { fetchWeatherNews } from '@/server/season/weather'
import { proposalPdf } from '@/server/proposals/proposal-pdf'
import { addEquipment } from '@/server/equipment/tasks'
import { listEquipment } from '@/server/equipment/equipment-repository'
import { trainUnit } from '../fixtures/train-unit'
import { makeFirm, newPond } from '../fixtures/firm'
import { oldDesign } from '../fixtures/old-design'
import { problemOf } from '../fixtures/problem-of'
import { USUAL_PRICE_BOOK } from '../fixtures/usual-in-words'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

async function withDesign(name: string) {
  const { actors, firmId } = await makeFirm(name)
  const pondId = await addPond(actors.owner, newPond())
  const bench = await designPage(actors.designer, pondId)
  const { id } = await saveDesign(actors.designer, pondId, { name: 'First', bed: bench.start, overrideReason: '' })
  return { actors, firmId, pondId, bench, id }
}
const propose = (actor: Actor, pondId: PondId, designId: DesignId, changes: object = {}) =>
  makeProposal(actor, pondId, {
    title: 'A filter',
    intro: '',
    validUntil: '2099-01-01',
    options: [{ designId, why: '' }],
    whatIfId: null,
    ...changes,
  })

describe('design versions', () => {
  it('go from open to approved to built, in that order, and a stale move shows what stands', async () => {
    const { actors, pondId, id, bench } = await withDesign('Alder')
    expect(
      (await problemOf(moveDesignOn(actors.designer, id, 1, { state: 'built', asBuilt: '', builtBed: null }))).kind,
    ).toBe('refused')
    await moveDesignOn(actors.designer, id, 1, { state: 'approved' })
    expect(
      (await problemOf(moveDesignOn(actors.owner, id, 1, { state: 'built', asBuilt: '', builtBed: null }))).kind,
    ).toBe('conflict')
    await moveDesignOn(actors.owner, id, 2, {
      state: 'built',
      asBuilt: 'The vault stands at the other end.',
      builtBed: { ...bench.start, lengthM: bench.start.lengthM + 0.5 },
    })
    const [design] = (await designPage(actors.office, pondId)).designs
    expect(design).toMatchObject({
      state: 'built',
      asBuilt: 'The vault stands at the other end.',
      stateByName: 'Alder owner',
    })
    expect(design!.builtBed?.lengthM).toBe(design!.bed.lengthM + 0.5)
  })
  it('are approved one at a time, and only the built one counts for doses', async () => {
    const { actors, pondId, id, bench } = await withDesign('One at a time')
    const second = await saveDesign(actors.designer, pondId, {
      name: 'Second',
      bed: { ...bench.start, lengthM: bench.start.lengthM + 0.25 },
      overrideReason: '',
    })
    const states = async () => (await designPage(actors.office, pondId)).designs.map((d) => d.state)
    const volume = async () => (await dosesPage(actors.office, pondId)).system
    await moveDesignOn(actors.designer, id, 1, { state: 'approved' })
    expect((await volume()).filterVoidsM3).toBe(0)
    await moveDesignOn(actors.designer, id, 2, { state: 'built', asBuilt: '', builtBed: null })
    const built = (await volume()).filterVoidsM3
    expect(built).toBeGreaterThan(0)
    // a newer version that is only approved holds no water
    await moveDesignOn(actors.designer, second.id, 1, { state: 'approved' })
    expect((await volume()).filterVoidsM3).toBe(built)
    const third = await saveDesign(actors.designer, pondId, { name: 'Third', bed: bench.start, overrideReason: '' })
    await moveDesignOn(actors.designer, third.id, 1, { state: 'approved' })
    expect(await states()).toEqual(['approved', 'open', 'built'])
  })
  it('with an open stop are approved, built or offered only with a reason', async () => {
    const { actors, pondId, bench } = await withDesign('Stopped')
    const bed = { ...bench.start, lengthM: 0.6, widthM: 0.6 }
    const { id } = await saveDesign(actors.designer, pondId, { name: 'Far too small', bed, overrideReason: '' })
    const refusal = await problemOf(moveDesignOn(actors.designer, id, 1, { state: 'approved' }))
    expect(refusal).toMatchObject({ kind: 'bad-input', fields: [{ path: 'stopReason' }] })
    expect(await problemOf(propose(actors.designer, pondId, id))).toMatchObject({
      kind: 'bad-input',
      fields: [{ path: 'stopReason' }],
    })
    const stopReason = 'The customer takes the fish out before it is built'
    await moveDesignOn(actors.designer, id, 1, { state: 'approved', stopReason })
    // what was said of the drawing holds for what is built by it
    await moveDesignOn(actors.designer, id, 2, { state: 'built', asBuilt: '', builtBed: null })
    const [design] = (await designPage(actors.office, pondId)).designs
    expect(design).toMatchObject({ state: 'built', stopReason })
    expect(design!.stops).toContain('house-size')
    expect((await propose(actors.designer, pondId, id, { stopReason })).number).toBeGreaterThan(0)
  })
  it('that are built put their pumps, lamps and screens into the pond’s register, each kind once', async () => {
    const { actors, pondId, bench } = await withDesign('Register')
    await addEquipment(actors.owner, pondId, {
      kind: 'uv-lamp',
      name: 'The old lamp',
      fittedOn: '2026-01-10',
      everyDays: 365,
      doneOn: null,
      retired: false,
      warrantyUntil: null,
    })
    const train = [
      trainUnit('drum', { ratedFlowM3PerH: 60 }),
      trainUnit('uv'),
      trainUnit('aerator'),
      trainUnit('sieve'),
    ]
    const { id } = await saveDesign(actors.designer, pondId, {
      name: 'With a train',
      bed: { ...bench.start, train },
      overrideReason: '',
    })
    const stopReason = 'Only the register is looked at here'
    const registered = async () =>
      (await inFirm(actors.owner.firmId, (trx) => listEquipment(trx, pondId))).map((e) => `${e.kind}: ${e.name}`).sort()
    await moveDesignOn(actors.designer, id, 1, { state: 'approved', stopReason })
    expect(await registered()).toEqual(['uv-lamp: The old lamp'])
    await moveDesignOn(actors.designer, id, 2, { state: 'built', asBuilt: '', builtBed: null, stopReason })
    const pump = bench.pumps.find((p) => p.id === bench.start.pumpId)!.name
    expect(await registered()).toEqual(
      [
        'aerator: Air pump with stones',
        `pump: ${pump}`,
        'screen: Rotary drum filter',
        'screen: Sieve',
        'uv-lamp: The old lamp',
      ].sort(),
    )
  })
  it('of the first format are read as today’s', async () => {
    const { actors, firmId, pondId, id } = await withDesign('Birch')
    await inFirm(firmId, (trx) =>
      trx('designs')
        .where({ id })
        .update({ bed: JSON.stringify(oldDesign) }),
    )
    const [design] = (await designPage(actors.designer, pondId)).designs
    expect(design!.bed).toMatchObject({ type: 'lined-wetland', lengthM: 4, pumpId: 'S24', planting: [] })
  })
  it('refuse a pump that nobody has', async () => {
    const { actors, pondId, bench } = await withDesign('Cedar')
    const problem = await problemOf(
      saveDesign(actors.designer, pondId, {
        name: 'X',
        bed: { ...bench.start, pumpId: 'own:gone' },
        overrideReason: '',
      }),
    )
    expect(problem.kind === 'bad-input' && problem.fields![0]!.path).toBe('bed.pumpId')
  })
})

describe('proposals', () => {
  it('take a what-if with them as it stood that day, and none of another pond', async () => {
    const { actors, pondId, id } = await withDesign('Aspen')
    await fetchWeatherNews()
    const way = newOption('Rebuilt', { filter: id })
    const whatIf = {
      name: 'A green spring',
      from: '2027-05-10',
      days: 40,
      start: 'green' as const,
      members: 20,
      options: [newOption('As it is', { filterSize: 0.4 }), way],
    }
    const { id: whatIfId } = await saveWhatIf(actors.designer, pondId, whatIf)
    expect((await designPage(actors.designer, pondId)).whatIfs).toEqual([{ id: whatIfId, name: 'A green spring' }])
    const { token } = await propose(actors.designer, pondId, id, { whatIfId })
    const { outlook } = (await publicProposal(token)).content
    expect(outlook).toMatchObject({
      question: 'A green spring',
      names: ['As it is', 'Rebuilt'],
      days: 40,
      from: '2027-05-10',
    })
    const [small, rebuilt] = outlook!.options
    expect(rebuilt!.clarity.p50).toHaveLength(40)
    expect(rebuilt!.clarity.p50[35]).toBeGreaterThan(small!.clarity.p50[35]!)
    // it stays when the what-if is taken away, and says so on paper
    await dropWhatIf(actors.designer, whatIfId)
    expect((await publicProposal(token)).content.outlook).toEqual(outlook)
    const { bytes } = await proposalPdf(token)
    expect(execFileSync('pdftotext', ['-', '-'], { input: bytes, encoding: 'utf8' })).toContain(
      'Expected water quality',
    )
    const gone = await problemOf(propose(actors.designer, pondId, id, { whatIfId }))
    expect(gone.kind === 'bad-input' && gone.fields![0]!.path).toBe('whatIfId')
    const other = await addPond(actors.owner, newPond())
    const { id: elsewhere } = await saveWhatIf(actors.designer, other, whatIf)
    expect((await problemOf(propose(actors.designer, pondId, id, { whatIfId: elsewhere }))).kind).toBe('bad-input')
  })
  it('one that is accepted closes its siblings, and Today says which option it was', async () => {
    const { actors, pondId, id, firmId } = await withDesign('Siblings')
    const [first, second] = [
      await propose(actors.designer, pondId, id),
      await propose(actors.designer, pondId, id, {
        options: [
          { designId: id, why: '' },
          { designId: id, why: 'Larger' },
        ],
      }),
    ]
    await answerProposal(second.token, { answer: 'accepted', name: 'Nessa Quill', option: 1, note: '' })
    expect(
      (await problemOf(answerProposal(first.token, { answer: 'accepted', name: 'Nessa Quill', option: 0, note: '' })))
        .kind,
    ).toBe('not-found')
    // its author and the office are told by mail, each once, however often the job is done
    const letters: { id: string; to: string; subject: string; text: string }[] = []
    const outbox = jest.spyOn(globalThis, 'fetch').mockImplementation(async (_url, init) => {
      letters.push(JSON.parse(String(init?.body)))
      return new Response('{}')
    })
    process.env.MAIL_URL = 'http://outbox.invalid'
    await tellAnswer(firmId, second.id)
    await tellAnswer(firmId, second.id)
    outbox.mockRestore()
    delete process.env.MAIL_URL
    expect(new Set(letters.map((l) => l.to))).toEqual(new Set([actors.designer.email, actors.office.email]))
    expect(new Set(letters.map((l) => l.id)).size).toBe(2)
    expect(letters[0]).toMatchObject({
      subject: expect.stringContaining('accepted (option Better)'),
      text: expect.stringContaining('Nessa Quill'),
    })
    const queued = await inFirm(firmId, (trx) =>
      trx('queue.job').whereRaw(`data->>'proposalId' = ?`, [second.id]).pluck('name'),
    )
    expect(queued).toEqual(['tell-answer'])
    const { answers } = await todayPage(actors.office)
    expect(answers).toMatchObject([
      {
        number: second.number,
        state: 'accepted',
        option: 'Better',
        answerName: 'Nessa Quill',
        madeByName: 'Siblings designer',
      },
    ])
    expect((await designPage(actors.owner, pondId)).proposals.map((p) => [p.state, p.acceptedOption])).toEqual([
      ['accepted', 'Better'],
      ['withdrawn', null],
    ])
    const { bytes } = await proposalPdf(second.token)
    expect(execFileSync('pdftotext', ['-', '-'], { input: bytes, encoding: 'utf8' })).toMatch(
      /Accepted \(option Better\) by\s+Nessa Quill/,
    )
  })
  it('past their day get a new one with a renewed link', async () => {
    const { actors, pondId, id, firmId } = await withDesign('Past its day')
    const made = await propose(actors.designer, pondId, id)
    await inFirm(firmId, (trx) => trx('proposals').where({ id: made.id }).update({ valid_until: '2020-01-01' }))
    expect((await publicProposal(made.token)).expired).toBe(true)
    const { token } = await renewLink(actors.designer, made.id)
    expect((await publicProposal(token)).expired).toBe(false)
    await answerProposal(token, { answer: 'accepted', name: 'Nessa Quill', option: 0, note: '' })
  })
  it('are read through the link alone, frozen, and answered once', async () => {
    const { actors, pondId, id } = await withDesign('Elm')
    const { token } = await propose(actors.designer, pondId, id)
    const before = await publicProposal(token)
    // prices rise afterwards; what was offered stays
    await setPriceBook(actors.owner, 0, { ...USUAL_PRICE_BOOK, markup: 2 })
    expect((await publicProposal(token)).content).toEqual(before.content)
    expect(before.content.options[0]!.totalMinor).toBeGreaterThan(0)
    expect(optionFacts(before.content, 0).result.areaM2).toBeGreaterThan(0)
    await answerProposal(token, { answer: 'accepted', name: 'A customer', option: 0, note: 'In May, please' })
    expect(await publicProposal(token)).toMatchObject({ state: 'accepted', answerName: 'A customer', answerOption: 0 })
    expect((await problemOf(answerProposal(token, { answer: 'declined', name: 'Someone else', note: '' }))).kind).toBe(
      'refused',
    )
    const [listed] = (await designPage(actors.office, pondId)).proposals
    expect(listed).toMatchObject({ state: 'accepted', answerNote: 'In May, please' })
  })
  it('stay shut to a wrong link, a withdrawn one and an old one', async () => {
    const { actors, pondId, id } = await withDesign('Fir')
    const made = await propose(actors.owner, pondId, id)
    expect((await problemOf(publicProposal('not-a-link'))).kind).toBe('not-found')
    const { token } = await renewLink(actors.owner, made.id)
    expect((await problemOf(publicProposal(made.token))).kind).toBe('not-found')
    expect((await publicProposal(token)).number).toBe(1)
    await withdrawProposal(actors.owner, made.id)
    expect((await problemOf(publicProposal(token))).kind).toBe('not-found')
    expect((await problemOf(renewLink(actors.owner, made.id))).kind).toBe('refused')
  })
  it('cannot be accepted past their day', async () => {
    const { actors, firmId, pondId, id } = await withDesign('Gorse')
    const made = await propose(actors.owner, pondId, id)
    await inFirm(firmId, (trx) => trx('proposals').where({ id: made.id }).update({ valid_until: '2020-01-01' }))
    expect(
      (await problemOf(answerProposal(made.token, { answer: 'accepted', name: 'Late', option: 0, note: '' }))).message,
    ).toMatch(/has expired/)
    expect((await problemOf(propose(actors.owner, pondId, id, { validUntil: '2020-01-01' }))).kind).toBe('bad-input')
  })
  it('offer only versions of their own pond, to those who may', async () => {
    const { actors, pondId } = await withDesign('Hazel')
    const other = await withDesign('Ivy')
    expect((await problemOf(propose(actors.owner, pondId, other.id))).kind).toBe('bad-input')
    expect((await problemOf(propose(actors.technician, pondId, other.id))).kind).toBe('forbidden')
    expect((await problemOf(propose(other.actors.owner, pondId, other.id))).kind).toBe('not-found')
  })
  it('come as a PDF with their drawings', async () => {
    const { actors, pondId, id } = await withDesign('Juniper')
    const { token } = await propose(actors.owner, pondId, id)
    const { bytes, fileName } = await proposalPdf(token)
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
    expect(fileName).toBe('proposal-1.pdf')
  })
})

describe('prices and pumps', () => {
  it('start from the defaults, keep changes, and show a stale save what stands', async () => {
    const { actors } = await makeFirm('Larch')
    expect((await priceBook(actors.designer)).version).toBe(0)
    await setPriceBook(actors.office, 0, { ...USUAL_PRICE_BOOK, markup: 0.5 })
    expect(await priceBook(actors.owner)).toMatchObject({ version: 1, book: { markup: 0.5 } })
    expect((await problemOf(setPriceBook(actors.owner, 0, USUAL_PRICE_BOOK))).kind).toBe('conflict')
    expect((await problemOf(setPriceBook(actors.designer, 1, USUAL_PRICE_BOOK))).kind).toBe('forbidden')
  })
  it('take a CSV and keep what reads well', async () => {
    const { actors } = await makeFirm('Maple')
    expect(await importPrices(actors.owner, 'key,cost\nliner,11\nodd,1\n')).toMatchObject({
      changed: 1,
      problems: [{ line: 3 }],
    })
    expect((await priceBook(actors.owner)).book.items.find((i) => i.key === 'liner')!.costMinor).toBe(1100)
    expect(
      await importPumps(actors.owner, 'name,flow_m3_h,head_m,power_W\nMill,0,4,90\nMill,8,1,\nMill,x,1,\n'),
    ).toMatchObject({
      kept: 1,
      problems: [{ line: 4 }],
    })
    expect((await firmPumps(actors.designer)).map((p) => p.name)).toEqual(['Mill'])
  })
  it('are their own firm’s', async () => {
    const mine = await makeFirm('Oak')
    const theirs = await makeFirm('Pine')
    await importPumps(mine.actors.owner, 'name,flow_m3_h,head_m,power_W\nMine,0,4,90\nMine,8,1,\n')
    expect(await firmPumps(theirs.actors.owner)).toEqual([])
  })
})
