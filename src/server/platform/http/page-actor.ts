import 'server-only'
import { cookies } from 'next/headers'
import { notFound, redirect } from 'next/navigation'
import { cache } from 'react'
import { ProblemError } from '@/domain/shared/problems'
import { isDatabaseLost } from '@/server/platform/db/connection'
import { findActor, SESSION_COOKIE } from '@/server/platform/auth/sessions'
import { hasFirms } from '@/server/platform/auth/has-firms'
import type { Actor } from '@/server/platform/auth/actor'

/** Who looks at a page, or null. Asked once per request. */
export const currentActor = cache(async (): Promise<Actor | null> => {
  const token = (await cookies()).get(SESSION_COOKIE)?.value
  return token ? ((await findActor(token)) ?? null) : null
})

/** The person a page is for; others are sent to the door. */
export async function pageActor(): Promise<Actor> {
  const actor = await whenReachable(currentActor)
  if (actor) return actor
  redirect((await whenReachable(hasFirms)) ? '/sign-in' : '/welcome')
}

/** Runs what a page shows: unknown ids become the 404 page, missing rights and a lost database pages that say so. */
export async function forPage<Value>(work: (actor: Actor) => Promise<Value>): Promise<Value> {
  const actor = await pageActor()
  return whenReachable(() => work(actor))
}

export async function whenReachable<Value>(work: () => Promise<Value>): Promise<Value> {
  try {
    return await work()
  } catch (error) {
    if (error instanceof ProblemError && error.problem.kind === 'not-found') notFound()
    if (error instanceof ProblemError && error.problem.kind === 'forbidden') redirect('/not-allowed')
    if (isDatabaseLost(error)) redirect('/unavailable')
    throw error
  }
}
