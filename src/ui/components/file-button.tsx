'use client'
import { useRef } from 'react'

const MOST_BYTES = 900_000

interface FileButtonProps {
  readonly label: string
  readonly accept: string
  readonly onText: (text: string, name: string) => void
  readonly onTooLarge?: () => void
}

/** A button that opens a text file and hands over what is in it. */
export function FileButton({ label, accept, onText, onTooLarge }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => input.current?.click()}>
        {label}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="visually-hidden"
        tabIndex={-1}
        aria-label={`${label}: file`}
        onChange={async (event) => {
          const file = event.target.files?.[0]
          // the same file may be chosen again after it was mended
          event.target.value = ''
          if (!file) return
          if (file.size > MOST_BYTES) return onTooLarge?.()
          onText(await file.text(), file.name)
        }}
      />
    </>
  )
}
