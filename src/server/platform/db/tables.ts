// Made from the migrated database by `npm run tables`: not to be edited by hand.
import type { IsoDate } from '@/core/numeric/calendar'
import type {
  CrewId,
  CustomerId,
  DesignId,
  DiagnosisId,
  FirmId,
  FollowUpId,
  ForecastRunId,
  PhotoId,
  PlanRunId,
  PondId,
  ProposalId,
  SiteId,
  TakeoverId,
  TrainerGameId,
  UserId,
  VisitId,
  WhatIfId,
} from '@/domain/shared/ids'
import type { JsonDocument, Refined, Stored } from './column-types'

export interface ApiKeysRow {
  id: string
  firm_id: FirmId
  name: string
  scope: string
  token_hash: string
  made_by: UserId
  created_at: Date
  used_at: Date | null
  revoked_at: Date | null
  minute: Date | null
  uses: number
}

export interface CalendarFeedsRow {
  id: string
  firm_id: FirmId
  token_hash: string
  scope: string
  crew_id: CrewId | null
  customer_id: CustomerId | null
  made_by: UserId
  read_at: Date | null
  revoked_at: Date | null
  created_at: Date
}

export interface CrewBusyRow {
  id: string
  firm_id: FirmId
  crew_id: CrewId
  source: string
  uid: string
  day: IsoDate
  start_min: number
  end_min: number
  title: string
  created_at: Date
}

export interface CrewsRow {
  id: CrewId
  firm_id: FirmId
  name: string
  created_at: Date
  setup: JsonDocument
  version: number
}

export interface CustomerLinksRow {
  id: string
  firm_id: FirmId
  customer_id: CustomerId
  made_by: UserId
  created_at: Date
  opened_at: Date | null
  revoked_at: Date | null
  token_hash: string
}

export interface CustomersRow {
  id: CustomerId
  firm_id: FirmId
  name: string
  email: string
  phone: string
  version: number
  created_at: Date
}

export interface DesignDraftsRow {
  firm_id: FirmId
  pond_id: PondId
  user_id: UserId
  from_version: number | null
  draft: JsonDocument
  kept_at: Date
}

export interface DesignsRow {
  id: DesignId
  firm_id: FirmId
  pond_id: PondId
  number: number
  name: string
  bed: JsonDocument
  override_reason: string
  area_m2: number
  flow_m3_per_h: number
  saved_by: UserId
  saved_at: Date
  version: number
  created_at: Date
  state: string
  state_by: UserId | null
  state_at: Date | null
  as_built: string
  built_bed: JsonDocument | null
  stop_reason: string
  stops: JsonDocument
}

export interface DiagnosesRow {
  id: DiagnosisId
  firm_id: FirmId
  pond_id: PondId
  cause: string
  likelihood: number
  findings: JsonDocument
  made_on: IsoDate
  better_from: IsoDate | null
  better_to: IsoDate | null
  outcome: string | null
  made_by: UserId
  made_at: Date
}

export interface DurationResetsRow {
  id: string
  firm_id: FirmId
  job_key: string
  from: Date
  created_at: Date
}

export interface EquipmentRow {
  id: string
  firm_id: FirmId
  pond_id: PondId
  kind: string
  name: string
  fitted_on: IsoDate
  every_days: number
  done_on: IsoDate | null
  retired: boolean
  version: number
  created_at: Date
  warranty_until: IsoDate | null
}

export interface FindingsRow {
  id: string
  firm_id: FirmId
  pond_id: PondId
  visit_id: VisitId | null
  becomes: string
  text: string
  found_on: IsoDate
  settled_at: Date | null
  created_at: Date
}

export interface FirmPeriodsRow {
  id: string
  firm_id: FirmId
  name: string
  from: IsoDate
  to: IsoDate
  effect: string
  created_at: Date
}

export interface FirmPumpsRow {
  firm_id: FirmId
  pump_id: string
  pump: JsonDocument
}

export interface FirmsRow {
  id: FirmId
  name: string
  time_zone: string
  rules: JsonDocument
  version: number
  created_at: Date
  invented: boolean
}

export interface FollowUpsRow {
  id: FollowUpId
  firm_id: FirmId
  pond_id: PondId
  visit_id: VisitId | null
  title: string
  readings: JsonDocument
  due_from: IsoDate
  due_to: IsoDate
  done_at: Date | null
  created_at: Date
  minutes: number
  asked_by_customer: boolean
  urgent: boolean
}

export interface ForecastRunsRow {
  id: ForecastRunId
  firm_id: FirmId
  state: string
  done: number
  ponds: number
  cancel: boolean
  heartbeat: Date | null
  problem: string
  asked_by: UserId | null
  asked_at: Date
  finished_at: Date | null
  waits_since: Date
}

export interface ForecastScoresRow {
  pond_id: PondId
  kind: string
  day: IsoDate
  lead: string
  firm_id: FirmId
  epoch: string
  issued_on: IsoDate
  looked_back: boolean
  lead_days: number
  low: number
  middle: number
  high: number
  read: number
  last: number | null
  usual: number | null
  off: number
  last_off: number | null
  usual_off: number | null
  past: number | null
  crossed: boolean | null
  test_low: number | null
  test_high: number | null
  test_scatter: number | null
  stretch: number
  placed_low: number
  placed_high: number
  inside: number
}

export interface GearRow {
  id: string
  firm_id: FirmId
  pond_id: PondId
  kind: string
  name: string
  state: string
  place: string
  since: Date
}

export interface HouseConstantsRow {
  firm_id: FirmId
  constants: JsonDocument
  version: number
}

export interface HouseTablesRow {
  firm_id: FirmId
  tables: JsonDocument
  version: number
}

export interface IssuedForecastsRow {
  pond_id: PondId
  issued_on: IsoDate
  firm_id: FirmId
  epoch: string
  forecast: JsonDocument
}

export interface LevelLogsRow {
  id: string
  firm_id: FirmId
  pond_id: PondId
  day: IsoDate
  hours: number
  drop_mm: number
  bucket_drop_mm: number | null
  pump_on: boolean
  by_id: UserId
  created_at: Date
  added_m3: number
}

export interface NoticeTemplatesRow {
  firm_id: FirmId
  templates: JsonDocument
  version: number
}

export interface NoticesRow {
  id: string
  firm_id: FirmId
  visit_id: VisitId
  kind: string
  recipient: string
  subject: string
  body: string
  day: IsoDate
  start_time: string
  state: string
  problem: string
  sent_at: Date | null
  created_at: Date
  waits_since: Date
  claimed_at: Date | null
}

export interface OwnVisitTypesRow {
  firm_id: FirmId
  key: string
  version: number
  job: JsonDocument | null
  saved_by: UserId
  saved_at: Date
}

export interface OwnWeatherDaysRow {
  firm_id: FirmId
  station_id: string
  day: IsoDate
  weather: JsonDocument
}

export interface PasswordLinksRow {
  token_hash: string
  user_id: UserId
  expires_at: Date
}

export interface PhotosRow {
  id: PhotoId
  firm_id: FirmId
  visit_id: VisitId
  step_key: string
  width: number
  height: number
  image: Buffer | null
  thumbnail: Buffer
  taken_at: Date
  created_at: Date
  pair_of: string | null
  sketch_of: string | null
  stored_as: string | null
}

export interface PlanRunsRow {
  id: PlanRunId
  firm_id: FirmId
  state: string
  wish: JsonDocument
  share: number
  cancel: boolean
  heartbeat: Date | null
  result: JsonDocument | null
  problem: string
  asked_by: UserId
  asked_at: Date
  finished_at: Date | null
  best: JsonDocument | null
  summary: JsonDocument | null
  waits_since: Date
}

export interface PlanTakeoversRow {
  id: TakeoverId
  firm_id: FirmId
  run_id: PlanRunId
  by_id: UserId
  at: Date
  visits: JsonDocument
  undone_at: Date | null
}

export interface PlantEventsRow {
  id: string
  firm_id: FirmId
  patch_id: string
  action: string
  condition: string | null
  count: number | null
  kept: number
  note: string
  at: Date
  visit_id: VisitId | null
  by_id: UserId
}

export interface PlantPatchesRow {
  id: string
  firm_id: FirmId
  pond_id: PondId
  place: string
  species: string
  x_m: number | null
  y_m: number | null
  planted_on: IsoDate | null
  version: number
}

export interface PondForecastsRow {
  pond_id: PondId
  firm_id: FirmId
  pond_hash: string
  filter: JsonDocument
  outlook: JsonDocument
  risk: number
  risks: JsonDocument
  made_at: Date
}

export interface PondSeasonsRow {
  pond_id: PondId
  firm_id: FirmId
  input_hash: string
  weekly_c: JsonDocument
  windows: JsonDocument
  season: JsonDocument
  live_year: number | null
  live_hash: string | null
  live: JsonDocument | null
  live_windows: JsonDocument | null
  live_weekly_c: JsonDocument | null
  live_at: Date | null
  calibration: JsonDocument | null
  season_from: number
}

export interface PondsRow {
  id: PondId
  firm_id: FirmId
  site_id: SiteId
  name: string
  survey: JsonDocument
  volume_m3: number
  area_m2: number
  version: number
  created_at: Date
  own_rules: JsonDocument
  site_survey: JsonDocument
  own_constants: JsonDocument
}

export interface PriceBooksRow {
  firm_id: FirmId
  book: JsonDocument
  version: number
}

export interface ProductBooksRow {
  firm_id: FirmId
  products: JsonDocument
  version: number
}

export interface ProposalsRow {
  id: ProposalId
  firm_id: FirmId
  pond_id: PondId
  number: number
  state: string
  content: JsonDocument
  valid_until: IsoDate
  token_hash: string
  made_by: UserId
  made_at: Date
  answer_name: string | null
  answer_note: string | null
  answer_option: number | null
  answered_at: Date | null
  stop_reason: string
}

export interface ReadingsRow {
  id: string
  firm_id: FirmId
  pond_id: PondId
  visit_id: VisitId | null
  kind: string
  value: number
  below_step: boolean
  method: string
  taken_at: Date
  by_id: UserId
  created_at: Date
}

export interface ServicePlansRow {
  pond_id: PondId
  firm_id: FirmId
  lines: JsonDocument
  since: IsoDate
  version: number
}

export interface SessionsRow {
  token_hash: string
  user_id: UserId
  created_at: Date
  expires_at: Date
  id: string
  device: string
  seen_at: Date | null
  revoked_at: Date | null
}

export interface SignInAttemptsRow {
  subject: string
  at: Date
}

export interface SitesRow {
  id: SiteId
  firm_id: FirmId
  customer_id: CustomerId
  name: string
  address: string
  town: string
  access_notes: string
  station_id: string
  version: number
  created_at: Date
  lat: number | null
  lon: number | null
  opens: string
  closes: string
  closed_days: JsonDocument
  blackouts: JsonDocument
  school_holidays: string
  fill_ph: number | null
  fill_kh: number | null
  fill_chlorine: number | null
  fill_gh: number | null
  fill_nitrate: number | null
  fill_phosphate: number | null
  fill_chloramine: number | null
}

export interface StockItemsRow {
  id: string
  firm_id: FirmId
  name: string
  kind: string
  unit: string
  least: number
  product_key: string | null
  equipment_kind: string | null
  place: string
  version: number
  created_at: Date
  species_key: string | null
}

export interface StockMovesRow {
  id: string
  firm_id: FirmId
  item_id: string
  amount: number
  move: string
  note: string
  visit_id: VisitId | null
  by_id: UserId
  created_at: Date
}

export interface TrainerGamesRow {
  id: TrainerGameId
  firm_id: FirmId
  user_id: UserId
  scenario: string
  seed: number
  choices: JsonDocument
  points: number | null
  stars: number | null
  started_at: Date
  finished_at: Date | null
}

export interface UsersRow {
  id: UserId
  firm_id: FirmId
  email: string
  name: string
  role: string
  password_hash: string
  crew_id: CrewId | null
  preferences: JsonDocument
  created_at: Date
  deactivated_at: Date | null
}

export interface VisitEntriesRow {
  id: string
  firm_id: FirmId
  visit_id: VisitId
  entry: JsonDocument
  by_id: UserId
  received_at: Date
  created_at: Date
  disputed: JsonDocument | null
}

export interface VisitsRow {
  id: VisitId
  firm_id: FirmId
  pond_id: PondId
  crew_id: CrewId
  state: string
  day: IsoDate
  start_time: string
  planned_minutes: number
  job_key: string
  job_name: string
  job: JsonDocument
  quantities: JsonDocument
  duration: JsonDocument
  note: string
  started_at: Date | null
  finished_at: Date | null
  version: number
  created_at: Date
  locked: boolean
  also: JsonDocument
  tasks: JsonDocument
  learnt_factor: number
  changed_at: Date
  ending: string | null
  ending_reason: string
  leg_of: VisitId | null
  hands_min: number
  machine_min: number
  spare_min: number
  low_min: number | null
  high_min: number | null
}

export interface WeatherDaysRow {
  station_id: string
  day: IsoDate
  weather: JsonDocument
}

export interface WeatherStationsRow {
  id: string
  name: string
  normals: JsonDocument
  fetched_at: Date
  forecast: JsonDocument | null
  forecast_issued: IsoDate | null
  last_hour: JsonDocument | null
  asked_at: Date | null
}

export interface WhatIfsRow {
  id: WhatIfId
  firm_id: FirmId
  pond_id: PondId
  what_if: JsonDocument
  saved_by: UserId
  saved_at: Date
}

export interface WorkerBeatsRow {
  id: string
  at: Date
}

declare module 'knex/types/tables' {
  interface Tables {
    api_keys: Stored<
      Refined<'api_keys', ApiKeysRow>,
      never,
      'created_at' | 'used_at' | 'revoked_at' | 'minute' | 'uses'
    >
    calendar_feeds: Stored<
      Refined<'calendar_feeds', CalendarFeedsRow>,
      never,
      'crew_id' | 'customer_id' | 'read_at' | 'revoked_at' | 'created_at'
    >
    crew_busy: Stored<Refined<'crew_busy', CrewBusyRow>, never, 'title' | 'created_at'>
    crews: Stored<Refined<'crews', CrewsRow>, 'setup', 'created_at' | 'setup' | 'version'>
    customer_links: Stored<
      Refined<'customer_links', CustomerLinksRow>,
      never,
      'created_at' | 'opened_at' | 'revoked_at'
    >
    customers: Stored<Refined<'customers', CustomersRow>, never, 'email' | 'phone' | 'version' | 'created_at'>
    design_drafts: Stored<Refined<'design_drafts', DesignDraftsRow>, 'draft', 'from_version'>
    designs: Stored<
      Refined<'designs', DesignsRow>,
      'bed' | 'built_bed' | 'stops',
      | 'override_reason'
      | 'saved_at'
      | 'version'
      | 'created_at'
      | 'state'
      | 'state_by'
      | 'state_at'
      | 'as_built'
      | 'built_bed'
      | 'stop_reason'
      | 'stops'
    >
    diagnoses: Stored<
      Refined<'diagnoses', DiagnosesRow>,
      'findings',
      'better_from' | 'better_to' | 'outcome' | 'made_at'
    >
    duration_resets: Stored<Refined<'duration_resets', DurationResetsRow>, never, 'created_at'>
    equipment: Stored<
      Refined<'equipment', EquipmentRow>,
      never,
      'done_on' | 'retired' | 'version' | 'created_at' | 'warranty_until'
    >
    findings: Stored<Refined<'findings', FindingsRow>, never, 'visit_id' | 'settled_at' | 'created_at'>
    firm_periods: Stored<Refined<'firm_periods', FirmPeriodsRow>, never, 'created_at'>
    firm_pumps: Stored<Refined<'firm_pumps', FirmPumpsRow>, 'pump', never>
    firms: Stored<Refined<'firms', FirmsRow>, 'rules', 'version' | 'created_at' | 'invented'>
    follow_ups: Stored<
      Refined<'follow_ups', FollowUpsRow>,
      'readings',
      'visit_id' | 'done_at' | 'created_at' | 'minutes' | 'asked_by_customer' | 'urgent'
    >
    forecast_runs: Stored<
      Refined<'forecast_runs', ForecastRunsRow>,
      never,
      'done' | 'ponds' | 'cancel' | 'heartbeat' | 'problem' | 'asked_by' | 'asked_at' | 'finished_at' | 'waits_since'
    >
    forecast_scores: Stored<
      Refined<'forecast_scores', ForecastScoresRow>,
      never,
      | 'last'
      | 'usual'
      | 'last_off'
      | 'usual_off'
      | 'past'
      | 'crossed'
      | 'test_low'
      | 'test_high'
      | 'test_scatter'
      | 'stretch'
    >
    gear: Stored<Refined<'gear', GearRow>, never, 'place'>
    house_constants: Stored<Refined<'house_constants', HouseConstantsRow>, 'constants', 'version'>
    house_tables: Stored<Refined<'house_tables', HouseTablesRow>, 'tables', 'version'>
    issued_forecasts: Stored<Refined<'issued_forecasts', IssuedForecastsRow>, 'forecast', never>
    level_logs: Stored<Refined<'level_logs', LevelLogsRow>, never, 'bucket_drop_mm' | 'created_at' | 'added_m3'>
    notice_templates: Stored<Refined<'notice_templates', NoticeTemplatesRow>, 'templates', 'version'>
    notices: Stored<
      Refined<'notices', NoticesRow>,
      never,
      'problem' | 'sent_at' | 'created_at' | 'waits_since' | 'claimed_at'
    >
    own_visit_types: Stored<Refined<'own_visit_types', OwnVisitTypesRow>, 'job', 'job' | 'saved_at'>
    own_weather_days: Stored<Refined<'own_weather_days', OwnWeatherDaysRow>, 'weather', never>
    password_links: Stored<Refined<'password_links', PasswordLinksRow>, never, never>
    photos: Stored<Refined<'photos', PhotosRow>, never, 'image' | 'created_at' | 'pair_of' | 'sketch_of' | 'stored_as'>
    plan_runs: Stored<
      Refined<'plan_runs', PlanRunsRow>,
      'wish' | 'result' | 'best' | 'summary',
      | 'share'
      | 'cancel'
      | 'heartbeat'
      | 'result'
      | 'problem'
      | 'asked_at'
      | 'finished_at'
      | 'best'
      | 'summary'
      | 'waits_since'
    >
    plan_takeovers: Stored<Refined<'plan_takeovers', PlanTakeoversRow>, 'visits', 'at' | 'undone_at'>
    plant_events: Stored<
      Refined<'plant_events', PlantEventsRow>,
      never,
      'condition' | 'count' | 'kept' | 'note' | 'visit_id'
    >
    plant_patches: Stored<Refined<'plant_patches', PlantPatchesRow>, never, 'x_m' | 'y_m' | 'planted_on' | 'version'>
    pond_forecasts: Stored<Refined<'pond_forecasts', PondForecastsRow>, 'filter' | 'outlook' | 'risks', 'made_at'>
    pond_seasons: Stored<
      Refined<'pond_seasons', PondSeasonsRow>,
      'weekly_c' | 'windows' | 'season' | 'live' | 'live_windows' | 'live_weekly_c' | 'calibration',
      'live_year' | 'live_hash' | 'live' | 'live_windows' | 'live_weekly_c' | 'live_at' | 'calibration'
    >
    ponds: Stored<
      Refined<'ponds', PondsRow>,
      'survey' | 'own_rules' | 'site_survey' | 'own_constants',
      'version' | 'created_at' | 'own_rules' | 'site_survey' | 'own_constants'
    >
    price_books: Stored<Refined<'price_books', PriceBooksRow>, 'book', 'version'>
    product_books: Stored<Refined<'product_books', ProductBooksRow>, 'products', 'version'>
    proposals: Stored<
      Refined<'proposals', ProposalsRow>,
      'content',
      'made_at' | 'answer_name' | 'answer_note' | 'answer_option' | 'answered_at' | 'stop_reason'
    >
    readings: Stored<Refined<'readings', ReadingsRow>, never, 'visit_id' | 'below_step' | 'method' | 'created_at'>
    service_plans: Stored<Refined<'service_plans', ServicePlansRow>, 'lines', 'since' | 'version'>
    sessions: Stored<Refined<'sessions', SessionsRow>, never, 'created_at' | 'id' | 'device' | 'seen_at' | 'revoked_at'>
    sign_in_attempts: Stored<Refined<'sign_in_attempts', SignInAttemptsRow>, never, 'at'>
    sites: Stored<
      Refined<'sites', SitesRow>,
      'closed_days' | 'blackouts',
      | 'address'
      | 'town'
      | 'access_notes'
      | 'version'
      | 'created_at'
      | 'lat'
      | 'lon'
      | 'opens'
      | 'closes'
      | 'closed_days'
      | 'blackouts'
      | 'school_holidays'
      | 'fill_ph'
      | 'fill_kh'
      | 'fill_chlorine'
      | 'fill_gh'
      | 'fill_nitrate'
      | 'fill_phosphate'
      | 'fill_chloramine'
    >
    stock_items: Stored<
      Refined<'stock_items', StockItemsRow>,
      never,
      'least' | 'product_key' | 'equipment_kind' | 'place' | 'version' | 'created_at' | 'species_key'
    >
    stock_moves: Stored<Refined<'stock_moves', StockMovesRow>, never, 'note' | 'visit_id' | 'created_at'>
    trainer_games: Stored<
      Refined<'trainer_games', TrainerGamesRow>,
      'choices',
      'choices' | 'points' | 'stars' | 'started_at' | 'finished_at'
    >
    users: Stored<
      Refined<'users', UsersRow>,
      'preferences',
      'crew_id' | 'preferences' | 'created_at' | 'deactivated_at'
    >
    visit_entries: Stored<
      Refined<'visit_entries', VisitEntriesRow>,
      'entry' | 'disputed',
      'received_at' | 'created_at' | 'disputed'
    >
    visits: Stored<
      Refined<'visits', VisitsRow>,
      'job' | 'quantities' | 'duration' | 'also' | 'tasks',
      | 'note'
      | 'started_at'
      | 'finished_at'
      | 'version'
      | 'created_at'
      | 'locked'
      | 'also'
      | 'tasks'
      | 'learnt_factor'
      | 'changed_at'
      | 'ending'
      | 'ending_reason'
      | 'leg_of'
      | 'hands_min'
      | 'machine_min'
      | 'spare_min'
      | 'low_min'
      | 'high_min'
    >
    weather_days: Stored<Refined<'weather_days', WeatherDaysRow>, 'weather', never>
    weather_stations: Stored<
      Refined<'weather_stations', WeatherStationsRow>,
      'normals' | 'forecast' | 'last_hour',
      'forecast' | 'forecast_issued' | 'last_hour' | 'asked_at'
    >
    what_ifs: Stored<Refined<'what_ifs', WhatIfsRow>, 'what_if', 'saved_at'>
    worker_beats: Stored<Refined<'worker_beats', WorkerBeatsRow>, never, never>
  }
}
