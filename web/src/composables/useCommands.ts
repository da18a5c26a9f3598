import { onScopeDispose, shallowRef } from 'vue'

/** Something that can be done from the list of commands. */
export interface Command {
  says: string
  run: () => void
  /** Where it belongs, said beside it. */
  place?: string
}

/** What the screen that is open offers, beside what is always there. */
const offered = shallowRef<Command[]>([])

/** Offers commands as long as the screen is open. They are made when the list is opened. */
export function offerCommands(commands: () => Command[]): void {
  makers.add(commands)
  onScopeDispose(() => makers.delete(commands))
}
const makers = new Set<() => Command[]>()

export function useCommands() {
  const gather = (): void => {
    offered.value = [...makers].flatMap((make) => make())
  }
  return { offered, gather }
}
