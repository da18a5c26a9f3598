/** Components that talk to the server: what they ask, what they do with the answer, and with none. */
import { enableAutoUnmount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, reactive } from 'vue'
import type { Lesson, Mend, PhaseKind } from '@/api/client'
import BenchRungCard from '@/components/BenchRungCard.vue'
import CommandList from '@/components/CommandList.vue'
import DeskLineField from '@/components/DeskLineField.vue'
import JoinDesk from '@/components/JoinDesk.vue'
import PhaseTable from '@/components/PhaseTable.vue'
import PracticeChooser from '@/components/PracticeChooser.vue'
import SlideStyle from '@/components/SlideStyle.vue'
import SpareBoard from '@/components/SpareBoard.vue'
import StepPicture from '@/components/StepPicture.vue'
import StoryChooser from '@/components/StoryChooser.vue'
import WallNumbers from '@/components/WallNumbers.vue'
import { offerCommands } from '@/composables/useCommands'
import { asked, bad, good, later } from './api'
import { example, lesson, line, slide, text } from './made'
import { button, read, scene, stand } from './mounted'

vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))
vi.mock('@/components/MathInput.vue', () => import('./math_input'))
enableAutoUnmount(afterEach)
beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] })
  for (const call of Object.values(asked)) call.mockReset()
  asked.GET.mockImplementation(() => good([]))
  asked.POST.mockImplementation(() => good([]))
})
afterEach(() => vi.useRealTimers())

/** Everything that waits has come. */
async function settled(): Promise<void> {
  await vi.runAllTimersAsync()
  await nextTick()
}
const body = (call: keyof typeof asked, at = 0): Record<string, unknown> => asked[call].mock.calls[at]![1].body

describe('sitting down', () => {
  const join = () => stand(JoinDesk, { link: 'abc' })

  it('sends a name, and no code', async () => {
    const wrapper = join()
    await wrapper.find('input[name="name"]').setValue('Hana')
    await wrapper.find('form').trigger('submit')
    await settled()
    expect(body('POST')).toEqual({ name: 'Hana', code: undefined })
    expect(wrapper.emitted('joined')).toHaveLength(1)
  })

  it('asks for the code where the name is taken, and sends both', async () => {
    asked.POST.mockImplementation(() => bad('taken', { says: 'Somebody with this name sits here already.' }))
    const wrapper = join()
    await wrapper.find('input[name="name"]').setValue('Hana')
    expect(wrapper.find('input[name="code"]').exists()).toBe(false)
    await wrapper.find('form').trigger('submit')
    await settled()
    expect(read(wrapper)).toContain('sits here already')
    await wrapper.find('input[name="code"]').setValue('k7pm')
    await wrapper.find('form').trigger('submit')
    await settled()
    expect(body('POST', 1)).toEqual({ name: 'Hana', code: 'k7pm' })
  })

  it('takes somebody back who has a code', async () => {
    const wrapper = join()
    await button(wrapper, 'I have sat here before, and have a code').trigger('click')
    expect(wrapper.find('input[name="code"]').exists()).toBe(true)
  })
})

describe('the phases of a plan', () => {
  const plan = (minutes: number[], length: number, slides = [slide(1, [text('a')], { phase: 'teach' }), slide(2, [text('b')], { phase: 'review' })]): Lesson =>
    reactive(lesson(slides, { minutes: length, phases: (['starter', 'teach', 'review'] as PhaseKind[]).map((kind, at) => ({ kind, minutes: minutes[at]!, grouping: 'class', teacher: '', students: '' })) } as unknown as Partial<Lesson>))
  const table = (of: Lesson) => stand(PhaseTable, { modelValue: of })

  it.each([
    [[5, 30, 10], 45, 'The phases fill the 45 minutes.'],
    [[5, 30, 11], 45, 'The phases take 1 minute more than the lesson has.'],
    [[5, 40, 10], 45, 'The phases take 10 minutes more than the lesson has.'],
    [[5, 20, 10], 45, 'The phases leave 10 minutes free.'],
  ])('%j of %i minutes', (minutes, length, said) => {
    expect(read(table(plan(minutes, length)).find('[role="status"]'))).toContain(said)
  })

  it('offers what would make them add up, and takes it', async () => {
    const mend: Mend = { says: 'Shorten Teach by 5', minutes: [5, 25, 10], length: 40 }
    asked.POST.mockImplementation(() => good([mend]))
    const mine = plan([5, 30, 10], 40)
    const wrapper = table(mine)
    await settled()
    await button(wrapper, 'Shorten Teach by 5').trigger('click')
    expect(mine.phases.map((phase) => phase.minutes)).toEqual([5, 25, 10])
    expect(mine.minutes).toBe(40)
  })

  it('offers nothing when the server is not reached', async () => {
    asked.POST.mockImplementation(() => bad('internal'))
    const wrapper = table(plan([5, 30, 10], 40))
    await settled()
    expect(wrapper.find('.sum button').exists()).toBe(false)
  })

  it('shows how many minutes its slides take, and whether they differ', () => {
    const shown = table(plan([5, 30, 6], 45)).findAll('.what .soft')
    expect(shown.map(read)).toEqual(['6 min on slides', '6 min on slides'])
    expect(shown.map((one) => one.classes().includes('off'))).toEqual([true, false])
  })

  it('names a phase without slides', () => {
    expect(table(plan([5, 30, 10], 45)).findAll('.none')).toHaveLength(1)
  })

  it('tells which slide was pressed, and where one is to be added', async () => {
    const wrapper = table(plan([5, 30, 10], 45))
    await button(wrapper, 'Slide 2').trigger('click')
    await button(wrapper, 'Starter: Add a slide').trigger('click')
    expect(wrapper.emitted('slide')).toEqual([[2]])
    expect(wrapper.emitted('add')).toEqual([['starter']])
  })

  it('moves a slide behind those of another phase, and the lesson keeps the order of its phases', async () => {
    const mine = plan([5, 30, 10], 45)
    const wrapper = table(mine)
    wrapper.findAllComponents({ name: 'ElSelect' }).find((one) => one.props('ariaLabel') === 'Slide 1: Move to another phase')!.vm.$emit('update:modelValue', 'review')
    await nextTick()
    expect(mine.slides.map((one) => [one.id, one.phase])).toEqual([[2, 'review'], [1, 'review']])
  })
})

describe('the spare board', () => {
  const judged = (...words: string[]) => good({ lines: words.map((word) => ({ verdict: { word, says: `says ${word}` } })) })
  async function board(lines: string[]) {
    const held = reactive(lines)
    const wrapper: VueWrapper = stand(SpareBoard, { modelValue: held, 'onUpdate:modelValue': (now: string[]) => wrapper.setProps({ modelValue: now }) })
    await settled()
    return { wrapper, lines: held }
  }
  /** What is heard beside each line: a verdict once, and why. */
  const said = (wrapper: VueWrapper): string[] =>
    wrapper.findAll('.said').map((one) => one.findAll('.only-heard, .why').map(read).join(': '))

  it('says nothing of an empty board, and asks nobody', async () => {
    const { wrapper } = await board([''])
    expect(asked.POST).not.toHaveBeenCalled()
    expect(said(wrapper)).toEqual([''])
  })

  it('compares each line with the one above: the first has no verdict', async () => {
    asked.POST.mockImplementation(() => judged('given', 'breaks'))
    expect(said((await board(['2x=6', 'x=4'])).wrapper)).toEqual(['', 'breaks: says breaks'])
  })

  it('says of the first line only that it cannot be read', async () => {
    asked.POST.mockImplementation(() => judged('cant_read'))
    expect(said((await board(['2x=='])).wrapper)[0]).toContain('can’t read')
  })

  it('counts past empty lines', async () => {
    asked.POST.mockImplementation(() => judged('given', 'holds'))
    const { wrapper } = await board(['2x=6', '', 'x=3'])
    expect(body('POST').lines).toEqual([{ text: '2x=6', latex: true }, { text: 'x=3', latex: true }])
    expect(said(wrapper)).toEqual(['', '', 'holds: says holds'])
  })

  it('drops an answer that a newer one has overtaken', async () => {
    const slow = later()
    asked.POST.mockReturnValueOnce(slow.answer)
    asked.POST.mockReturnValueOnce(judged('given', 'holds'))
    const { wrapper } = await board(['2x=6', 'x=3'])
    wrapper.findAllComponents({ name: 'MathInput' })[0]!.vm.$emit('enter')
    await settled()
    expect(said(wrapper)[1]).toBe('holds: says holds')
    slow.give({ lines: [{ verdict: { word: 'given' } }, { verdict: { word: 'breaks', says: 'late' } }] })
    await settled()
    expect(said(wrapper)[1]).toBe('holds: says holds')
  })

  it('tells when the server does not answer, and keeps the lines', async () => {
    asked.POST.mockImplementation(() => bad('internal', { says: 'Try again in a moment.' }))
    const { wrapper, lines } = await board(['2x=6'])
    expect(read(wrapper.find('[role="alert"]'))).toBe('Try again in a moment.')
    expect(lines).toEqual(['2x=6'])
  })

  it('has at most twelve lines, and always one', async () => {
    asked.POST.mockImplementation(() => judged())
    const { wrapper, lines } = await board(Array.from({ length: 12 }, () => 'x'))
    const fields = () => wrapper.findAllComponents({ name: 'MathInput' })
    fields().at(-1)!.vm.$emit('enter')
    await settled()
    expect(lines).toHaveLength(12)
    for (let n = 0; n < 15; n += 1) fields()[0]!.vm.$emit('emptyBackspace')
    await settled()
    expect(lines.length).toBeGreaterThanOrEqual(1)
  })

  it('is wiped, and is left with Escape', async () => {
    asked.POST.mockImplementation(() => judged('given', 'holds'))
    const { wrapper } = await board(['2x=6', 'x=3'])
    await button(wrapper, 'Wipe the board').trigger('click')
    await settled()
    expect(wrapper.findAll('li')).toHaveLength(1)
    expect(said(wrapper)).toEqual([''])
    await wrapper.find('section').trigger('keydown', { key: 'Escape' })
    expect(wrapper.emitted('close')).toHaveLength(1)
  })
})

describe('a rung on the bench', () => {
  const rung = { skill: 'percent-part', stage: 'grip', prompt: 'Find 15% of 60.', answer: { text: '9', latex: '9' }, working: [], story: false }
  const lying = (more: object = {}) => ({ number: 2, key: 7, locked: false, worded: false, typed: false, numbers: ['15', '60'], rung, ...more })
  function card(more: object = {}, made = true) {
    const change = vi.fn(() => Promise.resolve(made))
    return { change, wrapper: stand(BenchRungCard, { lying: lying(more), keyShown: false, change }) }
  }

  it.each([
    ['Draw again', { kind: 'reroll', key: 7 }],
    ['Easier', { kind: 'easier', key: 7 }],
    ['Harder', { kind: 'harder', key: 7 }],
    ['Move up', { kind: 'move', key: 7, by: -1 }],
    ['Move down', { kind: 'move', key: 7, by: 1 }],
    ['Lock', { kind: 'lock', key: 7, locked: true }],
    ['Take away', { kind: 'remove', key: 7 }],
  ])('%s', async (name, wanted) => {
    const { change, wrapper } = card()
    await button(wrapper, `${name}: Rung 2`).trigger('click')
    expect(change).toHaveBeenCalledWith(wanted)
  })

  it('one that was typed is not drawn again', () => {
    const { wrapper } = card({ typed: true })
    for (const name of ['Draw again', 'Easier', 'Harder']) expect(button(wrapper, `${name}: Rung 2`).attributes('disabled')).toBeDefined()
  })

  it('one that is locked says so, and is unlocked by the same button', async () => {
    const { change, wrapper } = card({ locked: true })
    expect(button(wrapper, 'Lock: Rung 2').attributes('aria-pressed')).toBe('true')
    await button(wrapper, 'Lock: Rung 2').trigger('click')
    expect(change).toHaveBeenCalledWith({ kind: 'lock', key: 7, locked: false })
  })

  it('takes another number, and only one that is another', async () => {
    const { change, wrapper } = card()
    await button(wrapper, 'Change: Rung 2').trigger('click')
    const field = wrapper.find('input[aria-label="Number 2"]')
    await field.trigger('change')
    expect(change).not.toHaveBeenCalled()
    await field.setValue('80')
    await field.trigger('change')
    expect(change).toHaveBeenCalledWith({ kind: 'number', key: 7, at: 1, to: '80' })
  })

  it('goes back to what stands when a number was refused', async () => {
    const { wrapper } = card({}, false)
    await button(wrapper, 'Change: Rung 2').trigger('click')
    const field = wrapper.find('input[aria-label="Number 2"]')
    await field.setValue('0')
    await field.trigger('change')
    await settled()
    expect((wrapper.find('input[aria-label="Number 2"]').element as HTMLInputElement).value).toBe('60')
  })

  it('has no numbers to change where the words are the teacher’s own', async () => {
    const { wrapper } = card({ worded: true })
    await button(wrapper, 'Change: Rung 2').trigger('click')
    expect(wrapper.find('.numbers').exists()).toBe(false)
    expect(read(wrapper)).toContain('Back to its own words')
  })
})

describe('a problem for a slide', () => {
  const cards = [{ id: 'percent-part', title: 'Part of a quantity', first_grade: 6, last_grade: 8 }]
  beforeEach(() => asked.GET.mockImplementation(() => good(cards)))

  it('that was typed is posed, and handed over', async () => {
    const block = { kind: 'practice' }
    asked.POST.mockImplementation((path: string) => (path.endsWith('understood') ? good({ says: 'Solve $3x + 5 = 20$.', title: 'Linear equations' }) : good({ block, pictures: [] })))
    const wrapper = stand(PracticeChooser, { grade: 6 })
    expect(button(wrapper, 'Take it').attributes('disabled')).toBeDefined()
    await wrapper.find('input').setValue('3x + 5 = 20')
    await wrapper.findAll('form')[0]!.trigger('submit')
    await settled()
    expect(body('POST')).toEqual({ kind: 'typed', problem: '3x + 5 = 20' })
    expect(wrapper.emitted('made')).toEqual([[block]])
    // What was understood stands below the field.
    expect(read(wrapper.find('.reading'))).toContain('Linear equations')
  })

  it('that cannot be posed says why and hands nothing over', async () => {
    asked.POST.mockImplementation(() => bad('bad', { says: 'A side is missing.' }))
    const wrapper = stand(PracticeChooser, {})
    await wrapper.find('input').setValue('3x =')
    await wrapper.findAll('form')[0]!.trigger('submit')
    await settled()
    expect(read(wrapper.find('[role="alert"]'))).toContain('A side is missing.')
    expect(wrapper.emitted('made')).toBeUndefined()
  })

  it('that is drawn begins with the skill of the lesson', async () => {
    const wrapper = stand(PracticeChooser, { skill: 'percent-part' })
    await wrapper.findAll('form')[1]!.trigger('submit')
    await settled()
    expect(body('POST')).toMatchObject({ kind: 'drawn', skill: 'percent-part', stage: 'grip' })
  })
})

describe('other numbers on the wall', () => {
  const shown = example([line('3x + 5 = 20'), line('x = 5')], { problem: '3x + 5 = 20', skill: 'equations-two-step', method: 'balance', drawn: { stage: 'grip', seed: 1 } } as never)
  const numbers = (wrapper: VueWrapper) => wrapper.findAll('input')

  it('has a field for each number, and leaves the rest of the line', () => {
    const wrapper = stand(WallNumbers, { example: shown })
    expect(numbers(wrapper).map((one) => (one.element as HTMLInputElement).value)).toEqual(['3', '5', '20'])
    expect(read(wrapper.find('.problem'))).toBe('x + =')
  })

  it('works the line with the numbers that stand there now', async () => {
    const other = example([line('4x + 5 = 20')])
    asked.POST.mockImplementation(() => good({ example: other, pictures: [] }))
    const wrapper = stand(WallNumbers, { example: shown })
    await numbers(wrapper)[0]!.setValue('4')
    await wrapper.trigger('submit')
    await settled()
    expect(body('POST')).toEqual({ kind: 'typed', problem: { text: '4x + 5 = 20', latex: false }, method: 'balance' })
    expect(wrapper.emitted('changed')).toEqual([[other, []]])
  })

  it('does nothing when no number is another', async () => {
    const wrapper = stand(WallNumbers, { example: shown })
    await wrapper.trigger('submit')
    expect(asked.POST).not.toHaveBeenCalled()
  })

  it('says why numbers do not fit, and changes nothing', async () => {
    asked.POST.mockImplementation(() => bad('bad', { says: 'With 0 there is nothing to solve.' }))
    const wrapper = stand(WallNumbers, { example: shown })
    await numbers(wrapper)[0]!.setValue('0')
    await wrapper.trigger('submit')
    await settled()
    expect(read(wrapper.find('[role="alert"]'))).toBe('With 0 there is nothing to solve.')
    expect(wrapper.emitted('changed')).toBeUndefined()
  })

  it('of a story are drawn, not typed', async () => {
    const story = { ...shown, prompt: 'Rosa fills jars.' }
    const wrapper = stand(WallNumbers, { example: story })
    expect(numbers(wrapper)).toHaveLength(0)
    await button(wrapper, 'Draw other numbers').trigger('click')
    await settled()
    expect(body('POST')).toMatchObject({ kind: 'drawn', skill: 'equations-two-step', stage: 'grip', method: 'balance' })
  })
})

describe('the list of commands', () => {
  const run = vi.fn()
  /** A screen that offers something, with the list above it. */
  const screen = defineComponent({
    setup() {
      offerCommands(() => [{ says: 'Print the sheet', run }, { says: 'Print the key', run }])
      return () => h(CommandList)
    },
  })
  async function opened() {
    run.mockReset()
    asked.GET.mockImplementation((path: string) => good({ entries: path === '/api/lessons' ? [{ id: 4, title: 'Equal ratios', grade: 6 }] : [{ id: 9, title: 'Ratios, climbing' }] }))
    const wrapper = stand(screen)
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'k', ctrlKey: true }))
    await settled()
    return wrapper
  }
  const options = (wrapper: VueWrapper): string[] => wrapper.findAll('[role="option"]').map(read)
  const chosen = (wrapper: VueWrapper): string => read(wrapper.find('[aria-selected="true"]'))

  it('opens with Control and K, and has what the screen offers first', async () => {
    const all = options(await opened())
    expect(all.slice(0, 3)).toEqual(['Print the sheet', 'Print the key', 'To the shelf'])
    expect(all).toContain('Equal ratiosLesson · Grade 6')
    expect(all).toContain('Ratios, climbingLadder')
  })

  it('finds by a few letters of each word, in any order', async () => {
    const wrapper = await opened()
    await wrapper.find('input').setValue('ke pri')
    expect(options(wrapper)).toEqual(['Print the key'])
  })

  it('says so when nothing is called that', async () => {
    const wrapper = await opened()
    await wrapper.find('input').setValue('zzz')
    expect(read(wrapper.find('[role="status"]'))).toContain('Nothing is called that')
  })

  it('goes round with the arrows, and begins anew when something is typed', async () => {
    const wrapper = await opened()
    const field = wrapper.find('input')
    await field.trigger('keydown', { key: 'ArrowDown' })
    await nextTick()
    expect(chosen(wrapper)).toBe('Print the key')
    await field.setValue('print')
    expect(chosen(wrapper)).toBe('Print the sheet')
    await field.trigger('keydown', { key: 'ArrowUp' })
    await nextTick()
    expect(chosen(wrapper)).toBe('Print the key')
  })

  it('does what is chosen with Enter, and shuts', async () => {
    const wrapper = await opened()
    await wrapper.find('input').trigger('keydown', { key: 'Enter' })
    expect(run).toHaveBeenCalledOnce()
    expect(wrapper.find('[role="dialog"]').exists()).toBe(false)
  })

  it.each(['Escape'])('shuts with %s and does nothing', async (key) => {
    const wrapper = await opened()
    await wrapper.find('[role="dialog"]').trigger('keydown', { key })
    expect(wrapper.find('[role="dialog"]').exists()).toBe(false)
    expect(run).not.toHaveBeenCalled()
  })
})

describe('a line on the Step Desk', () => {
  const place = { link: 'abc', number: 2, line: 0 }
  const written = (more: object = {}) => ({ text: '2x=7', latex: true, ...more })
  const verdict = (word: string, more: object = {}) => ({ reading: '2x=7', plain: '2x = 7', speech: '2 x equals 7', answers: false, verdict: { word }, ...more })
  const field = (props: object) => stand(DeskLineField, { line: written(), label: 'Line 2', removable: true, place, ...props })

  it('has no verdict before there is one', () => {
    expect(field({}).find('[role="status"]').exists()).toBe(false)
  })

  it('speaks the line as it was read before what is said of it', () => {
    const said = read(field({ verdict: verdict('breaks') }).find('[role="status"]'))
    expect(said.startsWith('2 x equals 7:')).toBe(true)
    expect(said).toContain('breaks')
  })

  it('offers help only where there is some', () => {
    expect(read(field({ verdict: verdict('breaks', { hints: ['What was done?'] }) }))).toContain('A hint')
    expect(read(field({ verdict: verdict('holds') }))).not.toContain('A hint')
  })

  it('offers to mend what could not be read, and writes the mend', async () => {
    const wrapper = field({ line: written({ latex: false, text: '3(x+1' }), verdict: verdict('cant_read', { error: { start: 1, end: 2, mended: '3(x+1)' } }) })
    await button(wrapper, 'Mend it').trigger('click')
    expect(wrapper.emitted('write')).toEqual([['3(x+1)', false]])
  })

  it('has no picture of what it could not read', () => {
    expect(read(field({ verdict: verdict('cant_read') }))).not.toContain('See it')
    expect(read(field({ verdict: verdict('holds') }))).toContain('See it')
  })

  it('closes its picture when the line is judged anew', async () => {
    asked.GET.mockImplementation(() => good({ above: { latex: 'x' }, line: { latex: 'x', curves: scene } }))
    const wrapper = field({ verdict: verdict('breaks') })
    await button(wrapper, 'See it').trigger('click')
    await settled()
    expect(wrapper.find('[role="img"]').exists()).toBe(true)
    await wrapper.setProps({ verdict: verdict('holds') })
    expect(wrapper.find('[role="img"]').exists()).toBe(false)
  })

  it('turns from words to mathematics while it is empty', async () => {
    expect(read(field({ line: written({ text: '' }) }))).not.toContain('Write mathematics')
    const empty = field({ line: written({ text: '', latex: false }) })
    await button(empty, 'Write mathematics').trigger('click')
    expect(empty.emitted('write')).toEqual([['', true]])
  })

  it('is taken out, where it may be', async () => {
    const wrapper = field({})
    await button(wrapper, 'Take this line out: Line 2').trigger('click')
    expect(wrapper.emitted('remove')).toHaveLength(1)
    expect(read(field({ removable: false }))).not.toContain('✕')
  })
})

describe('sitting down, seeing a step, and stories', () => {
  it('joins by name, and hands the desk over', async () => {
    const desk = { student: 'Jonas' }
    asked.POST.mockImplementation(() => good(desk))
    const wrapper = stand(JoinDesk, { link: 'abc' })
    await wrapper.find('input').setValue('Jonas')
    await wrapper.trigger('submit')
    await settled()
    expect(body('POST')).toEqual({ name: 'Jonas' })
    expect(wrapper.emitted('joined')).toEqual([[desk]])
  })

  it('says why a name is not taken, and keeps it', async () => {
    asked.POST.mockImplementation(() => bad('bad', { says: 'Write your first name.' }))
    const wrapper = stand(JoinDesk, { link: 'abc' })
    await wrapper.trigger('submit')
    await settled()
    expect(read(wrapper.find('[role="alert"]'))).toBe('Write your first name.')
    expect(wrapper.emitted('joined')).toBeUndefined()
  })

  it('shows a step as two pictures, or says why there is none', async () => {
    asked.GET.mockImplementation(() => good({ above: { latex: 'x', curves: scene }, line: { latex: 'x', curves: scene, solutions: scene } }))
    const seen = stand(StepPicture, { link: 'abc', number: 1, line: 1 })
    await settled()
    expect(seen.findAll('[role="img"]')).toHaveLength(3)
    asked.GET.mockImplementation(() => bad('not_found', { says: 'This line has no picture.' }))
    const none = stand(StepPicture, { link: 'abc', number: 1, line: 1 })
    await settled()
    expect(read(none)).toBe('This line has no picture.')
  })

  it('tells a scenario that was changed from those that are kept', async () => {
    const world = { title: 'The bakery', place: '', people: [], things: [] }
    asked.GET.mockImplementation(() => good([{ id: 3, revision: 1, world }]))
    const select = (of: unknown) => stand(StoryChooser, { modelValue: of })
    const kept = select({ ...world })
    const changed = select({ ...world, title: 'The old bakery' })
    const none = select(null)
    await settled()
    const value = (wrapper: VueWrapper): unknown => wrapper.findComponent({ name: 'ElSelect' }).props('modelValue')
    expect([value(kept), value(changed), value(none)]).toEqual([3, -1, 0])
  })
})

describe('how slides look', () => {
  it('gives each quantity a colour that is free, and at most six', async () => {
    const mine = reactive(lesson([]))
    const wrapper = stand(SlideStyle, { modelValue: mine })
    for (let n = 0; n < 4; n += 1) await button(wrapper, '+ One more').trigger('click')
    expect(new Set(mine.meanings!.map((one) => one.colour)).size).toBe(4)
    for (let n = 0; n < 2; n += 1) await button(wrapper, '+ One more').trigger('click')
    expect(read(wrapper)).not.toContain('One more')
  })

  it('takes a quantity out by its name, and the others keep their colours', async () => {
    const meanings = [{ what: 'jars', colour: 'honey' }, { what: 'frames', colour: 'sky' }] as Lesson['meanings']
    const mine = reactive(lesson([], { meanings }))
    const wrapper = stand(SlideStyle, { modelValue: mine })
    await button(wrapper, 'Take out jars').trigger('click')
    expect(mine.meanings).toEqual([{ what: 'frames', colour: 'sky' }])
    expect(wrapper.findAll('.sample').map(read)).toEqual(['frames'])
  })

  it('keeps daylight as nothing, so that a lesson without a theme stays one', async () => {
    const mine = reactive(lesson([], { theme: 'dusk' }))
    const wrapper = stand(SlideStyle, { modelValue: mine })
    await wrapper.findAll('input[type="radio"]')[0]!.setValue(true)
    expect(mine.theme).toBeUndefined()
  })
})
