import { spawn } from 'node:child_process'

/** A part of the load that a second process does meanwhile: most machines have two cores at least. */
export type Part = 'ordinary-customers'

export const isPart = (part: Part): boolean => process.env.DEMO_PART === part

/** Runs this program again for one part of its work. @throws when that fails */
export function inOtherProcess(part: Part): Promise<void> {
  const child = spawn(process.execPath, [process.argv[1]!], {
    env: { ...process.env, DEMO_PART: part },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const done = new Promise<void>((resolve, reject) => {
    child.on('error', reject)
    child.on('close', (code) => (code === 0 ? resolve() : reject(new Error(`${part} ended with ${code}`))))
  })
  // heard of where it is waited for; before that nobody listens yet
  done.catch(() => {})
  return done
}
