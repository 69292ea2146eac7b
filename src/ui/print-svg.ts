/**
 * Prints one drawing at its true size, without the page around it.
 * @param paper height and width, mm, lying
 */
export function printSvg(svg: string, title: string, [heightMm, widthMm]: readonly [number, number]): void {
  const frame = document.createElement('iframe')
  frame.className = 'print-frame'
  frame.srcdoc = `<!doctype html><title>${title}</title><style>@page{size:${widthMm}mm ${heightMm}mm;margin:0}body{margin:0}svg{display:block}</style>${svg}`
  frame.onload = () => {
    frame.contentWindow?.addEventListener('afterprint', () => frame.remove())
    frame.contentWindow?.print()
  }
  document.body.append(frame)
}
