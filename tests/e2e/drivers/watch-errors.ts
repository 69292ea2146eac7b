import type { Page } from '@playwright/test'

/** Collects errors of the page's own console; a test that ends with any has failed. */
export function watchErrors(page: Page): string[] {
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error.message))
  page.on('console', (message) => {
    // an answer of 4xx to bad input is the point of some tests and is also printed by the browser
    if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) errors.push(message.text())
  })
  return errors
}
