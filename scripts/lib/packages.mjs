import { createHash } from 'node:crypto'
import { existsSync, readFileSync, statfsSync, writeFileSync } from 'node:fs'
import { inRoot } from './paths.mjs'
import { runOrStop } from './processes.mjs'
import { progress, stop } from './say.mjs'

const stamp = inRoot('node_modules', '.slow-reed-lock')
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(inRoot('package-lock.json')))
    .digest('hex')
const NEEDED_GB = 3

export function assertNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    stop(`Node.js 20.19 or newer is needed; this is ${process.versions.node}.`)
}

/** npm ci, when the lock file is not the one that was installed. */
export async function ensurePackages() {
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lockHash()) return
  const { bavail, bsize } = statfsSync(inRoot())
  if ((bavail * bsize) / 1e9 < NEEDED_GB) stop(`The disk is nearly full: about ${NEEDED_GB} GB are needed here.`)
  progress('Installing packages (npm ci); this takes a few minutes the first time.')
  await runOrStop('npm ci failed', 'npm', ['ci', '--no-progress', '--include=dev'], {
    quiet: true,
    env: { NODE_ENV: '' },
  })
  writeFileSync(stamp, lockHash())
}
