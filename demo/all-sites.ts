import { MORE_SITES } from './more-sites'
import { STORY_SITES, type DemoSite } from './sites'

/** All customers of the invented island. Add sites in either list; everything else follows. */
export const SITES: readonly DemoSite[] = [...STORY_SITES, ...MORE_SITES]
