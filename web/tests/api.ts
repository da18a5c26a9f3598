/** A server that answers what a test tells it to. */
import { vi } from 'vitest'
import type { Failure } from '@/api/client'

export const asked = { GET: vi.fn(), POST: vi.fn(), PUT: vi.fn(), DELETE: vi.fn() }

type Answer = Promise<{ data?: unknown; error?: unknown; response: Response }>

export const good = (data: unknown): Answer => Promise.resolve({ data, response: { ok: true, status: 200 } as Response })

export const bad = (kind: Failure['kind'], more: Partial<Failure> = {}): Answer =>
  Promise.resolve({ error: { kind, says: 'Try another one.', ...more }, response: { ok: false, status: 422 } as Response })

/** An answer that comes when it is told to. */
export function later() {
  let give!: (data: unknown) => void
  const answer: Answer = new Promise((resolve) => {
    give = (data) => resolve({ data, response: { ok: true, status: 200 } as Response })
  })
  return { answer, give }
}
