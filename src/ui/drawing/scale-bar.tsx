import { barLengthM, type Scale } from './to-scale'

/** A scale bar with its length in the person's units. */
export function ScaleBar({ scale, x, y, show }: { scale: Scale; x: number; y: number; show: (m: number) => string }) {
  const lengthM = barLengthM(scale)
  const px = lengthM * scale.pxPerM
  return (
    <g>
      <path className="dimension" d={`M${x} ${y - 4}v8M${x} ${y}h${px}M${x + px} ${y - 4}v8`} />
      <text x={x + px + 6} y={y + 4}>
        {show(lengthM)}
      </text>
    </g>
  )
}
