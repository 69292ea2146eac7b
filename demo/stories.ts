import { addDays, isoWeekday } from '../src/core/numeric/calendar'
import { withScreens } from './trains'
import { onSite, surveySites } from './site-plans'
import { suggestDesign } from '../src/core/filter/suggest'
import { seededRandom, type Random } from '../src/core/numeric/random'
import { endsLate } from '../src/domain/schedule/clash'
import { ALWAYS_OPEN } from '../src/domain/customers/customer'
import { CrewId, type PondId } from '../src/domain/shared/ids'
import { equipmentKind } from '../src/core/visits/equipment-care'
import { windowsOfPonds } from '../src/server/season/windows-of-ponds'
import { addEquipment } from '../src/server/equipment/tasks'
import { fetchWeatherNews } from '../src/server/season/weather'
import { newOption, nextTime } from '../src/domain/forecasts/what-if'
import { SERVICE_TEMPLATES } from '../src/domain/schedule/service-plan'
import type { Actor } from '../src/server/platform/auth/actor'
import { inFirm } from '../src/server/platform/db/firm-transaction'
import { listCrews } from '../src/server/people/people-repository'
import { findActor } from '../src/server/platform/auth/sessions'
import { signIn } from '../src/server/platform/auth/sign-in'
import { designPage, moveDesignOn, saveDesign } from '../src/server/design/designs'
import { saveWhatIf } from '../src/server/forecasts/what-ifs'
import { makeProposal } from '../src/server/proposals/proposals'
import { addCrew, addPerson, createFirstFirm } from '../src/server/firm/firm'
import { markInvented } from '../src/server/firm/firm-repository'
import { setServicePlan } from '../src/server/schedule/service-plans'
import { addPond, placesForNewPond } from '../src/server/ponds/ponds'
import { logLevel } from '../src/server/survey/water-loss'
import { planningPage, planVisit } from '../src/server/visits/visit-planning'
import { pastNetting } from './autumn'
import { logTwoYears, pastCleanout, STORIES } from './history'
import { CREWS, DEMO_PASSWORD, FIRM, PEOPLE } from './people'
import { placeOf } from './map'
import { SITES } from './all-sites'
import type { DemoSite } from './sites'
import { plantGroups } from './plants'
import { powerCut } from './power-cut'
import { playTrainer } from './trainer-games'
import { stockShelves } from './stores'
import type { EquipmentInput } from '@/domain/equipment/equipment'

const SEED = 20260309
const PROPOSAL_DAYS = 30

/** The firm of the stories as it stands: who signs in, its ponds by their keys and its crews by their names. */
export interface StoriesFirm {
  readonly owner: Actor
  readonly ponds: ReadonlyMap<string, PondId>
  readonly crewIds: ReadonlyMap<string, CrewId>
}

/** The firm with its people and the weather of its island: what all else hangs on. */
export async function foundFirm(): Promise<void> {
  const [boss, ...others] = PEOPLE
  const token = await createFirstFirm({
    firmName: FIRM.name,
    ownerName: boss!.name,
    email: boss!.email,
    password: DEMO_PASSWORD,
    timeZone: FIRM.timeZone,
  })
  const owner = (await findActor(token))!
  await inFirm(owner.firmId, (trx) => markInvented(trx, owner.firmId))
  const crewIds = new Map<string, CrewId>()
  for (const crew of CREWS) crewIds.set(crew, await addCrew(owner, crew))
  for (const p of others)
    await addPerson(owner, {
      name: p.name,
      email: p.email,
      role: p.role,
      crewId: p.crew ? crewIds.get(p.crew)! : null,
      password: DEMO_PASSWORD,
    })
  await fetchWeatherNews()
}

/** Someone of the firm, signed in. */
export const actorOf = async (email: string): Promise<Actor> =>
  (await findActor(await signIn({ email, password: DEMO_PASSWORD })))!

export const firmOwner = (): Promise<Actor> => actorOf(PEOPLE[0]!.email)

const crewsByName = (owner: Actor): Promise<Map<string, CrewId>> =>
  inFirm(owner.firmId, async (trx) => new Map((await listCrews(trx)).map(({ id, name }) => [name, id])))

/**
 * The ponds of the stories, made through the same use cases as the interface, from a fixed seed.
 * @param nets whether they are on the ponds: at any time of the year where what is shown must not hang on it
 */
export async function tellStories(owner: Actor, today: string, nets: boolean): Promise<StoriesFirm> {
  const random = seededRandom(SEED)
  const crewIds = await crewsByName(owner)
  const ponds = await addSites(owner, SITES)
  await surveySites(owner, ponds)
  await saveDesigns(owner, ponds)

  const year = Number(today.slice(0, 4))
  for (const [index, [key, story]] of Object.entries(STORIES).entries()) {
    const crew = CREWS[index % CREWS.length]!
    const lead = await actorOf(PEOPLE.find((p) => p.role === 'crew-lead' && p.crew === crew)!.email)
    for (const past of [year - 1, year]
      .map((y) => `${y}-03-${key === 'highcairn' ? '30' : '18'}`)
      .filter((day) => day < addDays(today, -14)))
      await pastCleanout(owner, lead, ponds.get(key)!, crewIds.get(crew)!, past, key === 'highcairn' ? 7 : 8.5, random)
    // after the cleanouts, so that the tests answer their follow-ups
    await logTwoYears(owner, ponds.get(key)!, story, today, random)
  }
  await powerCut(owner, ponds.get('works-canteen')!, today)
  await logLeak(owner, ponds.get('drovers')!, today)
  await fitEquipment(owner, ponds, today)
  await stockShelves(owner)
  if (nets) await netPonds(owner, ponds, crewIds, today, random)
  await agreeServices(owner, ponds)
  // every pond's year with the weather and the readings up to now, so that the first look finds it ready
  await windowsOfPonds(owner.firmId, [...ponds.values()])
  await plantGroups(owner, ponds, today)
  await planAhead(owner, ponds, crewIds)
  await offerBrewery(owner, ponds.get('brewery')!, today)
  await playTrainer(actorOf)
  return { owner, ponds, crewIds }
}

/** Nets of the last autumn, by the crews that usually come. */
async function netPonds(
  owner: Actor,
  ponds: ReadonlyMap<string, PondId>,
  crewIds: ReadonlyMap<string, CrewId>,
  today: string,
  random: Random,
): Promise<void> {
  const nets: [string, string, string, string, string | undefined][] = [
    ['lanternhouse', 'Otter', '09:00', 'Leaf net, 6 by 8 m', 'Top pad thin: bring a new one in spring'],
    ['brewery', 'Kingfisher', '09:00', 'Leaf net, 5 by 5 m', undefined],
    ['museum', 'Newt', '09:00', 'Leaf net, 4 by 9 m', 'Edge stone by the steps is loose'],
  ]
  for (const [i, [key, crew, start, net, found]] of nets.entries()) {
    const lead = await actorOf(PEOPLE.find((p) => p.role === 'crew-lead' && p.crew === crew)!.email)
    await pastNetting(
      owner,
      lead,
      { pondId: ponds.get(key)!, crewId: crewIds.get(crew)!, day: addDays(today, -40 + i), start, net, found },
      random,
    )
  }
}

/** The leak that looks like evaporation: only with the pump on, at a settled edge of the falls. */
async function logLeak(owner: Actor, pondId: PondId, today: string): Promise<void> {
  await logLevel(owner, pondId, {
    day: addDays(today, -3),
    hours: 24,
    dropMm: 15,
    bucketDropMm: 1,
    pumpOn: true,
    addedM3: 0,
  })
  await logLevel(owner, pondId, {
    day: addDays(today, -1),
    hours: 24,
    dropMm: 1,
    bucketDropMm: 1,
    pumpOn: false,
    addedM3: 0,
  })
}

/** Most customers write letters of this kind; every sixth or so has no address on file. */
function mailOf(customer: string): string {
  const word = customer
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z ]/g, '')
    .trim()
    .replaceAll(' ', '.')
  return word.length % 6 === 0 ? '' : `${word}@hask.example`
}

/** Puts sites with their ponds on file. @returns their ponds by key */
export async function addSites(owner: Actor, sites: readonly DemoSite[]): Promise<Map<string, PondId>> {
  const ponds = new Map<string, PondId>()
  for (const s of sites) {
    for (const [index, { key, pond }] of s.ponds.entries()) {
      // the second pond of a site joins the site that the first one made
      const places = index === 0 ? null : await placesForNewPond(owner)
      const site = places?.sites.find((found) => found.name === s.site)
      const id = await addPond(owner, {
        customer: site
          ? { kind: 'existing', id: site.customerId }
          : { kind: 'new', customer: { name: s.customer, email: mailOf(s.customer), phone: '' } },
        site: site
          ? { kind: 'existing', id: site.id }
          : {
              kind: 'new',
              site: {
                name: s.site,
                address: s.address,
                town: s.town,
                accessNotes: s.access,
                stationId: s.stationId,
                ...placeOf(s),
                ...ALWAYS_OPEN,
                ...(s.hours ?? {}),
              },
            },
        pond,
      })
      ponds.set(key, id)
    }
  }
  return ponds
}

/** Filters as built. The brewery's was sized for a goldfish pond: that is its story. */
async function saveDesigns(owner: Actor, ponds: ReadonlyMap<string, PondId>): Promise<void> {
  for (const key of ['lanternhouse', 'highcairn', 'drovers', 'swim']) {
    const bench = await designPage(owner, ponds.get(key)!)
    await saveDesign(owner, ponds.get(key)!, { name: 'As built', bed: onSite(bench, bench.start), overrideReason: '' })
  }
  const brewery = await designPage(owner, ponds.get('brewery')!)
  const forGoldfish = suggestDesign(
    // for a third of the pond there is now
    {
      ...brewery.designPond,
      volumeM3: brewery.designPond.volumeM3 / 3,
      areaM2: brewery.designPond.areaM2 / 3,
      use: 'few-small-fish',
      fish: [{ species: 'goldfish', count: 25, lengthM: 0.12 }],
    },
    'volume',
    brewery.rules,
    brewery.pumps,
  )
  const found = await saveDesign(owner, ponds.get('brewery')!, {
    name: 'As found, built for goldfish',
    bed: forGoldfish,
    overrideReason: '',
  })
  // this one stands: forecasts and what-ifs begin from it; who built it, and when, nobody knows
  await moveDesignOn(owner, found.id, 1, { state: 'found' })
  await saveDesign(owner, ponds.get('brewery')!, {
    name: 'Rebuilt for the fish it has',
    bed: onSite(brewery, withScreens(brewery, brewery.start)),
    overrideReason: '',
  })
  // the bed that starves its plants: deep, with its headers on the floor
  const starving = await designPage(owner, ponds.get('hospice-bog')!)
  const shallow = suggestDesign(
    starving.designPond,
    starving.houseMethod,
    starving.rules,
    starving.pumps,
    'horizontal-bed',
  )
  const planter = await saveDesign(owner, ponds.get('hospice-bog')!, {
    name: 'As found',
    bed: {
      ...shallow,
      layers: [{ material: 'planting-6-12', thicknessM: 0.7 }],
      feed: 'bottom-header',
      airBreakM: 0.7,
    },
    overrideReason: '',
  })
  await moveDesignOn(owner, planter.id, 1, { state: 'found' })
}

/** The rebuilt bed before the customer, with what it would do for the water: a what-if that anyone can open again. */
async function offerBrewery(owner: Actor, pondId: PondId, today: string): Promise<void> {
  const [rebuilt] = (await designPage(owner, pondId)).designs.filter((d) => d.state === 'open')
  const { id: whatIfId } = await saveWhatIf(owner, pondId, {
    name: 'A green spring, with the bed as it is and rebuilt',
    from: nextTime('05-10', today, null),
    days: 90,
    start: 'green',
    members: 60,
    options: [newOption('As it is'), newOption('Rebuilt', { filter: rebuilt!.id })],
  })
  await makeProposal(owner, pondId, {
    title: 'A bed that carries your fish',
    intro: 'The bed in your yard was built for a few goldfish. The fish you have now ask for more stone and more flow.',
    validUntil: addDays(today, PROPOSAL_DAYS),
    options: [{ designId: rebuilt!.id, why: 'Sized for your fish as they will be in four years.' }],
    whatIfId,
  })
}

/**
 * What each customer has agreed to: full care where there are many fish, light care elsewhere, wetland care for the
 * wild ones.
 */
async function agreeServices(owner: Actor, ponds: ReadonlyMap<string, PondId>): Promise<void> {
  const lines = (key: string) => SERVICE_TEMPLATES.find((t) => t.key === key)!.lines
  const byUse: Partial<Record<DemoSite['ponds'][number]['pond']['use'], string>> = {
    koi: 'full',
    'many-fish': 'full',
    wildlife: 'wetland',
    swimming: 'wetland',
  }
  for (const { key, pond } of SITES.flatMap((s) => s.ponds))
    await setServicePlan(owner, ponds.get(key)!, 0, lines(byUse[pond.use] ?? 'light'))
}

/** A cleanout today, whatever the season: what is tried at the water's edge needs one. */
export async function planToday({ owner, ponds, crewIds }: StoriesFirm, today: string): Promise<void> {
  await planVisit(owner, {
    pondId: ponds.get('hospice-court')!,
    visitType: 'spring-cleanout',
    day: today,
    startTime: '08:00',
    crewId: crewIds.get('Otter')!,
    note: 'Out of season at the customer’s wish: the court is repaved and the pond must be empty and clean.',
  })
}

/** Cleanouts of the coming season. */
async function planAhead(
  owner: Actor,
  ponds: ReadonlyMap<string, PondId>,
  crewIds: ReadonlyMap<string, CrewId>,
): Promise<void> {
  const plan: [string, string, string][] = [
    ['museum', 'Kingfisher', '08:00'],
    ['lanternhouse', 'Otter', '07:30'],
    ['drovers', 'Kingfisher', '07:00'],
    ['highcairn', 'Newt', '07:30'],
  ]
  for (const [key, crew, startTime] of plan) {
    const page = await planningPage(owner, ponds.get(key)!, 'spring-cleanout')
    const day = page.proposals.at(-1)?.day ?? page.window?.best
    const crewId = crewIds.get(crew)!
    // a pond that fills longer than a day is long takes two, unless its fish would wait over a weekend
    const { twoDays, plannedMinutes } = page.crews.find((c) => c.id === crewId)!
    const days = day && twoDays && endsLate({ startTime, minutes: plannedMinutes }) && isoWeekday(day) < 5 ? 2 : 1
    if (day)
      await planVisit(owner, {
        pondId: ponds.get(key)!,
        visitType: 'spring-cleanout',
        day,
        startTime,
        crewId,
        note: '',
        days,
      })
  }
}

/** Lamps, pads and pumps with their days in use; the brewery's lamp is the one nobody remembered. */
export const STORY_EQUIPMENT: readonly (readonly [string, EquipmentInput['kind'], string, number])[] = [
  ['lanternhouse', 'uv-lamp', 'Clarifier in the pump vault', 240],
  ['lanternhouse', 'pump', 'Pump in the skimmer', 500],
  ['brewery', 'uv-lamp', 'Clarifier behind the barrels', 610],
  ['brewery', 'filter-pads', 'Pads of the box', 700],
  ['highcairn', 'de-icer', 'Floating de-icer', 340],
  ['museum', 'dosing-unit', 'Dosing unit at the spout', 25],
  ['drovers', 'aerator', 'Winter aerator', 200],
]

async function fitEquipment(owner: Actor, ponds: ReadonlyMap<string, PondId>, today: string): Promise<void> {
  for (const [key, kind, name, daysAgo] of STORY_EQUIPMENT)
    await addEquipment(owner, ponds.get(key)!, {
      kind,
      name,
      fittedOn: addDays(today, -daysAgo),
      everyDays: equipmentKind(kind)!.everyDays,
      doneOn: null,
      retired: false,
      warrantyUntil: null,
    })
}
