import { expose } from 'comlink'
import { solveInp } from '../core/hydraulics/network/solve-inp'

/** Pipe networks are solved off the page's own thread: the engine is a megabyte of WebAssembly. */
const api = { solveInp }
export type NetworkWorker = typeof api

expose(api)
