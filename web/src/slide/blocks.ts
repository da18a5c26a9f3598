/** A new block of each kind, to be written on. */
import type { Block } from '@/api/client'

/** The kinds that begin empty; worked examples come from the working bench, problems from the catalogue. */
export type Empty = Exclude<Block['kind'], 'worked_example' | 'practice' | 'picture' | 'ladder'>

export const emptyKinds: Empty[] = ['text', 'question', 'talk', 'word', 'examples', 'table', 'link', 'image']

export function emptyBlock(kind: Empty): Block {
  switch (kind) {
    case 'text':
      return { kind, text: '' }
    case 'question':
      return { kind, prompt: '', asks: { by: 'open', answer: '' } }
    case 'talk':
      return { kind, prompt: '', starters: [''] }
    case 'word':
      return { kind, word: '', means: '' }
    case 'examples':
      return { kind, of: '', fits: [''], fits_not: [''] }
    case 'table':
      return { kind, heads: ['', ''], rows: [['', '']] }
    case 'image':
      return { kind, image: 0, alt: '', caption: '' }
    case 'link':
      return { kind, url: '', text: '' }
  }
}
