'use client'
import { createContext, use, useCallback, useMemo, useRef, useState, type ReactNode } from 'react'
import Toast from 'react-bootstrap/Toast'
import ToastContainer from 'react-bootstrap/ToastContainer'
import { Icon } from './icon'
import { useTexts } from './texts'

/** What is said in passing after something was done. */
interface Note {
  readonly words: string
  /** Takes back what was done; left out where that cannot be. Resolves to what went wrong, null where it is undone. */
  readonly undo?: () => Promise<string | null>
  /** Something that a press can do about it; the note then stays until it is pressed or dismissed. */
  readonly act?: { readonly name: string; readonly run: () => void }
  readonly bad?: boolean
}

const Telling = createContext<((note: Note) => void) | null>(null)

/** Long enough to read it and to reach "Undo" by keyboard. */
const SHOWN_MS = 10_000
/** More of them at once would hide the page. */
const AT_ONCE = 3

/** Shows notes above a part of the app; they go by themselves, and not while they are pointed at or have the focus. */
export function ToastProvider({ children }: { children: ReactNode }) {
  const t = useTexts()

  const [notes, setNotes] = useState<readonly (Note & { id: number })[]>([])
  const [held, setHeld] = useState(false)
  const next = useRef(0)
  const tell = useCallback((note: Note) => {
    next.current += 1
    const id = next.current
    setNotes((shown) => [...shown.slice(1 - AT_ONCE), { ...note, id }])
  }, [])
  const drop = useCallback((id: number) => setNotes((shown) => shown.filter((n) => n.id !== id)), [])
  const undo = async (id: number, take: () => Promise<string | null>) => {
    drop(id)
    const problem = await take()
    tell(problem === null ? { words: t('kit.toasts.undone') } : { words: problem, bad: true })
  }
  const hold = useMemo(
    () => ({
      onMouseEnter: () => setHeld(true),
      onMouseLeave: () => setHeld(false),
      onFocus: () => setHeld(true),
      onBlur: () => setHeld(false),
    }),
    [],
  )
  return (
    <Telling value={tell}>
      {children}
      <ToastContainer position="bottom-start" containerPosition="fixed" className="p-3 no-print" {...hold}>
        {notes.map(({ id, words, undo: take, act, bad }) => (
          <Toast
            key={id}
            onClose={() => drop(id)}
            delay={SHOWN_MS}
            autohide={!held && !act}
            animation={false}
            role={bad ? 'alert' : 'status'}
            aria-live={bad ? 'assertive' : 'polite'}
            className={bad ? 'bad' : ''}
          >
            <Toast.Body className="d-flex gap-2 align-items-center">
              <span className="flex-grow-1">{words}</span>
              {take ? (
                <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => void undo(id, take)}>
                  <Icon name="arrow-counterclockwise" /> {t('kit.toasts.undo')}
                </button>
              ) : null}
              {act ? (
                <button type="button" className="btn btn-sm btn-outline-primary" onClick={act.run}>
                  {act.name}
                </button>
              ) : null}
              <button
                type="button"
                className="btn btn-sm btn-link"
                aria-label={t('kit.toasts.dismiss')}
                onClick={() => drop(id)}
              >
                <Icon name="x-lg" />
              </button>
            </Toast.Body>
          </Toast>
        ))}
      </ToastContainer>
    </Telling>
  )
}

/** Says in passing what was done, with a way to take it back. */
export function useToast(): (note: Note) => void {
  const tell = use(Telling)
  if (!tell) throw new Error('useToast needs a ToastProvider above it')
  return tell
}
