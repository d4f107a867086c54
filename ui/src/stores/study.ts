// A study of the open plan that is asked for only while it is on screen: one
// request in flight, the latest wins, the older answer stays meanwhile.
import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import { Unreachable, type Asked } from '@/api'
import { useRecords } from './records'
import { useWorkspace } from './workspace'

const restMs = 200 // of stillness before a study is asked for
const backMs = 3000 // until one that found no server is asked for again

export function useStudy<T>(
  ask: (asked: Asked) => Promise<T>,
  also: () => unknown = () => 0,
  tells = true, // the page's attribute of the study
  records = false, // whether what happened counts
) {
  const workspace = useWorkspace()
  const happened = useRecords()
  const data = shallowRef<T>()
  const failure = ref('')
  const shown = ref(-1) // sequence of the plan that the data belong to
  let flying = false
  let wanted = false
  let timer: ReturnType<typeof setTimeout> | undefined
  let gone = false

  async function fly() {
    if (flying) return
    flying = true
    while (wanted && workspace.plan && !gone) {
      wanted = false
      const seq = workspace.sequence
      const plan = workspace.preview?.plan ?? workspace.plan
      try {
        data.value = await ask({
          ...{ plan, outing: workspace.outing, trailer: workspace.trailer },
          kept: records ? workspace.id : undefined,
        })
        failure.value = ''
        shown.value = seq
        if (!gone && tells) document.documentElement.dataset.study = String(seq)
      } catch (e) {
        failure.value = e instanceof Error ? e.message : String(e)
        if (!(e instanceof Unreachable) || gone) continue
        again(backMs) // the server may come back
        break
      }
    }
    flying = false
  }

  function again(ms: number) {
    wanted = true
    clearTimeout(timer)
    timer = setTimeout(() => void fly(), ms)
  }

  watch(
    () => [workspace.sequence, workspace.plan?.name !== undefined, also(), records && happened.version],
    (_, old) => {
      delete document.documentElement.dataset.study
      again(old ? restMs : 0)
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    gone = true
    clearTimeout(timer)
    delete document.documentElement.dataset.study
  })
  return { data, failure, shown }
}
