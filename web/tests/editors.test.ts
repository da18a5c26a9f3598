/** Each kind of block as the teacher changes it. */
import { enableAutoUnmount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, reactive } from 'vue'
import type { Block } from '@/api/client'
import { blockKinds } from '@/blocks/registry'
import { asked, good } from './api'
import { example, line } from './made'
import { button, figure, read, stand } from './mounted'

const kept = vi.hoisted(() => ({ image: vi.fn() }))
vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked, keptImage: kept.image }))
enableAutoUnmount(afterEach)
beforeEach(() => {
  for (const call of Object.values(asked)) call.mockReset()
  kept.image.mockReset()
})

/** The editor of a block, and the block as it stands after every change. */
function edit<B extends Block>(block: B) {
  const held = reactive({ block }) as { block: B }
  const wrapper = stand(blockKinds[block.kind].editor, {
    modelValue: held.block,
    'onUpdate:modelValue': async (now: B) => {
      held.block = now
      await wrapper.setProps({ modelValue: now })
    },
  })
  return { wrapper, held }
}
const fields = (wrapper: ReturnType<typeof edit>['wrapper']) => wrapper.findAll('input[type="text"], textarea').map((one) => one.element as HTMLInputElement)

/** Fields of blocks that are written on, in their order. */
const written: [Block, string[]][] = [
  [{ kind: 'text', text: 'one' } as Block, ['text']],
  [{ kind: 'key_point', point: 'one' } as Block, ['point']],
  [{ kind: 'word', word: 'one', means: 'two' } as Block, ['word', 'means']],
  [{ kind: 'link', url: 'one', text: 'two' } as Block, ['url', 'text']],
  [{ kind: 'picture', figure, caption: 'one' } as Block, ['caption']],
  [{ kind: 'image', image: 4, alt: 'one', caption: 'two' } as Block, ['alt', 'caption']],
]

describe('what is written', () => {
  it.each(written.map(([block, names]) => [block.kind, block, names] as const))('in the fields of %s is in the block', async (_, block, names) => {
    const { wrapper, held } = edit(block)
    const places = fields(wrapper)
    expect(places.map((one) => one.value)).toEqual(['one', 'two'].slice(0, names.length))
    for (const [at, name] of names.entries()) {
      places[at]!.value = `new ${name}`
      places[at]!.dispatchEvent(new Event('input'))
      await nextTick()
      expect((held.block as Record<string, unknown>)[name]).toBe(`new ${name}`)
    }
  })

  it('has a limit in every field', () => {
    for (const [block] of written) {
      for (const one of fields(edit(block).wrapper)) expect(Number(one.getAttribute('maxlength')), block.kind).toBeGreaterThan(0)
    }
  })
})

describe('a table', () => {
  const table = (rows: number, columns: number): Block =>
    ({ kind: 'table', heads: Array.from({ length: columns }, (_, at) => `h${at}`), rows: Array.from({ length: rows }, () => Array.from({ length: columns }, () => '1')) }) as Block

  it.each([
    ['A row more', 3, 2],
    ['A row fewer', 1, 2],
    ['A column more', 2, 3],
    ['A column fewer', 2, 1],
  ])('%s', async (name, rows, columns) => {
    const { wrapper, held } = edit(table(2, 2))
    await button(wrapper, name).trigger('click')
    const now = held.block as Extract<Block, { kind: 'table' }>
    expect([now.rows.length, now.heads.length]).toEqual([rows, columns])
    expect(now.rows.every((row) => row.length === columns)).toBe(true)
  })

  it.each([
    [1, 1, ['A row fewer', 'A column fewer']],
    [20, 20, ['A row more', 'A column more']],
    [2, 2, []],
  ])('of %i rows and %i columns', (rows, columns, shut) => {
    const { wrapper } = edit(table(rows, columns))
    expect(wrapper.findAll('button').filter((one) => one.attributes('disabled') !== undefined).map(read)).toEqual(shut)
  })

  it('names every cell for those who listen', () => {
    const labels = fields(edit(table(1, 2)).wrapper).map((one) => one.getAttribute('aria-label'))
    expect(labels).toEqual(['Head of column 1', 'Head of column 2', 'Row 1, column 1', 'Row 1, column 2'])
  })
})

describe('a question', () => {
  const question = (asks: unknown): Block => ({ kind: 'question', prompt: 'Which?', asks }) as Block
  const choices = (count: number) => ({ by: 'choice', choices: Array.from({ length: count }, (_, at) => ({ text: `choice ${at}`, right: at === 0 })) })

  it('by choice takes one more, and takes one out', async () => {
    const { wrapper, held } = edit(question(choices(2)))
    await button(wrapper, '+ One more').trigger('click')
    await button(wrapper, 'Take this part out: Choice 1').trigger('click')
    expect((held.block as { asks: ReturnType<typeof choices> }).asks.choices).toEqual([{ text: 'choice 1', right: false }, { text: '', right: false }])
  })

  it('has at most eight choices', () => {
    expect(read(edit(question(choices(8))).wrapper)).not.toContain('One more')
    expect(read(edit(question(choices(7))).wrapper)).toContain('One more')
  })

  it('may have more than one right choice', async () => {
    const { wrapper, held } = edit(question(choices(2)))
    await wrapper.findAll('input[type="checkbox"]')[1]!.setValue(true)
    expect((held.block as { asks: ReturnType<typeof choices> }).asks.choices.map((one) => one.right)).toEqual([true, true])
  })

  it('true or false says which, and why', async () => {
    const { wrapper, held } = edit(question({ by: 'true_or_false', is_true: false, why: '' }))
    await wrapper.find('input[type="checkbox"]').setValue(true)
    expect((held.block as { asks: unknown }).asks).toMatchObject({ is_true: true })
  })
})

describe('a problem to practise', () => {
  const rung = { prompt: 'Find $x$.', answer: { text: 'x = 5' } }
  const practice = (source: unknown): Block => ({ kind: 'practice', rung, source: { source } }) as unknown as Block
  const drawn = { kind: 'drawn', skill: 'percent-part', stage: 'tilt', index: 2, method: 'unit' }

  it('shows its answer to the teacher', () => {
    expect(read(edit(practice(drawn)).wrapper)).toContain('Answer: x = 5')
  })

  it('gets other numbers of its own skill, stage and method', async () => {
    const other = practice(drawn)
    asked.POST.mockReturnValue(good({ block: { ...other, rung: { ...rung, prompt: 'Another.' } }, pictures: [] }))
    const { wrapper, held } = edit(practice(drawn))
    await button(wrapper, 'Other numbers').trigger('click')
    await vi.waitFor(() => expect((held.block as { rung: { prompt: string } }).rung.prompt).toBe('Another.'))
    expect(asked.POST.mock.calls[0]![1].body).toMatchObject(drawn)
  })

  it('stays as it is when the server is not reached', async () => {
    asked.POST.mockRejectedValue(new TypeError('no network'))
    const { wrapper, held } = edit(practice(drawn))
    await button(wrapper, 'Other numbers').trigger('click')
    await vi.waitFor(() => expect(asked.POST).toHaveBeenCalled())
    expect((held.block as { rung: { prompt: string } }).rung.prompt).toBe('Find $x$.')
  })

  it('that was typed cannot be drawn again', () => {
    expect(edit(practice({ kind: 'typed', problem: '3x = 6' })).wrapper.findAll('button')).toHaveLength(0)
  })
})

describe('an image', () => {
  const image = { kind: 'image', image: 0, alt: '', caption: '' } as Block
  async function chosen(answer: unknown) {
    kept.image.mockResolvedValue(answer)
    const made = edit({ ...image })
    const field = made.wrapper.find('input[type="file"]')
    Object.defineProperty(field.element, 'files', { value: [new File(['x'], 'hive.png')] })
    await field.trigger('change')
    await nextTick()
    await nextTick()
    return made
  }

  it('that is kept stands in the block', async () => {
    expect((await chosen({ ok: true, value: 12 })).held.block).toMatchObject({ image: 12 })
  })

  it('that is refused says why and leaves what stood there', async () => {
    const { wrapper, held } = await chosen({ ok: false, failure: { kind: 'invalid', says: 'Choose a smaller image.' } })
    expect(read(wrapper.find('[role="alert"]'))).toBe('Choose a smaller image.')
    expect(held.block).toMatchObject({ image: 0 })
  })
})

describe('lists of short texts', () => {
  it('examples and what only looks like one', async () => {
    const { wrapper, held } = edit({ kind: 'examples', of: 'ratios', fits: ['2 : 3'], fits_not: [] } as unknown as Block)
    await wrapper.findAll('button').filter((one) => read(one) === '+ Add')[1]!.trigger('click')
    expect(held.block).toMatchObject({ fits: ['2 : 3'], fits_not: [''] })
  })

  it('beginnings of sentences', async () => {
    const { wrapper, held } = edit({ kind: 'talk', prompt: 'Talk.', starters: ['I think', 'Because'] } as Block)
    await button(wrapper, 'Take out I think').trigger('click')
    expect(held.block).toMatchObject({ starters: ['Because'] })
  })
})

describe('what is changed elsewhere', () => {
  it('a worked example shows the lines that are not folded away, and leads to the bench', async () => {
    const block = { kind: 'worked_example', example: example([line('2x = 6'), line('x = 6/2', { folded: true }), line('x = 3')]) } as Block
    const { wrapper } = edit(block)
    expect(wrapper.findAll('li')).toHaveLength(2)
    await wrapper.find('button').trigger('click')
    expect(wrapper.emitted('bench')).toHaveLength(1)
  })

  it('a ladder leads to its page', () => {
    const { wrapper } = edit({ kind: 'ladder', ladder: 7, title: 'Equal ratios' } as Block)
    expect(wrapper.find('a').attributes('href')).toBe('/ladder/7')
  })
})
