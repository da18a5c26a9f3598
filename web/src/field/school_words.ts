/** English words that hold the name of a sign: `cost` is no cosine of t. */
import list from '../../../crates/algebra/src/read/words.txt?raw'

const upper = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1)

/** Each word of the list in which one of these names stands, written as it is. */
export function wordsWith(names: string[]): Record<string, string> {
  const letters = names.filter((name) => /^[a-z]+$/.test(name))
  const found = list.split('\n').filter((word) => letters.some((name) => word.includes(name) && word !== name))
  return Object.fromEntries(found.flatMap((word) => [word, upper(word)]).map((word) => [word, word]))
}
