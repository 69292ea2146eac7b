import { migrate } from '../src/server/platform/db/migrate'

const { OWNER_DATABASE_URL, APP_DATABASE_PASSWORD } = process.env
if (!OWNER_DATABASE_URL || !APP_DATABASE_PASSWORD)
  throw new Error('OWNER_DATABASE_URL and APP_DATABASE_PASSWORD say which database and which password.')
await migrate(OWNER_DATABASE_URL, APP_DATABASE_PASSWORD)
