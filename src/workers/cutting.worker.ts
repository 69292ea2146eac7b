import { expose } from 'comlink'
import { cutPlan } from '../core/survey/roll-cutting'

/** Cut plans over many ponds take seconds of search: off the page's own thread. */
const api = { cutPlan }
export type CuttingWorker = typeof api

expose(api)
