import { computed, shallowRef, toValue, type MaybeRefOrGetter } from 'vue'
import { api, reply, type SkillCard } from '@/api/client'
import { useCall } from './useCall'

/** The catalogue stays what it is while the program runs: it is asked for once. */
const catalogue = shallowRef<SkillCard[]>([])

/** The skills of the catalogue, those for a grade before the others. */
export function useSkills(grade?: MaybeRefOrGetter<number | undefined>) {
  const { failure, call } = useCall()

  async function load(): Promise<void> {
    if (catalogue.value.length) return
    await call(reply(api.GET('/api/skills')), (skills) => (catalogue.value = skills))
  }
  void load()

  const cards = computed(() => {
    const wanted = toValue(grade)
    const fits = (card: SkillCard): boolean => wanted !== undefined && card.first_grade <= wanted && wanted <= card.last_grade
    return [...catalogue.value.filter(fits), ...catalogue.value.filter((card) => !fits(card))]
  })
  return { cards, failure }
}
