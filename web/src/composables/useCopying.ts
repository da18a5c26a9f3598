/** Copies text; throws when the browser does not let us. */
export async function copyText(text: string): Promise<void> {
  if (navigator.clipboard) return navigator.clipboard.writeText(text)
  // Without a secure connection there is only the old way.
  const area = document.createElement('textarea')
  area.value = text
  document.body.append(area)
  area.select()
  const done = document.execCommand('copy')
  area.remove()
  if (!done) throw new Error('not copied')
}

/** How many pixels of the picture go on one of its points: sharp on every screen and on paper. */
const SHARPNESS = 3

/** An SVG picture of ours as PNG: copied where the browser can, downloaded where it cannot. */
export async function pngOf(address: string): Promise<'copied' | 'downloaded'> {
  const image = new Image()
  image.src = address
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = image.naturalWidth * SHARPNESS
  canvas.height = image.naturalHeight * SHARPNESS
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
  const png = await new Promise<Blob>((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png'),
  )
  try {
    await navigator.clipboard.write([new ClipboardItem({ 'image/png': png })])
    return 'copied'
  } catch {
    const link = document.createElement('a')
    link.href = URL.createObjectURL(png)
    link.download = 'working.png'
    link.click()
    URL.revokeObjectURL(link.href)
    return 'downloaded'
  }
}
