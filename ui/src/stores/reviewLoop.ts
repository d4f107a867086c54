// The review loop: one request in flight, the latest wins. Live at once, settled after a rest.
import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { api, Unreachable } from '@/api'
import type { Fix, Plan, Report, Settled } from '@/generated/types'

const restMs = 150 // of stillness before the settled tier is asked for

export interface Open {
  id: Ref<string>
  plan: ShallowRef<Plan | undefined>
  outing: Ref<string>
  trailer: Ref<string>
  stage: Ref<string> // on screen
  sequence: Ref<number> // of the last change
  preview: ShallowRef<{ fix: Fix; plan: Plan } | undefined>
  report: ShallowRef<Report | undefined>
  placed: ShallowRef<Report['placed']>
  failure: Ref<string>
  away: Ref<boolean>
}

/** Asks for reports of what is open, and keeps the one on screen. */
export function useReviewLoop(open: Open) {
  const { id, plan, outing, trailer, stage, sequence, preview, report, placed, failure, away } = open
  const shown = ref(0) // sequence of the report on screen
  const settled = ref(false)
  const settledReport = shallowRef<Settled>()
  const settledAt = shallowRef<Date>() // when its figures were made

  let flying = false
  let wanted: 'live' | 'settled' | undefined
  let rest: ReturnType<typeof setTimeout> | undefined

  /** Asks for both tiers. Where nothing goes on changing, as when a plan is opened, settled follows at once. */
  function ask(still = false) {
    settled.value = false
    clearTimeout(rest)
    send('live')
    if (still)
      wanted = 'settled' // the next in flight
    else rest = setTimeout(() => send('settled'), restMs)
  }

  /** What the last rest found of an outing; undefined where none was there. */
  function before(forOuting: string, forTrailer: string) {
    const last = settledReport.value
    if (last?.scope.outing !== forOuting || last.scope.trailer !== forTrailer) return undefined
    return last.findings
      .filter((f) => f.rest || f.doubted)
      .map((f) => ({ ...f, fixes: undefined, source: undefined }))
  }

  function send(want: 'live' | 'settled') {
    wanted = want
    if (!flying) void fly()
  }

  async function fly() {
    flying = true
    while (wanted && plan.value) {
      const want = wanted
      wanted = undefined
      const asked = preview.value?.plan ?? plan.value
      const seq = sequence.value
      const [forPlan, forOuting, forTrailer] = [id.value, outing.value, trailer.value]
      try {
        // at rest all is drawn, since the hand may go to another stage next; what is found then stands until the next rest
        const live = want === 'live' ? { stage: stage.value, before: before(forOuting, forTrailer) } : {}
        const answer = await api.review(
          { plan: asked, outing: forOuting, trailer: forTrailer, ...live },
          want,
        )
        if (id.value !== forPlan) continue
        failure.value = ''
        away.value = false
        report.value = answer
        if (asked === plan.value) placed.value = answer.placed
        // The core picks where nothing was chosen; a choice made meanwhile stands.
        if (outing.value === forOuting) outing.value = answer.scope.outing ?? ''
        if (trailer.value === forTrailer) trailer.value = answer.scope.trailer ?? ''
        shown.value = seq
        if (want === 'settled' && seq === sequence.value) {
          settled.value = true
          if (!preview.value) {
            settledReport.value = answer // a preview keeps the plan's own fixes
            settledAt.value = new Date()
          }
        }
      } catch (e) {
        if (id.value !== forPlan) continue
        failure.value = e instanceof Error ? e.message : String(e)
        away.value = e instanceof Unreachable
        clearTimeout(rest)
        rest = setTimeout(() => send('settled'), 2000)
      }
    }
    flying = false
  }
  return { shown, settled, settledReport, settledAt, ask }
}
