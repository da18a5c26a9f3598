import { beforeEach, describe, expect, it, vi } from 'vitest'
import { bad, good } from './api'

const asked = vi.hoisted(() => ({ GET: vi.fn(), POST: vi.fn() }))
vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: asked }))

beforeEach(() => {
  // The page holds one state: each test opens a page of its own.
  vi.resetModules()
  for (const way of Object.values(asked)) way.mockReset()
})

describe('who is signed in', () => {
  const open = async () => (await import('@/composables/useTeacher')).useTeacher()

  it('is asked for once', async () => {
    asked.GET.mockImplementation(() => good({ name: 'Orla' }))
    const teacher = await open()
    expect(await teacher.load()).toBe('somebody')
    expect(await teacher.load()).toBe('somebody')
    expect(asked.GET).toHaveBeenCalledTimes(1)
    expect(teacher.name.value).toBe('Orla')
  })

  it('is nobody only when the server says so', async () => {
    const teacher = await open()
    asked.GET.mockImplementation(() => bad('sign_in'))
    expect(await teacher.load()).toBe('nobody')
    // A server that is away says nothing about who is there.
    asked.GET.mockImplementation(() => bad('internal'))
    expect(await teacher.load()).toBe('unknown')
  })

  it('is known at once after signing in, and nobody after signing out', async () => {
    asked.POST.mockImplementation(() => good({ name: 'Orla' }))
    const teacher = await open()
    expect(await teacher.signIn('orla', 'a password')).toBeUndefined()
    expect(teacher.name.value).toBe('Orla')
    await teacher.signOut()
    expect(teacher.name.value).toBeUndefined()
  })

  it('is still nobody after a wrong password, and is told why', async () => {
    asked.POST.mockImplementation(() => bad('sign_in', { says: 'Check both.' }))
    const teacher = await open()
    const failure = await teacher.signIn('orla', 'wrong')
    expect(failure?.says).toBe('Check both.')
    expect(teacher.name.value).toBeUndefined()
  })
})

describe('the catalogue of skills', () => {
  const card = (id: string, first_grade: number, last_grade: number) => ({ id, first_grade, last_grade })
  const open = async (grade?: number) => (await import('@/composables/useSkills')).useSkills(grade)
  const settled = () => new Promise((resolve) => setTimeout(resolve))

  it('has those for the grade before the others, in their order', async () => {
    asked.GET.mockImplementation(() => good([card('count', 1, 2), card('ratio', 6, 7), card('root', 9, 10), card('percent', 6, 8)]))
    const skills = await open(6)
    await settled()
    expect(skills.cards.value.map((one) => one.id)).toEqual(['ratio', 'percent', 'count', 'root'])
  })

  it('is asked for once for all screens', async () => {
    asked.GET.mockImplementation(() => good([card('count', 1, 2)]))
    await open()
    await settled()
    const second = await open(2)
    await settled()
    expect(asked.GET).toHaveBeenCalledTimes(1)
    expect(second.cards.value).toHaveLength(1)
  })

  it('tells why it did not come, and is asked for again', async () => {
    asked.GET.mockImplementation(() => bad('internal'))
    const first = await open()
    await settled()
    expect(first.failure.value?.kind).toBe('internal')
    asked.GET.mockImplementation(() => good([card('count', 1, 2)]))
    const second = await open()
    await settled()
    expect(second.cards.value).toHaveLength(1)
  })
})
