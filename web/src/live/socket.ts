/** Listens to a live lesson: what is told comes as JSON, and a connection that is lost is taken up again by itself. */
import { onScopeDispose, ref } from 'vue'

const FIRST_MS = 400
const LONGEST_MS = 5000

export function useSocket<T>(path: () => string | undefined, hear: (told: T) => void, back: () => void = () => undefined) {
  const online = ref(true)
  let socket: WebSocket | undefined
  let wait = FIRST_MS
  let timer: ReturnType<typeof setTimeout> | undefined
  let over = false
  let lost = false

  function open(): void {
    clearTimeout(timer)
    const to = path()
    if (over || to === undefined) return
    const address = new URL(to, location.href)
    address.protocol = address.protocol.replace('http', 'ws')
    socket = new WebSocket(address)
    socket.onopen = () => {
      online.value = true
      wait = FIRST_MS
      if (lost) back()
      lost = false
    }
    socket.onmessage = (event: MessageEvent<string>) => hear(JSON.parse(event.data) as T)
    socket.onclose = () => {
      if (over) return
      online.value = false
      lost = true
      // Not all of a class at the same moment.
      timer = setTimeout(open, wait * (0.7 + 0.6 * Math.random()))
      wait = Math.min(2 * wait, LONGEST_MS)
    }
  }
  function again(): void {
    wait = FIRST_MS
    if (!online.value) open()
  }
  function close(): void {
    over = true
    clearTimeout(timer)
    socket?.close()
  }
  addEventListener('online', again)
  onScopeDispose(() => {
    removeEventListener('online', again)
    close()
  })
  return { online, open, close }
}
