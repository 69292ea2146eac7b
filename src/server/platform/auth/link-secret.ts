import { createHash, createHmac } from 'node:crypto'

/**
 * What links are derived from: LINK_SECRET, or else the secret by which the app opens its database. Neither is kept
 * in the database.
 */
function secret(): string {
  const own = process.env.LINK_SECRET
  if (own) return own
  const url = process.env.APP_DATABASE_URL
  const password = url ? new URL(url).password : ''
  if (password === '') throw new Error('Set LINK_SECRET: links of customers are derived from it.')
  return password
}

/**
 * The secret of a link, the same each time: letters can carry it though it is kept nowhere.
 * @returns 43 letters of base64url
 */
export const linkToken = (linkId: string): string =>
  createHmac('sha256', secret()).update(`customer-link:${linkId}`).digest('base64url')

/** What is kept of a link's secret. @returns hexadecimal SHA-256 */
export const linkHash = (token: string): string => createHash('sha256').update(token).digest('hex')
