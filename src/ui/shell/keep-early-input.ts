/**
 * What somebody presses and enters in the moment between a page being shown and its coming to life. The browser would
 * throw such a press away and React such a text; both are kept here and done again as soon as something listens.
 */
interface Kept {
  readonly presses: HTMLElement[]
  readonly entered: Map<Entry, string | boolean>
  readonly stop: () => void
}
type Entry = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement

declare global {
  interface Window {
    earlyInput?: Kept
  }
}

/** Begins to keep; runs in the page's head, before anything can be pressed. Self-contained: its text is sent along. */
export function keepEarlyInput(): void {
  const presses: HTMLElement[] = []
  const entered = new Map<Entry, string | boolean>()
  const onPress = (event: Event) => {
    const button = event.target instanceof Element ? event.target.closest('button, [role="button"]') : null
    if (!(button instanceof HTMLElement)) return
    // a form would be sent by the browser itself
    event.preventDefault()
    presses.push(button)
  }
  // Enter in a field; a press on the button was prevented above
  const onSubmit = (event: Event) => event.preventDefault()
  const onEntry = (event: Event) => {
    const field = event.target
    if (field instanceof HTMLInputElement && field.type === 'file') return
    if (field instanceof HTMLInputElement && (field.type === 'checkbox' || field.type === 'radio'))
      entered.set(field, field.checked)
    else if (
      field instanceof HTMLInputElement ||
      field instanceof HTMLTextAreaElement ||
      field instanceof HTMLSelectElement
    )
      entered.set(field, field.value)
  }
  const listeners = { click: onPress, submit: onSubmit, input: onEntry, change: onEntry }
  for (const [type, listener] of Object.entries(listeners)) document.addEventListener(type, listener, true)
  const stop = () => {
    for (const [type, listener] of Object.entries(listeners)) document.removeEventListener(type, listener, true)
  }
  window.earlyInput = { presses, entered, stop }
}

/** The script that keeps. */
export const KEEP_EARLY_INPUT = `(${keepEarlyInput.toString()})()`

/** Does again what was kept, in its order: first what was entered, then the presses. Does so once. */
export function replayEarlyInput(): void {
  const kept = window.earlyInput
  if (!kept) return
  delete window.earlyInput
  kept.stop()
  for (const [field, value] of kept.entered) if (field.isConnected) enter(field, value)
  for (const button of kept.presses) if (button.isConnected) button.click()
}

function enter(field: Entry, value: string | boolean): void {
  if (typeof value === 'boolean') {
    // turned back without React's notice, so that the press is a change
    ;(field as HTMLInputElement).checked = !value
    return field.click()
  }
  if (!(field instanceof HTMLSelectElement)) {
    // React compares with the value that it saw set last; past its notice the change is one
    field.value = ''
    const type = field instanceof HTMLInputElement ? HTMLInputElement : HTMLTextAreaElement
    Object.getOwnPropertyDescriptor(type.prototype, 'value')!.set!.call(field, value)
  } else field.value = value
  field.dispatchEvent(new Event('input', { bubbles: true }))
  field.dispatchEvent(new Event('change', { bubbles: true }))
}
