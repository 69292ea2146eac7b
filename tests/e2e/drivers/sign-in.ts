import type { Page } from '@playwright/test'
import { DEMO_PASSWORD, PEOPLE } from '../../../demo/people'
import type { Role } from '../../../src/domain/roles'

export const emailOf = (role: Role): string => PEOPLE.find((p) => p.role === role)!.email

export async function signInAs(page: Page, role: Role): Promise<void> {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail').fill(emailOf(role))
  await page.getByLabel('Password').fill(DEMO_PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.waitForURL('/')
}
