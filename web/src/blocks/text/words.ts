export const words = {
  name: 'Text',
  text: 'Text (mathematics between $ signs)',
}
