/** When the blocks of a slide come. What a slide shows in which step is told by the server. */
import type { Slide } from '@/api/client'

/** When a block comes: 0 for those that stand from the start. */
export const comesAt = (slide: Slide, at: number): number => slide.comes?.[at] ?? 0
