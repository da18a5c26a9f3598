/** Results, the next ladder, a sheet in three taps, and what is shared. */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import GiveLadder from '@/components/GiveLadder.vue'
import NextLadder from '@/components/NextLadder.vue'
import ShareDialog from '@/components/ShareDialog.vue'
import SheetNow from '@/components/SheetNow.vue'
import AssignmentScreen from '@/screens/AssignmentScreen.vue'
import Results from '@/screens/Results.vue'
import SharedView from '@/screens/SharedView.vue'
import { asked, bad, good } from './api'
import { button, push, read, stand, whereTo } from './mounted'

vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))
enableAutoUnmount(afterEach)
beforeEach(async () => {
  for (const call of Object.values(asked)) call.mockReset()
  await push('/')
})

const ada = { id: 1, name: 'Ada' }
const bo = { id: 2, name: 'Bo' }
const share = (finished: number, tried: number, all: number, standing?: string) => ({ finished, tried, asked: all, standing })
const view = {
  class: '7b',
  grade: 7,
  columns: [{ title: 'Linear equations' }, { title: 'Sharing in a ratio' }],
  rows: [
    { student: ada, shares: [share(4, 4, 4), share(1, 2, 3)] },
    { student: bo, shares: [share(0, 1, 4), share(0, 0, 0)] },
  ],
  together: [share(4, 5, 8), share(1, 2, 3)],
  slips: [{ says: 'Left out the negative root.', students: [ada, bo], on: [{ assignment: 9, title: 'Squares', rung: 3 }, { assignment: 9, title: 'Squares', rung: 1 }] }],
  works: [{ id: 9, title: 'Squares' }],
  students: [ada, bo],
}
const rung = (number: number, prompt: string) => ({
  number,
  why: 'Ada and Bo: Left out the negative root.',
  rung: { skill: 'equations.linear', stage: 'grip', prompt, answer: { text: 'x = 4', latex: 'x = 4', value: '4', form: 'any' }, working: [], method: 'balance', line: '', unknown: 'x', story: false },
})

describe('results', () => {
  it('say in numbers what the shades say, and leave out what was not asked', async () => {
    asked.GET.mockImplementation(() => good(view))
    const wrapper = stand(Results, { id: 4 })
    await flushPromises()
    const cells = wrapper.findAll('tbody td').map((cell) => read(cell))
    expect(cells).toEqual(['4/4', '1/3', '0/4', '·'])
    expect(wrapper.findAll('tbody td').map((cell) => cell.classes().find((name) => name.startsWith('level')))).toEqual(['level-4', 'level-1', 'level-0', 'level--1'])
    expect(read(wrapper.find('tfoot'))).toBe('All together4/81/3')
    expect(read(wrapper.find('.slips'))).toContain('Left out the negative root.')
    expect(read(wrapper.find('.slips'))).toContain('Ada, Bo')
    expect(wrapper.findAll('.slips a').map((one) => one.text())).toEqual(['Squares, rungs 1, 3'])
  })

  it('draw how each one did over the weeks, with a gap where nothing was asked', async () => {
    asked.GET.mockImplementation(() => good(view))
    const wrapper = stand(Results, { id: 4 })
    await flushPromises()
    expect(wrapper.findAll('svg[role="img"]')).toHaveLength(0)
    await wrapper.find('input[value="work"]').setValue(true)
    await flushPromises()
    const lines = wrapper.findAll('tbody svg[role="img"]')
    expect(lines.map((line) => line.attributes('aria-label'))).toEqual(['Linear equations: 4 of 4; Sharing in a ratio: 1 of 3', 'Linear equations: 0 of 4'])
    expect(lines.map((line) => line.findAll('circle').length)).toEqual([2, 1])
    expect(read(wrapper.find('thead'))).toContain('Over the weeks')
  })

  it('asks for the rungs of the latest assignment when rungs are wanted', async () => {
    asked.GET.mockImplementation(() => good(view))
    const wrapper = stand(Results, { id: 4 })
    await flushPromises()
    const rungs = { ...view, columns: [{ title: '1', stage: 'grip', prompt: '$x$' }], rows: [{ student: ada, shares: [share(0, 1, 1, 'breaks')] }], together: [share(0, 1, 1)] }
    asked.GET.mockImplementation(() => good(rungs))
    await wrapper.find('input[type="radio"][value="rung"]').setValue(true)
    await flushPromises()
    expect(asked.GET.mock.calls.at(-1)![1].params.query).toEqual({ by: 'rung', assignment: 9 })
    expect(read(wrapper.find('tbody'))).toContain('a line breaks')
    expect(wrapper.find('a[href*="results.xlsx"]').attributes('href')).toContain('by=rung')
  })

  it('say what to do where nothing came back yet', async () => {
    asked.GET.mockImplementation(() => good({ ...view, works: [], rows: [], columns: [], slips: [] }))
    const wrapper = stand(Results, { id: 4 })
    await flushPromises()
    expect(read(wrapper)).toContain('Give a ladder, and what comes back adds up here.')
  })
})

describe('the next ladder', () => {
  const next = { title: 'Next for Ada', minutes: 18, plan: { title: '', order: { skills: [] }, rungs: [{}], next_key: 2 }, rungs: [rung(1, 'Solve $x^2 = 9$.')] }
  async function made() {
    asked.POST.mockImplementation((path: string) => (path.endsWith('next') ? good(next) : good({ id: 31 })))
    const wrapper = stand(NextLadder, { id: 4, students: [ada, bo] })
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    return wrapper
  }

  it('says of each rung why it is there, and is given in one tap', async () => {
    const wrapper = await made()
    expect(read(wrapper)).toContain('1 rung, about 18 minutes')
    expect(read(wrapper.find('.why'))).toContain('Ada and Bo: Left out the negative root.')
    await button(wrapper, 'Give it').trigger('click')
    await flushPromises()
    const [path, { body }] = asked.POST.mock.calls.at(-1)!
    expect(path).toBe('/api/classes/{id}/assignments')
    expect(body).toMatchObject({ made: { title: 'Next for Ada', plan: next.plan }, student: null })
    expect(whereTo()).toBe('/assignment/31')
  })

  it('goes to the bench on top of what lies there', async () => {
    const wrapper = await made()
    asked.GET.mockImplementation(() => good({ revision: 6 }))
    asked.PUT.mockImplementation(() => good({ revision: 7 }))
    await button(wrapper, 'Take it to the bench').trigger('click')
    await flushPromises()
    expect(asked.PUT.mock.calls[0]![1].body).toMatchObject({ based_on: 6, plan: { title: 'Next for Ada' } })
    expect(whereTo()).toBe('/own-ladder')
  })

  it('says why there is none', async () => {
    asked.POST.mockImplementation(() => bad('bad', { says: 'Nothing stands there yet.' }))
    const wrapper = stand(NextLadder, { id: 4, students: [] })
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(read(wrapper.find('[role="alert"]'))).toContain('Nothing stands there yet.')
  })
})

describe('a sheet in three taps', () => {
  const card = (id: string, title: string, first: number, last: number) => ({ id, title, strand: 'algebra', first_grade: first, last_grade: last, objective: '', methods: [] })

  it('is made of a grade and a skill', async () => {
    asked.GET.mockImplementation(() => good([card('a', 'Linear equations', 7, 9), card('b', 'Counting', 0, 2)]))
    asked.POST.mockImplementation(() => good({ id: 12 }))
    const wrapper = stand(SheetNow, { modelValue: true })
    await flushPromises()
    const inDialog = () => [...document.querySelectorAll<HTMLButtonElement>('.now button')]
    inDialog().find((one) => one.getAttribute('aria-label') === 'Grade 8')!.click()
    await flushPromises()
    const skills = inDialog().filter((one) => one.classList.contains('skill'))
    expect(skills.map((one) => one.textContent)).toEqual(['Linear equations'])
    skills[0]!.click()
    await flushPromises()
    expect(asked.POST.mock.calls[0]![1].body.plan.order).toMatchObject({ skills: ['a'], grip: 4, tilt: 3, climb: 3 })
    expect(whereTo()).toBe('/ladder/12')
    expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual([false])
  })
})

describe('sharing', () => {
  const link = { id: 5, kind: 'copy', with_key: false, page: '/shared/abc', over: false }

  it('makes a link that holds for a while, and ends it when it is told to', async () => {
    asked.GET.mockImplementation(() => good({ mine: true, owner: 'Orla', shares: [link, { ...link, id: 6, kind: 'look', over: true }], editors: ['Cy'] }))
    asked.POST.mockImplementation(() => good(link))
    const wrapper = stand(ShareDialog, { modelValue: false, lesson: 3 })
    await wrapper.setProps({ modelValue: true })
    await flushPromises()
    const text = document.body.textContent ?? ''
    expect(text).toContain('Edited together with Cy')
    expect(document.querySelectorAll('.links li')).toHaveLength(2)
    expect(document.querySelectorAll('.links li.over a')).toHaveLength(0)
    document.querySelector<HTMLFormElement>('form.share')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(asked.POST.mock.calls[0]![1].body).toEqual({ kind: 'look', with_key: false, days: null })
  })

  const lessonView = {
    lesson: { title: 'Squares', grade: 8, minutes: 45, objectives: ['I can solve.'], slides: [{ id: 1, title: 'One', phase: 'starter', minutes: 5, notes: '', blocks: [{ kind: 'text', text: 'Today' }] }] },
    reveals: [{ blocks: [{ answer: '' }], moments: [{ shown: [1], says: '' }, { shown: [1], says: '' }] }],
    pictures: [],
  }

  it('shows a lesson to whoever has the link, and lets nobody in further than it says', async () => {
    asked.GET.mockImplementation((path: string) => (path === '/api/me' ? bad('sign_in') : good({ kind: 'look', title: 'Squares', from_whom: 'Orla', lesson: lessonView })))
    const wrapper = stand(SharedView, { link: 'abc' })
    await flushPromises()
    expect(read(wrapper)).toContain('From Orla')
    expect(wrapper.findAll('.slide')).toHaveLength(1)
    expect(read(wrapper)).not.toContain('Take a copy')
    expect(read(wrapper)).not.toContain('Sign in')
  })

  it('shows a ladder as students see it where its key is not shared', async () => {
    const problems = [{ number: 1, stage: 'grip', prompt: 'Solve $2x = 8$.', unknown: 'x', story: false, words: false, keypad: {}, working: [], locked: false }]
    asked.GET.mockImplementation((path: string) => (path === '/api/me' ? bad('sign_in') : good({ kind: 'copy', title: 'A ladder', from_whom: 'Orla', problems })))
    const wrapper = stand(SharedView, { link: 'abc' })
    await flushPromises()
    expect(wrapper.findAll('.problems li')).toHaveLength(1)
    expect(read(wrapper)).toContain('Sign in to take a copy')
  })
})

describe('several tries', () => {
  it('are offered where a ladder is given', async () => {
    asked.GET.mockImplementation(() => good([{ id: 3, title: '7b', grade: 7, students: 12, assignments: 0 }]))
    const wrapper = stand(GiveLadder, { ladder: 5, modelValue: false })
    await wrapper.setProps({ modelValue: true })
    await flushPromises()
    expect(read(wrapper)).not.toContain('Other numbers in each try')
    wrapper.findAllComponents({ name: 'ElSelect' }).find((one) => one.attributes('aria-label') === 'Tries' || one.props('ariaLabel') === 'Tries')!.vm.$emit('update:modelValue', 3)
    await flushPromises()
    expect(read(wrapper)).toContain('Other numbers in each try')
  })
})

describe('handed-in work', () => {
  const line = (plain: string, word: string) => ({ reading: plain, plain, speech: plain, verdict: { word, says: '' }, answers: false })
  const handed = (student: number, name: string, plain: string, alike: number) => ({ student, name, desk: 10 + student, handed_in: 1, rungs: [{ number: 1, lines: [line(plain, 'breaks')], standing: 'breaks', alike }] })

  it('puts those who mean the same together, and says the same to all of them', async () => {
    const work = [handed(1, 'Ada', 'x = 7', 0), handed(2, 'Bo', '7 = x', 0), handed(3, 'Cy', 'x = 9', 1)]
    asked.GET.mockImplementation(() => good({ class: 4, assignment: { id: 2, title: 'Climb', rungs: 1, ladder: 3, rules: {} }, rungs: [rung(1, 'Solve $2x + 3 = 11$.')], work }))
    asked.PUT.mockImplementation(() => good(undefined))
    const wrapper = stand(AssignmentScreen, { id: 2 })
    await flushPromises()
    await button(wrapper, 'Ada, Rung 1: a line breaks').trigger('click')
    expect(wrapper.findAll('.groups li')).toHaveLength(2)
    expect(read(wrapper)).toContain('Ends in the same: Bo')
    await button(wrapper, 'Look again').trigger('click')
    await flushPromises()
    await button(wrapper, 'Say this to the other one too').trigger('click')
    await flushPromises()
    const to = asked.PUT.mock.calls.map(([, { params, body }]) => [params.path.desk, body.mark])
    expect(to).toEqual([[11, 'again'], [12, 'again']])
  })
})
