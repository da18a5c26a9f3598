/** Sentences of Second Look. */
import type { Kind } from '@/api/client'

export const lookWords = {
  title: 'Second Look',
  clean: 'Nothing to mend. The class may come.',
  lead: (count: number) => (count === 1 ? 'One thing to look at before the class does.' : `${count} things to look at before the class does.`),
  plan: 'Plan',
  slide: (n: number, title: string) => `Slide ${n}: ${title}`,
  go: 'Go there',
  mend: (text: string) => `Put ${text}`,
  leave: 'Leave it so',
  reason: 'Why it is right as it is',
  keep: 'Leave it',
  dismissed: 'Left as they are',
  back: 'Look at it again',
}

export const kindNames: Record<Kind, string> = {
  'false-equality': 'Not equal',
  'false-step': 'Does not follow',
  'false-chain': 'Broken chain',
  'number-changed': 'Another number',
  'name-changed': 'Another name',
  'unit-wrong': 'Unit',
  'sequence-wrong': 'Out of rule',
  'rounding-wrong': 'Rounding',
  'answer-form': 'Form of the answer',
  'not-answerable': 'Cannot be answered',
  'duplicate-problem': 'Twice',
  'minutes-do-not-add': 'Minutes',
  'term-before-definition': 'Not defined yet',
  'answer-missing': 'No answer',
  'figure-mismatch': 'Picture',
  'small-text': 'Too full',
  'low-contrast': 'Faint',
  'no-alternative-text': 'No words for a picture',
  'objective-unpractised': 'Not practised',
  empty: 'Empty',
}
