import { spawn } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline'
import { pathToFileURL } from 'node:url'

const folder = mkdtempSync(join(tmpdir(), 'started-'))
const file = (name: string, text: string): string => {
  const path = join(folder, name)
  writeFileSync(path, text)
  return path
}
const processes = pathToFileURL(join(process.cwd(), 'scripts', 'lib', 'processes.mjs')).href

/** A script that starts a program as the scripts of the app do, and says what the program says. */
const script = (program: string) =>
  file(
    'script.mjs',
    `import { startNode } from ${JSON.stringify(processes)}
     startNode([${JSON.stringify(program)}], { label: 'it', toStdout: true })
     setInterval(() => {}, 1000)`,
  )

/** Resolves with the first whole line; what is said may come in pieces, or several lines at once. */
const firstLine = (child: ReturnType<typeof spawn>): Promise<string> =>
  new Promise((resolve) => createInterface({ input: child.stdout! }).once('line', resolve))
const lives = (pid: number): boolean => {
  try {
    return process.kill(pid, 0)
  } catch {
    return false
  }
}

describe('programs that a script starts', () => {
  it('end with it, even when it is killed', async () => {
    const child = spawn(process.execPath, [
      script(file('sleeper.mjs', `console.log(process.pid); setInterval(() => {}, 1000)`)),
    ])
    const pid = Number((await firstLine(child)).replace('[it] ', ''))
    expect(lives(pid)).toBe(true)
    child.kill('SIGKILL')
    for (let i = 0; i < 100 && lives(pid); i++) await new Promise((resolve) => setTimeout(resolve, 50))
    expect(lives(pid)).toBe(false)
  })
  it('end at once when the script was killed while it started them', async () => {
    const gone = spawn(process.execPath, ['-e', ''])
    await new Promise((resolve) => gone.once('exit', resolve))
    const late = spawn(
      process.execPath,
      [
        '--import',
        pathToFileURL(join(process.cwd(), 'scripts', 'lib', 'exit-with-parent.mjs')).href,
        file('late.mjs', `setInterval(() => {}, 1000)`),
      ],
      { env: { ...process.env, STARTED_BY: String(gone.pid) } },
    )
    const ended = await Promise.race([
      new Promise<string>((resolve) => late.once('exit', () => resolve('ended'))),
      new Promise<string>((resolve) => setTimeout(() => resolve('lives on'), 5000)),
    ])
    late.kill('SIGKILL')
    expect(ended).toBe('ended')
  })
  it('may have processes of their own that wait for word from them, as the development server does', async () => {
    const waiter = file('waiter.mjs', `process.once('message', () => process.send('heard')); process.send('ready')`)
    const parent = file(
      'forker.mjs',
      `import { fork } from 'node:child_process'
       const child = fork(${JSON.stringify(waiter)})
       child.on('message', (m) => (m === 'ready' ? setTimeout(() => child.send('go'), 300) : console.log(m)))
       child.on('exit', () => console.log('gone'))
       setInterval(() => {}, 1000)`,
    )
    const child = spawn(process.execPath, [script(parent)])
    expect(await firstLine(child)).toBe('[it] heard')
    child.kill('SIGKILL')
  })
})
