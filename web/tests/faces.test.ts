/** Each kind of block as the class sees it, step by step. */
import { afterEach, describe, expect, it } from 'vitest'
import { enableAutoUnmount } from '@vue/test-utils'
import type { Block, RungView } from '@/api/client'
import BlockFace from '@/components/BlockFace.vue'
import SlideFace from '@/components/SlideFace.vue'
import { blockKinds } from '@/blocks/registry'
import { example, line, slide, stepwise, text } from './made'
import { figure, pictures, read, stand } from './mounted'

type Rung = RungView['rung']

enableAutoUnmount(afterEach)

const face = (block: Block, steps?: number, reveal?: unknown) => stand(BlockFace, { block, pictures, steps, reveal })
const rung = (more: Partial<Rung> = {}): Rung =>
  ({ skill: 'ratio-missing-term', stage: 'grip', prompt: 'Find $x$.', answer: { text: 'x = 5', latex: 'x=5', value: '5', form: 'any' }, working: [], method: 'balance', line: 'x + 2 = 7', unknown: 'x', story: false, ...more }) as Rung
const source = { source: { kind: 'typed', problem: 'x + 2 = 7' } }

/** One block of each kind, with what is read of it when all of it shows. */
const blocks: [Block, string[]][] = [
  [text('Two rows of jars'), ['Two rows of jars']],
  [{ kind: 'key_point', point: 'Divide both by the same number.' }, ['Remember', 'Divide both by the same number.']],
  [{ kind: 'word', word: 'ratio', means: 'how many for each', figure: null } as Block, ['ratio', 'how many for each']],
  [{ kind: 'talk', prompt: 'Which hive is fuller?', starters: ['I think', '', 'Because'] } as Block, ['Which hive is fuller?', 'I think', 'Because']],
  [{ kind: 'table', heads: ['jars', 'frames'], rows: [['2', '6'], ['5', '15']] } as Block, ['jars', 'frames', '2', '6', '5', '15']],
  [{ kind: 'link', url: 'https://hive.example/', text: 'The meadow' } as Block, ['The meadow']],
  [{ kind: 'ladder', ladder: 7, title: 'Equal ratios' } as Block, ['Equal ratios']],
  [{ kind: 'examples', of: 'Equal ratios', fits: ['2 : 3 and 4 : 6'], fits_not: ['2 : 3 and 3 : 4'] } as Block, ['Equal ratios', '2 : 3 and 4 : 6', '2 : 3 and 3 : 4']],
  [{ kind: 'picture', figure, caption: 'From nought to four' } as Block, ['From nought to four']],
  [{ kind: 'image', image: 4, alt: 'A frame of brood', caption: 'A full frame' } as Block, ['A full frame']],
  [{ kind: 'question', prompt: 'How many frames?', asks: { by: 'open', answer: 'Fifteen' } } as Block, ['How many frames?', 'Fifteen']],
  [{ kind: 'practice', rung: rung({ story: true, prompt: 'Rosa fills jars.', answer: { text: '5 jars', latex: '', value: '5', form: 'any' } as Rung['answer'] }), source } as unknown as Block, ['Rosa fills jars.', '5 jars']],
  [{ kind: 'worked_example', example: example([line('2x = 6'), line('x = 3')]) } as Block, ['says 2x = 6', 'says x = 3']],
]

describe('a block, all of it', () => {
  it('is tried for every kind', () => {
    expect(blocks.map(([block]) => block.kind).sort()).toEqual(Object.keys(blockKinds).sort())
  })

  it.each(blocks.map(([block, said]) => [block.kind, block, said] as const))('%s', (_, block, said) => {
    const seen = read(face(block, Infinity, block.kind === 'worked_example' ? stepwise(2) : undefined))
    for (const one of said) expect(seen).toContain(one)
  })
})

describe('a question', () => {
  const choices = { kind: 'question', prompt: 'Which?', asks: { by: 'choice', choices: [{ text: 'four', right: false }, { text: 'five', right: true }] } } as Block

  it('keeps its answer, in its place and unseen, until the second step', () => {
    const open = { kind: 'question', prompt: 'How many?', asks: { by: 'open', answer: 'Fifteen' } } as Block
    expect(face(open, 1).find('.block-answer').classes()).toContain('waits')
    expect(face(open, 2).find('.block-answer').classes()).not.toContain('waits')
  })

  it('by choice has letters, and nothing tells which is right', () => {
    const asked = face(choices, 1)
    expect(asked.findAll('.letter').map(read)).toEqual(['A', 'B'])
    expect(asked.find('.right').exists()).toBe(false)
    expect(asked.find('.wrong').exists()).toBe(false)
    expect(asked.find('.verdict').exists()).toBe(false)
  })

  it('by choice marks the right one by a shape with a word, not by colour alone', () => {
    const answered = face(choices, 2)
    expect(answered.findAll('li').map((one) => one.classes())).toEqual([['wrong'], ['right']])
    expect(read(answered.find('.right .verdict'))).toBe('holds')
  })

  it.each([[true, 'True.'], [false, 'False.']])('true or false: %s', (is_true, said) => {
    const block = { kind: 'question', prompt: 'Is 6 : 4 the same as 3 : 2?', asks: { by: 'true_or_false', is_true, why: 'Both are halved.' } } as Block
    expect(read(face(block, 2).find('.block-answer'))).toBe(`${said} Both are halved.`)
    expect(face(block, 1).find('.block-answer').classes()).toContain('waits')
  })

  it('without a written answer has no empty place for it', () => {
    expect(face({ kind: 'question', prompt: 'What do you see?', asks: { by: 'open', answer: '' } } as Block).find('.block-answer').exists()).toBe(false)
  })
})

describe('a problem to practise', () => {
  const practice = (more: Partial<Rung>): Block => ({ kind: 'practice', rung: rung(more), source }) as unknown as Block

  it('keeps its answer until the second step', () => {
    expect(face(practice({}), 1).find('.block-answer').classes()).toContain('waits')
    expect(face(practice({}), 2).find('.block-answer').classes()).not.toContain('waits')
  })

  it('typesets an answer, and says one of a story in its words', () => {
    expect(face(practice({}), 2).find('.block-answer .katex').exists()).toBe(true)
    expect(face(practice({ story: true }), 2).find('.block-answer .katex').exists()).toBe(false)
  })

  it('shows its picture with what it shows for those who cannot see it', () => {
    const drawn = face(practice({ figure }))
    expect(drawn.find('[role="img"]').attributes('aria-label')).toBe('A number line from 0 to 4.')
    expect(face(practice({})).find('[role="img"]').exists()).toBe(false)
  })
})

describe('small things of faces', () => {
  it('a table without heads has none', () => {
    expect(face({ kind: 'table', heads: ['', ''], rows: [['1', '2']] } as Block).find('thead').exists()).toBe(false)
  })

  it('empty beginnings of sentences do not stand there', () => {
    expect(face({ kind: 'talk', prompt: 'Talk.', starters: ['', ''] } as Block).find('ul').exists()).toBe(false)
  })

  it('a link without a name shows its address, and opens elsewhere without telling where from', () => {
    const link = face({ kind: 'link', url: 'https://hive.example/', text: '' } as Block).find('a')
    expect(read(link)).toBe('https://hive.example/')
    expect(link.attributes()).toMatchObject({ target: '_blank', rel: 'noreferrer noopener' })
  })

  it('an image has the words for those who cannot see it', () => {
    expect(face({ kind: 'image', image: 4, alt: 'A frame of brood', caption: '' } as Block).find('img').attributes('alt')).toBe('A frame of brood')
  })

  it('a picture that is not drawn yet leaves its caption', () => {
    const block = { kind: 'picture', figure: { kind: 'number_line', from: 0, to: 9, points: [] }, caption: 'To nine' } as Block
    const seen = stand(BlockFace, { block, pictures: [] })
    expect(seen.find('[role="img"]').exists()).toBe(false)
    expect(read(seen)).toBe('To nine')
  })
})

describe('a slide', () => {
  const two = slide(1, [text('first'), text('second')], { title: 'Ratios of $2$ to $3$' })
  const reveal = { moments: [{ shown: [1, 0] }, { shown: [1, 1] }], blocks: [{ answer: '' }, { answer: '' }] }
  const waits = (shown: number): boolean[] => stand(SlideFace, { slide: two, reveal, shown }).findAll('.block-text').map((one) => one.classes().includes('waits'))

  it.each([
    [1, [false, true]],
    [2, [false, false]],
    [0, [false, true]],
    [9, [false, false]],
    [Infinity, [false, false]],
  ])('at moment %s', (shown, expected) => {
    expect(waits(shown)).toEqual(expected)
  })

  it('has its title as a heading, with mathematics', () => {
    const title = stand(SlideFace, { slide: two }).find('h2')
    expect(title.findAll('.katex')).toHaveLength(2)
  })

  it('carries its theme', () => {
    expect(stand(SlideFace, { slide: two }).attributes('data-theme')).toBe('daylight')
    expect(stand(SlideFace, { slide: two, theme: 'dusk' }).attributes('data-theme')).toBe('dusk')
  })
})
