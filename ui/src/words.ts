// The words of the open plan: its region's terms and its units.
import { computed, inject, type ComputedRef, type InjectionKey } from 'vue'
import type { Measure, Sentence } from '@/generated/types'
import { print, type Locale } from '@/quantities'
import { measure, nominal, sentence, spread, term, unbroken, worded } from '@/said'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'

/** A page without an open plan provides the locale that its fields speak. */
export const localeKey: InjectionKey<ComputedRef<Locale>> = Symbol('locale')

export function useWords() {
  const own = inject(localeKey, undefined)
  const reference = useReference()
  const workspace = useWorkspace()
  const locale = computed<Locale>(() => own?.value ?? workspace.locale)
  const terms = computed(() => reference.data?.terms ?? {})
  return {
    locale,
    say: (s: Sentence | undefined | null) => sentence(terms.value, locale.value, s),
    term: (key: string) => term(terms.value, key, locale.value.region),
    worded: (text: string) => worded(terms.value, locale.value.region, text),
    measure: (m: Measure | undefined | null) => measure(locale.value, m),
    nominal: (m: Measure | undefined | null) => nominal(locale.value, m),
    range: (m: Measure) => spread(locale.value, m),
    print: (kind: string, v: number) => unbroken(print(locale.value, kind, v)),
  }
}

export const outcomeWord: Record<string, string> = {
  fails: 'Fails',
  unknown: 'Not known',
  tight: 'Tight',
  holds: 'Holds',
}

export const howWords: Record<string, [mass: string, length: string]> = {
  weighed: ['weighed', 'measured'],
  learned: ['learned', 'learned'],
  plate: ['plate or papers', 'plate or papers'],
  maker: ["maker's figure", "maker's figure"],
  typical: ['typical', 'typical'],
  guessed: ['guessed', 'guessed'],
}

export const wantWords: Record<string, string> = {
  carry: 'Carry an outing',
  storage: 'Fit the garage bay or shed',
  sheet: 'Take a full sheet flat',
  alone: 'Be loaded by one person',
  road: 'Go at a given speed',
  floor: 'Have a closed, stone-proof floor',
  'flat-ramp': 'Have a tail ramp that lies flat',
  anchors: 'Have this many tie-down points',
  'racks-off': 'Let the racks come off without tools',
  budget: 'Stay within the budget',
  skills: 'Need only skills you have',
  hours: 'Be done in time',
}

export const skillWords: Record<string, string> = {
  bolt: 'Bolt together',
  weld: 'Weld',
  welder: 'Have it welded',
}

export const comesWords: Record<string, string> = {
  ready: 'ready-made',
  kit: 'bolt-together kit',
  used: 'used',
  frame: 'caravan or camper frame',
  own: 'own frame, to be built',
}

export const floorWords: Record<string, string> = {
  open: 'Open cross-members',
  mesh: 'Mesh',
  boards: 'Boards with gaps',
  ply: 'Plywood, closed',
  plate: 'Steel or aluminium sheet',
}

export const tailWords: Record<string, string> = {
  none: 'Open',
  gate: 'Board that drops or lifts off',
  ramp: 'Ramp that stands up',
  'flat-ramp': 'Ramp that lies flat',
}

export const springWords: Record<string, string> = {
  leaf: 'Leaf springs (a pair: joined by a rocker)',
  slipper: 'Slipper springs, no rocker',
  torsion: 'Torsion axle',
  none: 'None',
}

export const seatWords: Record<string, string> = {
  bolted: 'Bolted through plates',
  slots: 'In saddles with slots',
  welded: 'Hangers welded on',
}

export const poseWords: Record<string, string> = {
  down: 'on its keel',
  up: 'upside down',
  edge: 'on edge',
}
export const footWords: Record<string, string> = {
  pocket: 'In stake pockets, pinned',
  bolted: 'Bolted feet',
  welded: 'Welded on',
}

export const brakeWords: Record<string, string> = {
  none: 'None',
  overrun: 'Overrun (surge)',
  electric: 'Electric',
  fitted: 'Fitted, kind not known',
}

export const lampWords: Record<string, string> = { filament: 'Bulbs', led: 'LED' }

export const papersWords: Record<string, string> = {
  complete: 'Complete',
  new: 'New: first registration',
  missing: 'Missing',
  'none-needed': 'None needed here',
}

export const seenWords: Record<string, string> = { good: 'Good', worn: 'Worn', bad: 'Bad' }

export const roadWords: Record<string, string> = {
  open: 'Ordinary road',
  motorway: 'Motorway',
  track: 'Unsealed track',
}

/** A table of words as the options of a choice. */
export const choices = (words: Record<string, string>) =>
  Object.entries(words).map(([value, name]) => ({ value, name }))

/** The steel tube that own makes begin with, 60 mm high and so wide, m. */
export const tube = (width: number) => ({ shape: 'tube', height: 0.06, width, wall: 0.003, material: 's235' })

export const driveWords: Record<string, string> = {
  all: 'driven, all wheels',
  rear: 'driven, rear wheels',
  front: 'driven, front wheels',
  winch: 'pulled by a winch',
}
export const rampKindWords: Record<string, string> = {
  pair: 'A pair',
  full: 'Full width',
  gate: 'The tailgate',
}
export const rampCountWords: Record<string, string> = { axle: 'an axle', vehicle: 'the vehicle' }
export const rampPerWords: Record<string, string> = { pair: 'the pair', each: 'each ramp' }
export const heldWords: Record<string, string> = {
  pins: 'Pins',
  chains: 'Chains or straps',
  strip: 'A strip on the tail',
  lip: 'Only its lip',
}
export const carrierWords: Record<string, string> = {
  static: 'standing',
  moving: 'driving',
}
export const opensWords: Record<string, string> = {
  rear: 'to the rear',
  front: 'forward',
  side: 'to the side',
  up: 'upward',
  down: 'it hangs',
  pull: 'out of its sleeve',
}
export const roleWords = (term: (key: string) => string): Record<string, string> => ({
  rail: 'rail',
  cross: 'cross member',
  drawbar: term('drawbar'),
  upright: 'upright',
  brace: 'brace',
})
export const memberJointWords: Record<string, string> = {
  weld: 'welded',
  bolt: 'bolted',
  hinge: 'by a hinge or one bolt',
}
export const cutWords: Record<string, string> = { notch: 'notch', hole: 'hole, through both walls' }
export const faceWords: Record<string, string> = {
  top: 'top',
  bottom: 'underside',
  left: 'left side',
  right: 'right side',
  front: 'front side',
  rear: 'rear side',
}
export const tipWords: Record<string, string> = {
  mast: 'A winch over a mast or roller',
  swing: 'A winch over a mast that turns',
  cylinder: 'A cylinder under the bed',
  lever: 'A cylinder with a lever',
  hand: 'Hands',
}
export const gateWords: Record<string, string> = {
  top: 'swings at its upper edge',
  bottom: 'hangs down',
  off: 'is off',
}
export const tankWords: Record<string, string> = {
  box: 'a box',
  upright: 'an upright cylinder',
  along: 'a cylinder lying along the trailer',
  across: 'a cylinder lying across',
  saddle: 'a saddle over a tunnel',
}
export const bodyWords: Record<string, string> = {
  sides: 'Low sides',
  cage: 'A cage',
  box: 'A box with a roof',
}
export const bracingWords: Record<string, string> = {
  none: 'nothing',
  corners: 'short braces at the corners',
  diagonals: 'a diagonal in each end and side',
  skin: 'its skin, fixed all around',
}
export const partStateWords: Record<string, string> = {
  good: 'as they should be',
  wrong: 'another part',
  handed: 'left instead of right',
  undrill: 'a hole is missing',
  damaged: 'damaged',
}
export const toolFromWords: Record<string, string> = {
  here: 'I have it',
  borrowed: 'borrowed',
  hired: 'hired',
  bought: 'bought',
}
export const coatWords: Record<string, string> = {
  dip: 'hot-dip zinc',
  pregal: 'zinc-coated tube, zinc paint on the welds',
  paint: 'primer and enamel',
  liner: 'lining over primer',
  bare: 'aluminium as it is',
}
export const deckWords: Record<string, string> = {
  oil: 'oil',
  paint: 'paint',
  treated: 'treated timber',
  none: 'as it is: film-faced, plate, mesh',
}
export const weekdayWords: Record<string, string> = {
  mon: 'Monday',
  tue: 'Tuesday',
  wed: 'Wednesday',
  thu: 'Thursday',
  fri: 'Friday',
  sat: 'Saturday',
  sun: 'Sunday',
}
export const spendWords: Record<string, string> = {
  material: 'material',
  part: 'parts',
  tool: 'tools',
  finish: 'finish',
  fee: 'fees and tax',
  fuel: 'fuel and delivery',
  hire: 'hire',
  keep: 'upkeep',
  other: 'other',
}
export const wayWords: Record<string, string> = {
  build: 'Build it',
  buy: 'Buy one',
  convert: 'Convert an old one',
  hire: 'Hire one',
  deliver: 'Have it delivered',
  bigger: 'Keep a bigger vehicle',
  roof: 'Use the roof',
}
export const paperWords: Record<string, string> = {
  kit: 'new, whole or a kit',
  used: 'used, with its papers',
  none: 'bought without papers',
  built: 'built by yourself',
  changed: 'changed: longer, another axle',
}
export const paperWhenWords: Record<string, string> = {
  seller: 'At the seller’s',
  home: 'At home',
  test: 'Before it is approved',
  office: 'At the office',
  road: 'On the road',
}
export const fuelWords: Record<string, string> = {
  petrol: 'petrol',
  diesel: 'diesel',
  electric: 'electricity',
}
export const homeWords: Record<string, string> = { empty: 'with the trailer empty', loaded: 'loaded as well' }
export const wearWords: Record<string, string> = {
  over: 'over its time',
  soon: 'due soon',
  good: 'in order',
  unknown: 'never written down',
}
export const sideWords: Record<string, string> = { up: 'on its feet', down: 'upside down' }
export const levelWords: Record<string, string> = {
  laser: 'a level line over all',
  water: 'a water hose',
  long: 'a straight edge',
}
export const beginsWords: Record<string, string> = {
  kit: 'a kit to be bolted together',
  bars: 'bars, cut and welded',
  camper: 'an old frame that is stripped',
  bought: 'a trailer that is there',
}
export const wireJointWords: Record<string, string> = {
  crimp: 'crimped and sealed',
  solder: 'soldered',
  box: 'in a junction box',
}
export const lampUseWords: Record<string, string> = {
  tail: 'tail lamp',
  stop: 'stop lamp',
  turn: 'turn lamp',
  plate: 'plate lamp',
  fog: 'fog lamp',
  reverse: 'reverse lamp',
  marker: 'marker lamp',
  front: 'front lamp, white',
  outline: 'outline lamp',
  ident: 'identification lamp',
  triangle: 'triangle',
  'rear-reflector': 'rear reflector',
  'side-reflector': 'side reflector',
  'front-reflector': 'front reflector',
}
export const switchWords: Record<string, string> = {
  tail: 'Tail',
  left: 'Left turn',
  right: 'Right turn',
  stop: 'Brake',
  reverse: 'Reverse',
  fog: 'Fog',
}
export const latchWords: Record<string, string> = {
  pin: 'pin',
  hook: 'hook or snap',
  'over-centre': 'over-centre latch',
  strap: 'strap',
  bolt: 'bolt',
  weight: 'its weight or a fit alone',
}
export const driveWheelWords: Record<string, string> = {
  front: 'front wheels',
  rear: 'rear wheels',
  all: 'all four',
}
export const jointWords: Record<string, string> = {
  nail: 'nails',
  screw: 'screws',
  bolt: 'bolts through',
  rivet: 'blind rivets',
  clamp: 'clamps',
}
export const padWords: Record<string, string> = {
  bare: 'bare bars',
  carpet: 'carpet',
  plastic: 'plastic',
  roller: 'a roller at the rear bar',
}
export const linkWords: Record<string, string> = {
  chain: 'chain',
  cable: 'steel cable',
}
export const fixedWords: Record<string, string> = {
  member: 'through a cross-member',
  plate: 'a plate or one wall',
  ply: 'plywood',
}
export const wheelWords = (term: (key: string) => string): Record<string, string> => ({
  hard: 'rolls on hard ground',
  flat: `a flat ${term('tyre')}`,
  soft: 'sinks in soft ground',
  locked: 'wheels do not turn',
})

export const strapWords: Record<string, string> = {
  ratchet: 'Ratchet strap',
  cam: 'Cam strap',
  chain: 'Chain',
  rope: 'Rope',
}
