/** The member that a path shows, or the end of which it is; empty for all else. */
export const memberOf = (path: string | undefined) =>
  path?.match(/^\/trailers\/[^/]+\/frame\/members\/([^/]+)/)?.[1] ?? ''
