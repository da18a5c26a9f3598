/**
 * Where typing goes. A field draws `1/2` as a fraction and `x^2` as a power, and leaves the cursor below or
 * above the line; in a typed line the next sign would stand on the line again. `Flow` follows what was typed
 * into the innermost open place and tells when the next key belongs outside of it: so `x^2+1` is x squared,
 * plus one, as it was typed. Moving the cursor by hand ends the following: then every key stays where it is.
 */
import { names, opens } from './shortcuts'

const isOpening = (key: string): boolean => '([{'.includes(key)
const isClosing = (key: string): boolean => ')]}'.includes(key)

function depth(text: string): number {
  let open = 0
  for (const sign of text) open += isOpening(sign) ? 1 : isClosing(sign) ? -1 : 0
  return open
}

/** Whether `key` goes on with the operand `typed` that stands in an open place. */
export function staysInside(typed: string, key: string): boolean {
  if (depth(typed) > 0) return true
  const body = typed.replace(/^\s*[-−+]?\s*/, '')
  if (body === '') return !isClosing(key) && !/[=<>,;]/.test(key)
  if (/[!%°^_]/.test(key)) return true
  if (/[\d.]/.test(key)) return /(^|[^\d.])?[\d.]+$/.test(body) || endsWithName(body)
  if (/[a-z]/i.test(key)) return (/^[a-z]+$/i.test(body) && names.some((name) => name.startsWith(body + key))) || endsWithName(body)
  if (isOpening(key) || key === ' ' || '√∛|'.includes(key)) return endsWithName(body)
  return false
}

/** A name that still waits for its argument: `sin`, `sin `, `sqrt`. */
function endsWithName(body: string): boolean {
  const word = /([a-z]+)\s*$/i.exec(body)?.[1]
  return word !== undefined && names.includes(word)
}

export class Flow {
  #places: string[] = []

  /** How many places the cursor leaves before `key` is typed. */
  leaves(key: string): number {
    let count = 0
    while (this.#places.length && !staysInside(this.#places.at(-1) ?? '', key)) {
      // What was typed inside counts as one operand of the place around it.
      const inner = this.#places.pop() ?? ''
      const outer = this.#places.length - 1
      if (outer >= 0) this.#places[outer] += `(${inner})`
      count += 1
    }
    return count
  }

  #line = ''

  /** `key` was typed. */
  typed(key: string): void {
    this.#line = (this.#line + key).slice(-12)
    const last = this.#places.length - 1
    if (last >= 0) this.#places[last] += key
    if (key === '/' || key === '^' || key === '_') {
      this.#places.push('')
      this.#line = ''
    } else if (opens(this.#line)) {
      this.#places.push('')
      this.#line = ''
    }
  }

  /** The last sign was taken back. */
  takenBack(): void {
    const last = this.#places.length - 1
    if (last < 0) return
    if (this.#places[last] === '') this.forget()
    else this.#places[last] = (this.#places[last] ?? '').slice(0, -1)
    this.#line = this.#line.slice(0, -1)
  }

  /** The cursor was moved by hand. */
  forget(): void {
    this.#places = []
    this.#line = ''
  }
}
