// The server's API. Errors come as problem+json and are thrown as ApiError.
import type {
  Answer,
  Diagnosis,
  Powering,
  Boxing,
  Filling,
  FirstAnswers,
  FirstPlan,
  Taping,
  WorkLists,
  Drives,
  LogBook,
  LookBack,
  DriveAsked,
  DriveReplay,
  DriveScene,
  PracticeAsked,
  PracticeCase,
  PracticeTruth,
  RecordsChanged,
  RecordsKept,
  SlipRead,
  Troubles,
  Weighed,
  Weighing,
  Written,
  Folder,
  MoneyBook,
  SpendRead,
  Finishing,
  WorkDays,
  PartsRead,
  WorkOrder,
  Pumping,
  Shining,
  Tilting,
  TipSearch,
  Arranged,
  Arranging,
  AxlePlace,
  Buying,
  Changes,
  Comparison,
  CutGate,
  Cutting,
  Designing,
  Designs,
  Example,
  Finding,
  Flooring,
  Glance,
  Import,
  Listed,
  Offer,
  Op,
  Pairing,
  Plan,
  ProblemDocument,
  RackPlans,
  RampPlaces,
  TiePlan,
  Recorded,
  PhotoKept,
  Reference,
  Settled,
  Shelved,
  Revision,
  Saved,
  Scales,
  Step,
  Stretched,
  Tow,
} from '@/generated/types'

export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly field?: string,
    readonly earlier?: number,
  ) {
    super(message)
  }
}

/** No answer at all: the server or the way to it is gone. */
export class Unreachable extends Error {}

async function call(
  method: string,
  path: string,
  body?: BodyInit,
  headers: HeadersInit = {},
  signal?: AbortSignal,
): Promise<Response> {
  let answer: Response
  try {
    answer = await fetch('/api' + path, { method, body, headers, credentials: 'same-origin', signal })
  } catch (e) {
    if (signal?.aborted) throw e
    throw new Unreachable('The server does not answer.')
  }
  if (answer.ok) return answer
  if (answer.status === 401) window.dispatchEvent(new Event('passcode-asked'))
  let problem: Partial<ProblemDocument> = {}
  try {
    problem = await answer.json()
  } catch {
    // no problem document: the status tells it
  }
  const text = [problem.title, problem.detail].filter(Boolean).join(' ')
  throw new ApiError(
    answer.status,
    text || `The server answered ${answer.status}.`,
    problem.field,
    problem.earlier,
  )
}

/** The day by this device's clock; the core has none. */
export function today(): string {
  const now = new Date()
  const two = (n: number) => String(n).padStart(2, '0')
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
}

const asJSON = { 'Content-Type': 'application/json' }

async function json<T>(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<T> {
  const answer = await call(method, path, body === undefined ? undefined : JSON.stringify(body), {
    ...asJSON,
    ...headers,
  })
  return answer.status === 204 ? (undefined as T) : answer.json()
}

export interface StoredPlan {
  id: string
  revision: number
  plan: Plan
}

export interface Asked {
  plan: Plan
  outing: string
  trailer: string
  stage?: string // on screen: what others alone show is not drawn
  before?: Finding[] // what the last rest found: it stands until the next
  kept?: string // the id under which the plan is kept: its records count
}

export interface SaveRequest {
  saveId: string
  sitting: string
  label?: string
  after?: string[]
  plan: Plan
}

/** A search that answers in lines of JSON, the last with what it found. */
async function lines<Line extends { done?: Done }, Done>(
  path: string,
  asked: object,
  signal: AbortSignal,
  told: (line: Line) => void,
) {
  const answer = await call('POST', path, JSON.stringify(asked), asJSON, signal)
  let rest = ''
  let done: Done | undefined
  const text = answer.body!.pipeThrough(new TextDecoderStream()).getReader()
  for (;;) {
    const { value, done: ended } = await text.read()
    const all = (rest + (value ?? '')).split('\n')
    rest = ended ? '' : (all.pop() ?? '')
    for (const line of all.filter(Boolean)) {
      const read = JSON.parse(line) as Line
      told(read)
      done = read.done ?? done
    }
    if (ended) return done
  }
}

export const api = {
  reference: () => json<Reference>('GET', '/reference'),
  plans: () => json<Listed[]>('GET', '/plans'),
  plan: (id: string) => json<StoredPlan>('GET', `/plans/${id}`),
  glance: (id: string) => json<Glance>('GET', `/plans/${id}/glance`),
  examples: () => json<Example[]>('GET', '/examples'),
  tryExample: (id: string) => json<Saved>('POST', `/examples/${id}`),
  create: (id: string, save: SaveRequest) => json<Saved>('POST', '/plans', { id, ...save }),
  update: (id: string, base: number, save: SaveRequest) =>
    json<Saved>('PUT', `/plans/${id}`, save, { 'If-Match': `"${base}"` }),
  remove: (id: string) => json<void>('DELETE', `/plans/${id}`),
  restore: (id: string) => json<void>('POST', `/plans/${id}/restore`),
  importFile: async (file: Blob) =>
    (await call('POST', '/plans/import', file, asJSON)).json() as Promise<Saved>,
  history: (id: string) => json<Revision[]>('GET', `/plans/${id}/revisions`),
  revision: (id: string, n: number) => json<StoredPlan>('GET', `/plans/${id}/revisions/${n}`),
  review: (asked: Asked, want: 'live' | 'settled') => json<Settled>('POST', '/review', { ...asked, want }),
  first: (answers: FirstAnswers) => json<FirstPlan>('POST', '/first', answers),
  begin: (
    asked: Asked,
    thing: { what: string; kind?: string; id?: string; by?: number; at?: number; of?: string },
  ) => json<Op[]>('POST', '/begin', { ...asked, ...thing }),
  stretched: (asked: Asked, thing: { kind: string; by: number; at: number }) =>
    json<Stretched>('POST', '/stretched', { ...asked, ...thing, what: 'stretch' }),
  working: (asked: Asked, key: string) => json<Step[]>('POST', '/working', { ...asked, key }),
  compare: (asked: Asked, back: boolean) => json<Comparison>('POST', '/compare', { ...asked, back }),
  tows: (asked: Asked) => json<Tow[]>('POST', '/tows', asked),
  buy: (asked: Asked) => json<Buying>('POST', '/buy', asked),
  axle: (asked: Asked) => json<AxlePlace>('POST', '/axle', asked),
  scales: (asked: Asked) => json<Scales>('POST', '/scales', asked),
  candidates: (asked: Asked, csv: string) => json<Import>('POST', '/candidates', { ...asked, csv }),
  comparisonTable: async (asked: Asked) =>
    (await call('POST', '/comparison.csv', JSON.stringify(asked), asJSON)).blob(),
  beforeCut: (asked: Asked) => json<CutGate>('POST', '/before-cut', asked),
  shining: (asked: Asked, key: string) => json<Shining>('POST', '/shining', { ...asked, key }),
  faults: (asked: Asked, answers: Answer[], two: boolean) =>
    json<Diagnosis>('POST', '/faults', { ...asked, answers, two }),
  pumping: (asked: Asked) => json<Pumping>('POST', '/pumping', asked),
  boxing: (asked: Asked) => json<Boxing>('POST', '/boxing', asked),
  workOrder: (asked: Asked) => json<WorkOrder>('POST', '/work-order', asked),
  finishing: (asked: Asked) => json<Finishing>('POST', '/finishing', { ...asked, today: today() }),
  days: (asked: Asked) => json<WorkDays>('POST', '/days', { ...asked, today: today() }),
  daysCalendar: async (asked: Asked) =>
    (await call('POST', '/days.ics', JSON.stringify({ ...asked, today: today() }), asJSON)).blob(),
  log: (asked: Asked) => json<LogBook>('POST', '/log', { ...asked, today: today() }),
  practice: {
    next: (asked: PracticeAsked) =>
      json<PracticeCase>('POST', '/practice/next', { ...asked, today: today() }),
    answer: (asked: PracticeAsked) =>
      json<PracticeTruth>('POST', '/practice/answer', { ...asked, today: today() }),
    scene: (asked: DriveAsked) => json<DriveScene>('POST', '/practice/scene', asked),
    replay: (asked: DriveAsked) => json<DriveReplay>('POST', '/practice/replay', asked),
    /** A drive over a socket. */
    drive: () => new WebSocket(`${location.origin.replace(/^http/, 'ws')}/api/practice/drive`),
  },
  slipList: (asked: Asked, csv: string) => json<SlipRead>('POST', '/slip-list', { ...asked, csv }),
  drives: (asked: Asked) => json<Drives>('POST', '/drives', { ...asked, today: today() }),
  troubles: (asked: Asked) => json<Troubles>('POST', '/troubles', { ...asked, today: today() }),
  lookBack: (asked: Asked) => json<LookBack>('POST', '/look-back', { ...asked, today: today() }),
  months: async (asked: Asked) =>
    (await call('POST', '/look-back.csv', JSON.stringify({ ...asked, today: today() }), asJSON)).blob(),
  wearCalendar: async (asked: Asked) =>
    (await call('POST', '/wear.ics', JSON.stringify({ ...asked, today: today() }), asJSON)).blob(),
  weigh: (address: string, signal: AbortSignal, told: (line: Weighing) => void) =>
    lines<Weighing & { done?: never }, never>('/weigh', { address }, signal, told),
  weighed: (asked: Asked, weighed: Weighed) => json<Written>('POST', '/weighed', { ...asked, weighed }),
  papers: (asked: Asked) => json<Folder>('POST', '/papers', asked),
  plate: async (asked: Asked, key: 'plate' | 'label') =>
    (await call('POST', '/plate.svg', JSON.stringify({ ...asked, key }), asJSON)).blob(),
  money: (asked: Asked) => json<MoneyBook>('POST', '/money', asked),
  spendList: (asked: Asked, csv: string) => json<SpendRead>('POST', '/spend-list', { ...asked, csv }),
  ledger: async (asked: Asked) => (await call('POST', '/ledger.csv', JSON.stringify(asked), asJSON)).blob(),
  workLists: (asked: Asked) => json<WorkLists>('POST', '/work-lists', asked),
  partList: (asked: Asked, csv: string) => json<PartsRead>('POST', '/part-list', { ...asked, csv }),
  taping: (asked: Asked) => json<Taping>('POST', '/taping', asked),
  filling: (asked: Asked) => json<Filling>('POST', '/filling', asked),
  tipping: (asked: Asked) => json<Tilting>('POST', '/tipping', asked),
  tipSearch: (asked: Asked) => json<TipSearch>('POST', '/tip-search', asked),
  powering: (asked: Asked) => json<Powering>('POST', '/powering', asked),
  decking: (asked: Asked) => json<Flooring>('POST', '/decking', asked),
  cutting: (asked: Asked) => json<Cutting>('POST', '/cutting', asked),
  changes: (asked: Asked) => json<Changes>('POST', '/changes', asked),
  rampPlaces: (asked: Asked) => json<RampPlaces>('POST', '/ramp-places', asked),
  ties: (asked: Asked) => json<TiePlan>('POST', '/ties', asked),
  racks: (asked: Asked) => json<RackPlans>('POST', '/racks', asked),
  /** A drawing to scale: of the rack with that path, or the rig's view of that name. */
  drawing: async (asked: Asked, key: string, form: 'svg' | 'dxf') =>
    (await call('POST', `/drawing.${form}`, JSON.stringify({ ...asked, key }), asJSON)).blob(),
  loadTable: async (asked: Asked) => (await call('POST', '/loads.csv', JSON.stringify(asked), asJSON)).blob(),
  lashingTable: async (asked: Asked) =>
    (await call('POST', '/lashings.csv', JSON.stringify(asked), asJSON)).blob(),
  wires: async (asked: Asked) => (await call('POST', '/wires.csv', JSON.stringify(asked), asJSON)).blob(),
  cutList: async (asked: Asked) => (await call('POST', '/cutlist.csv', JSON.stringify(asked), asJSON)).blob(),
  /** Line by line: how far it has come, and at last what was found. */
  arrange: (asked: Asked, signal: AbortSignal, progress: (places: number) => void) =>
    lines<Arranging, Arranged>('/arrange', asked, signal, (l) => progress(l.places)),
  design: (asked: Asked, aim: string, signal: AbortSignal, progress: (tried: number) => void) =>
    lines<Designing, Designs>('/design', { ...asked, key: aim }, signal, (l) => progress(l.tried)),
  library: {
    list: () => json<Shelved[]>('GET', '/library'),
    keep: (plan: Plan, path: string, id: string) => json<Shelved>('POST', '/library', { plan, path, id }),
    take: (plan: Plan, id: string, as: string) => json<Op[]>('POST', `/library/${id}/take`, { plan, as }),
    offers: (plan: Plan) => json<Offer[]>('POST', '/library/offers', { plan }),
    drop: (id: string) => json<void>('DELETE', `/library/${id}`),
    restore: (id: string) => json<void>('POST', `/library/${id}/restore`),
  },
  records: {
    list: (plan: string) => json<Recorded[]>('GET', `/plans/${plan}/records`),
    change: (plan: string, id: string, patch: object) =>
      json<Recorded>('PATCH', `/plans/${plan}/records/${id}`, patch),
    changeAll: (plan: string, changes: RecordsChanged['changes']) =>
      json<RecordsKept>('POST', `/plans/${plan}/records`, { changes }),
    remove: (plan: string, id: string) => json<void>('DELETE', `/plans/${plan}/records/${id}`),
    restore: (plan: string, id: string) => json<void>('POST', `/plans/${plan}/records/${id}/restore`),
  },
  photos: {
    add: async (plan: string, id: string, picture: Blob) =>
      (
        await call('PUT', `/plans/${plan}/photos/${id}`, picture, {
          'Content-Type': picture.type || 'image/jpeg',
        })
      ).json() as Promise<PhotoKept>,
    at: (plan: string, id: string) => `/api/plans/${plan}/photos/${id}`,
    remove: (plan: string, id: string) => json<void>('DELETE', `/plans/${plan}/photos/${id}`),
    restore: (plan: string, id: string) => json<void>('POST', `/plans/${plan}/photos/${id}/restore`),
  },
  archive: async (plan: string) => (await call('GET', `/plans/${plan}/archive`)).blob(),
  importArchive: async (file: Blob) =>
    (await call('POST', '/archives', file, { 'Content-Type': 'application/zip' })).json() as Promise<Saved>,
  pair: (path: string) => json<Pairing>('POST', '/pair', { path }),
  card: async (asked: Asked) => (await call('POST', '/card.html', JSON.stringify(asked), asJSON)).blob(),
  enter: (passcode: string) => json<void>('POST', '/session', { passcode }),
}
