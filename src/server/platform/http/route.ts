import { cookies } from 'next/headers'
import type { z } from 'zod'
import { unstorablePath } from '@/domain/shared/clean-text'
import type { Actor } from '@/server/platform/auth/actor'
import { findSession, SESSION_COOKIE } from '@/server/platform/auth/sessions'
import { answerError, problemJson } from './problem-response'
import { readJson } from './request-body'
import { firmTexts } from '@/messages/texts'
import { readerTexts } from './reader-texts'

type Params = { params: Promise<Record<string, string>> }

interface RouteOptions<Path extends z.ZodType, Body extends z.ZodType> {
  readonly path?: Path
  readonly body?: Body
  /** The use case makes its texts storable itself: a device's log is never refused for one of its characters. */
  readonly cleaned?: boolean
}

interface Call<Path extends z.ZodType, Body extends z.ZodType> {
  readonly actor: Actor
  readonly path: z.output<Path>
  readonly body: z.output<Body>
  readonly request: Request
}

/**
 * A route handler for signed-in people: authenticate, parse, one use case, map its outcome.
 * A path that does not parse is a thing that does not exist: 404.
 */
export function signedInRoute<Path extends z.ZodType = z.ZodType<unknown>, Body extends z.ZodType = z.ZodType<unknown>>(
  options: RouteOptions<Path, Body>,
  work: (call: Call<Path, Body>) => Promise<unknown>,
): (request: Request, context: Params) => Promise<Response> {
  return async (request, context) => {
    try {
      assertSameOrigin(request)
      const token = (await cookies()).get(SESSION_COOKIE)?.value
      const actor = token ? await findSession(token) : undefined
      if (actor === 'shut-out')
        return problemJson({ title: firmTexts()('kit.problems.deviceBlocked'), status: 401, kind: 'shut-out' })
      if (!actor)
        return problemJson({ title: firmTexts()('kit.problems.signInFirst'), status: 401, kind: 'signed-out' })
      const params = await context.params
      const path = options.path?.safeParse(params)
      // text that no database takes is the name of nothing
      if ((path && !path.success) || unstorablePath(params))
        return problemJson({ title: firmTexts()('kit.problems.nothingHere'), status: 404, kind: 'not-found' })
      const body = options.body ? options.body.parse(await readJson(request, options.cleaned)) : undefined
      const outcome = await work({ actor, path: path?.data as z.output<Path>, body: body as z.output<Body>, request })
      return outcome instanceof Response
        ? outcome
        : Response.json(outcome ?? {}, { headers: { 'cache-control': 'no-store' } })
    } catch (error) {
      return error instanceof Response ? error : answerError(error, await readerTexts())
    }
  }
}

/** The same for the doors: sign-in and first run. */
export function openRoute<Body extends z.ZodType>(
  body: Body,
  work: (body: z.output<Body>, request: Request) => Promise<unknown>,
): (request: Request) => Promise<Response> {
  return async (request) => {
    try {
      assertSameOrigin(request)
      const outcome = await work(body.parse(await readJson(request)), request)
      return outcome instanceof Response
        ? outcome
        : Response.json(outcome ?? {}, { headers: { 'cache-control': 'no-store' } })
    } catch (error) {
      return error instanceof Response ? error : answerError(error, await readerTexts())
    }
  }
}

/** Host of an origin; one that is none, such as `null` of a sandboxed page, is nobody's. */
function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host
  } catch {
    return null
  }
}

/** The cookie is SameSite=Lax; a foreign page's form is refused here as well. @throws {Response} 403 */
function assertSameOrigin(request: Request): void {
  if (request.method === 'GET' || request.method === 'HEAD') return
  const origin = request.headers.get('origin')
  if (origin && hostOf(origin) !== request.headers.get('host'))
    throw problemJson({ title: firmTexts()('kit.problems.otherSite'), status: 403, kind: 'forbidden' })
}
