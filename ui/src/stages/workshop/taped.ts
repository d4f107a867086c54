// What was taped, drawn by the core.
import { computed } from 'vue'
import { api } from '@/api'
import { useStudy } from '@/stores/study'

export function useTaped() {
  const { data, failure } = useStudy(api.taping)
  return { drawn: computed(() => data.value?.drawn), failure }
}
