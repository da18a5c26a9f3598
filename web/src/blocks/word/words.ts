export const words = {
  name: 'Word',
  word: 'Word',
  means: 'What it means',
}
