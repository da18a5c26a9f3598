/** Classes: a list of names is read before it is taken in, and a student finds what there is to do. */
import { enableAutoUnmount, flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import RosterImport from '@/components/RosterImport.vue'
import Classes from '@/screens/Classes.vue'
import SignUp from '@/screens/SignUp.vue'
import StudentClass from '@/screens/StudentClass.vue'
import { device } from '@/words/account'
import { asked, bad, good } from './api'
import { button, push, read, stand, whereTo } from './mounted'

vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))
enableAutoUnmount(afterEach)
beforeEach(async () => {
  for (const call of Object.values(asked)) call.mockReset()
  await push('/')
})

describe('a list of names', () => {
  const rows = [
    { written: 'Ada | Lark', name: 'Ada', says: '' },
    { written: 'Ada | Moor', name: 'Ada M.', says: 'Another Ada is in the class.' },
    { written: '17 | x', name: '', says: 'This does not look like a name.' },
  ]
  async function pasted(): Promise<VueWrapper> {
    asked.POST.mockImplementation((path: string) => (path.endsWith('roster') ? good(rows.map((row) => ({ ...row }))) : good(undefined)))
    const wrapper = stand(RosterImport, { id: 4 })
    await wrapper.find('textarea').setValue('Ada Lark')
    await button(wrapper, 'Read the list').trigger('click')
    await flushPromises()
    return wrapper
  }

  it('shows what each row was read as, and what is left out', async () => {
    const wrapper = await pasted()
    expect(wrapper.findAll('tbody tr')).toHaveLength(3)
    expect(wrapper.findAll('tr.out')).toHaveLength(1)
    expect(read(wrapper)).toContain('Another Ada is in the class.')
  })

  it('takes in the names as they were mended', async () => {
    const wrapper = await pasted()
    await wrapper.findAll('tbody input')[2]!.setValue('Zed')
    await button(wrapper, 'Take 3 students in').trigger('click')
    await flushPromises()
    expect(asked.POST.mock.calls.at(-1)![1].body).toEqual({ names: ['Ada', 'Ada M.', 'Zed'] })
    expect(wrapper.emitted('done')).toHaveLength(1)
  })

  it('stays where it could not be taken in', async () => {
    const wrapper = await pasted()
    asked.POST.mockImplementation(() => bad('taken', { says: 'Somebody of this name is in the class.' }))
    await button(wrapper, 'Take 2 students in').trigger('click')
    await flushPromises()
    expect(read(wrapper.find('[role="alert"]'))).toContain('Somebody of this name')
    expect(wrapper.findAll('tbody tr')).toHaveLength(3)
  })
})

describe('a student’s own page', () => {
  const task = (title: string, state: string, more: object = {}) => ({ title, desk: `/desk/${title}`, state, rungs: 8, ...more })

  it('lets in whoever scanned a card, and keeps the code out of the address', async () => {
    window.location.hash = '#k3m9p'
    asked.GET.mockImplementation(() => good({ title: '7b', assignments: [] }))
    asked.POST.mockImplementation(() => good({ title: '7b', student: 'Ada', assignments: [] }))
    const wrapper = stand(StudentClass, { link: 'abc' })
    await flushPromises()
    expect(asked.POST.mock.calls[0]![1].body).toEqual({ code: 'k3m9p' })
    expect(read(wrapper)).toContain('Hello, Ada')
    expect(window.location.hash).toBe('')
  })

  it('asks for the code, and then says what there is', async () => {
    asked.GET.mockImplementation(() => good({ title: '7b', assignments: [] }))
    const assignments = [task('a', 'open', { finished: 0 }), task('b', 'in_progress', { finished: 3 }), task('c', 'handed_in'), task('d', 'given_back', { finished: 8 })]
    asked.POST.mockImplementation(() => good({ title: '7b', student: 'Ada', assignments }))
    const wrapper = stand(StudentClass, { link: 'abc' })
    await flushPromises()
    await wrapper.find('input').setValue('k3m9p')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(asked.POST.mock.calls[0]![1].body).toEqual({ code: 'k3m9p' })
    expect(wrapper.findAll('.state').map(read)).toEqual(['Open', 'In progress', 'Handed in', 'Given back'])
    // What holds is not told before it is given back.
    expect(read(wrapper.findAll('.task')[2]!)).not.toContain('finished')
  })

  it('says what to do about a wrong code', async () => {
    asked.GET.mockImplementation(() => good({ title: '7b', assignments: [] }))
    asked.POST.mockImplementation(() => bad('bad', { says: 'Nobody in this class has that code.' }))
    const wrapper = stand(StudentClass, { link: 'abc' })
    await flushPromises()
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(read(wrapper.find('[role="alert"]'))).toBe('Nobody in this class has that code.')
  })
})

describe('an account', () => {
  const site = (sign_up: string, is_new = false) => asked.GET.mockImplementation(() => good({ demo: false, sign_up, is_new }))

  it('is made with the invitation of its link', async () => {
    site('invited')
    asked.POST.mockImplementation(() => good({ name: 'Nia', sign_in: 'nia', is_administrator: false }))
    await push('/sign-up?invitation=abc')
    const wrapper = stand(SignUp)
    await flushPromises()
    const [name, signIn, password] = wrapper.findAll('input')
    await name!.setValue('Nia')
    await signIn!.setValue('nia')
    await password!.setValue('four plain words')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(asked.POST.mock.calls[0]![1].body).toEqual({ name: 'Nia', sign_in: 'nia', password: 'four plain words', invitation: 'abc' })
    expect(whereTo()).toBe('/shelf')
  })

  it.each([
    ['closed', 'made by your administrator'],
    ['invited', 'with an invitation'],
  ])('cannot be made where sign-up is %s', async (rule, says) => {
    site(rule)
    const wrapper = stand(SignUp)
    await flushPromises()
    expect(read(wrapper)).toContain(says)
    expect(wrapper.findAll('input')).toHaveLength(0)
  })

  it('is told apart by what it is used on', () => {
    expect(device('Mozilla/5.0 (X11; Linux x86_64) Chrome/140.0')).toBe('Chrome or Chromium on Linux')
    expect(device('Mozilla/5.0 (iPhone; CPU iPhone OS 19) Version/19 Safari/605')).toBe('Safari on iPhone')
    expect(device('')).toBe('A browser')
  })
})

it('leads into a class that was made', async () => {
  asked.GET.mockImplementation(() => good([{ id: 3, title: '7a', grade: 7, students: 1 }]))
  asked.POST.mockImplementation(() => good({ id: 9 }))
  const wrapper = stand(Classes)
  await flushPromises()
  expect(read(wrapper)).toContain('1 student')
  await wrapper.find('input').setValue('7b')
  await wrapper.find('form').trigger('submit')
  await flushPromises()
  expect(asked.POST.mock.calls[0]![1].body).toEqual({ title: '7b', grade: 7 })
  expect(whereTo()).toBe('/class/9')
})
