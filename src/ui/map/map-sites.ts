import { ATTENTION, attentionOf, type Attention } from '@/domain/ponds/pond-state'
import type { SiteId } from '@/domain/shared/ids'
import type { PondLine } from '@/server/ponds/ponds'

/** A site that has a place, with its ponds. */
export interface MapSite {
  readonly id: SiteId
  readonly name: string
  readonly town: string
  readonly lat: number
  readonly lon: number
  readonly ponds: readonly PondLine[]
  /** What of its ponds asks for a decision first. */
  readonly attention: Attention
}

/** @returns the sites of ponds that have a place, and how many have none */
export function sitesOf(ponds: readonly PondLine[]): { readonly sites: readonly MapSite[]; readonly missing: number } {
  const bySite = new Map<SiteId, PondLine[]>()
  for (const pond of ponds) bySite.set(pond.siteId, [...(bySite.get(pond.siteId) ?? []), pond])
  const sites = [...bySite.values()].flatMap((own): MapSite[] => {
    const { siteId: id, siteName: name, town, lat, lon } = own[0]!
    const attention = ATTENTION.find((a) => own.some((p) => attentionOf(p) === a))!
    return lat === null || lon === null ? [] : [{ id, name, town, lat, lon, ponds: own, attention }]
  })
  return { sites, missing: bySite.size - sites.length }
}
