import { checks } from './checks'
import { names } from './names'
import { pondChecks } from './pond-checks'
import { parts } from './parts'
import { fields, problems } from './problems'
import { suction } from './suction'
import { views } from './views'

export const design = { ...views, ...parts, ...names, ...checks, ...pondChecks, ...suction, fields, problems } as const
