export const words = {
  name: 'Image',
  imageFile: 'PNG, JPEG or SVG, up to 2 MB',
  alt: 'What it shows, for those who cannot see it',
  altHint: 'A hive with three frames',
  caption: 'Words below it',
}
