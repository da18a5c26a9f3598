/** The one field for a problem: what was understood stands below it, what was not says what to do. */
import { enableAutoUnmount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import ProblemField from '@/components/ProblemField.vue'
import { asked, bad, good } from './api'
import { read, stand } from './mounted'

vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))
enableAutoUnmount(afterEach)
beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] })
  for (const call of Object.values(asked)) call.mockReset()
})
afterEach(() => vi.useRealTimers())

async function settled(): Promise<void> {
  await vi.runAllTimersAsync()
  await nextTick()
}

function field() {
  const wrapper = stand(ProblemField, { modelValue: '', label: 'Problem', hint: 'such as 3x = 12' })
  const type = async (text: string): Promise<void> => {
    await wrapper.find('input').setValue(text)
    await wrapper.setProps({ modelValue: text })
    await settled()
  }
  return { wrapper, type, below: () => read(wrapper.find('.reading')) }
}

describe('the field for a problem', () => {
  it('asks once when typing rests, and says what was understood', async () => {
    asked.POST.mockImplementation(() => good({ says: 'The mean of 3, 5 and 8.', title: 'Mean' }))
    const { type, below } = field()
    await type('mean of 3, 5, 8')
    expect(asked.POST).toHaveBeenCalledTimes(1)
    expect(below()).toContain('The mean of 3, 5 and 8.')
    expect(below()).toContain('Mean')
  })

  it('says what it takes while nothing stands there, and asks nobody', async () => {
    const { type, below } = field()
    const takes = below()
    await type('   ')
    expect(asked.POST).not.toHaveBeenCalled()
    expect(below()).toBe(takes)
  })

  it('says why a problem was not understood, and offers its mend', async () => {
    asked.POST.mockImplementation(() => bad('bad', { says: 'This “(” is never closed.', mended: '3(2x)' }))
    const { wrapper, type, below } = field()
    await type('3(2x')
    expect(below()).toContain('never closed')
    await wrapper.find('.mend').trigger('click')
    expect(wrapper.emitted('update:modelValue')!.at(-1)).toEqual(['3(2x)'])
  })

  it('forgets an answer about something that was typed over', async () => {
    asked.POST.mockImplementation(() => good({ says: 'Solve $3x = 12$.', title: 'Linear equations' }))
    const { type, below } = field()
    await type('3x = 12')
    await type('')
    expect(below()).not.toContain('Linear equations')
  })
})
