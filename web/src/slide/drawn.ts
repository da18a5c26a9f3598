/** The pictures of a lesson, drawn by the server. */
import type { Drawing, Figure, Scene } from '@/api/client'

/** A figure, drawn. */
export function sceneOf(figure: Figure | undefined, pictures: Drawing[]): Scene | undefined {
  if (!figure) return undefined
  const text = JSON.stringify(figure)
  return pictures.find((drawn) => JSON.stringify(drawn.figure) === text)?.scene
}
