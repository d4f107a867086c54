// Days and hours as they are read in the plan's region. They come as the clock on the wall shows them,
// without a zone.
import { computed } from 'vue'
import { useWorkspace } from '@/stores/workspace'

const tags: Record<string, string> = { na: 'en-US', uk: 'en-GB', eu: 'en-IE', au: 'en-AU', nz: 'en-NZ' }

/** A day or a time of the wall as a Date that prints as it stands. */
export const wall = (s: string) => new Date(s.length === 10 ? `${s}T00:00Z` : `${s}Z`)

export function useDays() {
  const workspace = useWorkspace()
  const tag = computed(() => tags[workspace.locale.region] ?? 'en-GB')
  const print = (s: string, how: Intl.DateTimeFormatOptions) =>
    s ? new Intl.DateTimeFormat(tag.value, { ...how, timeZone: 'UTC' }).format(wall(s)) : '–'
  return {
    day: (s: string) => print(s, { weekday: 'short', day: 'numeric', month: 'short' }),
    long: (s: string) => print(s, { day: 'numeric', month: 'long', year: 'numeric' }),
    /** A month, written year-month, or a year. */
    month: (s: string) => (s.length === 4 ? s : print(`${s}-01`, { month: 'short', year: '2-digit' })),
    when: (s: string) =>
      print(s, { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }),
  }
}
