// npm run dev: the app with reloading, for working on it.
process.argv.push('--dev')
await import('./start.mjs')
