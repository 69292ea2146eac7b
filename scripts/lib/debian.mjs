import { existsSync, readdirSync } from 'node:fs'
import { delimiter, join } from 'node:path'
import { run, runOrStop } from './processes.mjs'
import { progress, stop } from './say.mjs'

const onPath = (program) =>
  (process.env.PATH ?? '').split(delimiter).some((folder) => existsSync(join(folder, program)))

/** Folder with initdb and pg_ctl; Debian keeps them off the PATH. */
export function postgresBin() {
  const home = '/usr/lib/postgresql'
  if (existsSync(home)) {
    const newest = readdirSync(home)
      .filter((version) => existsSync(join(home, version, 'bin', 'initdb')))
      .sort((a, b) => Number(b) - Number(a))[0]
    if (newest) return join(home, newest, 'bin')
  }
  return (process.env.PATH ?? '')
    .split(delimiter)
    .find((folder) => existsSync(join(folder, 'initdb')) && existsSync(join(folder, 'postgres')))
}

const NEEDS = {
  postgresql: () => Boolean(postgresBin()),
  chromium: () => existsSync('/usr/bin/chromium'),
  'poppler-utils': () => onPath('pdftotext'),
}

const APT_QUICKLY = ['-o', 'Acquire::http::Timeout=10', '-o', 'Acquire::Retries=0']

/** Installs a package that only makes things faster; nothing is said or stopped where it cannot be had. */
export async function wishDebian(name, path) {
  if (existsSync(path) || process.getuid() !== 0 || !onPath('apt-get')) return
  const env = { DEBIAN_FRONTEND: 'noninteractive' }
  const updated = await run('apt-get', [...APT_QUICKLY, 'update', '-qq'], { quiet: true, env })
  if (updated.code === 0) await run('apt-get', [...APT_QUICKLY, 'install', '-y', '-qq', name], { quiet: true, env })
}

/** Installs missing Debian packages when this user may; else tells the one line to run. */
export async function ensureDebian(packages) {
  const missing = packages.filter((name) => !NEEDS[name]())
  if (missing.length === 0) return
  const line = `apt-get update && apt-get install -y ${missing.join(' ')}`
  if (!onPath('apt-get'))
    stop(`Missing: ${missing.join(', ')}. Install them with this system's package manager and start again.`)
  if (process.getuid() !== 0) stop(`Missing Debian packages. Run once:  sudo sh -c "${line}"  and start again.`)
  progress(`Installing Debian packages: ${missing.join(', ')}`)
  await runOrStop('apt-get update failed', 'apt-get', ['update', '-qq'], { quiet: true })
  await runOrStop(`apt-get could not install ${missing.join(', ')}`, 'apt-get', ['install', '-y', '-qq', ...missing], {
    quiet: true,
    env: { DEBIAN_FRONTEND: 'noninteractive' },
  })
}
