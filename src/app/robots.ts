import type { MetadataRoute } from 'next'

/** Nothing here is for search engines: a firm's own work, and customers' pages behind private links. */
export default function robots(): MetadataRoute.Robots {
  return { rules: { userAgent: '*', disallow: '/' } }
}
