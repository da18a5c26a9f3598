/** Sentences of the plan, the blocks of a slide, and the history of a lesson. */
import type { Grouping, Meaning, Theme } from '@/api/client'

export const planWords = {
  slides: 'Slides',
  plan: 'Plan',
  views: 'Two views of the lesson',
  details: 'The sheet',
  class: 'Class',
  section: 'Section',
  subject: 'Subject',
  date: 'Date',
  period: 'Period',
  week: 'Week',
  length: 'Length in minutes',
  topic: 'Topic',
  title: 'Title',
  grade: 'Grade',
  prior: 'What the class brings along',
  objectiveOf: 'Take one from a skill',
  priorAdd: 'Add a skill or words of your own',
  objectives: 'Objectives',
  objectivesHint: 'I can …',
  criteria: 'What shows that they are reached',
  resources: 'To have at hand',
  homework: 'Homework',
  phases: 'Phases',
  phase: 'Phase',
  minutes: 'Minutes',
  grouping: 'Who works how',
  teacher: 'The teacher',
  students: 'The students',
  itsSlides: 'Its slides',
  noSlides: 'No slide yet. Drag one here, or add one.',
  fits: (n: number) => `The phases fill the ${n} minutes.`,
  over: (n: number) => `The phases take ${n} ${n === 1 ? 'minute' : 'minutes'} more than the lesson has.`,
  short: (n: number) => `The phases leave ${n} ${n === 1 ? 'minute' : 'minutes'} free.`,
  add: 'Add',
  remove: (text: string) => `Take out ${text || 'this one'}`,
  entry: (n: number) => `Entry ${n}`,
  slideMinutes: (n: number) => `${n} min on slides`,
  moveTo: 'Move to another phase',
  addSlide: 'Add a slide',
}

export const groupingNames: Record<Grouping, string> = {
  class: 'All together',
  alone: 'Alone',
  pairs: 'In pairs',
  groups: 'In groups',
}

export const blockWords = {
  add: 'Add to this slide',
  up: 'Move this part up',
  down: 'Move this part down',
  twice: 'Copy this part',
  comes: 'Comes',
  fromStart: 'from the start',
  step: (n: number) => `in step ${n}`,
  pictureOf: 'Picture',
  putPicture: 'Put it on the slide',
  split: 'Split: begin a new slide here',
  splitShort: 'Split',
  full: 'There is more here than the back row can read. Split it, or take something out.',
  skill: 'Skill',
  stage: 'Stage',
  draw: 'Draw a problem',
  typed: 'Or type one',
  typedHint: 'such as 3x + 5 = 20 or 15% of 60',
  pose: 'Take it',
}

export const styleWords = {
  title: 'How the slides look',
  theme: 'Theme',
  meanings: 'Quantities that keep one colour',
  meaningsHelp: 'In the words, the mathematics and the pictures of every slide.',
  what: (n: number) => `Quantity ${n}`,
  whatHint: 'x, 24 or jars',
  colour: (n: number) => `Colour of quantity ${n}`,
  more: 'One more',
}

export const themeNames: Record<Theme, string> = {
  daylight: 'Daylight',
  beeswax: 'Beeswax',
  dusk: 'Dusk',
  high_contrast: 'High contrast',
}

export const colourNames: Record<Meaning['colour'], string> = {
  honey: 'Honey, with a line',
  heather: 'Heather, with two lines',
  clover: 'Clover, with dashes',
  sky: 'Sky, with dots',
}

export const moveWords = {
  more: 'More',
  below: 'Add a slide below',
  join: 'Join with the next slide',
  send: 'Copy to another lesson …',
  move: 'Move to another lesson …',
  to: 'To which lesson',
  go: 'Send it',
  sent: (title: string) => `It stands in “${title}” now.`,
  file: 'Save as a file',
}

export const historyWords = {
  open: 'History',
  title: 'What the lesson was',
  lead: 'Every stretch of work is kept. Going back keeps what stands now, too.',
  now: 'as it stands now',
  by: (name: string) => `by ${name}`,
  look: 'Look at it',
  restore: 'Go back to this one',
  shut: 'Back to the list',
  empty: 'Nothing has been changed yet.',
  undo: 'Undo',
  redo: 'Redo',
}
