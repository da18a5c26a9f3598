import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, everyPage, reply, type Failure, type Reply } from '@/api/client'
import { useCall } from '@/composables/useCall'
import { useList } from '@/composables/useList'

const failure: Failure = { kind: 'bad', says: 'Choose a grade.' }
const good = <T>(value: T): Promise<Reply<T>> => Promise.resolve({ ok: true, value })
const bad = (): Promise<Reply<never>> => Promise.resolve({ ok: false, failure })

/** An answer that comes when it is told to. */
function later<T>() {
  let give!: (answer: Reply<T>) => void
  return { asked: new Promise<Reply<T>>((resolve) => (give = resolve)), give }
}

describe('a call', () => {
  it('hands over its value, and is busy until then', async () => {
    const { busy, call } = useCall()
    const take = vi.fn()
    const done = call(good(7), take)
    expect(busy.value).toBe(true)
    expect(await done).toBe(true)
    expect(busy.value).toBe(false)
    expect(take).toHaveBeenCalledExactlyOnceWith(7)
  })

  it('holds why it failed, until one does not', async () => {
    const calls = useCall()
    const take = vi.fn()
    expect(await calls.call(bad(), take)).toBe(false)
    expect(calls.failure.value).toEqual(failure)
    expect(take).not.toHaveBeenCalled()
    await calls.call(good(1))
    expect(calls.failure.value).toBeUndefined()
  })

  it('is dropped where a newer one was made', async () => {
    const { busy, call } = useCall()
    const taken: string[] = []
    const [slow, quick] = [later<string>(), later<string>()]
    const first = call(slow.asked, (value) => taken.push(value))
    const second = call(quick.asked, (value) => taken.push(value))
    quick.give({ ok: true, value: 'new' })
    expect(await second).toBe(true)
    slow.give({ ok: true, value: 'old' })
    expect(await first).toBe(false)
    expect(taken).toEqual(['new'])
    expect(busy.value).toBe(false)
  })
})

describe('a list in pages', () => {
  const pages: Record<string, { entries: number[]; next?: string }> = { '': { entries: [1, 2], next: 'a' }, a: { entries: [3], next: 'b' }, b: { entries: [4] } }

  it('is read to its end, and tells how far it is', async () => {
    const told: number[][] = []
    const answer = await everyPage<number>((after) => good(pages[after ?? '']!), (soFar) => told.push(soFar))
    expect(answer).toEqual({ ok: true, value: [1, 2, 3, 4] })
    expect(told).toEqual([[1, 2], [1, 2, 3], [1, 2, 3, 4]])
  })

  it('ends with the page that fails', async () => {
    const answer = await everyPage<number>((after) => (after ? bad() : good(pages['']!)))
    expect(answer).toEqual({ ok: false, failure })
  })

  it('shows its first page while the others come', async () => {
    const rest = later<{ entries: number[] }>()
    const list = useList<number>((after) => (after ? rest.asked : good({ entries: [1], next: 'a' })))
    const loading = list.load()
    await vi.waitFor(() => expect(list.entries.value).toEqual([1]))
    rest.give({ ok: true, value: { entries: [2] } })
    await loading
    expect(list.entries.value).toEqual([1, 2])
  })

  it('looked at again, it changes at once', async () => {
    const rest = later<{ entries: number[] }>()
    const list = useList<number>((after) => (after ? rest.asked : good({ entries: [1], next: 'a' })))
    list.entries.value = [8, 9]
    const loading = list.load(true)
    await Promise.resolve()
    expect(list.entries.value).toEqual([8, 9])
    rest.give({ ok: true, value: { entries: [2] } })
    await loading
    expect(list.entries.value).toEqual([1, 2])
  })

  it('a slow answer to older words is none', async () => {
    const slow = later<{ entries: string[] }>()
    let asked = slow.asked
    const list = useList<string>(() => asked)
    const first = list.load()
    asked = good({ entries: ['new'] })
    await list.load()
    slow.give({ ok: true, value: { entries: ['old'] } })
    await first
    expect(list.entries.value).toEqual(['new'])
  })
})

describe('a reply', () => {
  const response = (status: number) => ({ status, ok: status < 300 }) as Response

  it('is the value where the server is content', async () => {
    expect(await reply(Promise.resolve({ data: 5, response: response(200) }))).toEqual({ ok: true, value: 5 })
  })

  it('is the failure that the server tells', async () => {
    expect(await reply(Promise.resolve({ error: failure, response: response(400) }))).toEqual({ ok: false, failure })
  })

  it.each([
    ['a page of a proxy', () => Promise.resolve({ error: '<html>', response: response(502) })],
    ['nothing', () => Promise.resolve({ response: response(500) })],
    ['no network', () => Promise.reject(new TypeError('Failed to fetch'))],
  ])('says that the server was not reached: %s', async (_, ask) => {
    const answer = await reply(ask())
    expect(answer).toMatchObject({ ok: false, unreached: true, failure: { kind: 'internal' } })
  })
})

describe('a server that is busy', () => {
  const busy = () => new Response(JSON.stringify({ kind: 'busy', says: 'Many are working here just now.' }), { status: 503, headers: { 'retry-after': '2', 'content-type': 'application/json' } })
  const fine = () => new Response(JSON.stringify({ demo: true }), { status: 200, headers: { 'content-type': 'application/json' } })
  beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }))
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  /** What is answered when the server answers so, one after the other, and how often it was asked. */
  async function asking(...answers: (() => Response)[]) {
    const fetched = vi.fn(async () => (answers.shift() ?? busy)())
    vi.stubGlobal('fetch', fetched)
    const answer = reply(api.GET('/api/site', { baseUrl: 'http://localhost/' }))
    await vi.runAllTimersAsync()
    return { answer: await answer, times: fetched.mock.calls.length }
  }

  it('is asked again when it says so, until it answers', async () => {
    expect(await asking(busy, busy, fine)).toEqual({ answer: { ok: true, value: { demo: true } }, times: 3 })
  })

  it('is not asked for ever', async () => {
    const { answer, times } = await asking()
    expect(answer.ok).toBe(false)
    expect(times).toBe(6)
  })

  it('is not asked again for anything else', async () => {
    expect((await asking(fine)).times).toBe(1)
  })
})
