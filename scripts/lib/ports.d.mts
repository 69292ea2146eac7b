import type { ChildProcess } from 'node:child_process'

export function isFree(port: number): Promise<boolean>
export function freePort(): Promise<number>
export function waitForHttp(url: string, child?: ChildProcess, seconds?: number): Promise<Response>
