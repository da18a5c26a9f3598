export const words = {
  name: 'Problem',
  answer: 'Answer',
  another: 'Other numbers',
}
