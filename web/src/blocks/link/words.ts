export const words = {
  name: 'Link',
  url: 'Address',
  urlHint: 'https://',
  linkText: 'What it is called',
}
