export const words = {
  name: 'Picture',
  caption: 'Words below it',
}
