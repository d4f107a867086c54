// Finds free room for the texts of a drawing. Sizes are in px at 13 px type.
import type { Shape, View } from '@/generated/types'

const letter = 7.2 // usual width
const tall = 15
const apart = 2

/** The text as it fits its room, which is in metres; nothing where less than half of it would. */
export function fitted(text: string, room: number | undefined, scale: number): string {
  const fits = room ? Math.floor((room * scale) / letter) : Infinity
  const letters = [...text]
  if (letters.length <= fits) return text
  return 2 * (fits - 1) < letters.length ? '' : letters.slice(0, fits - 1).join('') + '…'
}

/** How far a text is moved from its place, and where a line from there to it ends. */
export interface Shift {
  x: number
  y: number
  line?: { x: number; y: number }
}

interface Box {
  left: number
  right: number
  top: number
  bottom: number
}

const meet = (a: Box, b: Box) =>
  a.left < b.right + apart && b.left < a.right + apart && a.top < b.bottom && b.top < a.bottom

// Tried in this order: where it is, a line up or down, then more.
const steps = [0, -1, 1, -2, 2, -3, 3, -4, 4].map((n) => n * (tall + 1))

/**
 * Shifts of the texts that would run over another, over an arrow or out of the view.
 * Earlier texts keep their places; where nothing is free a text stays.
 */
export function layOut(view: View, scale: number, say: (s: Shape) => string): Map<Shape, Shift> {
  const px = (p: readonly number[]) => [(p[0]! - view.min[0]) * scale, (p[1]! - view.min[1]) * scale] as const
  const [wide, high] = px(view.max)
  const taken: Box[] = []
  for (const s of view.shapes)
    if (/^(press|reaction|beam|window)$/.test(s.class)) {
      const at = s.points.map(px)
      const [us, vs] = [at.map((p) => p[0]), at.map((p) => p[1])]
      taken.push({
        left: Math.min(...us) - 4,
        right: Math.max(...us) + 4,
        top: Math.min(...vs) + (s.class === 'press' ? tall / 2 : 0), // its own figure stands on it
        bottom: Math.max(...vs),
      })
    }
  const out = new Map<Shape, Shift>()
  for (const s of view.shapes) {
    const text = s.form === 'text' ? say(s) : ''
    if (!text) continue
    const width = [...text].length * letter
    const [u, v] = px(s.points[0]!)
    const left = s.anchor === 'middle' ? u - width / 2 : s.anchor === 'end' ? u - width : u
    // Beside its point a text may stand on the other side too.
    const by = s.anchor === 'middle' ? width / 2 + 8 : width + 24
    const sides =
      s.anchor === 'start'
        ? [0, -by]
        : s.anchor === 'end'
          ? [0, by]
          : [0, -by, by, -2 * by, 2 * by, -3 * by, 3 * by]
    const box = (x: number, y: number): Box => ({
      left: left + x,
      right: left + x + width,
      top: v + y - tall / 2,
      bottom: v + y + tall / 2,
    })
    const inside = (b: Box) => b.left >= 0 && b.right <= wide && b.top >= 0 && b.bottom <= high
    const within = inside(box(0, 0))
    let best = { x: 0, y: 0 }
    // What presses down is stated over the beam.
    const ups = s.class === 'press-label' ? steps.filter((y) => y <= 0) : steps
    search: for (const y of ups)
      for (const x of sides) {
        const b = box(x, y)
        if (taken.some((t) => meet(t, b)) || (within && !inside(b))) continue
        best = { x, y }
        break search
      }
    taken.push(box(best.x, best.y))
    if (!best.x && !best.y) continue
    const shift: Shift = { ...best }
    // A name stands on its load; a figure is led back to what it is of.
    if (s.class !== 'load-name' && s.anchor === 'middle') {
      const half = Math.sign(best.x) * (width / 2 + 2)
      const up = half === 0 ? Math.sign(best.y) * (tall / 2) : 0
      shift.line = { x: best.x - half, y: best.y - up }
    }
    out.set(s, shift)
  }
  return out
}
