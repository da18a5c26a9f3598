/** Whole screens: what a teacher and a student meet there, with a server that answers what it is told to. */
import { enableAutoUnmount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { DeskView, Judgement, ShelfEntry } from '@/api/client'
import Shelf from '@/screens/Shelf.vue'
import SignIn from '@/screens/SignIn.vue'
// Loaded before the tests, so that none waits for it.
import '@/components/RungWriter.vue'
import StepDesk from '@/screens/StepDesk.vue'
import { asked, bad, good } from './api'
import { button, push, read, stand, whereTo } from './mounted'

vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))
vi.mock('@/field/keyboard', () => ({ fitKeyboard: () => undefined, setUpKeyboard: () => undefined }))
vi.mock('@/components/MathInput.vue', () => import('./math_input'))
enableAutoUnmount(afterEach)
beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] })
  localStorage.clear()
  window.matchMedia = () => ({ matches: false }) as MediaQueryList
  for (const call of Object.values(asked)) call.mockReset()
  asked.GET.mockImplementation(() => good({ entries: [] }))
  await push('/')
})
afterEach(() => vi.useRealTimers())

/** What a list of lessons is answered with; other lists are empty. */
const lessons = (answer: () => Promise<unknown>) => asked.GET.mockImplementation((path: string) => (path === '/api/lessons' ? answer() : good([])))

async function settled(): Promise<void> {
  await vi.runAllTimersAsync()
  await nextTick()
}

describe('signing in', () => {
  async function signedIn(answer: Promise<unknown>): Promise<VueWrapper> {
    asked.POST.mockImplementation(() => answer)
    const wrapper = stand(SignIn)
    await wrapper.find('input[name="sign-in"]').setValue('orla')
    await wrapper.find('input[name="password"]').setValue('clover')
    await wrapper.find('form').trigger('submit')
    await settled()
    return wrapper
  }

  it('leads to the shelf', async () => {
    await signedIn(good({ name: 'Orla Fenwick' }))
    expect(asked.POST.mock.calls[0]![1].body).toEqual({ sign_in: 'orla', password: 'clover' })
    expect(whereTo()).toBe('/shelf')
  })

  it('leads back to where one wanted to go', async () => {
    await push('/?to=/ladder/7')
    await signedIn(good({ name: 'Orla Fenwick' }))
    expect(whereTo()).toBe('/ladder/7')
  })

  it.each(['//elsewhere.example/', 'https://elsewhere.example/', 'javascript:alert(1)'])('never leads to another address: %s', async (to) => {
    await push(`/?to=${encodeURIComponent(to)}`)
    await signedIn(good({ name: 'Orla Fenwick' }))
    expect(whereTo()).toBe('/shelf')
  })

  it('says what went wrong, and keeps what was typed', async () => {
    const wrapper = await signedIn(bad('sign_in', { says: 'That name and password do not go together.' }))
    expect(read(wrapper.find('[role="alert"]'))).toBe('That name and password do not go together.')
    expect((wrapper.find('input[name="sign-in"]').element as HTMLInputElement).value).toBe('orla')
    expect(whereTo()).not.toBe('/shelf')
  })

  it('is known to a keeper of passwords', () => {
    const fields = stand(SignIn).findAll('input')
    expect(fields.map((field) => field.attributes('autocomplete'))).toEqual(['username', 'current-password'])
  })
})

describe('the shelf', () => {
  const lesson = (id: number, grade: number, strand: string, more: object = {}): ShelfEntry =>
    ({ id, title: `Lesson ${id}`, grade, strand, minutes: 45, slides: 6, ladders: 0, checked: { lines: 0, hold: 0 }, ...more }) as unknown as ShelfEntry
  const all = [lesson(1, 8, 'algebra'), lesson(2, 6, 'fractions_ratio', { ladders: 2 }), lesson(3, 8, 'geometry', { checked: { lines: 9, hold: 8 } })]
  async function shelf(entries = all): Promise<VueWrapper> {
    lessons(() => good({ entries }))
    const wrapper = stand(Shelf)
    await settled()
    return wrapper
  }
  const titles = (wrapper: VueWrapper): string[] => wrapper.findAll('a.lesson .title').map(read)

  it('stands in grades, the lowest first', async () => {
    const wrapper = await shelf()
    expect(wrapper.findAll('section.shelf h2').map(read)).toEqual(['Grade 6', 'Grade 8'])
    expect(titles(wrapper)).toEqual(['Lesson 2', 'Lesson 1', 'Lesson 3'])
  })

  it('shows one grade, and all of them again', async () => {
    const wrapper = await shelf()
    await button(wrapper, 'Grade 8').trigger('click')
    expect(titles(wrapper)).toEqual(['Lesson 1', 'Lesson 3'])
    await button(wrapper, 'Grade 8').trigger('click')
    expect(titles(wrapper)).toHaveLength(3)
  })

  it('shows one strand, and says so when nothing of it stands here', async () => {
    const wrapper = await shelf()
    await button(wrapper, 'Measure and geometry').trigger('click')
    expect(titles(wrapper)).toEqual(['Lesson 3'])
    await button(wrapper, 'Number').trigger('click')
    expect(read(wrapper)).toContain('No lesson of this strand yet.')
  })

  it('says how many lines hold, and marks a lesson of which some do not', async () => {
    const checked = (await shelf()).find('.checked')
    expect(read(checked)).toContain('can’t tell yet')
  })

  it('asks what a teacher would like to do where nothing stands yet', async () => {
    const wrapper = await shelf([])
    expect(read(wrapper)).toContain('What would you like to do?')
    expect(wrapper.findAll('.step')).toHaveLength(5)
    expect(wrapper.find('.body').exists()).toBe(false)
  })

  it('looks for words on the server, once the typing rests', async () => {
    const wrapper = await shelf()
    asked.GET.mockClear()
    await wrapper.find('input[type="search"]').setValue('rat')
    await wrapper.find('input[type="search"]').setValue('ratio')
    await settled()
    expect(asked.GET).toHaveBeenCalledOnce()
    expect(asked.GET.mock.calls[0]![1].params.query).toMatchObject({ words: 'ratio', place: 'shelf' })
  })

  it('can be tried again when it does not come', async () => {
    lessons(() => bad('internal', { says: 'Try again in a moment.' }))
    const wrapper = stand(Shelf)
    await settled()
    expect(read(wrapper.find('[role="alert"]'))).toContain('Try again in a moment.')
    lessons(() => good({ entries: all }))
    await wrapper.find('[role="alert"] button').trigger('click')
    await settled()
    expect(titles(wrapper)).toHaveLength(3)
  })
})

describe('the Step Desk', () => {
  const judgement = (words: string[], more: Partial<Judgement> = {}): Judgement =>
    ({ lines: words.map((word) => ({ reading: 'x', plain: 'x', speech: 'x', answers: false, verdict: { word } })), answered: false, finished: false, next: [], ...more }) as unknown as Judgement
  const rung = (number: number, more: object = {}) => ({ number, stage: 'grip', prompt: `Problem ${number}: solve $3x = 12$.`, story: false, words: false, keypad: [], ...more })
  const view = (more: object = {}): DeskView => ({ title: 'Climbing', student: 'Jonas', rungs: [rung(1), rung(2)], written: [], ...more }) as unknown as DeskView
  async function desk(of: DeskView): Promise<VueWrapper> {
    asked.GET.mockImplementation(() => good(of))
    const wrapper = stand(StepDesk, { link: 'abc' })
    await settled()
    // What writes comes with its field for mathematics.
    await vi.dynamicImportSettled()
    await settled()
    return wrapper
  }

  it('asks for a first name before anything else', async () => {
    const wrapper = await desk(view({ student: null }))
    expect(read(wrapper.find('h1'))).toBe('What is your first name?')
    expect(wrapper.find('.prompt').exists()).toBe(false)
  })

  it('tells the code that leads back here, and shows pictures of steps only where they may be seen', async () => {
    const written = [{ number: 1, revision: 3, lines: [{ text: 'x=5', latex: true }], judgement: judgement(['breaks']) }]
    const hidden = await desk(view({ code: 'k7pm', written, pictures: false }))
    expect(read(hidden.find('header'))).toContain('Your code: k7pm')
    expect(hidden.find('button.see').exists()).toBe(false)
    const shown = await desk(view({ written, pictures: true }))
    expect(read(shown.find('header'))).not.toContain('code')
    expect(shown.find('button.see').exists()).toBe(true)
  })

  it('begins at the first rung that is not finished', async () => {
    const written = [{ number: 1, revision: 3, lines: [{ text: 'x=4', latex: true }], judgement: judgement(['holds'], { answered: true, finished: true }) }]
    const wrapper = await desk(view({ written }))
    expect(read(wrapper.find('.prompt'))).toContain('Problem 2')
    expect(wrapper.findAll('nav.rungs button').map((one) => one.attributes('aria-label'))).toEqual(['Rung 1, Grip, finished', 'Rung 2, Grip'])
  })

  it('begins with one empty line for mathematics, or for words where words answer', async () => {
    expect((await desk(view())).findAll('input.maths')).toHaveLength(1)
    expect((await desk(view({ rungs: [rung(1, { words: true })] }))).findAll('input.maths')).toHaveLength(0)
  })

  it('is only read once it was handed in, and begins anew where there is a further try', async () => {
    const lines = [{ text: 'x=4', latex: true }]
    const first = [{ number: 1, revision: 3, lines, judgement: judgement(['holds']) }]
    const assigned = { page: '/class/abc', handed_in: 5, nth: 1, tries: 2, fresh: true, again: true, remarks: [], keys: [] }
    const wrapper = await desk(view({ assigned, written: first }))
    expect(read(wrapper)).toContain('Try 1 of 2')
    expect(read(wrapper)).not.toContain('Next line')
    expect(wrapper.findAll('.tools')).toHaveLength(0)
    asked.POST.mockImplementation(() => good(view({ assigned: { ...assigned, handed_in: undefined, nth: 2, again: false } })))
    await button(wrapper, 'Try again with other numbers').trigger('click')
    await settled()
    expect(asked.POST.mock.calls[0]![0]).toBe('/api/desk/{link}/again')
    expect(read(wrapper)).toContain('Try 2 of 2')
    expect(read(wrapper)).toContain('Next line')
    expect(wrapper.find<HTMLInputElement>('input.maths').element.value).toBe('')
    expect(read(wrapper)).not.toContain('Try again')
  })

  it('does not say saved where nothing was written', async () => {
    expect(read((await desk(view())).find('.state'))).toBe('')
  })

  it('saves and judges when the writing rests, and says so', async () => {
    asked.PUT.mockImplementation(() => good({ revision: 1, judgement: judgement(['breaks']) }))
    const wrapper = await desk(view())
    await wrapper.find('input.maths').setValue('x=5')
    expect(read(wrapper.find('.state'))).not.toBe('Saved')
    await settled()
    expect(asked.PUT.mock.calls[0]![1].body).toEqual({ based_on: 0, lines: [{ text: 'x=5', latex: true }] })
    expect(read(wrapper.find('.state'))).toBe('Saved')
    expect(read(wrapper.find('.lines'))).toContain('breaks')
  })

  it('never says saved when it is not, and keeps the lines on the device', async () => {
    asked.PUT.mockRejectedValue(new TypeError('no network'))
    const wrapper = await desk(view())
    await wrapper.find('input.maths').setValue('x=5')
    await vi.advanceTimersByTimeAsync(1_000)
    expect(read(wrapper.find('.state'))).toContain('Not saved')
    expect(JSON.stringify({ ...localStorage })).toContain('x=5')
    asked.PUT.mockImplementation(() => good({ revision: 1, judgement: judgement(['holds']) }))
  })

  it('goes on to the next rung when this one is finished', async () => {
    asked.PUT.mockImplementation(() => good({ revision: 1, judgement: judgement(['holds'], { answered: true, finished: true }) }))
    const wrapper = await desk(view())
    await wrapper.find('input.maths').setValue('x=4')
    await settled()
    expect(read(wrapper)).toContain('Finished. Every line holds.')
    await button(wrapper, 'Next rung').trigger('click')
    await settled()
    expect(read(wrapper.find('.prompt'))).toContain('Problem 2')
  })

  it('says that the answer stands there while a line above still breaks', async () => {
    asked.PUT.mockImplementation(() => good({ revision: 1, judgement: judgement(['breaks'], { answered: true }) }))
    const wrapper = await desk(view())
    await wrapper.find('input.maths').setValue('x=4')
    await settled()
    expect(read(wrapper)).toContain('One line above does not hold yet')
    expect(read(wrapper)).not.toContain('Next rung')
  })

  it('lets somebody else sit down, and leaves nothing of the first on the device', async () => {
    asked.POST.mockImplementation(() => good(undefined))
    asked.PUT.mockImplementation(() => good({ revision: 1, judgement: judgement(['holds']) }))
    const wrapper = await desk(view())
    await wrapper.find('input.maths').setValue('x=5')
    await settled()
    asked.GET.mockImplementation(() => good(view({ student: null })))
    await button(wrapper, 'Not Jonas?').trigger('click')
    await settled()
    expect(asked.POST.mock.calls[0]![0]).toBe('/api/desk/{link}/leave')
    expect(JSON.stringify({ ...localStorage })).not.toContain('x=5')
    expect(read(wrapper.find('h1'))).toBe('What is your first name?')
  })

  it('says why a link opens nothing, and can be tried again', async () => {
    asked.GET.mockImplementation(() => bad('not_found', { says: 'This link opens nothing. Ask for it again.' }))
    const wrapper = stand(StepDesk, { link: 'zzz' })
    await settled()
    expect(read(wrapper.find('[role="alert"]'))).toContain('This link opens nothing.')
  })
})
