import { customers } from './customers'
import { design } from './design'
import { diagnosis } from './diagnosis'
import { drawing } from './common/drawing'
import { equipment } from './equipment'
import { exchange } from './exchange'
import { field } from './field'
import { firm } from './firm'
import { forecasts } from './forecasts'
import { houseRules } from './house-rules'
import { kit } from './common/kit'
import { map } from './common/map'
import { messages } from './messages'
import { options } from './design/options'
import { people } from './people'
import { plants } from './plants'
import { ponds } from './ponds'
import { prices } from './prices'
import { proposals } from './proposals'
import { rounds } from './rounds'
import { schedule } from './schedule'
import { search } from './common/search'
import { season } from './season'
import { shell } from './common/shell'
import { sitePlan } from './site-plan'
import { skimmers } from './design/skimmers'
import { stores } from './stores'
import { survey } from './survey'
import { today } from './common/today'
import { train } from './design/train'
import { trainer } from './trainer'
import { trust } from './trust'
import { visits } from './visits'
import { visitSteps } from './visit-steps'
import { visitTypes } from './visit-types'
import { water } from './water'

/** Every text that a person reads, by noun, place and key. */
export const en = {
  customers,
  design,
  diagnosis,
  drawing,
  equipment,
  exchange,
  field,
  firm,
  forecasts,
  houseRules,
  kit,
  map,
  messages,
  options,
  people,
  plants,
  ponds,
  prices,
  proposals,
  rounds,
  schedule,
  search,
  season,
  shell,
  sitePlan,
  skimmers,
  stores,
  survey,
  today,
  train,
  trainer,
  trust,
  visits,
  visitSteps,
  visitTypes,
  water,
} as const
