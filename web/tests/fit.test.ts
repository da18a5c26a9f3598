import { beforeEach, describe, expect, it, vi } from 'vitest'
import { layOut } from '@/slide/fit'

/** A slide whose content is as high as `high` says of its layout, on a face of 1280 by 720. */
function made(high: (fit: number, columns: boolean, grow: number) => number, inner = '<p>text</p>') {
  const face = document.createElement('div')
  const inside = document.createElement('div')
  inside.innerHTML = inner
  face.append(inside)
  document.body.append(face)
  const fit = () => Number(inside.style.getPropertyValue('--fit') || 1)
  const grow = () => Number(inside.style.getPropertyValue('--grow') || 1)
  const columns = () => inside.classList.contains('columns')
  const is = (of: HTMLElement, name: string, get: () => number) => Object.defineProperty(of, name, { get, configurable: true })
  is(face, 'clientHeight', () => 720)
  is(face, 'clientWidth', () => 1280)
  is(inside, 'scrollHeight', () => high(fit(), columns(), grow()))
  is(inside, 'scrollWidth', () => 1280)
  vi.spyOn(window, 'getComputedStyle').mockImplementation(
    (element) => ({ fontSize: `${(element.classList.contains('label') ? 20 * grow() : 40) * fit()}px` }) as CSSStyleDeclaration,
  )
  return { face, inside, fit, grow, columns }
}

beforeEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('a slide', () => {
  it('keeps its usual size where there is room', () => {
    const slide = made(() => 400)
    expect(layOut(slide.face, slide.inside, 3)).toBe(true)
    expect([slide.fit(), slide.columns()]).toEqual([1, false])
  })

  it('is set as large as it fits', () => {
    const slide = made((fit) => 900 * fit)
    expect(layOut(slide.face, slide.inside, 1)).toBe(true)
    expect(slide.fit()).toBe(0.8)
  })

  it('goes in two columns before its letters are too small', () => {
    const slide = made((fit, columns) => (columns ? 700 : 1400) * fit)
    expect(layOut(slide.face, slide.inside, 4)).toBe(true)
    expect([slide.fit(), slide.columns()]).toEqual([1, true])
  })

  it('has no columns where it has one block', () => {
    const slide = made((fit, columns) => (columns ? 700 : 1000) * fit)
    layOut(slide.face, slide.inside, 1)
    expect(slide.columns()).toBe(false)
  })

  it('says when it fits in no way', () => {
    const slide = made(() => 5000)
    expect(layOut(slide.face, slide.inside, 4)).toBe(false)
    expect(slide.fit()).toBe(0.54)
  })

  it('lets a picture grow until its labels can be read from the back row', () => {
    const slide = made((fit, _, grow) => 300 * fit * grow, '<p>text</p><div class="scene"><span class="label">4 cm</span></div>')
    expect(layOut(slide.face, slide.inside, 2)).toBe(true)
    expect(slide.grow()).toBeGreaterThan(1)
  })
})
