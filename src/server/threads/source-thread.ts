import { Worker, type WorkerOptions } from 'node:worker_threads'

/** A thread from a TypeScript file. It does not take over how this process reads TypeScript, so it registers that first. */
export const sourceThread = (href: string, options: WorkerOptions = {}): Worker =>
  new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(href)}) })`, { ...options, eval: true })

/** A thread from a file that the build made. The bundler of the app must not look for it: it is not there yet. */
export const builtThread = (href: string, options: WorkerOptions = {}): Worker => new Worker(`import(${JSON.stringify(href)})`, { ...options, eval: true })
