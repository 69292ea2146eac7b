import { checks } from './checks'
import { names } from './names'
import { parts } from './parts'
import { views } from './views'

export const design = { ...views, ...parts, ...names, ...checks } as const
