/** Every kind of block, found by its folder. */
import type { BlockEntry, Kind } from './kinds'

const folders = import.meta.glob<{ default: BlockEntry }>('./*/index.ts', { eager: true })
const entries = Object.values(folders).map((folder) => folder.default)

/** The kinds, by their names. */
export const blockKinds = Object.fromEntries(entries.map((entry) => [entry.kind, entry])) as Record<Kind, BlockEntry>

/** What can be added to a slide, in the order of the menu. */
export const offeredKinds: BlockEntry[] = entries
  .filter((entry) => entry.offered !== undefined)
  .sort((a, b) => (a.offered ?? 0) - (b.offered ?? 0))
