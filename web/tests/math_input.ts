/** A field for mathematics, as far as its screen sees it: a value, and keys that mean something. */
export default {
  name: 'MathInput',
  props: ['modelValue', 'label'],
  emits: ['update:modelValue', 'enter', 'emptyBackspace', 'up', 'down'],
  methods: { focus: () => undefined, select: () => undefined },
  template: '<input class="maths" :value="modelValue" :aria-label="label" @input="$emit(\'update:modelValue\', $event.target.value)" @keydown.enter="$emit(\'enter\')" />',
}
