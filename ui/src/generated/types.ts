/* Generated from the Go types by make types. Do not edit. */

export type Sentence = Piece[];
/**
 * @minItems 2
 * @maxItems 2
 */
export type Point = [number, number];

export interface Carried {
  plan: Plan;
  report: Report;
  settled: Settled;
  step: Step;
  reference: Reference;
  listed: Listed;
  glance: Glance;
  example: Example;
  stored: Stored;
  saving: Saving;
  saved: Saved;
  problemDocument: ProblemDocument;
  revision: Revision;
  comparison: Comparison;
  tow: Tow;
  buying: Buying;
  axlePlace: AxlePlace;
  scales: Scales;
  import: Import;
  arranging: Arranging;
  pairing: Pairing;
  rackPlans: RackPlans;
  rampPlaces: RampPlaces;
  tiePlan: TiePlan;
}
export interface Plan {
  format: string;
  version: number;
  name: string;
  notes?: string;
  region: string;
  units: string;
  ballSchool?: string;
  doubts?: {
    [k: string]: number;
  };
  chosen?: string;
  loads: {
    [k: string]: Load;
  };
  towVehicles: {
    [k: string]: TowVehicle;
  };
  trailers: {
    [k: string]: Trailer;
  };
  parts: {
    [k: string]: Part;
  };
  wants?: {
    [k: string]: Want;
  };
  straps?: {
    [k: string]: Strap;
  };
  tieSchool?: string;
  outings: {
    [k: string]: Outing;
  };
}
export interface Load {
  order: number;
  name: string;
  kind?: string;
  mass?: MassEstimate;
  massCounts?: string;
  size: Size;
  centre: Centre;
  contents?: {
    [k: string]: Content;
  };
  ends?: EndWeighing;
  bulk?: Bulk;
  tank?: Tank;
  pieces?: Pieces;
  rolling?: Rolling;
  hull?: Hull;
}
export interface MassEstimate {
  value: number;
  plusMinus?: number;
  relative?: number;
  how: string;
}
export interface Size {
  length?: LengthEstimate;
  width?: LengthEstimate;
  height?: LengthEstimate;
}
export interface LengthEstimate {
  value: number;
  plusMinus?: number;
  relative?: number;
  how: string;
}
export interface Centre {
  back?: LengthEstimate;
  right?: LengthEstimate;
  up?: LengthEstimate;
}
export interface Content {
  order: number;
  name: string;
  mass?: MassEstimate;
  at: Spot;
}
export interface Spot {
  back: number;
  right?: number;
  up?: number;
}
export interface EndWeighing {
  front: MassEstimate;
  rear: MassEstimate;
  frontAt: number;
  rearAt: number;
  one?: boolean;
}
export interface Bulk {
  material: string;
  wet?: string;
  by: string;
  volume?: VolumeEstimate;
  count?: number;
  each?: MassEstimate;
  heap?: VolumeEstimate;
}
export interface VolumeEstimate {
  value: number;
  plusMinus?: number;
  relative?: number;
  how: string;
}
export interface Tank {
  fluid: string;
  fill?: number;
  capacity?: VolumeEstimate;
  drains?: boolean;
}
export interface Pieces {
  material: string;
  count: number;
  across?: number;
  length: number;
  width: number;
  thickness: number;
}
export interface Rolling {
  frontAxle?: LengthEstimate;
  wheelbase?: LengthEstimate;
  track?: LengthEstimate;
  clearance?: LengthEstimate;
  wheel?: number;
  frontWheel?: number;
  tyre?: number;
  frontTrack?: number;
  frontTyre?: number;
  nose?: number;
}
export interface Hull {
  from?: LengthEstimate;
  to?: LengthEstimate;
  apart?: LengthEstimate;
  draft?: number;
  eyeAt?: number;
  eyeUp?: number;
  press?: number;
}
export interface TowVehicle {
  order: number;
  name: string;
  body?: string;
  kerb?: MassEstimate;
  rearEmpty?: MassEstimate;
  gross?: number;
  train?: number;
  rearLimit?: number;
  towBraked?: number;
  towUnbraked?: number;
  ballLimit?: number;
  hitchTow?: number;
  hitchBall?: number;
  ballRating?: number;
  ballSize?: number;
  ballHeight?: number;
  wheelbase?: LengthEstimate;
  rearOverhang?: LengthEstimate;
  hitchD?: number;
  socket?: string;
  adapter?: boolean;
  ballBehind?: number;
  gateReach?: number;
  gateHeight?: number;
}
export interface Trailer {
  order: number;
  name: string;
  kind?: string;
  couplingToAxle?: LengthEstimate;
  couplingToDeck?: LengthEstimate;
  deckLength?: LengthEstimate;
  deckWidth?: LengthEstimate;
  deckHeight?: LengthEstimate;
  sideHeight?: number;
  track?: LengthEstimate;
  wheelDiameter?: number;
  axles?: number;
  label?: Rating;
  onWheels?: number;
  axleRating?: number;
  springRating?: number;
  tyreRating?: number;
  tyreIndex?: number;
  couplingRating?: number;
  couplingBall?: number;
  couplingSize?: number;
  brakes?: string;
  breakaway?: boolean;
  chains?: number;
  runningGear?: MassEstimate;
  axleMoves?: AxleMoves;
  empty: Empty;
  comes?: string;
  noPlate?: boolean;
  widthOverAll?: LengthEstimate;
  couplingHeight?: number;
  suspension?: string;
  travel?: number;
  sinks?: number;
  axleGap?: number;
  drawbar?: Drawbar;
  turnTo?: number;
  wheelRoom?: number;
  tyreText?: string;
  tyreSymbol?: string;
  tyreSpeed?: number;
  tyrePressure?: number;
  floor?: string;
  tail?: string;
  anchors?: {
    [k: string]: Anchor;
  };
  folded?: Size;
  onEdge?: boolean;
  plug?: string;
  lights?: string;
  papers?: string;
  deal?: Deal;
  fitted?: {
    [k: string]: PartOn;
  };
  pivot?: number;
  tiePoints?: {
    [k: string]: TiePoint;
  };
}
export interface Rating {
  value: number;
  counts: string;
}
export interface AxleMoves {
  min: number;
  max: number;
  pitch: number;
}
export interface Empty {
  mass?: MassEstimate;
  ball?: Reading;
  axle?: Reading;
  left?: Reading;
  right?: Reading;
  centre?: LengthEstimate;
  axleAt?: number;
  parts?: {
    [k: string]: PartOn;
  };
}
export interface Reading {
  mass: number;
  plusMinus?: number;
  at?: number;
  plank?: Plank;
}
export interface Plank {
  span: number;
  to: number;
}
export interface PartOn {
  at: Spot;
  turn?: number;
  optional?: boolean;
}
export interface Drawbar {
  profile: Profile;
  beams?: number;
  longer?: number;
  way?: string;
  overlap?: number;
  bolts?: number;
  bolt?: number;
  grade?: string;
}
export interface Profile {
  shape: string;
  height: number;
  width?: number;
  wall?: number;
  lip?: number;
  material: string;
  perMetre?: number;
}
export interface Anchor {
  order: number;
  kind: string;
  count: number;
  rating?: number;
}
export interface Deal {
  price?: number;
  offer?: number;
  delivery?: number;
  fetch?: number;
  tax?: number;
  office?: number;
  papersRisk?: number;
  hours?: number;
  skill?: string;
  readyOn?: string;
  buys?: {
    [k: string]: Buy;
  };
  repairs?: {
    [k: string]: Buy;
  };
  inspected?: {
    [k: string]: string;
  };
}
export interface Buy {
  order: number;
  name: string;
  price?: number;
  hours?: number;
}
export interface TiePoint {
  order: number;
  kind?: string;
  at: Spot;
  rating?: number;
  fastening?: Fastening;
}
export interface Fastening {
  bolts?: number;
  bolt: number;
  grade?: string;
  in?: string;
  thick?: number;
  washer?: number;
}
export interface Part {
  order: number;
  name: string;
  mass?: MassEstimate;
  size: Size;
  centre: Centre;
  slots?: {
    [k: string]: Slot;
  };
  kind?: string;
  undo?: string;
  rack?: Rack;
  cradle?: Cradle;
  ramp?: Ramp;
}
export interface Slot {
  order: number;
  name: string;
  at: Spot;
  tier?: string;
  pose?: string;
  lean?: number;
}
export interface Rack {
  frontAt: number;
  rearAt: number;
  middle?: boolean;
  posts?: number;
  apart: number;
  foot?: string;
  held?: boolean;
  post: Profile;
  bar: Profile;
  brace?: number;
  bolts?: number;
  bolt?: number;
  grade?: string;
  gauge?: number;
  tiers: {
    [k: string]: Tier;
  };
}
export interface Tier {
  order: number;
  up: number;
  length: number;
}
export interface Cradle {
  rollers?: {
    [k: string]: Roller;
  };
  bunks?: Bunks;
  keel: number;
  bowStop?: number;
  winchAt?: number;
  winchUp?: number;
  transom?: boolean;
}
export interface Roller {
  order: number;
  at: number;
}
export interface Bunks {
  from: number;
  to: number;
  apart: number;
}
export interface Ramp {
  kind?: string;
  length: number;
  width?: number;
  rating?: number;
  counts?: string;
  per?: string;
  profile?: Profile;
  tread?: Profile;
  sides?: number;
  middle?: boolean;
  gap?: number;
  held?: string;
  lip?: number;
  play?: number;
  step?: number;
}
export interface Want {
  order: number;
  what: string;
  wish?: boolean;
  outing?: string;
  size?: Size;
  count?: number;
  mass?: number;
  height?: number;
  speed?: number;
  distance?: number;
  money?: number;
  hours?: number;
  date?: string;
  skills?: {
    [k: string]: boolean;
  };
}
export interface Strap {
  order: number;
  name: string;
  kind?: string;
  hook?: string;
  grade?: string;
  width?: number;
  limit?: number;
  breaks?: number;
  length?: number;
  pull?: number;
  count: number;
  retire?: boolean;
}
export interface Outing {
  order: number;
  name: string;
  vehicle?: string;
  people?: MassEstimate;
  gear?: MassEstimate;
  distance?: number;
  speed?: number;
  road?: string;
  slip?: Slip;
  layouts: {
    [k: string]: Layout;
  };
  departures?: {
    [k: string]: Departed;
  };
}
export interface Slip {
  angle: number;
}
export interface Layout {
  axleAt?: number;
  parts?: {
    [k: string]: PartOn;
  };
  placements: {
    [k: string]: Placement;
  };
  readings?: {
    [k: string]: LoadReading;
  };
  loading?: Loading;
  lashings?: {
    [k: string]: Lashing;
  };
}
export interface Placement {
  on: string;
  id?: string;
  slot?: string;
  at: Spot;
  turn?: number;
  pinned?: boolean;
  optional?: boolean;
  grip?: number;
  mat?: boolean;
  surface?: string;
  blocked?: Blocked;
}
export interface Blocked {
  front?: boolean;
  rear?: boolean;
  left?: boolean;
  right?: boolean;
  takes?: number;
}
export interface LoadReading {
  order: number;
  what: string;
  stood?: Stood;
  mass: number;
  plusMinus?: number;
  at?: number;
  plank?: Plank;
}
export interface Stood {
  axleAt?: number;
  parts?: {
    [k: string]: PartOn;
  };
  placements: {
    [k: string]: Placement;
  };
}
export interface Loading {
  machine: string;
  ramp?: string;
  fall?: number;
  kerb?: number;
  raised?: number;
  deck?: number;
  unhitched?: boolean;
  driver?: MassEstimate;
  drive?: string;
  props?: Props;
  winch?: Winch;
}
export interface Props {
  back: number;
  gap: number;
}
export interface Winch {
  pull?: number;
  back: number;
  up: number;
  drum?: number;
  line?: number;
  layer?: number;
  block?: boolean;
  wheels?: string;
  ratio?: number;
  crank?: number;
  amps?: number;
  idle?: number;
  speed?: number;
  battery?: number;
  lineMax?: number;
  hookMax?: number;
  tieMax?: number;
  post?: Profile;
  brace?: number;
  aside?: number;
  bolts?: number;
  bolt?: number;
  gauge?: number;
  grade?: string;
  pin?: number;
}
export interface Lashing {
  order: number;
  load: string;
  strap: string;
  from: string;
  to?: string;
  hold: Spot;
}
export interface Departed {
  order: number;
  on: string;
  ticks?: {
    [k: string]: boolean;
  };
  revision?: number;
}
export interface Report {
  scope: Scope;
  headline: Headline;
  figures: Figures;
  chain: Link[];
  payload?: Payload;
  findings: Finding[];
  views: View[];
  next: Next[];
  problems: Problem[];
  questions: Question[];
  stages: StageState[];
  outings?: OutingState[];
  things: Thing[];
  settled: boolean;
  emptyWay?: string;
  wants: State[];
  fills: Fill[];
  bare?: Measure;
  fitOut?: Measure;
  labels?: LabelReading[];
  sway?: Chart;
  swing?: Swing;
  racks: Built[];
  drive?: DriveOn;
  tied?: Tied[];
  tieSays?: Sentence;
  schools?: Support[];
  notLooked?: Sentence;
  placed?: {
    [k: string]: Placement;
  };
}
export interface Scope {
  trailer?: string;
  outing?: string;
  state?: string;
  school?: string;
}
export interface Headline {
  outcome: string;
  says: Sentence;
  checked: number;
  of: number;
  code?: string;
}
export interface Piece {
  text?: string;
  term?: string;
  name?: string;
  kind?: string;
  value?: number;
  low?: number;
  high?: number;
}
export interface Figures {
  mass?: Measure;
  ball?: Measure;
  axle?: Measure;
  share?: Measure;
  left?: Measure;
  right?: Measure;
  cargo?: Measure;
  window?: Window;
}
export interface Measure {
  kind: string;
  value: number;
  low?: number;
  high?: number;
}
export interface Window {
  lowShare: number;
  highShare: number;
  low: number;
  high: number;
  capped?: string;
}
export interface Link {
  id: string;
  stage: string;
  name: Sentence;
  reads: string;
  figure?: Measure;
  limit?: Measure;
  share?: Measure;
  outcome: string;
  essential: boolean;
  weakest?: boolean;
  key: string;
}
export interface Payload {
  at: number;
  from: number;
  mass: Measure;
  by: string;
}
export interface Finding {
  code: string;
  stage: string;
  scope: Scope;
  gate?: string;
  outcome: string;
  tight?: string;
  subject?: string;
  title: Sentence;
  figure?: Measure;
  limit?: Measure;
  margin?: number;
  says: Sentence;
  needs?: Need[];
  fixes?: Fix[];
  source?: Source;
  essential?: boolean;
  compares?: boolean;
  hasWork?: boolean;
}
export interface Need {
  path: string;
  says: Sentence;
  where: Sentence;
}
export interface Fix {
  name: Sentence;
  patch: Op[];
  outcome: string;
  figure?: Measure;
}
export interface Op {
  op: string;
  path: string;
  value?: unknown;
}
export interface Source {
  title: string;
  clause?: string;
  asOf: string;
  confidence: string;
}
export interface View {
  id: string;
  title: Sentence;
  min: Point;
  max: Point;
  shapes: Shape[];
  handles?: Handle[];
  targets?: Target[];
}
export interface Shape {
  form: string;
  class: string;
  points: Point[];
  radius?: number;
  says?: Sentence;
  anchor?: string;
  room?: number;
  thing?: string;
}
export interface Handle {
  thing: string;
  path: string;
  direction: Point;
  at: number;
  min: number;
  max: number;
  snaps?: number[];
  step: number;
  coarse: number;
  label: Sentence;
  zone?: Zone;
}
export interface Zone {
  from: number;
  to: number;
  length: number;
  level: number;
}
export interface Target {
  thing: string;
  min: Point;
  max: Point;
  label: Sentence;
  moves: Move[];
}
export interface Move {
  path: string;
  to: string;
}
export interface Next {
  path: string;
  says: Sentence;
  where?: Sentence;
}
export interface Problem {
  path: string;
  says: Sentence;
}
export interface Question {
  code: string;
  path: string;
  says: Sentence;
  fix?: Variant;
}
export interface Variant {
  name: Sentence;
  patch: Op[];
}
export interface StageState {
  id: string;
  outcome: string;
}
export interface OutingState {
  id: string;
  outcome: string;
}
export interface Thing {
  path: string;
  place: string;
  name: string;
  part?: boolean;
  onDeck: boolean;
  back: number;
  right: number;
  mass?: Measure;
  carriers: Carrier[];
  tapes: Tape[];
}
export interface Carrier {
  on: string;
  id?: string;
  slot?: string;
  name: string;
}
export interface Tape {
  from: string;
  sign: number;
  offset: number;
}
export interface State {
  id: string;
  what: string;
  wish: boolean;
  outing?: string;
  outcome: string;
  title: Sentence;
  says: Sentence;
  figure?: Measure;
  limit?: Measure;
  needs?: Need[];
}
export interface Fill {
  load: string;
  name: string;
  mass: Measure;
  volume: Measure;
  allowed: Measure;
  by: Sentence;
  dry: FillLine;
  wet: FillLine;
  side: number;
  level: Measure;
  spills: number;
  open: boolean;
}
export interface FillLine {
  depth: number;
  volume: number;
  trips: number;
  full: boolean;
}
export interface LabelReading {
  counts: string;
  meant: boolean;
  own: number;
  load: number;
  left: number;
  mark: number;
  over: boolean;
}
export interface Chart {
  curve: Sample[];
  speed: number;
  now: Sample;
  compare: Sample;
  little?: Bound;
  diverges?: number;
  inertia: number;
  says: Sentence;
}
export interface Sample {
  speed: number;
  damping: number;
  low: number;
  high: number;
}
export interface Bound {
  value?: number;
  low?: number;
  high?: number;
}
export interface Swing {
  car: Shape[];
  trailer: Shape[];
  min: Point;
  max: Point;
  right: Touch;
  left: Touch;
  wanted: number;
  most: number;
  longer?: Longer;
}
export interface Touch {
  angle?: number;
  by?: string;
  on?: string;
}
export interface Longer {
  by: number;
  ball: number;
  bends?: number;
  answers: number;
}
export interface Built {
  part: string;
  name: string;
  mass: Measure;
  pieces: Cut[];
  foam: Measure;
  cost?: Measure;
}
export interface Cut {
  name: string;
  section: Sentence;
  count: number;
  length: Measure;
  mass: Measure;
  holes: number;
  cost?: Measure;
}
export interface DriveOn {
  view: View;
  machine: Shape[];
  steps: DriveStep[];
  worst: number;
  why: Sentence;
  ball: Curve;
  clear: Curve;
  line?: Curve;
  on: CardLine[];
  off: CardLine[];
}
export interface DriveStep {
  x: number;
  z: number;
  pitch: number;
}
export interface Curve {
  kind: string;
  values: number[];
  limit?: number;
  above: boolean;
  worst: number;
}
export interface CardLine {
  id: string;
  says: Sentence;
  care?: boolean;
}
export interface Tied {
  load: string;
  name: string;
  grip: number;
  straps: TiedStrap[];
  schools: SchoolVerdict[];
  bars?: GBar[];
  weak?: string;
  points: PointOf[];
}
export interface TiedStrap {
  path: string;
  name: string;
  over: boolean;
  limit: Measure;
  weak: string;
  long: Measure;
  floor: Measure;
  pull: Measure;
  eased?: boolean;
}
export interface SchoolVerdict {
  id: string;
  name: string;
  holds: boolean;
  has: Measure;
  needs: Measure;
  count?: number;
  least?: number;
  bound: string;
  source: string;
  says: string;
  chosen?: boolean;
}
export interface GBar {
  direction: string;
  has: number;
  asked: number;
  gives: string;
  known: boolean;
  holds: boolean;
}
export interface PointOf {
  id: string;
  name: string;
  says: Sentence;
}
export interface Support {
  id: string;
  name: string;
  slides: string;
  later: string;
  takes: Sentence;
  rows: SupportRow[];
}
export interface SupportRow {
  hull: string;
  bears: Measure;
  pressure: Measure;
  strapped: Measure;
  span: Measure;
  beyond: Measure;
}
export interface Settled {
  scope: Scope;
  headline: Headline;
  figures: Figures;
  chain: Link[];
  payload?: Payload;
  findings: Finding[];
  views: View[];
  next: Next[];
  problems: Problem[];
  questions: Question[];
  stages: StageState[];
  outings?: OutingState[];
  things: Thing[];
  settled: boolean;
  emptyWay?: string;
  wants: State[];
  fills: Fill[];
  bare?: Measure;
  fitOut?: Measure;
  labels?: LabelReading[];
  sway?: Chart;
  swing?: Swing;
  racks: Built[];
  drive?: DriveOn;
  tied?: Tied[];
  tieSays?: Sentence;
  schools?: Support[];
  notLooked?: Sentence;
  placed?: {
    [k: string]: Placement;
  };
  card?: Card;
}
export interface Card {
  gate: Finding[];
  sections: Section[];
  unknown: Sentence[];
  most?: Measure;
  because: Sentence;
}
export interface Section {
  name: string;
  ticks: Tick[];
}
export interface Tick {
  id: string;
  says: Sentence;
}
export interface Step {
  symbol: string;
  says: Sentence;
  formula: string;
  terms: StepTerm[];
  result?: Measure;
  source?: Source;
}
export interface StepTerm {
  symbol: string;
  says: Sentence;
  measure: Measure;
  how: string;
  path?: string;
}
export interface Reference {
  ruleSets: RuleSet[];
  schools: School[];
  trailers: TrailerKind[];
  ballSizes: BallSize[];
  loads: LoadKind[];
  doubts: {
    [k: string]: number;
  };
  terms: {
    [k: string]: {
      [k: string]: string;
    };
  };
  groups: string[];
  materials: Material[];
  fluids: Substance[];
  solids: Substance[];
  fittings: Fitting[];
  anchorKinds: AnchorKind[];
  mustBuys: string[];
  inspections: Inspection[];
  plugs: Plug[];
  roads: {
    [k: string]: RoadRules;
  };
  hitches: HitchClass[];
  stocks: Stock[];
  commons: Common[];
  bolts: Bolt[];
  tieSchools: TieSchool[];
  surfaces: Surface[];
}
export interface RuleSet {
  region: string;
  name: string;
  school: string;
  towReads: string;
  brakesAbove: number;
  brakesLow: number;
  brakesHigh: number;
  brakesRead: string;
  brakesSource: Source;
  halfKerb: boolean;
  kerbSource: Source;
  breakawayAbove?: number;
  chainsNeeded: number;
  twoChainsAbove?: number;
  chainsUnbraked: boolean;
  linkSource: Source;
  differs?: string;
}
export interface School {
  id: string;
  name: string;
  low: number;
  floor?: number;
  high: number;
  reason: string;
  source: Source;
}
export interface TrailerKind {
  id: string;
  name: string;
  low: number;
  high: number;
  ballLow: number;
  ballTop: number;
  deck: Usual;
  width: Usual;
  front: Usual;
  height: Usual;
  axleLow: number;
  axleTop: number;
}
export interface Usual {
  low: number;
  mid: number;
  high: number;
}
export interface BallSize {
  diameter: number;
  name: string;
}
export interface LoadKind {
  id: string;
  name: string;
  group: string;
  low: number;
  high: number;
  length: number;
  width: number;
  height: number;
  shape: string;
  words?: string;
  from: string;
  note?: string;
  centreLow?: number;
  centreHigh?: number;
  centreUp?: number;
  rolls?: Rolls;
  bears?: Bearing;
}
export interface Rolls {
  frontAxle: number;
  wheelbase: number;
  track: number;
  clearance: number;
  wheel: number;
  frontTrack?: number;
  frontWheel?: number;
}
export interface Bearing {
  from: number;
  to: number;
  apart: number;
}
export interface Material {
  id: string;
  name: string;
  dryLow: number;
  dryHigh: number;
  wetLow: number;
  wetHigh: number;
  reposeLow: number;
  reposeHigh: number;
}
export interface Substance {
  id: string;
  name: string;
  low: number;
  high: number;
}
export interface Fitting {
  id: string;
  name: string;
  low: number;
  high: number;
  perArea?: boolean;
  length: number;
  width: number;
  height: number;
  where: string;
  hours: number;
  open?: boolean;
}
export interface AnchorKind {
  id: string;
  name: string;
  weak: string;
  counts: boolean;
}
export interface Inspection {
  id: string;
  look: string;
  bad: string;
  repair: string;
}
export interface Plug {
  id: string;
  name: string;
}
export interface RoadRules {
  width: number;
  widthAlso?: string;
  loadWidth?: number;
  sideLimit?: number;
  sideFlag?: number;
  rearMarks: RearMark[];
  rearDiffer?: string;
  sizeSource: Source;
  open?: number;
  motorway?: number;
  speedSays?: string;
  speedFrom: Source;
}
export interface RearMark {
  over: number;
  does: string;
}
export interface HitchClass {
  id: string;
  tow: number;
  ball: number;
}
export interface Stock {
  id: string;
  name: string;
  yield: number;
  modulus: number;
  density: number;
  weld: number;
  timber?: boolean;
  source: string;
}
export interface Common {
  name: string;
  shape: string;
  height: number;
  width: number;
  wall: number;
  lip?: number;
  timber?: boolean;
}
export interface Bolt {
  id: string;
  name: string;
  yield: number;
  ultimate: number;
}
export interface TieSchool {
  id: string;
  name: string;
  bound: string;
  source: string;
}
export interface Surface {
  id: string;
  name: string;
  low: number;
  high: number;
  sure: string;
}
export interface Listed {
  id: string;
  name: string;
  revision: number;
  updatedAt: string;
}
export interface Glance {
  region: string;
  units: string;
  headline: Headline;
  view?: View;
}
export interface Example {
  id: string;
  name: string;
}
export interface Stored {
  id: string;
  revision: number;
  plan: unknown;
}
export interface Saving {
  id?: string;
  saveId: string;
  sitting: string;
  label?: string;
  after?: string[];
  plan: unknown;
}
export interface Saved {
  id: string;
  revision: number;
}
export interface ProblemDocument {
  type: string;
  title: string;
  status: number;
  detail?: string;
  field?: string;
  earlier?: number;
}
export interface Revision {
  revision: number;
  label: string;
  savedAt: string;
}
export interface Comparison {
  outings: Named[];
  wants: Named[];
  candidates: Candidate[];
}
export interface Named {
  id: string;
  name: Sentence;
  wish?: boolean;
}
export interface Candidate {
  id: string;
  name: string;
  comes?: string;
  chosen?: boolean;
  outcome: string;
  worst: Sentence;
  outings: CandidateOuting[];
  wants: State[];
  musts: Count;
  wishes: Count;
  bare?: Measure;
  fitOut?: Measure;
  payload?: Measure;
  bill: Bill;
  perKg?: Measure;
  unbeaten?: boolean;
  back?: Variant;
  lays?: Op[];
  view?: View;
}
export interface CandidateOuting {
  id: string;
  outcome: string;
  says: Sentence;
  payload?: Measure;
  ball?: Measure;
  ballState: string;
  move?: Sentence;
  tyreUsed?: Measure;
  tyreSpeed?: string;
  ballSize?: string;
  rear?: Measure;
  side?: Measure;
  sideState?: string;
  gap?: Measure;
  laid?: boolean;
}
export interface Count {
  holds: number;
  of: number;
}
export interface Bill {
  lines: Line[];
  money: number;
  risk: number;
  hours: number;
  open: number;
  known: boolean;
}
export interface Line {
  what: string;
  name?: string;
  path: string;
  money?: number;
  hours?: number;
  risk?: boolean;
}
export interface Tow {
  vehicle: string;
  trailer: string;
  outcome: string;
  says: Sentence;
  code?: string;
  ballSize?: string;
  plug?: string;
}
export interface Buying {
  trailer: string;
  outcome: string;
  says: Sentence;
  open: Finding[];
  holds: number;
  of: number;
  growth: Growth[];
}
export interface Growth {
  name: Sentence;
  patch: Op[];
  outing: string;
  outcome: string;
  says: Sentence;
}
export interface AxlePlace {
  needs?: Need[];
  rough?: Need[];
  rows: AxleRow[];
  now: number;
  nominal?: Interval;
  sure?: Interval;
  best?: number;
  says: Sentence;
  outcome: string;
  fix?: Variant;
  closes: Variant[];
  view?: View;
  source?: Source;
  drawbar?: Sentence;
}
export interface AxleRow {
  outing: string;
  name: Sentence;
  nominal?: Interval;
  sure?: Interval;
  outcome: string;
  says?: Sentence;
}
export interface Interval {
  from: number;
  to: number;
}
export interface Scales {
  rows: ScaleRow[];
  expect: ScaleRow[];
  guesses: Narrowed[];
  before?: Measure;
  after?: Measure;
  moved?: boolean;
  outcome: string;
  says: Sentence;
  fix?: Variant;
  settles?: Sentence;
  suspects: Variant[];
}
export interface ScaleRow {
  id?: string;
  what: string;
  name: Sentence;
  read?: Measure;
  expect: Measure;
}
export interface Narrowed {
  path: string;
  name: string;
  before: Measure;
  after: Measure;
}
export interface Import {
  patch: Op[];
  good: number;
  wrong: CellError[];
  unread: string[];
}
export interface CellError {
  line: number;
  column: number;
  head: string;
  says: string;
}
export interface Arranging {
  places: number;
  done?: Arranged;
}
export interface Arranged {
  needs?: Need[];
  rough?: Need[];
  options: Arrangement[];
  outcome: string;
  says: Sentence;
  grid: number;
  loads: number;
  places: number;
}
export interface Arrangement {
  name: Sentence;
  patch: Op[];
  kind: string;
  outcome: string;
  proven: boolean;
  says: Sentence;
  figures: Traded[];
}
export interface Traded {
  name: Sentence;
  was?: Measure;
  then?: Measure;
}
export interface Pairing {
  addresses: string[];
  code?: string;
  minutes?: number;
  qr?: string;
}
export interface RackPlans {
  needs?: Need[];
  rough?: Need[];
  options: RackPlan[];
  says: Sentence;
  hulls: number;
}
export interface RackPlan {
  name: Sentence;
  patch: Op[];
  kind: string;
  outcome: string;
  says: Sentence;
  home: string[];
  figures: Traded[];
}
export interface RampPlaces {
  needs?: Need[];
  rough?: Need[];
  options: RampPlace[];
  says: Sentence;
}
export interface RampPlace {
  name: Sentence;
  patch: Op[];
  kind: string;
  outcome: string;
  says: Sentence;
  figures: Traded[];
}
export interface TiePlan {
  name: Sentence;
  patch: Op[];
  says: Sentence;
  loads: TiedSo[];
  others: Variant[];
}
export interface TiedSo {
  name: string;
  straps: number;
  holds: boolean;
  says: Sentence;
}
