import { checks } from './checks'
import { names } from './names'
import { parts } from './parts'
import { fields, problems } from './problems'
import { views } from './views'

export const design = { ...views, ...parts, ...names, ...checks, fields, problems } as const
