import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { names, opens, shortcuts } from '@/field/shortcuts'

interface Key {
  latex?: string
  insert?: string
}
interface Layout {
  rows: (string | Key)[][]
}
const keyboard = {
  layouts: [] as (string | Layout)[],
  editToolbar: 'default',
  boundingRect: { height: 211.4 },
  addEventListener: vi.fn(),
}

beforeEach(() => {
  vi.resetModules()
  keyboard.layouts = []
  keyboard.addEventListener.mockReset()
  Object.assign(window, { mathVirtualKeyboard: keyboard })
})
afterEach(() => {
  Reflect.deleteProperty(window, 'mathVirtualKeyboard')
})

const load = () => import('@/field/keyboard')
const pages = () => keyboard.layouts.filter((layout): layout is Layout => typeof layout !== 'string')
const keys = (page: Layout) => page.rows.flat().filter((key): key is Key => typeof key !== 'string')
const signs = (page: Layout) => keys(page).map((key) => key.latex)

describe('the keyboard for fingers', () => {
  it('has every digit and what sums need, at every grade', async () => {
    const { fitKeyboard } = await load()
    for (const size of ['numbers', 'algebra', 'functions'] as const) {
      fitKeyboard({ size, letters: [] })
      const found = signs(pages()[0]!)
      for (const sign of [...'0123456789.+-=()<>', '\\times', '\\div']) expect(found, `${sign} of ${size}`).toContain(sign)
    }
  })

  it('has the letters that the problem has', async () => {
    const { fitKeyboard } = await load()
    fitKeyboard({ size: 'algebra', letters: ['p', 'q'] })
    const found = signs(pages()[0]!)
    expect(found).toEqual(expect.arrayContaining(['p', 'q']))
    expect(found).not.toContain('x')
  })

  it('offers no powers and roots to those who only reckon, but money and per cent', async () => {
    const { fitKeyboard } = await load()
    fitKeyboard({ size: 'numbers', letters: [] })
    const found = signs(pages()[0]!)
    expect(found).toEqual(expect.arrayContaining(['\\%', '\\$', ',', ':']))
    expect(found.join(' ')).not.toMatch(/sqrt|\^/)
  })

  it('has a page of functions only where there are any', async () => {
    const { fitKeyboard } = await load()
    fitKeyboard({ size: 'algebra', letters: ['x'] })
    expect(pages()).toHaveLength(1)
    fitKeyboard({ size: 'functions', letters: ['x'] })
    expect(pages()).toHaveLength(2)
    expect(signs(pages()[1]!)).toEqual(expect.arrayContaining(['\\sin', '\\log', '\\pi', '\\le', '\\pm']))
  })

  it('writes a function with its bracket open', async () => {
    const { fitKeyboard } = await load()
    fitKeyboard({ size: 'functions', letters: [] })
    const sine = keys(pages()[1]!).find((key) => key.latex === '\\sin')
    expect(sine?.insert).toBe('\\sin(')
  })

  it('is put in place once, and tells the page how tall it is', async () => {
    const { setUpKeyboard } = await load()
    setUpKeyboard()
    setUpKeyboard()
    expect(keyboard.editToolbar).toBe('none')
    expect(keyboard.addEventListener).toHaveBeenCalledTimes(1)
    const [event, tell] = keyboard.addEventListener.mock.calls[0] as [string, () => void]
    expect(event).toBe('geometrychange')
    tell()
    expect(document.documentElement.style.getPropertyValue('--keyboard')).toBe('211px')
  })

  it('is not missed where there is none', async () => {
    Reflect.deleteProperty(window, 'mathVirtualKeyboard')
    const { fitKeyboard, setUpKeyboard } = await load()
    expect(() => {
      setUpKeyboard()
      fitKeyboard({ size: 'algebra', letters: [] })
    }).not.toThrow()
  })
})

describe('what typing turns into a sign', () => {
  it.each(['sqrt', 'cbrt', '√', '2√', '3+sqrt'])('%s leaves a place to be filled', (typed) => {
    expect(opens(typed)).toBe(true)
  })
  it.each(['', 'sin', 'x', '½', 'sqr', 'pi'])('%s leaves none', (typed) => {
    expect(opens(typed)).toBe(false)
  })
  it('is never a letter alone, nor a word that a class writes', () => {
    for (const key of Object.keys(shortcuts)) expect(key).not.toMatch(/^[a-zA-Z]$/)
    for (const word of ['or', 'and', 'the', 'cm', 'min', 'jars', 'is', 'in', 'to', 'per']) expect(shortcuts).not.toHaveProperty(word)
  })
  it('knows the names of all functions that have a sign', () => {
    for (const name of ['sin', 'cos', 'tan', 'log', 'ln', 'abs', 'hcf', 'lcm', 'root']) expect(names).toContain(name)
    expect(names).not.toContain('<=')
  })
})
