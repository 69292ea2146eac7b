import type { Knex } from 'knex'
import type { CustomerId } from '@/domain/shared/ids'

/** A customer in one line. */
export interface CustomerLine {
  readonly id: CustomerId
  readonly name: string
  readonly email: string
  readonly phone: string
  readonly sites: readonly string[]
  readonly towns: readonly string[]
  readonly ponds: number
  readonly lastVisit: string | null
  readonly nextVisit: string | null
  /** Kinds of visits agreed for this year over all ponds, and how many of them were done and are planned. */
  readonly agreed: number
  readonly done: number
  readonly planned: number
  readonly openProposals: number
}

/** Parameters: today, the first and the last day of the year, today. */
const LINES = `with year_work as (
   select v.pond_id, j.job, bool_or(v.state = 'done') as done,
          bool_or(v.state in ('planned', 'under-way') and v.day >= ?) as planned
   from visits v
   cross join lateral (select v.job_key as job union select jsonb_array_elements_text(v.also)) j
   where v.day between ? and ? and v.state not in ('cancelled', 'given-up')
   group by 1, 2),
 agreed as (
   select distinct q.pond_id, l->>'job' as job from service_plans q cross join lateral jsonb_array_elements(q.lines) l),
 by_pond as (
   select a.pond_id, count(*) as agreed, count(*) filter (where w.done) as done,
          count(*) filter (where w.planned and not w.done) as planned
   from agreed a left join year_work w on w.pond_id = a.pond_id and w.job = a.job
   group by 1),
 days as (
   select v.pond_id, max(v.day) filter (where v.state = 'done') as last,
          min(v.day) filter (where v.state in ('planned', 'under-way') and v.day >= ?) as next
   from visits v group by 1),
 offers as (select pond_id, count(*) as open from proposals where state = 'sent' group by 1)
 select c.id, c.name, c.email, c.phone,
        array_agg(distinct s.name) filter (where s.id is not null) as sites,
        array_agg(distinct s.town) filter (where s.town <> '') as towns,
        count(p.id)::int as ponds, max(d.last)::text as last, min(d.next)::text as next,
        coalesce(sum(b.agreed), 0)::int as agreed, coalesce(sum(b.done), 0)::int as done,
        coalesce(sum(b.planned), 0)::int as planned, coalesce(sum(o.open), 0)::int as open
 from customers c
 left join sites s on s.customer_id = c.id
 left join ponds p on p.site_id = s.id
 left join by_pond b on b.pond_id = p.id
 left join days d on d.pond_id = p.id
 left join offers o on o.pond_id = p.id
 group by c.id, c.name, c.email, c.phone
 order by c.name`

/**
 * All customers with what they have agreed to and what came of it this year: one question for the whole list. A kind
 * of visit counts once for each pond, as done where one visit of it is done.
 */
export async function listCustomerLines(trx: Knex.Transaction, today: string): Promise<CustomerLine[]> {
  const year = today.slice(0, 4)
  const { rows } = await trx.raw(LINES, [today, `${year}-01-01`, `${year}-12-31`, today])
  return rows.map(
    (r: {
      id: CustomerId
      name: string
      email: string
      phone: string
      sites: string[] | null
      towns: string[] | null
      ponds: number
      last: string | null
      next: string | null
      agreed: number
      done: number
      planned: number
      open: number
    }) => ({
      id: r.id,
      name: r.name,
      email: r.email,
      phone: r.phone,
      sites: r.sites ?? [],
      towns: r.towns ?? [],
      ponds: r.ponds,
      lastVisit: r.last,
      nextVisit: r.next,
      agreed: r.agreed,
      done: r.done,
      planned: r.planned,
      openProposals: r.open,
    }),
  )
}
