import { PACK_FORMAT } from '../../src/domain/field/field-pack'
import { oldDesign } from '../fixtures/old-design'
import { upgradeDesign } from '../../src/domain/design/design-file'
import { newOption } from '../../src/domain/forecasts/what-if'
import { FIRM } from '../../demo/people'
import { defaultTemplates } from '../../src/messages/messages/notice-templates'
import { firmTexts } from '../../src/messages/texts'
import type { Role } from '../../src/domain/people/roles'
import { USUAL_PRICE_BOOK, USUAL_TABLES } from '../fixtures/usual-in-words'

/** Ids of the demo firm (`own`) and of another firm (`other`) that addresses are filled with. */
export interface Ids {
  readonly pondId: string
  readonly visitId: string
  readonly photoId: string
  readonly designId: string
  readonly proposalId: string
  readonly runId: string
  readonly crewId: string
}

export interface RouteRule {
  /** Path of the file under src/app, without the group folders and the file name. */
  readonly route: string
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE'
  /** Roles that get past the rights check; 'open' needs no sign-in. */
  readonly allowed: readonly Role[] | 'open'
  readonly body?: (ids: Ids) => unknown
  readonly query?: string
}

const ALL: readonly Role[] = ['owner', 'office', 'designer', 'crew-lead', 'technician']
const DESK: readonly Role[] = ['owner', 'office', 'designer']
const LOGGERS: readonly Role[] = ['owner', 'office', 'crew-lead', 'technician']
const DESIGNERS: readonly Role[] = ['owner', 'designer']
const PLANNERS: readonly Role[] = ['owner', 'office']

const SURVEY = {
  name: 'Access test',
  use: 'wildlife',
  outline: { kind: 'rectangle', lengthM: 3, widthM: 2 },
  zones: [{ name: 'Pool', floorDepthM: 0.6, surfaceShare: 1, sideSlope: 0 }],
  rockShare: 0,
  meteredFillM3: null,
  fish: [],
  waterSource: 'rain',
  altitudeM: 10,
  trees: 'none',
  freeboardM: 0.1,
  notes: '',
}
const BED = upgradeDesign({ ...oldDesign, pumpId: 'P6' })
const AT = '2026-01-05T10:00:00Z'
const WHAT_IF = {
  name: 'Access test',
  from: '2026-01-05',
  days: 30,
  start: 'settled',
  members: 20,
  options: [newOption('Current filter')],
}

/** Every page and route of the app. A new file that is not listed here fails the test. */
export const ROUTES: readonly RouteRule[] = [
  { route: '', method: 'GET', allowed: ALL },
  { route: 'season', method: 'GET', allowed: ALL },
  { route: 'rounds', method: 'GET', allowed: ALL },
  { route: 'planning', method: 'GET', allowed: PLANNERS },
  { route: 'rounds/[crewId]/[day]', method: 'GET', allowed: ALL },
  { route: 'map', method: 'GET', allowed: ALL },
  { route: 'messages', method: 'GET', allowed: PLANNERS },
  { route: 'import-export', method: 'GET', allowed: PLANNERS },
  { route: 'customers', method: 'GET', allowed: PLANNERS },
  { route: 'customers/[customerId]', method: 'GET', allowed: PLANNERS },
  { route: 'proposals', method: 'GET', allowed: DESK },
  { route: 'api/v1/ponds/[pondId]/windows', method: 'GET', allowed: ALL, query: '?year=2027' },
  // no source of tiles is set: none is there, whoever asks
  { route: 'api/v1/map-tiles/[z]/[x]/[y]', method: 'GET', allowed: ALL },
  { route: 'api/v1/search', method: 'GET', allowed: ALL, query: '?q=a' },
  { route: 'ponds', method: 'GET', allowed: ALL },
  { route: 'ponds/new', method: 'GET', allowed: DESK },
  { route: 'ponds/[pondId]', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/water', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/equipment', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/visits', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/files', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/survey', method: 'GET', allowed: DESK },
  { route: 'ponds/[pondId]/site', method: 'GET', allowed: DESK },
  { route: 'ponds/[pondId]/design', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/house-rules', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/service-plan', method: 'GET', allowed: PLANNERS },
  { route: 'ponds/[pondId]/doses', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/plan', method: 'GET', allowed: PLANNERS },
  { route: 'ponds/[pondId]/rescue', method: 'GET', allowed: PLANNERS },
  {
    route: 'api/v1/ponds/[pondId]/rescue',
    method: 'POST',
    allowed: PLANNERS,
    body: ({ crewId }) => ({
      first: '2020-01-06',
      crewId,
      startTime: '08:00',
      tan: null,
      nitrite: null,
      ph: null,
      khDH: null,
      ghDH: null,
      fillPh: null,
      fillKhDH: null,
      oxygenMgL: null,
      hasMedia: true,
      rockSections: 0,
    }),
  },
  { route: 'visits/[visitId]/sheet', method: 'GET', allowed: ALL },
  { route: 'visits/[visitId]/report', method: 'GET', allowed: ALL },
  { route: 'field', method: 'GET', allowed: ALL },
  { route: 'field/share', method: 'POST', allowed: 'open' },
  { route: 'house-rules', method: 'GET', allowed: ALL },
  { route: 'visit-types', method: 'GET', allowed: ALL },
  { route: 'visit-types/[key]', method: 'GET', allowed: ALL },
  { route: 'api/v1/visit-types/[key]', method: 'PUT', allowed: ['owner'], body: () => ({ version: 999, job: null }) },
  { route: 'people', method: 'GET', allowed: ALL },
  { route: 'stores', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/diagnosis', method: 'GET', allowed: ALL },
  {
    route: 'api/v1/ponds/[pondId]/diagnoses',
    method: 'POST',
    allowed: PLANNERS,
    body: () => ({ findings: { duckweed: true }, cause: 'duckweed' }),
  },
  { route: 'api/v1/diagnoses/[diagnosisId]', method: 'PUT', allowed: LOGGERS, body: () => ({ outcome: 'better' }) },
  { route: 'forecasts', method: 'GET', allowed: ALL },
  { route: 'trainer', method: 'GET', allowed: ALL },
  { route: 'trainer/[gameId]', method: 'GET', allowed: ALL },
  { route: 'api/v1/trainer-games', method: 'POST', allowed: ALL, body: () => ({ scenario: 'winter', seed: 1 }) },
  { route: 'api/v1/trainer-games/[gameId]', method: 'PUT', allowed: ALL, body: () => ({ choices: [] }) },
  { route: 'api/v1/trainer-games/[gameId]', method: 'DELETE', allowed: ALL },
  { route: 'ponds/[pondId]/forecast', method: 'GET', allowed: ALL },
  { route: 'api/v1/forecasts', method: 'POST', allowed: DESK },
  { route: 'api/v1/forecasts/[runId]', method: 'GET', allowed: ALL },
  { route: 'api/v1/forecasts/[runId]', method: 'DELETE', allowed: DESK },
  { route: 'api/v1/ponds/[pondId]/model', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/what-if', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/start-up', method: 'GET', allowed: ALL },
  { route: 'api/v1/ponds/[pondId]/what-ifs', method: 'POST', allowed: DESK, body: () => WHAT_IF },
  { route: 'api/v1/what-ifs/[whatIfId]', method: 'DELETE', allowed: DESK },
  { route: 'plants', method: 'GET', allowed: ALL },
  { route: 'ponds/[pondId]/plants', method: 'GET', allowed: ALL },
  { route: 'api/v1/plants.csv', method: 'GET', allowed: ALL },
  {
    route: 'api/v1/ponds/[pondId]/plants',
    method: 'POST',
    allowed: DESK,
    body: () => ({ patch: { place: 'pond', species: 'carex-elata', xM: 1, yM: 1, plantedOn: '2199-01-01' }, count: 1 }),
  },
  {
    route: 'api/v1/ponds/[pondId]/plants/take-over',
    method: 'POST',
    allowed: DESK,
    body: () => ({ plantedOn: '2199-01-01' }),
  },
  {
    route: 'api/v1/plants/[patchId]',
    method: 'PUT',
    allowed: DESK,
    body: () => ({ version: 1, patch: { place: 'pond', species: 'carex-elata', xM: 1, yM: 1 } }),
  },
  { route: 'api/v1/plants/[patchId]', method: 'DELETE', allowed: DESK },
  {
    route: 'api/v1/plants/[patchId]/log',
    method: 'POST',
    allowed: LOGGERS,
    body: () => ({ line: { action: 'look' }, on: '2026-01-05' }),
  },
  { route: 'prices', method: 'GET', allowed: DESK },
  { route: 'cutting', method: 'GET', allowed: DESK },
  { route: 'proposal/[token]', method: 'GET', allowed: 'open' },
  { route: 'customer-page/[token]', method: 'GET', allowed: 'open' },
  { route: 'customer-page/[token]/visits/[visitId]', method: 'GET', allowed: 'open' },
  { route: 'api/v1/customer-page/[token]/photos/[photoId]', method: 'GET', allowed: 'open' },
  { route: 'api/v1/customer-page/[token]/requests', method: 'POST', allowed: 'open' },
  { route: 'api/v1/customers/[customerId]/link', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/customers/[customerId]/link', method: 'DELETE', allowed: PLANNERS },
  { route: 'sign-in', method: 'GET', allowed: 'open' },
  { route: 'welcome', method: 'GET', allowed: 'open' },
  { route: 'not-allowed', method: 'GET', allowed: 'open' },
  // there in development alone
  { route: 'kit', method: 'GET', allowed: 'open' },
  { route: 'unavailable', method: 'GET', allowed: 'open' },

  { route: 'sw.js', method: 'GET', allowed: 'open' },
  { route: 'api/v1/health', method: 'GET', allowed: 'open' },
  { route: 'api/v1/openapi.json', method: 'GET', allowed: 'open' },
  { route: 'api/v1/sign-in', method: 'POST', allowed: 'open' },
  { route: 'api/v1/first-firm', method: 'POST', allowed: 'open' },
  { route: 'api/v1/preferences', method: 'PUT', allowed: ALL, body: () => ({ units: 'metric', theme: 'light' }) },
  {
    route: 'api/v1/people/[userId]',
    method: 'PUT',
    allowed: ['owner'],
    body: () => ({ role: 'technician', crewId: null }),
  },
  { route: 'api/v1/people/[userId]/deactivate', method: 'POST', allowed: ['owner'] },
  { route: 'api/v1/people/[userId]/reactivate', method: 'POST', allowed: ['owner'] },
  { route: 'api/v1/people/[userId]/password-link', method: 'POST', allowed: ['owner'] },
  { route: 'api/v1/firm/time-zone', method: 'PUT', allowed: ['owner'], body: () => ({ timeZone: FIRM.timeZone }) },
  {
    route: 'api/v1/password',
    method: 'POST',
    allowed: ALL,
    body: () => ({ current: 'not this one', next: 'a long enough one' }),
  },
  {
    route: 'api/v1/password-links/[token]',
    method: 'POST',
    allowed: 'open',
    body: () => ({ password: 'a long enough one' }),
  },
  { route: 'set-password/[token]', method: 'GET', allowed: 'open' },
  { route: 'api/v1/people', method: 'POST', allowed: ['owner'], body: () => ({}) },
  { route: 'api/v1/crews', method: 'POST', allowed: ['owner'], body: () => ({ name: 'Otter' }) },
  {
    route: 'api/v1/house-rules',
    method: 'PUT',
    allowed: ['owner'],
    body: () => ({ version: 999, rules: { sizingMethod: 'volume' } }),
  },
  {
    route: 'api/v1/ponds',
    method: 'POST',
    allowed: DESK,
    body: () => ({
      customer: { kind: 'existing', id: '00000000-0000-4000-8000-000000000000' },
      site: { kind: 'existing', id: '00000000-0000-4000-8000-000000000000' },
      pond: SURVEY,
    }),
  },
  { route: 'api/v1/ponds/[pondId]', method: 'PUT', allowed: DESK, body: () => ({ version: 999, pond: SURVEY }) },
  {
    route: 'api/v1/ponds/[pondId]/site-survey',
    method: 'PUT',
    allowed: DESK,
    body: () => ({ version: 999, siteSurvey: { northDeg: 0, windFromDeg: null, objects: [] } }),
  },
  {
    route: 'api/v1/ponds/[pondId]/house-rules',
    method: 'PUT',
    allowed: DESIGNERS,
    body: () => ({ version: 999, own: {} }),
  },
  {
    route: 'api/v1/ponds/[pondId]/design-draft',
    method: 'PUT',
    allowed: DESIGNERS,
    body: () => ({ fromVersion: null, draft: { bed: BED, name: '', overrideReason: '' } }),
  },
  { route: 'api/v1/ponds/[pondId]/design-draft', method: 'DELETE', allowed: DESIGNERS },
  {
    route: 'api/v1/ponds/[pondId]/service-plan',
    method: 'PUT',
    allowed: PLANNERS,
    body: () => ({ version: 999, lines: [] }),
  },
  { route: 'api/v1/crews/[crewId]', method: 'PUT', allowed: PLANNERS, body: () => ({ version: 999, setup: {} }) },
  { route: 'api/v1/plans', method: 'POST', allowed: PLANNERS, body: () => ({ from: '2020-01-01', to: '2020-02-01' }) },
  { route: 'api/v1/plans/[runId]', method: 'GET', allowed: PLANNERS },
  { route: 'api/v1/plans/[runId]/stop', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/plans/[runId]/accept', method: 'POST', allowed: PLANNERS, body: () => ({ keys: ['none'] }) },
  { route: 'api/v1/plans/takeovers/[takeoverId]', method: 'DELETE', allowed: PLANNERS },
  {
    route: 'api/v1/house-tables',
    method: 'PUT',
    allowed: PLANNERS,
    body: () => ({ version: 999, tables: USUAL_TABLES }),
  },
  {
    route: 'api/v1/ponds/[pondId]/designs',
    method: 'POST',
    allowed: DESIGNERS,
    body: () => ({ name: 'Access test', bed: BED }),
  },
  {
    route: 'api/v1/ponds/[pondId]/proposals',
    method: 'POST',
    allowed: DESIGNERS,
    body: ({ designId }) => ({ title: 'Access test', validUntil: '2099-01-01', options: [{ designId }] }),
  },
  {
    route: 'api/v1/designs/[designId]/state',
    method: 'POST',
    allowed: DESIGNERS,
    body: () => ({ state: 'approved', version: 999 }),
  },
  { route: 'api/v1/designs/[designId]/drawings.pdf', method: 'GET', allowed: ALL },
  { route: 'api/v1/proposals/[proposalId]/withdraw', method: 'POST', allowed: DESIGNERS },
  { route: 'api/v1/proposals/[proposalId]/renew', method: 'POST', allowed: DESIGNERS },
  { route: 'api/v1/proposal/[token]', method: 'POST', allowed: 'open' },
  { route: 'api/v1/proposal/[token]/proposal.pdf', method: 'GET', allowed: 'open' },
  { route: 'api/v1/design.schema.json', method: 'GET', allowed: 'open' },
  {
    route: 'api/v1/price-book',
    method: 'PUT',
    allowed: PLANNERS,
    body: () => ({ version: 999, book: USUAL_PRICE_BOOK }),
  },
  { route: 'api/v1/price-book.csv', method: 'GET', allowed: DESK },
  { route: 'api/v1/price-book.csv', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/pumps', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/pumps/[pumpId]', method: 'DELETE', allowed: PLANNERS },
  {
    route: 'api/v1/ponds/[pondId]/level-logs',
    method: 'POST',
    allowed: LOGGERS,
    body: () => ({ day: '2026-01-05', hours: 24, dropMm: 5, bucketDropMm: null, pumpOn: true }),
  },
  {
    route: 'api/v1/ponds/[pondId]/readings',
    method: 'POST',
    allowed: LOGGERS,
    body: () => ({ readings: { ph: { value: 7.5 } }, method: 'drops', at: AT }),
  },
  {
    route: 'api/v1/visits',
    method: 'POST',
    allowed: PLANNERS,
    body: ({ pondId }) => ({
      pondId,
      visitType: 'spring-cleanout',
      day: '2030-03-20',
      startTime: '08:00',
      crewId: '00000000-0000-4000-8000-000000000000',
    }),
  },
  {
    route: 'api/v1/visits/arrange',
    method: 'PUT',
    allowed: PLANNERS,
    body: ({ visitId, crewId }) => ({
      moves: [{ id: visitId, version: 999, day: '2030-03-20', startTime: '08:00', crewId }],
    }),
  },
  {
    route: 'api/v1/visits/[visitId]',
    method: 'PUT',
    allowed: PLANNERS,
    body: () => ({
      day: '2030-03-20',
      startTime: '08:00',
      crewId: '00000000-0000-4000-8000-000000000000',
      version: 999,
    }),
  },
  { route: 'api/v1/visits/[visitId]', method: 'DELETE', allowed: PLANNERS, body: () => ({ version: 999 }) },
  { route: 'api/v1/readings', method: 'POST', allowed: 'open' },
  {
    route: 'api/v1/api-keys',
    method: 'POST',
    allowed: ['owner'],
    body: () => ({ name: 'Access test', scope: 'calc' }),
  },
  { route: 'api/v1/api-keys/[keyId]', method: 'DELETE', allowed: ['owner'] },
  { route: 'api/v1/products', method: 'PUT', allowed: PLANNERS, body: () => ({ version: 999, products: [] }) },
  { route: 'api/v1/products.csv', method: 'GET', allowed: ALL },
  { route: 'api/v1/products.csv', method: 'POST', allowed: PLANNERS },
  {
    route: 'api/v1/stock',
    method: 'POST',
    allowed: PLANNERS,
    body: () => ({ name: `Access ${Math.random()}`, kind: 'other', unit: 'pieces', least: 0 }),
  },
  {
    route: 'api/v1/stock/[itemId]',
    method: 'PUT',
    allowed: PLANNERS,
    body: () => ({ version: 999, item: { name: 'Access', kind: 'other', unit: 'pieces', least: 0 } }),
  },
  {
    route: 'api/v1/stock/[itemId]/move',
    method: 'POST',
    allowed: LOGGERS,
    body: () => ({ move: 'counted', amount: 0 }),
  },
  { route: 'api/v1/field/pack', method: 'GET', allowed: ALL, query: `?format=${PACK_FORMAT}` },
  { route: 'api/v1/field/visits/[visitId]', method: 'GET', allowed: ALL, query: `?format=${PACK_FORMAT}` },
  {
    route: 'api/v1/field/sync',
    method: 'POST',
    allowed: LOGGERS,
    body: ({ visitId }) => ({
      userId: '00000000-0000-4000-8000-000000000000',
      lines: [{ visitId, entry: { id: 'x' } }],
    }),
  },
  {
    route: 'api/v1/visits/[visitId]/photos/[photoId]',
    method: 'PUT',
    allowed: LOGGERS,
    query: `?step=arrive-photos&at=${AT}`,
  },
  { route: 'api/v1/findings/[findingId]/settle', method: 'POST', allowed: LOGGERS },
  { route: 'api/v1/devices/[deviceId]/shut-out', method: 'POST', allowed: ['owner'] },
  { route: 'api/v1/visits/[visitId]/report.pdf', method: 'GET', allowed: ALL },
  { route: 'api/v1/photos/[photoId]', method: 'GET', allowed: ALL },
  { route: 'api/v1/calc/[name]', method: 'POST', allowed: ALL, body: () => ({ temp_C: 20 }) },
  {
    route: 'api/v1/ponds/[pondId]/equipment',
    method: 'POST',
    allowed: LOGGERS,
    body: () => ({ kind: 'uv-lamp', name: 'Access test', fittedOn: '2026-01-05', everyDays: 365 }),
  },
  {
    route: 'api/v1/ponds/[pondId]/one-offs',
    method: 'POST',
    allowed: PLANNERS,
    body: () => ({ title: 'Access test', from: '2020-01-05', to: '2020-01-06' }),
  },
  {
    route: 'api/v1/equipment/[equipmentId]',
    method: 'PUT',
    allowed: LOGGERS,
    body: () => ({
      version: 999,
      equipment: { kind: 'uv-lamp', name: 'Access test', fittedOn: '2026-01-05', everyDays: 365 },
    }),
  },
  { route: 'api/v1/follow-ups/[followUpId]/close', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/follow-ups/[followUpId]/reopen', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/visits/[visitId]/restore', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/durations/forget', method: 'POST', allowed: PLANNERS, body: () => ({ job: 'not-a-job' }) },
  {
    route: 'api/v1/notices',
    method: 'POST',
    allowed: PLANNERS,
    body: () => ({ visits: ['00000000-0000-4000-8000-000000000000'] }),
  },
  {
    route: 'api/v1/notices/notified',
    method: 'POST',
    allowed: PLANNERS,
    body: () => ({ visits: ['00000000-0000-4000-8000-000000000000'] }),
  },
  { route: 'api/v1/notices/[noticeId]/again', method: 'POST', allowed: PLANNERS },
  {
    route: 'api/v1/notice-templates',
    method: 'PUT',
    allowed: PLANNERS,
    body: () => ({ version: 999, templates: defaultTemplates(firmTexts()) }),
  },
  {
    route: 'api/v1/visits/[visitId]/tell',
    method: 'POST',
    allowed: LOGGERS,
    body: () => ({ kind: 'on-the-way', time: '09:00' }),
  },
  { route: 'api/v1/visits/[visitId]/days', method: 'GET', allowed: PLANNERS },
  { route: 'api/v1/visits/[visitId]/why', method: 'GET', allowed: PLANNERS },
  {
    route: 'api/v1/calendar-feeds',
    method: 'POST',
    allowed: PLANNERS,
    body: () => ({ scope: 'crew', crewId: '00000000-0000-4000-8000-000000000000' }),
  },
  { route: 'api/v1/calendar-feeds/[feedId]', method: 'DELETE', allowed: PLANNERS },
  {
    route: 'api/v1/firm-periods',
    method: 'POST',
    allowed: PLANNERS,
    body: () => ({ name: 'Far off', from: '2099-01-01', to: '2099-01-02', effect: 'school-holidays' }),
  },
  { route: 'api/v1/firm-periods/[periodId]', method: 'DELETE', allowed: PLANNERS },
  { route: 'api/v1/calendars/[file]', method: 'GET', allowed: 'open' },
  { route: 'api/v1/crews/[crewId]/busy', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/crews/[crewId]/busy', method: 'DELETE', allowed: PLANNERS, body: () => ({ source: 'not there' }) },
  { route: 'api/v1/crews/[crewId]/day-sheet.pdf', method: 'GET', allowed: ALL, query: '?day=2030-03-20' },
  { route: 'api/v1/weather/[stationId]', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/sites.csv', method: 'GET', allowed: PLANNERS },
  { route: 'api/v1/sites.csv', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/sites.geojson', method: 'GET', allowed: PLANNERS },
  { route: 'api/v1/sites.geojson', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/service-plans.csv', method: 'GET', allowed: PLANNERS },
  { route: 'api/v1/service-plans.csv', method: 'POST', allowed: PLANNERS },
  { route: 'api/v1/visits.csv', method: 'GET', allowed: PLANNERS, query: '?from=2030-01-01&to=2030-01-31' },
  {
    route: 'api/v1/customers/[customerId]',
    method: 'PUT',
    allowed: PLANNERS,
    body: () => ({ version: 999, customer: { name: 'Access test' } }),
  },
  {
    route: 'api/v1/sites/[siteId]',
    method: 'PUT',
    allowed: PLANNERS,
    body: () => ({ version: 999, site: { name: 'Access test', stationId: 'ferrygate' } }),
  },
  { route: 'api/v1/sign-out', method: 'POST', allowed: ALL },
]
