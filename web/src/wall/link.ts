/** Joins the wall and the teacher's window on one device: each tells the other where the lesson stands. */
import { onScopeDispose } from 'vue'

export type Told = { kind: 'stands'; at: number; shown: number } | { kind: 'asks' } | { kind: 'go'; to: 'next' | 'back' } | { kind: 'jump'; at: number }

export function useWallLink(lesson: number, hear: (told: Told) => void) {
  const channel = new BroadcastChannel(`honey-ladder.wall.${lesson}`)
  channel.onmessage = (event: MessageEvent<Told>) => hear(event.data)
  onScopeDispose(() => channel.close())
  return { tell: (told: Told): void => channel.postMessage(told) }
}
