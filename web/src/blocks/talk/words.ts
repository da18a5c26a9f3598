export const words = {
  name: 'Talk prompt',
  prompt: 'What to talk about',
  starters: 'How a sentence may begin',
  starter: (n: number) => `Beginning ${n}`,
}
