/** The stage on which the field at a path stands. */
export function stageOfPath(path: string): string {
  if (path.startsWith('/trailers/')) return 'trailer'
  if (path.startsWith('/towVehicles/')) return 'vehicle'
  if (path.endsWith('/people') || path.endsWith('/gear') || path.endsWith('/vehicle')) return 'job'
  if (path.startsWith('/loads/')) return path.endsWith('/mass') ? 'balance' : 'job'
  return 'balance'
}
