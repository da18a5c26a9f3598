import { computed, ref, shallowRef, toValue, type MaybeRefOrGetter } from 'vue'
import { api, reply, type Failure, type SkillCard } from '@/api/client'

/** The catalogue stays what it is while the program runs: it is asked for once. */
const catalogue = shallowRef<SkillCard[]>([])

/** The skills of the catalogue, those for a grade before the others. */
export function useSkills(grade?: MaybeRefOrGetter<number | undefined>) {
  const failure = ref<Failure>()

  async function load(): Promise<void> {
    if (catalogue.value.length) return
    const answer = await reply(api.GET('/api/skills'))
    failure.value = answer.ok ? undefined : answer.failure
    if (answer.ok) catalogue.value = answer.value
  }
  void load()

  const cards = computed(() => {
    const wanted = toValue(grade)
    const fits = (card: SkillCard): boolean => wanted !== undefined && card.first_grade <= wanted && wanted <= card.last_grade
    return [...catalogue.value.filter(fits), ...catalogue.value.filter((card) => !fits(card))]
  })
  return { cards, failure }
}
