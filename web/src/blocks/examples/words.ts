export const words = {
  name: 'Example and non-example',
  of: 'Examples of what',
  fits: 'Examples',
  fitsNot: 'Not one of them',
  one: (n: number) => `Example ${n}`,
  none: (n: number) => `Non-example ${n}`,
  isOne: 'is one',
  isNone: 'is not',
}
