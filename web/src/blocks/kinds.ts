/** What a kind of block is on this side: a face for the class, an editor for the teacher, and its words. */
import type { Component } from 'vue'
import type { Block, Drawing, Reveal } from '@/api/client'

export type Kind = Block['kind']
export type OfKind<K extends Kind> = Extract<Block, { kind: K }>

/** What a face is given. */
export interface FaceProps<K extends Kind> {
  block: OfKind<K>
  /** The pictures of the lesson, drawn. */
  pictures: Drawing[]
  /** How many of its steps show; infinitely many for all of it. */
  steps: number
  /** How a worked example is revealed. */
  reveal?: Reveal
}

/** One kind of block: what its folder says of it. */
export interface BlockEntry<K extends Kind = Kind> {
  kind: K
  /** What it is called. */
  name: string
  face: Component
  editor: Component
  /** Its place among what can be added to a slide, in tens so that another fits between; absent for what comes from elsewhere. */
  offered?: number
  /** A new one, to be written on; absent where it is chosen or worked first. */
  empty?: () => OfKind<K>
  /** Where one is chosen before it is put on the slide. */
  chooser?: Component
}

/** Types what a folder says by its kind. */
export const blockKind = <K extends Kind>(entry: BlockEntry<K>): BlockEntry<K> => entry
