import { DomainError } from '../../errors'

export interface VrptwCustomer {
  readonly id: number
  readonly x: number
  readonly y: number
  readonly demand: number
  readonly ready: number
  readonly due: number
  readonly service: number
}

/** Customers with time windows around one depot, vehicles all alike. Travel time is Euclidean distance. */
export interface VrptwInstance {
  readonly name: string
  readonly vehicles: number
  readonly capacity: number
  readonly depot: VrptwCustomer
  readonly customers: readonly VrptwCustomer[]
}

const MAX_CUSTOMERS = 2000

/**
 * Reads the classic text format: a name, "VEHICLE / NUMBER CAPACITY", "CUSTOMER" and rows of id x y demand ready due
 * service; row 0 is the depot.
 * @throws {DomainError} the first line that cannot be read
 */
export function readVrptw(text: string): VrptwInstance {
  const lines = text.split(/\r?\n/).map((line) => line.trim())
  const rows = lines.flatMap((line, i) => {
    const words = line.split(/\s+/)
    const figures = words.map(Number)
    return line !== '' && figures.every((f) => Number.isFinite(f)) ? [{ line: i + 1, figures }] : []
  })
  const [head, ...customerRows] = rows
  if (!head || head.figures.length !== 2)
    throw new DomainError(
      'text',
      head ? `line ${head.line}` : 'no figures',
      'vehicle count and capacity on one line first',
    )
  const [vehicles, capacity] = head.figures as [number, number]
  if (!Number.isInteger(vehicles) || vehicles < 1 || vehicles > 1000)
    throw new DomainError('text', vehicles, 'between 1 and 1000 vehicles')
  if (!(capacity >= 0)) throw new DomainError('text', capacity, 'a capacity of 0 or more')
  const customers = customerRows.map(({ line, figures }): VrptwCustomer => {
    if (figures.length !== 7)
      throw new DomainError('text', `line ${line}`, 'seven figures: id x y demand ready due service')
    const [id, x, y, demand, ready, due, service] = figures as [number, number, number, number, number, number, number]
    if (demand < 0 || service < 0 || due < ready)
      throw new DomainError('text', `line ${line}`, 'demand and service from 0, due not before ready')
    return { id, x, y, demand, ready, due, service }
  })
  const broken = lines
    .slice(head.line)
    .findIndex((line, i) => /\d/.test(line) && !rows.some((row) => row.line === head.line + 1 + i))
  if (broken >= 0)
    throw new DomainError('text', `line ${head.line + 1 + broken}`, 'seven figures: id x y demand ready due service')
  const depot = customers.find((c) => c.id === 0)
  if (!depot) throw new DomainError('text', 'no customer 0', 'a depot as customer 0')
  const others = customers.filter((c) => c.id !== 0)
  if (others.length > MAX_CUSTOMERS) throw new DomainError('text', others.length, `at most ${MAX_CUSTOMERS} customers`)
  if (new Set(customers.map((c) => c.id)).size !== customers.length)
    throw new DomainError('text', 'an id twice', 'each customer once')
  return { name: lines.find((line) => line !== '') ?? '', vehicles, capacity, depot, customers: others }
}

export const vrptwDistance = (a: VrptwCustomer, b: VrptwCustomer): number => Math.hypot(a.x - b.x, a.y - b.y)
