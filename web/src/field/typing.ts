/** Signs reach the field through here, typed or pasted: each goes where a typed line means it. */
import type { MathfieldElement } from 'mathlive'
import type { Flow } from './flow'

/**
 * Takes `key` where it belongs, and tells whether the field is still to write it: a sign that opens no place
 * is inserted here, a bracket that is the place itself is not written at all.
 */
export function take(mf: MathfieldElement, flow: Flow, key: string): boolean {
  if (mf.value === '') flow.begin()
  if (key === ')' && closesPlace(mf, flow)) return false
  const course = flow.take(key)
  for (let n = course.leaves; n > 0; n -= 1) mf.executeCommand('moveAfterParent')
  if (course.ends) mf.executeCommand('moveAfterParent')
  if (course.high?.begins) mf.executeCommand('moveToSuperscript')
  if (course.high) mf.insert(course.high.sign, { format: 'latex' })
  if (!course.literal) return course.written
  mf.insert(key === '_' ? '\\_' : key, { format: 'latex' })
  return false
}

/** A bracket that closes nothing ends the place in which it is typed: its other half may be the place itself. */
function closesPlace(mf: MathfieldElement, flow: Flow): boolean {
  if (flow.follows || count(mf.value, ')') < count(mf.value, '(')) return false
  const before = mf.position
  mf.executeCommand('moveAfterParent')
  return mf.position !== before
}

const count = (text: string, sign: string): number => text.split(sign).length - 1

/** Pasted text is typed sign by sign; pasted LaTeX goes in as it is. Only its first line fits here. */
export function paste(mf: MathfieldElement, flow: Flow, pasted: string): void {
  const text = pasted.trim().split(/\r?\n/)[0] ?? ''
  flow.forget()
  if (text.includes('\\')) {
    mf.insert(text.replace(/^\$+|\$+$/g, ''), { format: 'latex' })
  } else {
    for (const sign of text) {
      if (take(mf, flow, sign)) mf.executeCommand(['typedText', sign, { simulateKeystroke: true }])
    }
  }
  flow.forget()
}
