import { ElMessageBox } from 'element-plus'
import { words } from '@/words'

/** Asks before something is done that cannot be undone; says whether it is meant. */
export async function sure(asks: string, yes: string): Promise<boolean> {
  try {
    await ElMessageBox.confirm(asks, '', { confirmButtonText: yes, cancelButtonText: words.cancel })
    return true
  } catch {
    return false
  }
}
