/** Small components: what they say, what they hide, and what they tell the screen they stand on. */
import { enableAutoUnmount } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import type { JudgedLine, SlipOffer, Spotted, VerdictWord, WorkingLine } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import FindingList from '@/components/FindingList.vue'
import HintSteps from '@/components/HintSteps.vue'
import JudgedLines from '@/components/JudgedLines.vue'
import KeysList from '@/components/KeysList.vue'
import LadderList from '@/components/LadderList.vue'
import ListEditor from '@/components/ListEditor.vue'
import MathLine from '@/components/MathLine.vue'
import MathText from '@/components/MathText.vue'
import RowMenu from '@/components/RowMenu.vue'
import SceneView from '@/components/SceneView.vue'
import SlideJump from '@/components/SlideJump.vue'
import SlipChooser from '@/components/SlipChooser.vue'
import VerdictMark from '@/components/VerdictMark.vue'
import WorkingLines from '@/components/WorkingLines.vue'
import { verdictNames } from '@/words'
import { kindNames } from '@/words/look'
import { line, slide, text } from './made'
import { button, pictures, read, scene, stand } from './mounted'

enableAutoUnmount(afterEach)

describe('a verdict', () => {
  const every = Object.keys(verdictNames) as VerdictWord[]
  const drawn = (word: VerdictWord): string => stand(VerdictMark, { word }).find('svg').html()

  it.each(every)('%s has its word', (word) => {
    expect(read(stand(VerdictMark, { word }))).toBe(verdictNames[word])
  })

  it('has a drawing that no other verdict has', () => {
    expect(new Set(every.map(drawn)).size).toBe(every.length)
  })

  it('keeps its word for those who listen where it stands bare', () => {
    const bare = stand(VerdictMark, { word: 'breaks', bare: true })
    expect(bare.find('.only-heard').text()).toBe(verdictNames.breaks)
    expect(bare.find('svg').attributes('aria-hidden')).toBe('true')
  })

  it.each([
    ['holds', 'holds'],
    ['holds_so_far', 'holds'],
    ['breaks', 'breaks'],
    ['adds_solution', 'changes'],
    ['drops_solution', 'changes'],
    ['cant_tell', 'open'],
    ['cant_read', 'open'],
  ] as const)('%s has the tone of “%s”', (word, tone) => {
    expect(stand(VerdictMark, { word }).classes()).toContain(tone)
  })
})

describe('hints', () => {
  const hints = ['What was done to the left?', 'Do the same to the right.', 'Subtract $5$.']

  it('come one at each press, and then no more', async () => {
    const wrapper = stand(HintSteps, { hints, ask: 'A hint' })
    expect(wrapper.findAll('li')).toHaveLength(0)
    for (const [at, name] of ['A hint', 'A stronger hint', 'A stronger hint'].entries()) {
      await button(wrapper, name).trigger('click')
      expect(wrapper.findAll('li')).toHaveLength(at + 1)
    }
    expect(wrapper.find('button').exists()).toBe(false)
  })

  it('close when the line, and with it what helps, has changed', async () => {
    const wrapper = stand(HintSteps, { hints, ask: 'A hint' })
    await button(wrapper, 'A hint').trigger('click')
    await wrapper.setProps({ hints: ['Something else.'] })
    expect(wrapper.findAll('li')).toHaveLength(0)
  })

  it('stay open when the same ones come again', async () => {
    const wrapper = stand(HintSteps, { hints, ask: 'A hint' })
    await button(wrapper, 'A hint').trigger('click')
    await wrapper.setProps({ hints: [...hints] })
    expect(wrapper.findAll('li')).toHaveLength(1)
  })

  it('are told to those who listen', async () => {
    const wrapper = stand(HintSteps, { hints, ask: 'A hint' })
    await button(wrapper, 'A hint').trigger('click')
    expect(wrapper.find('ol').attributes('role')).toBe('status')
  })

  it('that are none take no place', () => {
    expect(read(stand(HintSteps, { hints: [], ask: 'A hint' }))).toBe('')
  })
})

describe('lines of a student', () => {
  const judged = (more: Partial<JudgedLine>): JudgedLine =>
    ({ reading: '2x=6', plain: '2x = 6', speech: '2 x equals 6', answers: false, verdict: { word: 'holds' }, ...more }) as JudgedLine

  it('are spoken as they were read', () => {
    expect(stand(JudgedLines, { lines: [judged({})] }).find('.only-heard').text()).toBe('2 x equals 6')
  })

  it('that could not be read stand as they were typed', () => {
    const shown = stand(JudgedLines, { lines: [judged({ reading: '', plain: '2x ==', verdict: { word: 'cant_read', says: 'Finish the line.' } as JudgedLine['verdict'] })] })
    expect(read(shown)).toContain('2x ==')
    expect(read(shown)).toContain('Finish the line.')
  })

  it('that are empty have a dash', () => {
    expect(read(stand(JudgedLines, { lines: [judged({ reading: '', plain: '' })] }))).toContain('—')
  })

  it('say what was done, why, and where it holds, in that order', () => {
    const verdict = { word: 'holds', made: 'Divided by $x$', says: 'Look at zero', domain: '$x ≠ 0$' } as JudgedLine['verdict']
    expect(read(stand(JudgedLines, { lines: [judged({ verdict })] }).find('.says'))).toMatch(/^Divided by .*\. Look at zero\. /)
  })
})

describe('a failure', () => {
  const failure = { kind: 'unreadable', says: 'A bracket is not closed.', mended: '3(x + 1)' }

  it('is told at once, with one press to mend it', async () => {
    const note = stand(FailureNote, { failure })
    expect(note.attributes('role')).toBe('alert')
    await button(note, '3(x + 1)').trigger('click')
    expect(note.emitted('mend')).toEqual([['3(x + 1)']])
  })

  it('can be tried again where that may help', async () => {
    const note = stand(FailureNote, { failure: { kind: 'internal', says: 'Try again.' }, retry: true })
    await note.find('button').trigger('click')
    expect(note.emitted('again')).toHaveLength(1)
    expect(stand(FailureNote, { failure: { kind: 'internal', says: 'Try again.' } }).find('button').exists()).toBe(false)
  })
})

describe('what was found in a text', () => {
  const found = (more: Partial<Spotted>): Spotted => ({ kind: 'false-equality', found: '', says: 'The sides differ.', place: { at: 'line', line: 3 }, ...more }) as unknown as Spotted
  const list = (findings: Spotted[]) => stand(FindingList, { findings, placeOf: () => 'Line 3' })

  it('nothing is said, too', () => {
    expect(read(list([]))).toContain('Nothing to mend here.')
  })

  it.each([[1, 'One thing to look at.'], [2, '2 things to look at.']])('%i', (count, said) => {
    expect(read(list(Array.from({ length: count }, () => found({}))).find('[role="status"]'))).toContain(said)
  })

  it('has its kind, its place, its reason and what is better', () => {
    const said = read(list([found({ found: '$42 - 7 = 34$', mend: '35' })]))
    for (const part of [kindNames['false-equality'], 'Line 3', 'The sides differ.', 'Better: 35']) expect(said).toContain(part)
  })

  it('typesets LaTeX that stands without dollar signs', () => {
    expect(list([found({ mend: '\\frac{1}{2}' })]).find('.mend .katex').exists()).toBe(true)
    expect(list([found({ mend: 'the jars' })]).find('.mend .katex').exists()).toBe(false)
  })
})

describe('mathematics', () => {
  it('in a text stands between dollar signs, and stressed words between stars', () => {
    const shown = stand(MathText, { text: 'Take *both* sides of $2x = 6$ by $2$.' })
    expect(shown.findAll('.math-line')).toHaveLength(2)
    expect(shown.find('em').text()).toBe('both')
  })

  it('without an end does not swallow the text in front of it', () => {
    expect(read(stand(MathText, { text: 'It costs $5' }))).toContain('It costs')
  })

  it.each(['<img src=x onerror=alert(1)>', '<script>alert(1)</' + 'script>'])('%s in a text is only text', (bad) => {
    const shown = stand(MathText, { text: bad })
    expect(shown.element.querySelector('img, script')).toBeNull()
    expect(read(shown)).toContain('alert(1)')
  })

  it.each(['\\href{javascript:alert(1)}{x}', '\\htmlClass{a}{x}', '\\includegraphics{x}'])('%s is not trusted', (bad) => {
    expect(stand(MathLine, { latex: bad }).element.querySelector('a, img, .a')).toBeNull()
  })

  it('that cannot be typeset does not take the page along', () => {
    expect(() => stand(MathLine, { latex: '\\frac{1}{' })).not.toThrow()
  })

  it('with words of its own is heard in them alone', () => {
    const shown = stand(MathLine, { latex: 'x^2', speech: 'x squared' })
    expect(shown.find('[aria-hidden="true"] .katex').exists()).toBe(true)
    expect(shown.find('.only-heard').text()).toBe('x squared')
    expect(shown.find('math').exists()).toBe(false)
    expect(stand(MathLine, { latex: 'x^2' }).find('math').exists()).toBe(true)
  })

  it('of pairs breaks behind an "or", not within a pair', () => {
    expect(stand(MathLine, { latex: '(1;2)\\text{ or }(3;4)' }).classes()).toContain('pairs')
    expect(stand(MathLine, { latex: 'x=1\\text{ or }x=3' }).classes()).not.toContain('pairs')
  })
})

describe('a working', () => {
  const lines = ['2x = 6', 'x = 3'].map((math) => line(math)) as WorkingLine[]

  it('keeps the place of lines that are yet to come, unseen and unheard', () => {
    const rows = stand(WorkingLines, { lines, shown: 1 }).findAll('li')
    expect(rows.map((row) => row.classes().includes('hidden'))).toEqual([false, true])
    expect(rows.map((row) => row.attributes('aria-hidden'))).toEqual(['false', 'true'])
  })

  it('tells the line that has just come', () => {
    expect(stand(WorkingLines, { lines, shown: 2 }).findAll('li').map((row) => row.classes().includes('fresh'))).toEqual([false, true])
  })

  it('reads a sentence as text', () => {
    const sentence = [line('So Rosa fills 5 jars.', { latex: '' })] as WorkingLine[]
    expect(stand(WorkingLines, { lines: sentence }).find('.math .katex').exists()).toBe(false)
  })
})

describe('a list of short texts', () => {
  const list = (texts: string[], more: Record<string, unknown> = {}) => stand(ListEditor, { modelValue: texts, label: 'Objectives', ...more })

  it('begins the next one with Enter, and the cursor stands in it', async () => {
    const texts = ['first', 'second']
    const wrapper = list(texts)
    await wrapper.findAll('input')[0]!.trigger('keydown', { key: 'Enter' })
    await wrapper.setProps({ modelValue: [...texts] })
    expect(texts).toEqual(['first', '', 'second'])
  })

  it('takes no more than its most', async () => {
    const texts = ['a', 'b']
    const wrapper = list(texts, { most: 2 })
    expect(wrapper.findAll('button').map(read)).not.toContain('+ Add')
    await wrapper.findAll('input')[0]!.trigger('keydown', { key: 'Enter' })
    expect(texts).toHaveLength(2)
  })

  it('names every field and every button for those who listen', () => {
    const wrapper = list(['first', ''])
    expect(wrapper.findAll('input').map((one) => one.attributes('aria-label'))).toEqual(['Objectives: Entry 1', 'Objectives: Entry 2'])
    expect(wrapper.findAll('.row:not(.more) button').map((one) => one.attributes('aria-label'))).toEqual(['Take out first', 'Take out this one'])
  })
})

describe('a short menu', () => {
  const deeds = [{ deed: 'copy', says: 'Copy' }, { deed: 'join', says: 'Join', disabled: true }, { deed: 'send', says: 'Send' }]
  async function opened() {
    const wrapper = stand(RowMenu, { label: 'More: Slide 1', deeds })
    await wrapper.find('button').trigger('click')
    await nextTick()
    return wrapper
  }
  const focused = (): string => (document.activeElement as HTMLElement).textContent!.trim()

  it('costs nothing until it is opened', () => {
    const wrapper = stand(RowMenu, { label: 'More', deeds })
    expect(wrapper.find('[role="menu"]').exists()).toBe(false)
    expect(wrapper.find('button').attributes('aria-expanded')).toBe('false')
  })

  it('opens at its first entry; arrows go round past those that are shut', async () => {
    const wrapper = await opened()
    expect(focused()).toBe('Copy')
    await wrapper.find('[role="menu"]').trigger('keydown', { key: 'ArrowDown' })
    expect(focused()).toBe('Send')
    await wrapper.find('[role="menu"]').trigger('keydown', { key: 'ArrowDown' })
    expect(focused()).toBe('Copy')
    await wrapper.find('[role="menu"]').trigger('keydown', { key: 'ArrowUp' })
    expect(focused()).toBe('Send')
  })

  it('does what is chosen, shuts, and gives the cursor back', async () => {
    const wrapper = await opened()
    await wrapper.findAll('[role="menuitem"]')[2]!.trigger('click')
    expect(wrapper.emitted('deed')).toEqual([['send']])
    expect(wrapper.find('[role="menu"]').exists()).toBe(false)
    expect(document.activeElement).toBe(wrapper.find('button').element)
  })

  it.each(['Escape', 'Tab'])('shuts with %s and does nothing', async (key) => {
    const wrapper = await opened()
    await wrapper.find('[role="menu"]').trigger('keydown', { key })
    expect(wrapper.find('[role="menu"]').exists()).toBe(false)
    expect(wrapper.emitted('deed')).toBeUndefined()
  })

  it('shuts when something else is pressed', async () => {
    const wrapper = await opened()
    document.body.dispatchEvent(new Event('pointerdown', { bubbles: true }))
    window.dispatchEvent(new Event('pointerdown'))
    document.dispatchEvent(new Event('pointerdown', { bubbles: true }))
    await nextTick()
    expect(wrapper.find('[role="menu"]').exists()).toBe(false)
  })
})

describe('slips that can be put in', () => {
  const offer = (at: number, latex: string): SlipOffer => ({ slip: { line: at, id: 'kept-sign-when-moving' }, latex, speech: latex, says: `says ${latex}` }) as unknown as SlipOffer

  it('stand by the line that would break', async () => {
    const offers = [offer(1, '3x=9'), offer(2, 'x=9'), offer(1, '3x=7')]
    const wrapper = stand(SlipChooser, { offers })
    expect(wrapper.findAll('section').map((group) => group.findAll('li').length)).toEqual([2, 1])
    await wrapper.findAll('button')[1]!.trigger('click')
    expect(wrapper.emitted('choose')).toEqual([[offers[2]]])
  })

  it('that are none are said', () => {
    expect(read(stand(SlipChooser, { offers: [] }))).not.toBe('')
  })
})

describe('slides to jump to', () => {
  const slides = [slide(1, [text('a')]), slide(2, [text('b')])]
  const jump = () => stand(SlideJump, { slides, pictures, at: 1 })

  it('say which one is up, and begin there', async () => {
    const wrapper = jump()
    await nextTick()
    await nextTick()
    expect(wrapper.findAll('button').map((one) => one.attributes('aria-current'))).toEqual(['false', 'true'])
    expect(document.activeElement).toBe(wrapper.findAll('button')[1]!.element)
  })

  it('are chosen by one press, and left with Escape', async () => {
    const wrapper = jump()
    await wrapper.findAll('button')[0]!.trigger('click')
    await wrapper.trigger('keydown', { key: 'Escape' })
    expect(wrapper.emitted('jump')).toEqual([[0]])
    expect(wrapper.emitted('close')).toHaveLength(1)
  })
})

describe('pictures, keys, ladders', () => {
  it('a picture is an image with words, and nothing in it is heard twice', () => {
    const shown = stand(SceneView, { scene })
    expect(shown.attributes()).toMatchObject({ role: 'img', 'aria-label': scene.describes })
    expect(shown.find('svg').attributes('aria-hidden')).toBe('true')
  })

  it('a picture is as wide as it was drawn, unless it fills its place', () => {
    expect(stand(SceneView, { scene }).attributes('style')).toContain('320px')
    expect(stand(SceneView, { scene, grows: true, widest: 640 }).attributes('style')).toContain('--share: 0.5')
  })

  it('keys are a list of terms', () => {
    const keys = stand(KeysList, { keys: [['G', 'go to a slide'], ['B', 'blank']] })
    expect(keys.findAll('dt').map(read)).toEqual(['G', 'B'])
    expect(keys.findAll('dd').map(read)).toEqual(['go to a slide', 'blank'])
  })

  it('ladders of a lesson lead to their pages', () => {
    const list = stand(LadderList, { lesson: 3, ladders: [{ id: 9, title: 'Equal ratios', rungs: 12 }] })
    expect(list.find('li a').attributes('href')).toBe('/ladder/9')
    expect(stand(LadderList, { lesson: 3, ladders: [] }).find('li').exists()).toBe(false)
  })
})
