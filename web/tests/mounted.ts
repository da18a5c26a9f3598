/** Components as they stand on a screen, without a browser. */
import { mount, type VueWrapper } from '@vue/test-utils'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import type { Drawing, Figure, Scene } from '@/api/client'

const nowhere = { template: '<p />' }

/** The pages that components link to. */
const router = createRouter({
  history: createMemoryHistory(),
  routes: [...['shelf', 'lesson', 'ladder', 'bench', 'sign-in', 'sign-up', 'forgot', 'account', 'administer', 'classes', 'class', 'cards', 'assignment', 'own-ladder', 'problem', 'results', 'shared', 'join', 'join-code', 'live', 'walk'].map((name) => ({ path: `/${name}/:id?`, name, component: nowhere })), { path: '/:rest(.*)*', component: nowhere }],
})

/** Goes to a page, and tells which one is open. */
export const push = (path: string) => router.push(path)
export const whereTo = (): string => router.currentRoute.value.path

/** A component with its props, slots and listeners. */
export function stand(component: Component, props: Record<string, unknown> = {}, slots: Record<string, string> = {}): VueWrapper {
  return mount(component, { props, slots, attachTo: document.body, global: { plugins: [router] } })
}

/** What is read on it, its white space as a reader sees it. */
export const read = (wrapper: { text: () => string }): string => wrapper.text().replace(/\s+/g, ' ').trim()

/** A button by what it says or by its label. */
export function button(wrapper: VueWrapper, name: string) {
  const found = wrapper.findAll('button').find((one) => read(one) === name || one.attributes('aria-label') === name)
  if (!found) throw new Error(`no button “${name}” among ${wrapper.findAll('button').map((one) => one.attributes('aria-label') ?? read(one)).join(' | ')}`)
  return found
}

export const figure: Figure = { kind: 'number_line', from: 0, to: 4, points: [] }

export const scene: Scene = { width: 320, height: 80, shapes: [], labels: [], describes: 'A number line from 0 to 4.' }

export const pictures: Drawing[] = [{ figure, scene }]
