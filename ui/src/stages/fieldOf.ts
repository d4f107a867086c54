/** The stage, with its tab, on which the field at a path stands. */
export function stageOfPath(path: string): string {
  if (/\/(lashings|tiePoints)/.test(path) || path.startsWith('/straps')) return 'tie'
  if (path.startsWith('/trailers/')) {
    if (path.includes('/drawbar')) return 'racks'
    return /\/(deal|papers)/.test(path) ? 'trailer/money' : 'trailer/details'
  }
  if (/^\/parts\/[^/]+\/(rack|slots|cradle)/.test(path)) return 'racks'
  if (/^\/parts\/[^/]+\/ramp/.test(path) || path.includes('/loading') || path.includes('/rolling/'))
    return 'ramps'
  if (path.startsWith('/parts/')) return path.endsWith('/undo') ? 'trailer/details' : 'balance'
  if (path.startsWith('/towVehicles/')) return 'vehicle'
  if (path.startsWith('/wants/')) return 'job'
  if (path.endsWith('/people') || path.endsWith('/gear') || path.endsWith('/vehicle')) return 'job'
  if (/^\/loads\/[^/]+\/hull\/(draft|eye)/.test(path) || path.includes('/slip')) return 'racks'
  if (path.startsWith('/loads/')) return /\/mass$/.test(path) ? 'balance' : 'job'
  return 'balance'
}
