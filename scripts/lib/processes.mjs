import { spawn } from 'node:child_process'
import { pathToFileURL } from 'node:url'
import { inRoot } from './paths.mjs'
import { stop } from './say.mjs'

const started = new Set()
const exitWithParent = pathToFileURL(inRoot('scripts', 'lib', 'exit-with-parent.mjs')).href

/** Runs a command to its end. @returns {Promise<{code: number, output: string}>} */
export function run(command, args, { env = {}, quiet = false, cwd, uid, gid, cleanEnv = false } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: cwd ?? inRoot(),
      env: cleanEnv ? env : { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
      uid,
      gid,
    })
    started.add(child)
    let output = ''
    const take = (chunk) => {
      output += chunk
      if (!quiet) process.stdout.write(chunk)
    }
    child.stdout.on('data', take)
    child.stderr.on('data', take)
    child.on('error', reject)
    child.on('close', (code) => {
      started.delete(child)
      resolve({ code: code ?? 1, output })
    })
  })
}

export async function runOrStop(line, command, args, options) {
  const { code, output } = await run(command, args, options)
  if (code === 0) return output
  if (/ENOSPC|No space left/i.test(output))
    stop('The disk is full. Free about 3 GB and start again; nothing saved is lost.')
  if (options?.quiet) process.stderr.write(output.split('\n').slice(-30).join('\n'))
  stop(`${line} (exit ${code})`)
}

/** Starts a Node.js program that ends with this one, whatever ends this one. */
export function startNode(args, { env = {}, label, toStdout = false } = {}) {
  const child = spawn(process.execPath, ['--import', exitWithParent, ...args], {
    cwd: inRoot(),
    env: { ...process.env, ...env, STARTED_BY: String(process.pid) },
    stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
  })
  started.add(child)
  child.tail = ''
  const take = (chunk) => {
    child.tail = (child.tail + chunk).slice(-4000)
    if (toStdout || process.env.SLOW_REED_VERBOSE) process.stdout.write(`[${label}] ${chunk}`)
  }
  child.stdout.on('data', take)
  child.stderr.on('data', take)
  child.on('close', () => started.delete(child))
  return child
}

/** Waits until a program has said a line, or ended without it. */
export async function waitForLine(child, line, seconds = 60) {
  const until = Date.now() + seconds * 1000
  while (!child.tail.includes(line)) {
    if (child.exitCode !== null || Date.now() > until) throw new Error(`“${line}” was not said:\n${child.tail}`)
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
}

let ending = false
/** Whether everything is being ended: what dies now dies on purpose. */
export const isEnding = () => ending

/** Ends everything that this script started, by its id: asks first, insists after 5 s. */
export async function endAll() {
  ending = true
  await Promise.all(
    [...started].map(
      (child) =>
        new Promise((resolve) => {
          if (child.exitCode !== null || child.signalCode !== null) return resolve()
          const insist = setTimeout(() => child.kill('SIGKILL'), 5000)
          child.on('close', () => {
            clearTimeout(insist)
            resolve()
          })
          child.kill('SIGTERM')
        }),
    ),
  )
}
