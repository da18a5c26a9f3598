export const words = {
  name: 'Ladder',
  ladder: 'Practise on this ladder',
  toLadder: 'Open the ladder',
}
