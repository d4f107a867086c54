// What the workshop keeps beside the order of work.
import { computed } from 'vue'
import { api } from '@/api'
import { useStudy } from '@/stores/study'

export function useLists() {
  const { data, failure } = useStudy(api.workLists, () => 0, true, true)
  return { lists: computed(() => data.value), failure }
}
