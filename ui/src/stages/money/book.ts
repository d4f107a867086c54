// The ledger, the ways and the jobs of the trailer on screen.
import { computed } from 'vue'
import { api } from '@/api'
import { useStudy } from '@/stores/study'

export function useBook() {
  const { data, failure } = useStudy(api.money, () => 0, true, true)
  return { ledger: computed(() => data.value?.ledger), ways: computed(() => data.value?.ways), failure }
}
