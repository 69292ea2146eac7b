/** One clear line for people. */
export const say = (line) => process.stdout.write(`${line}\n`)

/** What is being done meanwhile; on stderr, so that results on stdout stay clean. */
export const progress = (line) => process.stderr.write(`${line}\n`)

/** Something only the reader can mend: one line, then stop. */
export class Stop extends Error {}
export const stop = (line) => {
  throw new Stop(line)
}

/** Runs a script's main; a Stop is shown as its line, anything else with its cause. */
export async function runMain(main) {
  try {
    await main()
  } catch (error) {
    if (error instanceof Stop) process.stderr.write(`\n${error.message}\n`)
    else if (error?.code === 'ENOSPC')
      process.stderr.write('\nThe disk is full. Free about 3 GB and start again; nothing saved is lost.\n')
    else process.stderr.write(`\n${error?.stack ?? error}\n`)
    process.exitCode = 1
  }
}
