export const words = {
  name: 'Key point',
  remember: 'Remember',
  point: 'What to remember (mathematics between $ signs)',
}
