import { expect, type Page } from '@playwright/test'
import { DEMO_PASSWORD, PEOPLE } from '../../../demo/people'
import type { Role } from '../../../src/domain/people/roles'

export const emailOf = (role: Role): string => PEOPLE.find((p) => p.role === role)!.email

/** The lead of a crew: tests that need the same hour of the day take different crews. */
export const leadOf = (crew: string): string => PEOPLE.find((p) => p.role === 'crew-lead' && p.crew === crew)!.email

export const signInAs = (page: Page, role: Role): Promise<void> => signInWith(page, emailOf(role))

/** Signed in, on no page yet. */
export async function signInWith(page: Page, email: string): Promise<void> {
  const answer = await page.request.post('/api/v1/sign-in', { data: { email, password: DEMO_PASSWORD } })
  expect(answer.status(), await answer.text()).toBe(200)
}

/** Through the door, as people do it, to the page of today. */
export async function signInByForm(page: Page, email: string): Promise<void> {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail').fill(email)
  await page.getByLabel('Password').fill(DEMO_PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.waitForURL('/')
}
