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

/** A derivative's sign is begun: `d/`, `dy/`. */
const isDerivative = (line: string): boolean => /(^|[^a-z])d[a-z]?$/i.test(line)

/** A number and its unit: `90 km`. */
const isQuantity = (line: string): boolean => /\d [a-z]+$/i.test(line)

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

/** Signs that stand high by themselves, and what they are on the line. */
const HIGH: Record<string, string> = {
  ...Object.fromEntries([...'⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻⁽⁾ⁿˣʸᵐᵏᵃᵇ'].map((sign, at) => [sign, '0123456789+-()nxymkab'.charAt(at)])),
}

/** Whether a line ends with something that a power can stand on. */
const endsOperand = (line: string): boolean => /[\p{L}\p{N})\]}]$/u.test(line)

/** A place that a sign has opened, and what was typed into it. */
interface Place {
  typed: string
  /** What opened it: a root, a power, an index, a fraction, or the fraction of a derivative. */
  by: 'root' | '^' | '_' | '/' | 'd/' | 'high'
  /** The bracket that was typed first is the place itself, and is not written: `sqrt(3x+4)`, `a_{n+1}`. */
  bracket: boolean
}

/** What is to be done with a key. */
export interface Course {
  /** How many places the cursor leaves before it. */
  leaves: number
  /** Whether the sign is written at all; the brackets around a root's argument are not. */
  written: boolean
  /** Whether it is only a sign here, and opens no place: `a / b`, `90 km/h`, `___`. */
  literal: boolean
  /** Whether the cursor leaves the place behind it. */
  ends: boolean
  /** For a sign that stands high by itself: what it is on the line, and whether it begins the exponent. */
  high?: { sign: string; begins: boolean }
}

export class Flow {
  #places: Place[] = []
  #line = ''
  #empty = true

  /** Nothing stands in the field. */
  begin(): void {
    this.forget()
    this.#empty = true
  }

  /** Whether something is typed into a place that was opened by typing. */
  get follows(): boolean {
    return this.#places.length > 0
  }

  /** Where `key` belongs, and what is to be done with it; it counts as typed. */
  take(key: string): Course {
    const high = HIGH[key]
    if (high !== undefined && (this.#places.at(-1)?.by === 'high' || endsOperand(this.#line))) return this.#takeHigh(high)
    const leaves = this.#leave(key)
    const place = this.#places.at(-1)
    const opensIt = place !== undefined && place.typed === '' && this.#bracketIsPlace(place, key)
    if (opensIt) {
      place.bracket = true
      this.#line = ''
      place.typed = key
      return { leaves, written: false, literal: false, ends: false }
    }
    if (place?.bracket && isClosing(key) && depth(place.typed) === 1) {
      this.#line = ''
      this.#pop(')')
      return { leaves, written: false, literal: false, ends: true }
    }
    const literal = this.#isLiteral(key)
    this.#typed(key, literal)
    return { leaves, written: true, literal, ends: false }
  }

  /** `aⁿ⁺¹`: signs that stand high side by side are one exponent. */
  #takeHigh(sign: string): Course {
    const place = this.#places.at(-1)
    const begins = place?.by !== 'high'
    if (begins) this.#places.push({ typed: sign, by: 'high', bracket: false })
    else place!.typed += sign
    return { leaves: 0, written: false, literal: false, ends: false, high: { sign, begins } }
  }

  #bracketIsPlace(place: Place, key: string): boolean {
    return place.by === 'root' ? key === '(' : key === '{' && (place.by === '_' || place.by === '^')
  }

  #isLiteral(key: string): boolean {
    if (key === '/') return this.#line.endsWith(' ') || isQuantity(this.#line)
    return key === '_' && (this.#line === '' ? this.#empty : !endsOperand(this.#line))
  }

  #leave(key: string): number {
    let count = 0
    while (this.#places.length && !this.#stays(this.#places.at(-1)!, key)) {
      this.#pop('')
      count += 1
    }
    return count
  }

  #stays(place: Place, key: string): boolean {
    if (place.by === 'high') return false
    if (place.by === 'd/' && place.typed === 'd' && /[a-z]/i.test(key)) return true
    return staysInside(place.typed, key)
  }

  /** What was typed inside counts as one operand of the place around it. */
  #pop(closing: string): void {
    const inner = this.#places.pop()
    const outer = this.#places.at(-1)
    if (inner && outer) outer.typed += `(${inner.typed}${closing})`
  }

  #typed(key: string, literal: boolean): void {
    const before = this.#line
    this.#empty = false
    this.#line = (before + key).slice(-12)
    const place = this.#places.at(-1)
    if (place) place.typed += key
    if (literal) return
    const by = key === '/' ? (isDerivative(before) ? 'd/' : '/') : key === '^' || key === '_' ? key : opens(this.#line) ? 'root' : undefined
    if (by === undefined) return
    this.#places.push({ typed: '', by, bracket: false })
    this.#line = ''
  }

  /** The last sign was taken back. */
  takenBack(): void {
    const place = this.#places.at(-1)
    this.#line = this.#line.slice(0, -1)
    if (!place) return
    if (place.typed === '' || (place.bracket && place.typed.length === 1)) this.forget()
    else place.typed = place.typed.slice(0, -1)
  }

  /** The cursor was moved by hand. */
  forget(): void {
    this.#empty = false
    this.#places = []
    this.#line = ''
  }
}
