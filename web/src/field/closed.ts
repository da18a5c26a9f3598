/** Whether what stands in the fields of a page is only to be read: it was handed in. */
import type { InjectionKey, Ref } from 'vue'

export const closedKey: InjectionKey<Readonly<Ref<boolean>>> = Symbol('closed')
