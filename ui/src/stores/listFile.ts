// A list that is read from a file: each line becomes a record, what cannot be used is named.
import { ref } from 'vue'
import type { Asked } from '@/api'
import type { CellError } from '@/generated/types'
import { newId } from './patch'
import { useRecords } from './records'
import { useWorkspace } from './workspace'

export function useListFile<Row extends { on?: string }>(
  kind: string,
  ask: (asked: Asked, csv: string) => Promise<{ rows: Row[]; wrong: CellError[] }>,
  body: (row: Row) => object,
) {
  const workspace = useWorkspace()
  const records = useRecords()
  const wrong = ref<CellError[]>([])
  const refused = ref('')
  async function read(e: Event) {
    const from = e.target as HTMLInputElement
    const file = from.files?.[0]
    from.value = ''
    if (!file || !workspace.plan) return
    refused.value = ''
    wrong.value = []
    try {
      const asked = { plan: workspace.plan, outing: workspace.outing, trailer: workspace.trailer }
      const got = await ask(asked, await file.text())
      wrong.value = got.wrong
      let order = Object.keys(records.all).length
      records.make(
        got.rows.map((r) => ({
          id: newId(kind),
          record: {
            ...{ kind, trailer: workspace.trailer, order: order++, [kind]: body(r) },
            ...(r.on ? { on: r.on } : {}),
          },
        })),
      )
    } catch (e) {
      refused.value = e instanceof Error ? e.message : String(e)
    }
  }
  return { wrong, refused, read }
}
