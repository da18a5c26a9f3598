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
  false_claim: 'False',
  wrong_term: 'Out of rule',
  wrong_answer: 'Wrong answer',
  wrong_form: 'Wrong form',
  bad_choice: 'Choices',
  no_question: 'No question',
  repeated: 'Twice',
  used_before_defined: 'Not defined yet',
  minutes: 'Minutes',
  not_practised: 'Not practised',
  too_full: 'Too full',
  empty: 'Empty',
}
