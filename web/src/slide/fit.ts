/**
 * How a slide is laid out: of the ways in which everything is seen, the one whose smallest letters are the largest.
 * The layout is written straight onto the slide, since measuring tries a dozen of them.
 */

export interface Layout {
  /** All sizes by this much; 1 is the usual size. */
  fit: number
  /** Whether the parts stand in two columns. */
  columns: boolean
  /** Where pictures stand: beside the words and lines that belong to them, or above and below them. */
  pictures: 'beside' | 'stacked'
  /** How much room pictures may take, 1 for as much as usual. */
  grow: number
}

/** The smallest letters that the back row can read, as a share of the width: 24 pixels on a picture 1280 wide. */
const BACK_ROW = 24 / 1280
/** With the last, text is as small as that. */
const FITS = [1, 0.93, 0.86, 0.8, 0.75, 0.7, 0.65, 0.6, 0.54]
const GROWS = [1, 1.5, 2.2]
/** A reason is set smaller than its line, and the digits of a label larger than its letters. */
const REASON = 0.8
const LABEL = 1.15

function lay(inside: HTMLElement, layout: Layout): void {
  inside.style.setProperty('--fit', `${layout.fit}`)
  inside.style.setProperty('--grow', `${layout.grow}`)
  inside.style.setProperty('--picture-part', `${layout.grow}fr`)
  inside.classList.toggle('columns', layout.columns)
  inside.dataset.pictures = layout.pictures
}

const sizeOf = (element: Element): number => Number.parseFloat(getComputedStyle(element).fontSize)

/**
 * How well the slide can be read as it is laid out now. First its smallest letters are to be large enough for the
 * back row; beyond that, all are to be large.
 */
function reads(inside: HTMLElement, backRow: number): number {
  const text = sizeOf(inside) * (inside.querySelector('.reason') ? REASON : 1)
  const labels = [...inside.querySelectorAll('.scene')].flatMap((scene) => {
    const label = scene.querySelector('.label')
    return label ? [sizeOf(label) * LABEL] : []
  })
  const smallest = Math.min(text, ...labels)
  return 6 * Math.min(smallest, backRow) + smallest + text
}

/** Lays `inside` out so that it fits `face`. Gives whether it does. */
export function layOut(face: HTMLElement, inside: HTMLElement, blocks: number): boolean {
  const fits = (layout: Layout): boolean => {
    lay(inside, layout)
    return inside.scrollHeight <= face.clientHeight + 1 && inside.scrollWidth <= face.clientWidth + 1
  }
  /** The largest that fits, or the smallest of all. */
  const largest = (way: Omit<Layout, 'fit'>): Layout => {
    let [low, high] = [0, FITS.length - 1]
    while (low < high) {
      const middle = (low + high) >> 1
      if (fits({ ...way, fit: FITS[middle]! })) high = middle
      else low = middle + 1
    }
    return { ...way, fit: FITS[low]! }
  }
  const backRow = face.clientWidth * BACK_ROW
  const usual = largest({ columns: false, pictures: 'beside', grow: 1 })
  let best = { layout: usual, is: fits(usual), reads: reads(inside, backRow) }
  const hasPicture = inside.querySelector('.scene') !== null
  if (best.is && !hasPicture && usual.fit > 0.9) return best.is
  const pictures = hasPicture ? (['beside', 'stacked'] as const) : (['beside'] as const)
  for (const columns of blocks > 1 ? [false, true] : [false]) {
    for (const stand of pictures) {
      for (const grow of hasPicture ? GROWS : [1]) {
        const layout = largest({ columns, pictures: stand, grow })
        const is = fits(layout)
        const now = reads(inside, backRow)
        // A picture no larger than it must be, and columns only where they are worth it.
        if ((is && !best.is) || (is === best.is && now > best.reads * 1.03)) best = { layout, is, reads: now }
      }
    }
  }
  lay(inside, best.layout)
  return best.is
}
