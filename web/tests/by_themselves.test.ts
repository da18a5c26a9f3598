/** Ladders and problems without a lesson, what colleagues offer, and a class that tells a lesson its methods. */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import NewLessonDialog from '@/components/NewLessonDialog.vue'
import OfferedShelf from '@/components/OfferedShelf.vue'
import FirstSteps from '@/components/FirstSteps.vue'
import SlideFace from '@/components/SlideFace.vue'
import LadderBench from '@/screens/LadderBench.vue'
import LadderScreen from '@/screens/LadderScreen.vue'
import ClassScreen from '@/screens/ClassScreen.vue'
import { asked, bad, good } from './api'
import { slide, text } from './made'
import { button, push, read, stand, whereTo } from './mounted'

vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))
enableAutoUnmount(afterEach)

const card = (id: string, title: string, strand: string, methods: string[] = []) => ({
  id,
  title,
  strand,
  first_grade: 6,
  last_grade: 8,
  objective: `I can do ${title}.`,
  methods: methods.map((method) => ({ id: method, title: `by ${method}` })),
})
const skills = [card('ratio.share', 'Sharing in a ratio', 'fractions_ratio'), card('equations.linear', 'Linear equations', 'algebra', ['balance', 'inverse'])]
const classes = [
  { id: 1, title: '7b', grade: 7, students: 8, methods: { 'equations.linear': 'inverse' } },
  { id: 2, title: '8a', grade: 8, students: 6, methods: {} },
]
const rung = { number: 1, key: 1, locked: false, worded: false, typed: false, numbers: [], rung: { skill: 'equations.linear', stage: 'grip', prompt: 'Solve $3x = 12$.', answer: { text: 'x = 4', latex: 'x = 4' }, working: [] } }
const order = { skills: ['equations.linear'], grip: 1, tilt: 0, climb: 0, seed: 3 }
const plan = { title: '', order, rungs: [{ key: 1 }], next_key: 2 }

/** What the server answers, by the end of the address. */
function answers(more: Record<string, unknown> = {}): void {
  const all: Record<string, unknown> = { '/api/skills': skills, '/api/classes': classes, '/api/bench': { revision: 2, plan, rungs: [rung] }, '/api/scenarios': [], ...more }
  asked.GET.mockImplementation((path: string) => (path in all ? good(all[path]) : bad('not_found')))
}
beforeEach(async () => {
  for (const call of Object.values(asked)) call.mockReset()
  await push('/')
})

describe('a ladder without a lesson', () => {
  async function bench() {
    answers()
    asked.POST.mockImplementation((path: string, { body }: { body: { change?: { order: object } } }) => good(path === '/api/ladders' ? { id: 8 } : { plan: { ...plan, order: body.change?.order ?? order }, rungs: [rung] }))
    asked.PUT.mockImplementation(() => good({ revision: 3 }))
    const wrapper = stand(LadderBench, {})
    await flushPromises()
    return wrapper
  }

  it('lies on the bench of the shelf, skills strand by strand, the chosen ones first', async () => {
    const wrapper = await bench()
    expect(asked.GET.mock.calls.map(([path]) => path)).toContain('/api/bench')
    expect(wrapper.findAll('.skills h3').map((one) => one.text())).toEqual(['Chosen', 'Fractions, ratio, percent'])
    expect(read(wrapper)).toContain('Put it on the shelf')
  })

  it('is worked by the methods of a class that is taught in its own way', async () => {
    const wrapper = await bench()
    const field = wrapper.findAll('.field').find((one) => read(one).startsWith('In the methods of'))
    expect(field).toBeDefined()
    const select = wrapper.findAllComponents({ name: 'ElSelect' }).find((one) => one.attributes('aria-label') === 'In the methods of' || one.props('ariaLabel') === 'In the methods of')
    select!.vm.$emit('update:modelValue', 1)
    await flushPromises()
    const change = asked.POST.mock.calls.map(([, { body }]) => body.change).find((one) => one?.kind === 'draw')
    expect(change.order.methods).toEqual({ 'equations.linear': 'inverse' })
    // A class with the usual methods is no choice of its own.
    expect(select!.findAllComponents({ name: 'ElOption' }).map((one) => one.props('label'))).toEqual(['7b'])
  })

  it('is put on the shelf, under the names of its skills where it has none', async () => {
    const wrapper = await bench()
    await button(wrapper, 'Put it on the shelf').trigger('click')
    await flushPromises()
    const [path, { body }] = asked.POST.mock.calls.at(-1)!
    expect([path, body.title]).toEqual(['/api/ladders', 'Linear equations'])
    expect(whereTo()).toBe('/ladder/8')
  })
})

describe('a ladder on the shelf', () => {
  const ladder = { id: 8, title: 'Squares', desk: '/desk/x', hints: 3, alone: true, seed: 1, versions: true, rungs: [{ number: 1, rung: rung.rung, why: 'Ada: Left out the negative root.' }] }

  const mine = { mine: true, owner: 'Orla', came_from: 'Copied from Bo: Squares', shares: [], editors: [] }

  it('says where it was copied from', async () => {
    answers({ '/api/ladders/{id}': ladder, '/api/ladders/{id}/shares': mine })
    const wrapper = stand(LadderScreen, { id: 8 })
    await flushPromises()
    expect(read(wrapper)).toContain('Copied from Bo: Squares')
  })

  it('is looked at and printed by a colleague who edits its lesson, and no more', async () => {
    answers({ '/api/ladders/{id}': ladder })
    const wrapper = stand(LadderScreen, { id: 8 })
    await flushPromises()
    expect(read(wrapper)).toContain('Print the sheet')
    for (const deed of ['Give to a class', 'New link', 'Take this ladder away', 'Share']) expect(read(wrapper)).not.toContain(deed)
  })

  it('says why its rungs are there, and is hung on a lesson', async () => {
    answers({ '/api/ladders/{id}': ladder, '/api/ladders/{id}/shares': mine, '/api/lessons': { entries: [{ id: 5, title: 'Roots' }] } })
    asked.PUT.mockImplementation(() => good(undefined))
    const wrapper = stand(LadderScreen, { id: 8 })
    await flushPromises()
    expect(read(wrapper.find('.why'))).toContain('Left out the negative root.')
    const select = wrapper.findAllComponents({ name: 'ElSelect' }).find((one) => one.props('ariaLabel') === 'It hangs on' || one.attributes('aria-label') === 'It hangs on')!
    select.vm.$emit('visible-change', true)
    await flushPromises()
    select.vm.$emit('update:modelValue', 5)
    await flushPromises()
    expect(asked.PUT.mock.calls[0]![1].body).toEqual({ lesson: 5 })
  })

  it('stays where a class has it, and says so', async () => {
    answers({ '/api/ladders/{id}': ladder, '/api/ladders/{id}/shares': mine })
    asked.DELETE.mockImplementation(() => bad('bad', { says: 'This ladder is given to a class.' }))
    const wrapper = stand(LadderScreen, { id: 8 })
    await flushPromises()
    await button(wrapper, 'Take this ladder away').trigger('click')
    await flushPromises()
    const yes = [...document.querySelectorAll<HTMLButtonElement>('.el-message-box button')].find((one) => one.textContent?.trim() === 'Take this ladder away')
    yes!.click()
    await flushPromises()
    await vi.waitFor(() => expect(asked.DELETE).toHaveBeenCalledOnce())
    await flushPromises()
    expect(read(wrapper)).toContain('This ladder is given to a class.')
  })
})

describe('what colleagues offer', () => {
  const offers = [
    { page: '/shared/a', title: 'Squares', from_whom: 'Bo', grade: 8, is_ladder: false },
    { page: '/shared/b', title: 'Ratios', from_whom: 'Cy', is_ladder: true },
  ]

  it('is found by title and by colleague', async () => {
    answers({ '/api/department': { entries: offers } })
    const wrapper = stand(OfferedShelf, { place: 'department', sought: '' })
    await flushPromises()
    expect(wrapper.findAll('.one').map((one) => read(one))).toEqual(['SquaresGrade 8 · From Bo', 'RatiosLadder · From Cy'])
    await wrapper.setProps({ sought: 'cy' })
    expect(wrapper.findAll('.one')).toHaveLength(1)
    await wrapper.setProps({ sought: 'nothing' })
    expect(read(wrapper)).toContain('Try other words')
  })

  it('says how to begin where there is nothing', async () => {
    answers({ '/api/department': { entries: [] }, '/api/shared-with-me': [] })
    const wrapper = stand(OfferedShelf, { place: 'department', sought: '' })
    await flushPromises()
    expect(read(wrapper)).toContain('Share a lesson or a ladder with your department.')
    await wrapper.setProps({ place: 'shared' })
    await flushPromises()
    expect(read(wrapper)).toContain('No colleague edits a lesson together with you.')
  })
})

describe('the first steps', () => {
  it('are one tap each', async () => {
    const wrapper = stand(FirstSteps)
    for (const says of ['Print a sheet now', 'Make a whole lesson', 'Look over a text']) {
      await wrapper.findAll('button').find((one) => one.text().startsWith(says))!.trigger('click')
    }
    expect(Object.keys(wrapper.emitted())).toEqual(expect.arrayContaining(['sheet', 'lesson', 'text']))
    expect(wrapper.findAll('a').map((one) => one.attributes('href'))).toEqual(['/problem', '/classes'])
  })
})

describe('a new lesson for a class', () => {
  it('takes its grade, and the method that it is taught', async () => {
    answers()
    asked.POST.mockImplementation(() => good({ id: 4 }))
    const wrapper = stand(NewLessonDialog, { modelValue: false })
    await wrapper.setProps({ modelValue: true })
    await flushPromises()
    const select = (label: string) => wrapper.findAllComponents({ name: 'ElSelect' }).find((one) => one.attributes('aria-label') === label || one.props('ariaLabel') === label)!
    select('For which class').vm.$emit('update:modelValue', 1)
    await flushPromises()
    select('What is taught').vm.$emit('update:modelValue', 'equations.linear')
    await flushPromises()
    document.querySelector<HTMLFormElement>('form.form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(asked.POST.mock.calls[0]![1].body).toMatchObject({ skill: 'equations.linear', grade: 7, method: 'inverse' })
  })
})

describe('a class', () => {
  it('says whom an assignment is for when it is for one student', async () => {
    const rules = { hints: 3, alone: true, feedback: 'at_once', staged: false }
    const assignments = [
      { id: 3, ladder: 8, title: 'Next for Ada', rungs: 6, student: 11, rules },
      { id: 2, ladder: 7, title: 'Climb', rungs: 9, rules },
    ]
    answers({ '/api/classes/{id}': { id: 1, title: '7b', grade: 7, methods: {}, page: '/class/x', keep_days: 30, students: [{ id: 11, name: 'Ada', code: 'k3m9p', hidden: false }], assignments } })
    const wrapper = stand(ClassScreen, { id: 1 })
    await flushPromises()
    expect(wrapper.findAll('.given li').map((one) => read(one))).toEqual(['Next for Adafor Ada alone6 rungs · no date', 'Climb9 rungs · no date'])
    expect(wrapper.find('a[href="/results/1"]').text()).toBe('Results')
  })
})

describe('a slide that is read on a phone', () => {
  it('flows, and is measured for no wall', async () => {
    const wrapper = stand(SlideFace, { slide: slide(1, [text('Read me')]), flows: true })
    await flushPromises()
    expect(wrapper.find('.face').classes()).toContain('flows')
    expect(wrapper.emitted('full')).toBeUndefined()
  })
})
