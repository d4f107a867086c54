/* Generated from the Go types by make types. Do not edit. */

export type Sentence = Piece[];
/**
 * @minItems 2
 * @maxItems 2
 */
export type Point = [number, number];

export interface Carried {
  Arranging?: Arranging;
  Asking?: Asking;
  AxlePlace?: AxlePlace;
  Beginning?: Beginning;
  Boxing?: Boxing;
  Buying?: Buying;
  Changes?: Changes;
  Comparing?: Comparing;
  Comparison?: Comparison;
  CutGate?: CutGate;
  Cutting?: Cutting;
  Designing?: Designing;
  Diagnosis?: Diagnosis;
  DriveAsked?: DriveAsked;
  DriveHands?: DriveHands;
  DriveLine?: DriveLine;
  DriveReplay?: DriveReplay;
  DriveScene?: DriveScene;
  Drives?: Drives;
  Entering?: Entering;
  Entry?: Entry;
  Example?: Example;
  Filling?: Filling;
  Finishing?: Finishing;
  FirstAnswers?: FirstAnswers;
  FirstPlan?: FirstPlan;
  Flooring?: Flooring;
  Folder?: Folder;
  Glance?: Glance;
  Happened?: Happened;
  Health?: Health;
  Import?: Import;
  Listed?: Listed;
  LogBook?: LogBook;
  LookBack?: LookBack;
  MoneyBook?: MoneyBook;
  Offer?: Offer;
  Op?: Op;
  Pairing?: Pairing;
  PairingAsked?: PairingAsked;
  PartsRead?: PartsRead;
  PhotoKept?: PhotoKept;
  Plan?: Plan;
  Powering?: Powering;
  PracticeAsked?: PracticeAsked;
  PracticeCase?: PracticeCase;
  PracticeTruth?: PracticeTruth;
  ProblemDocument?: ProblemDocument;
  Pumping?: Pumping;
  RackPlans?: RackPlans;
  RampPlaces?: RampPlaces;
  Recorded?: Recorded;
  RecordsChanged?: RecordsChanged;
  RecordsKept?: RecordsKept;
  Reference?: Reference;
  Report?: Report;
  Revision?: Revision;
  Saved?: Saved;
  Saving?: Saving;
  Scales?: Scales;
  Searching?: Searching;
  Settled?: Settled;
  Shelved?: Shelved;
  Shelving?: Shelving;
  Shining?: Shining;
  SlipRead?: SlipRead;
  SpendRead?: SpendRead;
  Step?: Step;
  Stored?: Stored;
  Stretched?: Stretched;
  Taking?: Taking;
  Taping?: Taping;
  TiePlan?: TiePlan;
  Tilting?: Tilting;
  TipSearch?: TipSearch;
  Tow?: Tow;
  Troubles?: Troubles;
  WeighAsked?: WeighAsked;
  Weighing?: Weighing;
  WorkDays?: WorkDays;
  WorkLists?: WorkLists;
  WorkOrder?: WorkOrder;
  Written?: Written;
}
export interface Arranging {
  done?: Arranged;
  places: number;
}
export interface Arranged {
  grid: number;
  loads: number;
  needs?: Need[];
  options: Arrangement[];
  outcome: string;
  places: number;
  rough?: Need[];
  says: Sentence;
}
export interface Need {
  path: string;
  says: Sentence;
  where: Sentence;
}
export interface Piece {
  high?: number;
  kind?: string;
  low?: number;
  name?: string;
  term?: string;
  text?: string;
  value?: number;
}
export interface Arrangement {
  figures: Traded[];
  kind: string;
  name: Sentence;
  outcome: string;
  patch: Op[];
  proven: boolean;
  says: Sentence;
}
export interface Traded {
  name: Sentence;
  then?: Measure;
  was?: Measure;
}
export interface Measure {
  high?: number;
  kind: string;
  low?: number;
  value: number;
}
export interface Op {
  op: string;
  path: string;
  value?: unknown;
}
export interface Asking {
  back?: boolean;
  before?: Finding[];
  csv?: string;
  kept?: string;
  key?: string;
  outing: string;
  plan: Plan;
  stage?: string;
  today?: string;
  trailer: string;
  want?: string;
}
export interface Finding {
  code: string;
  compares?: boolean;
  doubted?: boolean;
  essential?: boolean;
  figure?: Measure;
  fixes?: Fix[];
  follows?: boolean;
  gate?: string;
  hasWork?: boolean;
  inVain?: number;
  limit?: Measure;
  margin?: number;
  needs?: Need[];
  outcome: string;
  rest?: boolean;
  says: Sentence;
  scope: Scope;
  softened?: boolean;
  source?: Source;
  stage: string;
  subject?: string;
  tight?: string;
  title: Sentence;
}
export interface Fix {
  figure?: Measure;
  name: Sentence;
  outcome: string;
  patch: Op[];
}
export interface Scope {
  outing?: string;
  school?: string;
  state?: string;
  trailer?: string;
}
export interface Source {
  asOf: string;
  clause?: string;
  confidence: string;
  title: string;
}
export interface Plan {
  ballMounts?: {
    [k: string]: BallMount;
  };
  ballSchool?: string;
  chosen?: string;
  doubts?: {
    [k: string]: number;
  };
  format: string;
  loads: {
    [k: string]: Load;
  };
  materials?: {
    [k: string]: OwnMaterial;
  };
  name: string;
  notes?: string;
  outings: {
    [k: string]: Outing;
  };
  parts: {
    [k: string]: Part;
  };
  region: string;
  straps?: {
    [k: string]: Strap;
  };
  tieSchool?: string;
  towVehicles: {
    [k: string]: TowVehicle;
  };
  trailers: {
    [k: string]: Trailer;
  };
  units: string;
  version: number;
  wants?: {
    [k: string]: Want;
  };
}
export interface BallMount {
  ball?: number;
  ballHeight?: number;
  ballRating?: number;
  ballSize?: number;
  kept?: Kept;
  name: string;
  order: number;
  tow?: number;
}
export interface Kept {
  id: string;
  revision: number;
}
export interface Load {
  bulk?: Bulk;
  centre: Centre;
  contents?: {
    [k: string]: Content;
  };
  ends?: EndWeighing;
  hull?: Hull;
  kept?: Kept;
  kind?: string;
  mass?: MassEstimate;
  massCounts?: string;
  name: string;
  order: number;
  pieces?: Pieces;
  rolling?: Rolling;
  size: Size;
  tank?: Tank;
}
export interface Bulk {
  by: string;
  count?: number;
  each?: MassEstimate;
  heap?: VolumeEstimate;
  material: string;
  own?: string;
  volume?: VolumeEstimate;
  wet?: string;
}
export interface MassEstimate {
  how: string;
  plusMinus?: number;
  relative?: number;
  slips?: number;
  value: number;
}
export interface VolumeEstimate {
  how: string;
  plusMinus?: number;
  relative?: number;
  value: number;
}
export interface Centre {
  back?: LengthEstimate;
  right?: LengthEstimate;
  up?: LengthEstimate;
}
export interface LengthEstimate {
  how: string;
  plusMinus?: number;
  relative?: number;
  value: number;
}
export interface Content {
  at: Spot;
  mass?: MassEstimate;
  name: string;
  order: number;
}
export interface Spot {
  back: number;
  right?: number;
  up?: number;
}
export interface EndWeighing {
  front: MassEstimate;
  frontAt: number;
  one?: boolean;
  rear: MassEstimate;
  rearAt: number;
}
export interface Hull {
  apart?: LengthEstimate;
  draft?: number;
  eyeAt?: number;
  eyeUp?: number;
  from?: LengthEstimate;
  press?: number;
  to?: LengthEstimate;
  under?: {
    [k: string]: Under;
  };
}
export interface Under {
  at: number;
  deep?: number;
  length?: number;
  name: string;
  order: number;
}
export interface Pieces {
  across?: number;
  count: number;
  length: number;
  material: string;
  thickness: number;
  width: number;
}
export interface Rolling {
  clearance?: LengthEstimate;
  frontAxle?: LengthEstimate;
  frontTrack?: number;
  frontTyre?: number;
  frontWheel?: number;
  nose?: number;
  tail?: number;
  track?: LengthEstimate;
  tyre?: number;
  wheel?: number;
  wheelbase?: LengthEstimate;
}
export interface Size {
  height?: LengthEstimate;
  length?: LengthEstimate;
  width?: LengthEstimate;
}
export interface Tank {
  baffles?: number;
  capacity?: VolumeEstimate;
  drains?: boolean;
  fill?: number;
  fluid: string;
  leg?: Profile;
  legs?: number;
  legsBraced?: boolean;
  shape?: string;
  tunnelHigh?: number;
  tunnelWide?: number;
}
export interface Profile {
  height: number;
  lip?: number;
  material: string;
  perMetre?: number;
  shape: string;
  wall?: number;
  width?: number;
}
export interface OwnMaterial {
  density?: DensityEstimate;
  kept?: Kept;
  like?: string;
  name: string;
  order: number;
  wet?: string;
}
export interface DensityEstimate {
  how: string;
  plusMinus?: number;
  relative?: number;
  slips?: number;
  value: number;
}
export interface Outing {
  departures?: {
    [k: string]: Departed;
  };
  distance?: number;
  drive?: Driving;
  gear?: MassEstimate;
  ground?: OffRoad;
  layouts: {
    [k: string]: Layout;
  };
  name: string;
  order: number;
  parked?: Parked;
  people?: MassEstimate;
  road?: string;
  slip?: Slip;
  speed?: number;
  vehicle?: string;
}
export interface Departed {
  on: string;
  order: number;
  revision?: number;
  ticks?: {
    [k: string]: boolean;
  };
}
export interface Driving {
  begins?: number;
  headwind?: number;
  home?: string;
  spare?: number;
  stretches?: {
    [k: string]: Stretch;
  };
}
export interface Stretch {
  climb?: number;
  drop?: number;
  far?: number;
  name?: string;
  order: number;
  speed?: number;
  stops?: number;
}
export interface OffRoad {
  on: string;
  slope?: number;
}
export interface Layout {
  axleAt?: number;
  lashings?: {
    [k: string]: Lashing;
  };
  loading?: Loading;
  parts?: {
    [k: string]: PartOn;
  };
  placements: {
    [k: string]: Placement;
  };
  readings?: {
    [k: string]: LoadReading;
  };
  shift?: Shift;
}
export interface Lashing {
  from: string;
  hold: Spot;
  load: string;
  order: number;
  strap: string;
  to?: string;
}
export interface Loading {
  deck?: number;
  drive?: string;
  driver?: MassEstimate;
  fall?: number;
  kerb?: number;
  machine: string;
  props?: Props;
  raised?: number;
  ramp?: string;
  rampInCar?: boolean;
  unhitched?: boolean;
  winch?: Winch;
}
export interface Props {
  back: number;
  gap: number;
}
export interface Winch {
  amps?: number;
  aside?: number;
  back: number;
  battery?: number;
  block?: boolean;
  bolt?: number;
  bolts?: number;
  brace?: number;
  crank?: number;
  drum?: number;
  flange?: number;
  gauge?: number;
  grade?: string;
  hookMax?: number;
  idle?: number;
  layer?: number;
  lever?: Lever;
  line?: number;
  lineMax?: number;
  pin?: number;
  post?: Profile;
  pull?: number;
  ratio?: number;
  reach?: number;
  speed?: number;
  tieMax?: number;
  up: number;
  wheels?: string;
  wide?: number;
}
export interface Lever {
  handle: number;
  stroke?: number;
}
export interface PartOn {
  at: Spot;
  optional?: boolean;
  turn?: number;
}
export interface Placement {
  at: Spot;
  blocked?: Blocked;
  grip?: number;
  id?: string;
  mat?: boolean;
  on: string;
  optional?: boolean;
  pinned?: boolean;
  slot?: string;
  surface?: string;
  turn?: number;
}
export interface Blocked {
  front?: boolean;
  left?: boolean;
  rear?: boolean;
  right?: boolean;
  takes?: number;
}
export interface LoadReading {
  at?: number;
  mass: number;
  order: number;
  plank?: Plank;
  plusMinus?: number;
  stood?: Stood;
  what: string;
}
export interface Plank {
  span: number;
  to: number;
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
export interface Shift {
  load?: string;
  people?: number;
  planks?: number;
  propped?: boolean;
  takes?: number;
  unhitched?: boolean;
  with?: string;
}
export interface Parked {
  back?: number;
  extra?: number;
  foot?: number;
  frontApart?: number;
  frontAt?: number;
  rearApart?: number;
  rearAt?: number;
  right?: number;
  soil?: string;
  weeks?: number;
  wind?: number;
}
export interface Slip {
  angle: number;
}
export interface Part {
  box?: BoxBody;
  carrier?: BoughtCarrier;
  centre: Centre;
  cradle?: Cradle;
  kind?: string;
  latch?: Latch;
  mass?: MassEstimate;
  name: string;
  order: number;
  rack?: Rack;
  ramp?: Ramp;
  size: Size;
  slots?: {
    [k: string]: Slot;
  };
  undo?: string;
}
export interface BoxBody {
  apart?: number;
  boltAcross?: number;
  boltGrade?: string;
  bolts?: number;
  braced?: string;
  corner?: number;
  doorArm?: number;
  doorHigh?: number;
  doorPush?: number;
  doorWide?: number;
  helpers?: number;
  high: number;
  hingeMax?: number;
  hinges?: number;
  latchMax?: number;
  latches?: number;
  leaves?: number;
  long: number;
  lowest?: number;
  minutes?: number;
  openFront?: boolean;
  openRear?: boolean;
  pathWide?: number;
  pockets?: boolean;
  rampDoor?: boolean;
  roof?: boolean;
  skin?: string;
  skinThick?: number;
  stick?: Profile;
  stiles?: number;
  wide: number;
}
export interface BoughtCarrier {
  apart?: number;
  bar?: number;
  clamp?: number;
  counts?: string;
  frontAt?: number;
  place?: number;
  rail?: Profile;
  railLength?: number;
  rails?: number;
  rearAt?: number;
  whole?: number;
}
export interface Cradle {
  bowStop?: number;
  bunks?: Bunks;
  keel: number;
  rollers?: {
    [k: string]: Roller;
  };
  transom?: boolean;
  winchAt?: number;
  winchUp?: number;
}
export interface Bunks {
  apart: number;
  from: number;
  to: number;
}
export interface Roller {
  at: number;
  order: number;
}
export interface Latch {
  count?: number;
  grade?: string;
  handle?: number;
  how?: string;
  opens?: string;
  pin?: number;
  play?: number;
  second?: boolean;
  socket?: number;
  takes?: number;
  up?: number;
}
export interface Rack {
  apart: number;
  bar: Profile;
  bolt?: number;
  bolts?: number;
  brace?: number;
  foot?: string;
  frontAt: number;
  gauge?: number;
  grade?: string;
  held?: boolean;
  insert?: Profile;
  joint?: Joint;
  middle?: boolean;
  pads?: string;
  post: Profile;
  posts?: number;
  rearAt: number;
  tiers: {
    [k: string]: Tier;
  };
}
export interface Joint {
  count?: number;
  diameter?: number;
  endGrain?: boolean;
  length?: number;
  washer?: number;
  with?: string;
}
export interface Tier {
  length: number;
  order: number;
  up: number;
}
export interface Ramp {
  counts?: string;
  gap?: number;
  held?: string;
  kind?: string;
  length: number;
  lip?: number;
  middle?: boolean;
  per?: string;
  play?: number;
  profile?: Profile;
  rating?: number;
  sides?: number;
  step?: number;
  tread?: Profile;
  width?: number;
}
export interface Slot {
  at: Spot;
  lean?: number;
  name: string;
  order: number;
  pose?: string;
  tier?: string;
}
export interface Strap {
  breaks?: number;
  count: number;
  grade?: string;
  hook?: string;
  kept?: Kept;
  kind?: string;
  length?: number;
  limit?: number;
  name: string;
  order: number;
  pull?: number;
  retire?: boolean;
  width?: number;
}
export interface TowVehicle {
  adapter?: boolean;
  ballBehind?: number;
  ballHeight?: number;
  ballLimit?: number;
  ballRating?: number;
  ballSize?: number;
  bedLength?: number;
  bedWidth?: number;
  body?: string;
  centreUp?: number;
  drive?: string;
  eyeAhead?: number;
  eyeUp?: number;
  gateHeight?: number;
  gateReach?: number;
  gross?: number;
  hitchBall?: number;
  hitchD?: number;
  hitchTow?: number;
  kept?: Kept;
  kerb?: MassEstimate;
  mirrorOut?: number;
  mount?: string;
  name: string;
  order: number;
  rearEmpty?: MassEstimate;
  rearLimit?: number;
  rearOnly?: boolean;
  rearOverhang?: LengthEstimate;
  roofLimit?: number;
  sillUp?: number;
  socket?: string;
  thirst?: Thirst;
  towBraked?: number;
  towUnbraked?: number;
  train?: number;
  wheelbase?: LengthEstimate;
}
export interface Thirst {
  at?: number;
  battery?: number;
  burns?: number;
  by?: string;
  draws?: number;
  factor?: number;
  price?: number;
  tank?: number;
}
export interface Trailer {
  access?: Access;
  anchors?: {
    [k: string]: Anchor;
  };
  axleGap?: number;
  axleMoves?: AxleMoves;
  axleRating?: number;
  axles?: number;
  boardWide?: number;
  brakedAxles?: number;
  brakes?: string;
  breakaway?: boolean;
  chains?: number;
  comes?: string;
  couplingBall?: number;
  couplingHeight?: number;
  couplingRating?: number;
  couplingSize?: number;
  couplingToAxle?: LengthEstimate;
  couplingToDeck?: LengthEstimate;
  days?: Days;
  deal?: Deal;
  deckHeight?: LengthEstimate;
  deckLength?: LengthEstimate;
  deckWidth?: LengthEstimate;
  decking?: Decking;
  drawbar?: Drawbar;
  edgeBase?: number;
  empty: Empty;
  finish?: Finish;
  fitted?: {
    [k: string]: PartOn;
  };
  floor?: string;
  floorGrade?: string;
  floorSpan?: number;
  floorThick?: number;
  folded?: Size;
  frame?: Frame;
  gear?: Gear;
  kept?: Kept;
  kind?: string;
  label?: Rating;
  lights?: string;
  money?: MoneyPlan;
  name: string;
  noPlate?: boolean;
  onEdge?: boolean;
  onWheels?: number;
  order: number;
  papers?: string;
  pivot?: number;
  plate?: PlateText;
  plug?: string;
  pump?: Pump;
  runningGear?: MassEstimate;
  secondLink?: SecondLink;
  sideHeight?: number;
  sinks?: number;
  springRating?: number;
  suspension?: string;
  tail?: string;
  tiePoints?: {
    [k: string]: TiePoint;
  };
  tipping?: Tipping;
  track?: LengthEstimate;
  travel?: number;
  turnTo?: number;
  tyreIndex?: number;
  tyrePressure?: number;
  tyreRating?: number;
  tyreSpeed?: number;
  tyreSymbol?: string;
  tyreText?: string;
  wheelDiameter?: number;
  wheelRoom?: number;
  widthOverAll?: LengthEstimate;
  wiring?: Wiring;
  workshop?: Workshop;
}
export interface Access {
  bracket?: Profile;
  brackets?: number;
  bumpers?: boolean;
  guardRadius?: number;
  guardSkirt?: number;
  guardWide?: number;
  handhold?: boolean;
  stepApart?: number;
  stepUp?: number;
  stood?: boolean;
}
export interface Anchor {
  count: number;
  kind: string;
  order: number;
  rating?: number;
}
export interface AxleMoves {
  max: number;
  min: number;
  pitch: number;
}
export interface Days {
  by?: string;
  comes?: {
    [k: string]: DayComing;
  };
  from?: string;
  off?: {
    [k: string]: DayOff;
  };
  slots?: {
    [k: string]: DaySlot;
  };
}
export interface DayComing {
  name: string;
  on: string;
  order: number;
  step?: string;
}
export interface DayOff {
  on: string;
  order: number;
}
export interface DaySlot {
  day: string;
  from: number;
  order: number;
  to: number;
}
export interface Deal {
  buys?: {
    [k: string]: Buy;
  };
  delivery?: number;
  fetch?: number;
  hours?: number;
  inspected?: {
    [k: string]: string;
  };
  offer?: number;
  office?: number;
  papersRisk?: number;
  price?: number;
  readyOn?: string;
  repairs?: {
    [k: string]: Buy;
  };
  skill?: string;
  tax?: number;
}
export interface Buy {
  hours?: number;
  name: string;
  order: number;
  price?: number;
}
export interface Decking {
  across?: boolean;
  bearers?: {
    [k: string]: DeckBearer;
  };
  boardLong?: number;
  carryLong?: number;
  carryWide?: number;
  forkPlate?: number;
  forkThick?: number;
  gains?: number;
  gap?: number;
  grain?: boolean;
  kerf?: number;
  loses?: number;
  paintEdges?: boolean;
  paintTop?: boolean;
  paintUnder?: boolean;
  price?: number;
  proud?: number;
  rub?: Profile;
  screws?: number;
  sheetLong?: number;
  sheetWide?: number;
  stagger?: boolean;
  tread?: string;
}
export interface DeckBearer {
  along?: boolean;
  at: number;
  order: number;
}
export interface Drawbar {
  beams?: number;
  bolt?: number;
  bolts?: number;
  grade?: string;
  longer?: number;
  overlap?: number;
  profile: Profile;
  way?: string;
}
export interface Empty {
  axle?: Reading;
  axleAt?: number;
  ball?: Reading;
  centre?: LengthEstimate;
  left?: Reading;
  mass?: MassEstimate;
  parts?: {
    [k: string]: PartOn;
  };
  right?: Reading;
}
export interface Reading {
  at?: number;
  mass: number;
  plank?: Plank;
  plusMinus?: number;
}
export interface Finish {
  air?: number;
  coats?: number;
  cover?: number;
  deckBy?: string;
  deckCoats?: number;
  deckCover?: number;
  deckPerLitre?: number;
  dipDays?: number;
  dipFar?: number;
  dipPerKg?: number;
  driveCost?: number;
  forecast?: string;
  humid?: number;
  indoors?: boolean;
  least?: number;
  perLitre?: number;
  recoat?: number;
  recoatMost?: number;
  salt?: boolean;
  steel?: number;
  tin?: number;
  way?: string;
  wettest?: number;
}
export interface Frame {
  asked?: boolean;
  axleDrop?: number;
  axleFixed?: string;
  axleSeat?: number;
  bars?: {
    [k: string]: BarStock;
  };
  bathDeep?: number;
  bathLong?: number;
  bathWide?: number;
  carry?: number;
  carryMass?: number;
  dipped?: boolean;
  extra?: number;
  headHoles?: number;
  headTakes?: number;
  jockey?: number;
  jockeyTop?: number;
  kerf?: number;
  members: {
    [k: string]: Member;
  };
  perKg?: number;
  springLength?: number;
  springsApart?: number;
  twistDip?: number;
  twistLoad?: number;
}
export interface BarStock {
  bow?: number;
  have?: number;
  length: number;
  order: number;
  price?: number;
  profile: Profile;
  sawn?: string;
  trim?: number;
  wall?: number;
}
export interface Member {
  bolt?: number;
  boltGauge?: number;
  boltGrade?: string;
  bolts?: number;
  cuts?: {
    [k: string]: MemberCut;
  };
  from: FramePoint;
  fromCap?: boolean;
  fromJoint?: string;
  name: string;
  order: number;
  profile: Profile;
  role?: string;
  roll?: number;
  taped?: number;
  to: FramePoint;
  toCap?: boolean;
  toJoint?: string;
}
export interface MemberCut {
  at: number;
  closed?: boolean;
  face?: string;
  long?: number;
  off?: number;
  order: number;
  rounded?: boolean;
  size: number;
  taped?: boolean;
  what: string;
}
export interface FramePoint {
  back: number;
  right: number;
  up?: number;
}
export interface Gear {
  arm?: number;
  bearing?: string;
  circle?: number;
  eyes?: number;
  leaf?: number;
  leafWidth?: number;
  leaves?: number;
  seats?: number;
  spindle?: number;
  studs?: number;
  tube?: Profile;
  wallLeft?: number;
}
export interface Rating {
  counts: string;
  value: number;
}
export interface MoneyPlan {
  hourRate?: number;
  jobs?: {
    [k: string]: EarnJob;
  };
  perDistance?: number;
  target?: number;
  uses?: number;
  ways?: {
    [k: string]: WayCost;
  };
  years?: number;
}
export interface EarnJob {
  far?: number;
  fee?: number;
  name: string;
  often?: number;
  order: number;
  rate?: number;
  takes?: number;
}
export interface WayCost {
  first?: number;
  hours?: number;
  kind?: string;
  name: string;
  order: number;
  perUse?: number;
  perYear?: number;
  resale?: number;
  useHours?: number;
}
export interface PlateText {
  gross?: number;
  identity?: string;
  issued?: boolean;
  kind?: string;
  maker?: string;
  year?: number;
}
export interface Pump {
  above?: number;
  amps?: number;
  couplings?: number;
  drained?: boolean;
  drawsUp?: number;
  elbows?: number;
  frost?: boolean;
  hoseBore?: number;
  hoseLong?: number;
  inBore?: number;
  inLong?: number;
  litres?: number;
  nozzle?: number;
  nozzleUp?: number;
  openFlow?: number;
  places?: number;
  points?: {
    [k: string]: PumpPoint;
  };
  reel?: boolean;
  runsFor?: number;
  tap?: number;
  topPressure?: number;
}
export interface PumpPoint {
  flow: number;
  order: number;
  pressure: number;
}
export interface SecondLink {
  aside?: number;
  back?: number;
  bolted?: Fastening;
  breaks?: number;
  carAside?: number;
  crossed?: boolean;
  grade?: string;
  hook?: number;
  kind?: string;
  length?: number;
  seen?: boolean;
  thick?: number;
  tiesToo?: boolean;
  up?: number;
  welded?: boolean;
}
export interface Fastening {
  bolt: number;
  bolts?: number;
  grade?: string;
  in?: string;
  thick?: number;
  washer?: number;
}
export interface TiePoint {
  at: Spot;
  fastening?: Fastening;
  kind?: string;
  order: number;
  rating?: number;
  shoulder?: boolean;
}
export interface Tipping {
  amps?: number;
  atHand?: {
    [k: string]: TipWinch;
  };
  beside?: boolean;
  bore?: number;
  brake?: boolean;
  by: string;
  chain?: boolean;
  closed?: number;
  crank?: number;
  drum: TipSpot;
  drumAcross?: number;
  flow?: number;
  foot: TipSpot;
  from?: number;
  frozen?: boolean;
  gateHung?: string;
  gateOpens?: number;
  hinge: TipSpot;
  hingePin?: number;
  hingePins?: number;
  inTheSun?: number;
  knee: TipSpot;
  layers?: number;
  leads?: number;
  lifting?: boolean;
  lineLong?: number;
  lineMax?: number;
  lineSpeed?: number;
  lineThick?: number;
  lining?: string;
  lumps?: number;
  mass?: MassEstimate;
  mastOf?: Profile;
  open?: number;
  packAmps?: number;
  parts?: number;
  pick: TipSpot;
  pieces?: {
    [k: string]: TipPiece;
  };
  pinBoth?: boolean;
  plain?: boolean;
  pressure?: number;
  prop?: boolean;
  propMax?: number;
  ratio?: number;
  sidesTied?: boolean;
  slope?: number;
  stop?: number;
  strap?: boolean;
  strutClosed?: number;
  strutFoot: TipSpot;
  strutOpen?: number;
  strutPick: TipSpot;
  strutPush?: number;
  struts?: number;
  top: TipSpot;
  unhitched?: boolean;
  wet?: boolean;
  winchLifts?: number;
}
export interface TipWinch {
  brake?: boolean;
  lifting?: boolean;
  lifts?: number;
  name: string;
  order: number;
}
export interface TipSpot {
  back: number;
  up: number;
}
export interface TipPiece {
  at: TipSpot;
  mass?: MassEstimate;
  name: string;
  order: number;
}
export interface Wiring {
  brakeWire?: number;
  breakaway?: number;
  bundled?: boolean;
  converter?: boolean;
  earthFrame?: boolean;
  foldAt?: number;
  foldOff?: number;
  foldTurn?: number;
  fuse?: number;
  joined?: string;
  lamps: {
    [k: string]: Lamp;
  };
  lead?: number;
  magnetOhms?: number;
  magnets?: number;
  power?: Power;
  route?: {
    [k: string]: string;
  };
  watched?: boolean;
  wire?: number;
}
export interface Lamp {
  back: number;
  guarded?: boolean;
  height?: number;
  led?: boolean;
  name?: string;
  order: number;
  right: number;
  volts24?: boolean;
  watts?: number;
  what: string;
}
export interface Power {
  borrowed?: boolean;
  capacity?: number;
  celsius?: number;
  chargeLong?: number;
  chargeWire?: number;
  fuseAt?: number;
  isolator?: boolean;
  kind?: string;
  lifts?: boolean;
  uses?: {
    [k: string]: PowerUse;
  };
  vented?: boolean;
}
export interface PowerUse {
  amps?: number;
  fuse?: number;
  long?: number;
  minutes?: number;
  name?: string;
  order: number;
  times?: number;
  wire?: number;
}
export interface Workshop {
  axle?: AxleTaped;
  begins?: string;
  done?: {
    [k: string]: StepDone;
  };
  level?: LevelRead;
  people?: number;
  sleeve?: SleeveFit;
  spindleEnd?: string;
  square?: SquareTaped;
  wheelOffset?: number;
}
export interface AxleTaped {
  apart?: number;
  hangers?: number;
  left?: number;
  railLeft?: number;
  railRight?: number;
  right?: number;
  rimAcross?: number;
  rimFront?: number;
  rimRear?: number;
  secondLeft?: number;
  secondRight?: number;
  slots?: number;
  tape?: number;
}
export interface StepDone {
  minutes?: number;
  note?: string;
}
export interface LevelRead {
  by?: string;
  doubt?: number;
  stands?: {
    [k: string]: LevelStand;
  };
}
export interface LevelStand {
  back: number;
  name: string;
  order: number;
  read?: number;
  right: number;
}
export interface SleeveFit {
  bothCoat?: boolean;
  coat?: number;
  inside?: number;
  outside?: number;
}
export interface SquareTaped {
  across?: number;
  fromFL?: number;
  fromFR?: number;
  front?: number;
  left?: number;
  legA?: number;
  legB?: number;
  rear?: number;
  right?: number;
  tape?: number;
}
export interface Want {
  count?: number;
  date?: string;
  distance?: number;
  height?: number;
  hours?: number;
  mass?: number;
  money?: number;
  order: number;
  outing?: string;
  size?: Size;
  skills?: {
    [k: string]: boolean;
  };
  speed?: number;
  what: string;
  wish?: boolean;
}
export interface AxlePlace {
  best?: number;
  closes: Variant[];
  drawbar?: Sentence;
  fix?: Variant;
  needs?: Need[];
  nominal?: Interval;
  now: number;
  outcome: string;
  rough?: Need[];
  rows: AxleRow[];
  says: Sentence;
  source?: Source;
  sure?: Interval;
  view?: View;
}
export interface Variant {
  name: Sentence;
  patch: Op[];
}
export interface Interval {
  from: number;
  to: number;
}
export interface AxleRow {
  name: Sentence;
  nominal?: Interval;
  outcome: string;
  outing: string;
  says?: Sentence;
  sure?: Interval;
}
export interface View {
  handles?: Handle[];
  id: string;
  marks?: {
    [k: string]: number[];
  };
  max: Point;
  min: Point;
  shapes: Shape[];
  targets?: Target[];
  title: Sentence;
}
export interface Handle {
  at: number;
  coarse: number;
  direction: Point;
  label: Sentence;
  marks?: string;
  max: number;
  min: number;
  path: string;
  snaps?: number[];
  step: number;
  thing: string;
  zone?: Zone;
}
export interface Zone {
  from: number;
  length: number;
  level: number;
  to: number;
}
export interface Shape {
  anchor?: string;
  class: string;
  form: string;
  points: Point[];
  radius?: number;
  room?: number;
  says?: Sentence;
  thing?: string;
}
export interface Target {
  label: Sentence;
  max: Point;
  min: Point;
  moves: Move[];
  thing: string;
}
export interface Move {
  path: string;
  to: string;
}
export interface Beginning {
  at?: number;
  by?: number;
  id?: string;
  kind?: string;
  of?: string;
  outing: string;
  plan: Plan;
  trailer: string;
  what: string;
}
export interface Boxing {
  bodies: Shown[];
}
export interface Shown {
  /**
   * @minItems 2
   * @maxItems 2
   */
  centre: [number, number];
  id: string;
  litres: number;
  mass?: Measure;
  name: Piece;
  path: View;
  pieces: ShownPiece[];
  side: View;
  tight: number;
  turns: Turned[];
  ways: ShownWay[];
}
export interface ShownPiece {
  area?: number;
  count: number;
  long?: number;
  mass: Measure;
  name: string;
}
export interface Turned {
  /**
   * @minItems 2
   * @maxItems 2
   */
  middle: [number, number];
  room: number;
  says: Sentence;
  shape: Shape;
}
export interface ShownWay {
  name: string;
  room: number;
}
export interface Buying {
  growth: Growth[];
  holds: number;
  moved: Named[];
  of: number;
  open: Finding[];
  outcome: string;
  says: Sentence;
  trailer: string;
}
export interface Growth {
  name: Sentence;
  outcome: string;
  outing: string;
  patch: Op[];
  says: Sentence;
}
export interface Named {
  id: string;
  name: Sentence;
  wish?: boolean;
}
export interface Changes {
  before?: Measure;
  best: boolean;
  order: string[];
  steps: Change[];
  time?: Measure;
}
export interface Change {
  axle?: Measure;
  carried: Measure;
  from: string;
  off: Handled[];
  on: Handled[];
  people: number;
  says: Sentence;
  time: Measure;
  to: string;
}
export interface Handled {
  mass?: Measure;
  minutes: number;
  name: string;
  path: string;
  people: number;
  tools?: string;
}
export interface Comparing {
  plan: Plan;
}
export interface Comparison {
  candidates: Candidate[];
  outings: Named[];
  wants: Named[];
}
export interface Candidate {
  back?: Variant;
  bare?: Measure;
  bill: Bill;
  chosen?: boolean;
  comes?: string;
  fitOut?: Measure;
  id: string;
  lays?: Op[];
  looked?: boolean;
  musts: Count;
  name: string;
  outcome: string;
  outings: CandidateOuting[];
  payload?: Measure;
  perKg?: Measure;
  unbeaten?: boolean;
  view?: View;
  wants: State[];
  wishes: Count;
  worst: Sentence;
}
export interface Bill {
  hours: number;
  known: boolean;
  lines: Line[];
  money: number;
  open: number;
  risk: number;
}
export interface Line {
  hours?: number;
  money?: number;
  name?: string;
  path: string;
  risk?: boolean;
  what: string;
}
export interface Count {
  holds: number;
  of: number;
}
export interface CandidateOuting {
  ball?: Measure;
  ballSize?: string;
  ballState: string;
  gap?: Measure;
  id: string;
  laid?: boolean;
  move?: Sentence;
  near?: boolean;
  outcome: string;
  payload?: Measure;
  rear?: Measure;
  says: Sentence;
  side?: Measure;
  sideState?: string;
  tyreSpeed?: string;
  tyreUsed?: Measure;
}
export interface State {
  figure?: Measure;
  id: string;
  limit?: Measure;
  needs?: Need[];
  outcome: string;
  outing?: string;
  says: Sentence;
  title: Sentence;
  what: string;
  wish: boolean;
}
export interface CutGate {
  holds: number;
  of: number;
  open: Finding[];
  outcome: string;
  says: Sentence;
  tight: Finding[];
}
export interface Cutting {
  bought: Measure;
  drives?: number;
  lost?: Sawn[];
  lostCost?: Measure;
  mass: Measure;
  price?: Measure;
  rest: Measure;
  saw: Setting[];
  sawn?: number;
  sections: SectionCut[];
}
export interface Sawn {
  bar: string;
  for: string;
  length: Measure;
  says: Sentence;
}
export interface Setting {
  ends: number;
  marks: string[];
  says: Sentence;
}
export interface SectionCut {
  bars: BarCut[];
  done?: CutPiece[];
  fails?: Sentence;
  gap?: Measure;
  notes?: Sentence[];
  price?: Measure;
  priced: boolean;
  proven: boolean;
  says: Sentence;
}
export interface BarCut {
  have: boolean;
  home?: Measure[];
  length: Measure;
  pieces: CutPiece[];
  rest: Measure;
  tooLong?: boolean;
}
export interface CutPiece {
  /**
   * @minItems 2
   * @maxItems 2
   */
  ends: [Sentence, Sentence];
  length: Measure;
  mark: string;
  member: string;
  name: string;
}
export interface Designing {
  done?: Designs;
  tried: number;
}
export interface Designs {
  answers: Design[];
  needs?: Need[];
  rough?: Need[];
  says: Sentence;
  stopped?: boolean;
  tried: number;
}
export interface Design {
  bound: Sentence[];
  cost?: Measure;
  deep: Measure;
  mass: Measure;
  outcome: string;
  patch: Op[];
  payload?: Measure;
  pieces: number;
  says: Sentence;
  sections: Sentence[];
  whole: Sentence;
}
export interface Diagnosis {
  next?: Test;
  says: Sentence;
  settled: boolean;
  suspects: Suspect[];
}
export interface Test {
  lamp: string;
  probe?: boolean;
  says: Sentence;
  switch: string;
  why?: Sentence;
}
export interface Suspect {
  do: Sentence;
  likely: Measure;
  says: Sentence[];
}
export interface DriveAsked {
  hands?: Hand[];
  longer?: number;
  outing?: string;
  plan?: Plan;
  task: string;
  trailer?: string;
}
export interface Hand {
  pedal: number;
  steer: number;
  tick: number;
}
export interface DriveHands {
  pedal: number;
  steer: number;
  stop?: boolean;
}
export interface DriveLine {
  hands?: Hand[];
  score?: Score;
  seen?: Seen;
  wrong?: string;
}
export interface Score {
  done: boolean;
  off: number;
  points: number;
  pulls: number;
  says: Sentence;
  seconds: number;
  touches: number;
}
export interface Seen {
  done?: boolean;
  folded?: boolean;
  heading: number;
  hitch: number;
  speed: number;
  steer: number;
  stuck?: boolean;
  tick: number;
  touch?: boolean;
  x: number;
  y: number;
}
export interface DriveReplay {
  score: Score;
  seen: Seen[];
}
export interface DriveScene {
  outline: Outline;
  tasks: Task[];
}
export interface Outline {
  car: Box;
  critical: number;
  length: number;
  overhang: number;
  steer: number;
  touches: number;
  track: number;
  trailer: Box;
  usual: Sentence[];
  wheelbase: number;
}
export interface Box {
  front: number;
  left: number;
  rear: number;
  right: number;
}
export interface Task {
  car?: boolean;
  goal: Area;
  id: string;
  ideal: [number, number][];
  name: string;
  par: number;
  pulls: number;
  says: Sentence;
  slip?: SlipSeen;
  start: Pose;
  walls: [[number, number], [number, number], [number, number], [number, number]][];
}
export interface Area {
  across: number;
  along: number;
  heading: number;
  turned: number;
  x: number;
  y: number;
}
export interface SlipSeen {
  edge: number;
  fall: number;
  half: number;
  top: number;
}
export interface Pose {
  heading: number;
  x: number;
  y: number;
}
export interface Drives {
  cars: DriveRow[];
  learned?: DriveFactor;
  one?: Measure;
  split?: Sentence;
  trip: Trip;
  two?: Measure;
}
export interface DriveRow {
  by?: Measure;
  co2?: Measure;
  money?: Measure;
  name: Piece;
  needs: Need[];
  range?: Measure;
  short?: Measure;
  vehicle: string;
  whole?: Measure;
}
export interface DriveFactor {
  mean: Measure;
  out: string[];
  says: Sentence;
  use: Op[];
  used: string[];
}
export interface Trip {
  alone?: Measure;
  by?: Measure;
  co2?: Measure;
  drag?: Measure;
  far?: Measure;
  home?: Sentence;
  money?: Measure;
  needs: Need[];
  perTon?: Measure;
  range?: Measure;
  says: Sentence;
  shares: Share[];
  short?: Measure;
  whole?: Measure;
}
export interface Share {
  measure: Measure;
  name: Sentence;
}
export interface Entering {
  back?: boolean;
  before?: Finding[];
  csv?: string;
  kept?: string;
  key?: string;
  outing: string;
  plan: Plan;
  stage?: string;
  today?: string;
  trailer: string;
  want?: string;
  weighed: Weighed;
}
export interface Weighed {
  at: string;
  doubt: number;
  id?: string;
  load?: string;
  value: number;
}
export interface Entry {
  passcode: string;
}
export interface Example {
  id: string;
  name: string;
}
export interface Filling {
  tanks: FilledTank[];
}
export interface FilledTank {
  behind: Shape;
  name: Piece;
  now: number;
  path: string;
  says: Sentence;
  side: Shape;
  steps: FillStep[];
  tyres?: Sentence;
}
export interface FillStep {
  ball: Measure;
  brakes: number;
  fill: number;
  level: number;
  litres: number;
  mass: Measure;
  minutes?: number;
  onAxle: number;
  outside: boolean;
  pressure?: number;
  pulls: number;
  wheel: number;
  whole: Measure;
  /**
   * @minItems 2
   * @maxItems 2
   */
  window: [number, number];
}
export interface Finishing {
  deck: number;
  hidden: number;
  skins: number;
  steel: number;
  tins: Tin[];
  touch: Sentence[];
  ways: CoatWay[];
  weather: Weather;
}
export interface Tin {
  area: number;
  coats: number;
  cost?: Measure;
  litres: Measure;
  name: string;
  tins?: number;
}
export interface CoatWay {
  cannot?: Sentence;
  chosen?: boolean;
  first: Measure;
  hours: Measure;
  id: string;
  later: Measure;
  name: string;
  says: Sentence;
  ten: Measure;
  usual?: boolean;
}
export interface Weather {
  hours: ForecastHour[];
  needs: number;
  says: Sentence;
  windows: DryWindow[];
  wrong: LineError[];
}
export interface ForecastHour {
  air: number;
  dew: number;
  from: number;
  good?: boolean;
  humid: number;
  on: string;
  rain?: boolean;
  to: number;
  why?: Sentence;
}
export interface DryWindow {
  from: string;
  hours: number;
  long: boolean;
  to: string;
}
export interface LineError {
  line: number;
  says: string;
}
export interface FirstAnswers {
  axle?: number;
  ball?: number;
  brakes?: string;
  counts?: string;
  deck?: number;
  front?: number;
  kind?: string;
  label?: number;
  loads: FirstLoad[];
  name?: string;
  region: string;
  scale?: number;
  tow?: number;
  units: string;
  width?: number;
}
export interface FirstLoad {
  count: number;
  kind?: string;
  material?: string;
  name: string;
  plusMinus?: number;
  relative?: number;
  weight?: number;
}
export interface FirstPlan {
  plan: Plan;
  report: Report;
}
export interface Report {
  bare?: Measure;
  chain: Link[];
  drive?: DriveOn;
  emptyWay?: string;
  figures: Figures;
  fills: Fill[];
  findings: Finding[];
  fitOut?: Measure;
  frame?: Picture;
  headline: Headline;
  labels?: LabelReading[];
  loaders?: Loaders;
  next: Next[];
  notLooked?: Sentence;
  outings?: OutingState[];
  payload?: Payload;
  placed?: {
    [k: string]: Placement;
  };
  problems: Problem[];
  questions: Question[];
  racks: Built[];
  schools?: HullSupport[];
  scope: Scope;
  settled: boolean;
  stages: StageState[];
  sway?: Chart;
  swing?: Swing;
  things: Thing[];
  tieSays?: Sentence;
  tied?: Tied[];
  views: View[];
  wants: State[];
  ways?: Way[];
  without?: Other[];
}
export interface Link {
  essential: boolean;
  figure?: Measure;
  id: string;
  key: string;
  limit?: Measure;
  name: Sentence;
  outcome: string;
  reads: string;
  share?: Measure;
  stage: string;
  weakest?: boolean;
}
export interface DriveOn {
  ball: Curve;
  clear: Curve;
  line?: Curve;
  machine: Shape[];
  off: CardLine[];
  on: CardLine[];
  steps: DriveStep[];
  view: View;
  why: Sentence;
  worst: number;
}
export interface Curve {
  above: boolean;
  kind: string;
  limit?: number;
  values: number[];
  worst: number;
}
export interface CardLine {
  care?: boolean;
  id: string;
  says: Sentence;
}
export interface DriveStep {
  pitch: number;
  x: number;
  z: number;
}
export interface Figures {
  axle?: Measure;
  ball?: Measure;
  cargo?: Measure;
  left?: Measure;
  mass?: Measure;
  right?: Measure;
  share?: Measure;
  window?: Window;
}
export interface Window {
  capped?: string;
  high: number;
  highShare: number;
  low: number;
  lowShare: number;
}
export interface Fill {
  allowed: Measure;
  by: Sentence;
  dry: FillLine;
  level: Measure;
  load: string;
  mass: Measure;
  name: string;
  open: boolean;
  side: number;
  spills: number;
  volume: Measure;
  wet: FillLine;
}
export interface FillLine {
  depth: number;
  full: boolean;
  trips: number;
  volume: number;
}
export interface Picture {
  bent?: Bent;
  cases?: CaseUse[];
  cost?: Measure;
  cracks?: Crack[];
  deep: Measure;
  dip?: Dip;
  empty?: Bit[];
  lighter?: Lighter[];
  mass: Measure;
  members: MemberUse[];
  pieces: PieceRow[];
  twist?: Twist;
  views: View[];
  wearUnknown?: string[];
  whole: boolean;
}
export interface Bent {
  case: Sentence;
  times: number;
  views: {
    [k: string]: Shape[];
  };
}
export interface CaseUse {
  lifts?: boolean;
  member: string;
  name: string;
  says: Sentence;
  use: Measure;
}
export interface Crack {
  at: Measure;
  class: Measure;
  detail: string;
  name: string;
  path: string;
  range: Measure;
  share: Measure;
}
export interface Dip {
  area: Measure;
  deep: Measure;
  dipped: boolean;
  laps?: Sentence[];
  long: Measure;
  rows: DipRow[];
  wide: Measure;
  zinc: Measure;
}
export interface DipRow {
  bursts?: boolean;
  mark: string;
  name: string;
  path: string;
  says: Sentence;
  small?: boolean;
  stands?: boolean;
  wants: Measure;
}
export interface Bit {
  at: number;
  how: string;
  mass: Measure;
  name: string;
  path: string;
}
export interface Lighter {
  patch: Op[];
  saves: Measure;
  says: Sentence;
  use: Measure;
}
export interface MemberUse {
  at?: Measure;
  bends?: Measure;
  case?: Sentence;
  ends?: EndForce[];
  gain?: Gain;
  length: Measure;
  mass: Measure;
  name: string;
  path: string;
  says: Sentence;
  taped?: boolean;
  use?: Measure;
}
export interface EndForce {
  force: Measure;
  moment: Measure;
}
export interface Gain {
  twist: Measure;
  use: Measure;
}
export interface PieceRow {
  count: number;
  /**
   * @minItems 2
   * @maxItems 2
   */
  ends: [Sentence, Sentence];
  holes?: number;
  length: Measure;
  marks: string[];
  mass: Measure;
  members: string[];
  says: Sentence;
}
export interface Twist {
  bounces?: Measure;
  corner: Measure;
  degrees: Measure;
  swings?: Measure;
}
export interface Headline {
  checked: number;
  code?: string;
  of: number;
  outcome: string;
  says: Sentence;
}
export interface LabelReading {
  counts: string;
  left: number;
  load: number;
  mark: number;
  meant: boolean;
  over: boolean;
  own: number;
}
export interface Loaders {
  machines: string[];
  ramps: string[];
}
export interface Next {
  path: string;
  says: Sentence;
  where?: Sentence;
}
export interface OutingState {
  id: string;
  outcome: string;
}
export interface Payload {
  at: number;
  by: string;
  from: number;
  mass: Measure;
}
export interface Problem {
  path: string;
  says: Sentence;
}
export interface Question {
  code: string;
  fix?: Variant;
  path: string;
  says: Sentence;
}
export interface Built {
  cost?: Measure;
  foam: Measure;
  mass: Measure;
  name: string;
  part: string;
  pieces: Cut[];
}
export interface Cut {
  cost?: Measure;
  count: number;
  holes: number;
  length: Measure;
  mass: Measure;
  name: string;
  section: Sentence;
}
export interface HullSupport {
  id: string;
  later: string;
  name: string;
  rows: SupportRow[];
  slides: string;
  takes: Sentence;
}
export interface SupportRow {
  bears: Measure;
  beyond: Measure;
  hull: string;
  pressure: Measure;
  span: Measure;
  strapped: Measure;
}
export interface StageState {
  id: string;
  least?: Sentence;
  outcome: string;
}
export interface Chart {
  compare: Sample;
  curve: Sample[];
  diverges?: number;
  inertia: number;
  little?: Bound;
  now: Sample;
  says: Sentence;
  slow: number;
  speed: number;
}
export interface Sample {
  damping: number;
  high: number;
  low: number;
  speed: number;
}
export interface Bound {
  high?: number;
  low?: number;
  value?: number;
}
export interface Swing {
  car: Shape[];
  left: Touch;
  longer?: Longer;
  max: Point;
  min: Point;
  most: number;
  right: Touch;
  trailer: Shape[];
  wanted: number;
}
export interface Touch {
  angle?: number;
  by?: string;
  on?: string;
}
export interface Longer {
  answers: number;
  ball: number;
  bends?: number;
  by: number;
}
export interface Thing {
  back: number;
  carriers: Carrier[];
  mass?: Measure;
  name: string;
  onDeck: boolean;
  part?: boolean;
  path: string;
  place: string;
  right: number;
  tapes: Tape[];
}
export interface Carrier {
  id?: string;
  name: string;
  on: string;
  slot?: string;
}
export interface Tape {
  from: string;
  offset: number;
  sign: number;
}
export interface Tied {
  bars?: GBar[];
  grip: number;
  load: string;
  name: string;
  points: PointOf[];
  schools: SchoolVerdict[];
  straps: TiedStrap[];
  weak?: string;
}
export interface GBar {
  asked: number;
  direction: string;
  gives: string;
  has: number;
  holds: boolean;
  known: boolean;
}
export interface PointOf {
  id: string;
  name: string;
  says: Sentence;
}
export interface SchoolVerdict {
  bound: string;
  chosen?: boolean;
  count?: number;
  has: Measure;
  holds: boolean;
  id: string;
  least?: number;
  name: string;
  needs: Measure;
  says: string;
  source: string;
}
export interface TiedStrap {
  eased?: boolean;
  floor: Measure;
  limit: Measure;
  long: Measure;
  name: string;
  over: boolean;
  path: string;
  pull: Measure;
  weak: string;
}
export interface Way {
  care: string;
  force: Measure;
  name: string;
  people?: number;
  with: string;
}
export interface Other {
  id: string;
  mass?: Measure;
  name: string;
  outcome?: string;
  path?: string;
  says: Sentence;
  trips?: number;
}
export interface Flooring {
  laid?: Laid;
}
export interface Laid {
  boards?: Board[];
  buy: number;
  fails?: Sentence;
  gapDry?: Measure;
  gapWet?: Measure;
  least?: number;
  marks?: Mark[];
  mass?: Measure;
  notes?: Sentence[];
  price?: Measure;
  proven?: boolean;
  says: Sentence;
  screw: Measure;
  screws: number;
  sheets?: SheetCut[];
  view: View;
}
export interface Board {
  count: number;
  edge?: boolean;
  length: Measure;
  width: Measure;
}
export interface Mark {
  front: Measure;
  left: Measure;
  member: string;
  size: Measure;
}
export interface SheetCut {
  big?: boolean;
  home?: Measure[];
  pieces: SheetPiece[];
  view: View;
}
export interface SheetPiece {
  behind: Measure;
  left: Measure;
  long: Measure;
  mark: string;
  wide: Measure;
}
export interface Folder {
  asOf: string;
  kind: string;
  label: TextLine[];
  left: number;
  plate: PlateDraft;
  rows: PaperRow[];
  says: Sentence;
  theft: PaperRow[];
}
export interface TextLine {
  big?: boolean;
  name: Sentence;
  says: Sentence;
}
export interface PlateDraft {
  draft?: boolean;
  least?: Measure;
  lines: TextLine[];
  needs: Need[];
  part?: Sentence;
  refused?: Sentence;
}
export interface PaperRow {
  done?: boolean;
  record: string;
  says: Sentence;
  when?: string;
  where?: Sentence;
}
export interface Glance {
  headline: Headline;
  region: string;
  units: string;
  view?: View;
}
export interface Happened {
  built?: BuiltRecord;
  kind: string;
  loan?: LoanRecord;
  note?: string;
  on?: string;
  order?: number;
  paper?: PaperRecord;
  part?: PartRecord;
  photos?: {
    [k: string]: PhotoAt;
  };
  slip?: SlipRecord;
  snag?: SnagRecord;
  spend?: SpendRecord;
  step?: StepRecord;
  tool?: ToolRecord;
  trailer?: string;
  trip?: TripRecord;
  trouble?: TroubleRecord;
  wear?: WearRecord;
}
export interface BuiltRecord {
  drawnHeavy?: number;
  drawnLong?: number;
  heavy?: number;
  long?: number;
  member?: string;
  what: string;
}
export interface LoanRecord {
  back?: string;
  call?: string;
  deposit?: number;
  in?: string;
  key?: string;
  out?: string;
  to?: string;
  until?: string;
}
export interface PaperRecord {
  done?: boolean;
  number?: string;
}
export interface PartRecord {
  got?: number;
  member?: string;
  name: string;
  number?: string;
  size?: string;
  state?: string;
  want?: number;
}
export interface PhotoAt {
  order: number;
  says?: string;
}
export interface SlipRecord {
  alone?: boolean;
  empty?: number;
  fill?: number;
  fillDoubt?: number;
  full?: number;
  load?: string;
  material?: string;
  price?: number;
}
export interface SnagRecord {
  done?: boolean;
  due?: string;
  says: string;
  stops?: boolean;
  who?: string;
}
export interface SpendRecord {
  for?: string;
  planned?: number;
  spent?: number;
  tax?: number;
  taxOn?: boolean;
  what?: string;
  worth?: number;
}
export interface StepRecord {
  after?: string;
  before?: string;
  done?: boolean;
  guess?: number;
  minutes?: number;
  of?: string;
  says?: string;
  side?: string;
}
export interface ToolRecord {
  cost?: number;
  from?: string;
  name?: string;
}
export interface TripRecord {
  ballRead?: number;
  ballSaid?: number;
  cost?: number;
  dips?: number;
  far?: number;
  fuel?: number;
  hubLeft?: number;
  hubRight?: number;
  load?: number;
  mileage?: number;
  nuts?: boolean;
  outing?: string;
  power?: number;
  slack?: boolean;
  takes?: number;
  tips?: number;
  with?: string;
}
export interface TroubleRecord {
  found?: string;
  seen?: {
    [k: string]: boolean;
  };
  signs?: {
    [k: string]: boolean;
  };
}
export interface WearRecord {
  cost?: number;
  tread?: number;
  what: string;
}
export interface Health {
  ok: boolean;
}
export interface Import {
  good: number;
  patch: Op[];
  unread: string[];
  wrong: CellError[];
}
export interface CellError {
  column: number;
  head: string;
  line: number;
  says: string;
}
export interface Listed {
  id: string;
  name: string;
  revision: number;
  updatedAt: string;
}
export interface LogBook {
  ball?: Sentence;
  carried?: Measure;
  far?: Measure;
  masses: MassRow[];
  materials: MaterialRow[];
  says: Sentence;
  slips: SlipRow[];
  trips: TripRow[];
  wear: WearRow[];
}
export interface MassRow {
  mean: Measure;
  name: Piece;
  out: string[];
  path: string;
  says: Sentence;
  slips: number;
  use: Op[];
  used: string[];
}
export interface MaterialRow {
  load: Measure;
  material: string;
  mean: Measure;
  name: Piece;
  out: string[];
  says: Sentence;
  slips: number;
  typical: Measure;
  use: Op[];
  used: string[];
}
export interface SlipRow {
  density?: Measure;
  load?: Measure;
  name: Piece;
  on?: string;
  out?: boolean;
  perTon?: Measure;
  record: string;
  wrong?: Sentence;
}
export interface TripRow {
  card?: Sentence;
  name: Piece;
  off?: Sentence;
  on?: string;
  record: string;
  warns?: Sentence;
}
export interface WearRow {
  does: Sentence;
  due?: string;
  id: string;
  last?: string;
  left?: Measure;
  name: Sentence;
  reads?: boolean;
  since?: Measure;
  state: string;
  why?: Sentence;
}
export interface LookBack {
  learned: Sentence[];
  months: MonthRow[];
  says: Sentence;
  worn: WornRow[];
}
export interface MonthRow {
  carried: number;
  far: number;
  fuel: number;
  month: string;
  power: number;
  spent: number;
  trips: number;
}
export interface WornRow {
  cost?: Measure;
  far?: Measure;
  note?: string;
  on: string;
  record: string;
  what: Sentence;
}
export interface MoneyBook {
  ledger: Ledger;
  ways: Ways;
}
export interface Ledger {
  by: LedgerPart[];
  open: number;
  outcome?: string;
  over?: Measure;
  rows: LedgerRow[];
  running: Measure;
  says: Sentence;
  spent: Measure;
  target?: Measure;
  tax: Measure;
  toCome: Measure;
  whole: Measure;
  worth: Measure;
}
export interface LedgerPart {
  for: string;
  spent: Measure;
  toCome: Measure;
}
export interface LedgerRow {
  for?: string;
  log?: boolean;
  on?: string;
  own?: boolean;
  planned?: Measure;
  record: string;
  spent?: Measure;
  what: Sentence;
  worth?: Measure;
}
export interface Ways {
  jobs: JobRow[];
  needs: Need[];
  rows: WayRow[];
  says: Sentence;
  uses: number;
  years: number;
}
export interface JobRow {
  id: string;
  left?: Measure;
  name: Piece;
  needs: Need[];
  pays?: Measure;
  says: Sentence;
  year?: Measure;
}
export interface WayRow {
  best?: boolean;
  even?: Measure;
  first?: Measure;
  hours: Measure;
  id: string;
  kind?: string;
  money?: Measure;
  name: Piece;
  needs: Need[];
  never?: boolean;
  use?: Measure;
  whole?: Measure;
}
export interface Offer {
  differs: Sentence[];
  leave: Op[];
  more?: number;
  newer: boolean;
  path: string;
  take: Op[];
  thing: string;
}
export interface Pairing {
  addresses: string[];
  code?: string;
  minutes?: number;
  qr?: string;
}
export interface PairingAsked {
  path: string;
}
export interface PartsRead {
  rows: PartRecord[];
  wrong: CellError[];
}
export interface PhotoKept {
  high: number;
  id: string;
  wide: number;
}
export interface Powering {
  uses?: Use[];
  walk?: Sentence[];
}
export interface Use {
  drop?: Measure;
  fuse?: string;
  hours: number;
  id: string;
  name: string;
  section?: string;
}
export interface PracticeAsked {
  chosen?: number;
  figure?: number;
  level?: number;
  only?: string;
  plan?: Plan;
  progress: Progress;
  seed?: number;
  today: string;
  topic?: string;
}
export interface Progress {
  days: Day[];
  seeds: number;
  topics: {
    [k: string]: Known;
  };
}
export interface Day {
  on: string;
  right: number;
  wrong: number;
}
export interface Known {
  box: number;
  due?: string;
  right: number;
  wrong: number;
}
export interface PracticeCase {
  case: Case;
  session: Session;
}
export interface Case {
  ask: Sentence;
  choices: Sentence[];
  figure?: FigureAsked;
  given: Sentence[];
  level: number;
  own?: boolean;
  seed: number;
  topic: string;
  view?: View;
}
export interface FigureAsked {
  kind: string;
  most: number;
  within: number;
}
export interface Session {
  level: number;
  rows: TopicRow[];
  says: Sentence;
  seed: number;
  topic: string;
}
export interface TopicRow {
  box: number;
  due?: string;
  id: string;
  name: string;
  right: number;
  share?: number;
  wrong: number;
}
export interface PracticeTruth {
  progress: Progress;
  truth: Truth;
}
export interface Truth {
  correct: boolean;
  mistake?: Sentence;
  right: number;
  says: Sentence;
  why: Sentence[];
}
export interface ProblemDocument {
  detail?: string;
  earlier?: number;
  field?: string;
  status: number;
  title: string;
  type: string;
}
export interface Pumping {
  given?: Given;
}
export interface Given {
  curve: PumpCurve[];
  empties?: number;
  far: Measure;
  high: Measure;
  litres: number;
  nozzle: Measure;
  places?: number;
  pressure: Measure;
  says: Sentence;
  ways: OtherHose[];
}
export interface PumpCurve {
  flow: number;
  gives: number;
  takes: number;
}
export interface OtherHose {
  litres: number;
  says: Sentence;
}
export interface RackPlans {
  hulls: number;
  needs?: Need[];
  options: RackPlan[];
  rough?: Need[];
  says: Sentence;
}
export interface RackPlan {
  figures: Traded[];
  home: string[];
  kind: string;
  name: Sentence;
  outcome: string;
  patch: Op[];
  says: Sentence;
}
export interface RampPlaces {
  needs?: Need[];
  options: RampPlace[];
  rough?: Need[];
  says: Sentence;
}
export interface RampPlace {
  figures: Traded[];
  kind: string;
  name: Sentence;
  outcome: string;
  patch: Op[];
  says: Sentence;
}
export interface Recorded {
  at: string;
  id: string;
  record?: Happened;
  revision: number;
  spoilt?: boolean;
}
export interface RecordsChanged {
  changes: RecordPatch[];
}
export interface RecordPatch {
  id: string;
  patch: unknown;
}
export interface RecordsKept {
  refused: RecordRefused[];
}
export interface RecordRefused {
  field: string;
  says: string;
}
export interface Reference {
  anchorKinds: AnchorKind[];
  ballSizes: BallSize[];
  batteries: Battery[];
  bearings: WheelBearing[];
  bolts: Bolt[];
  causes: Ailment[];
  commons: Common[];
  doubts: {
    [k: string]: number;
  };
  driver: number;
  fittings: Fitting[];
  fluids: Substance[];
  grounds: Ground[];
  groups: string[];
  hinged: Hinged[];
  hitches: HitchClass[];
  inspections: Inspection[];
  linings: Lining[];
  linkGrades: LinkGrade[];
  loads: LoadKind[];
  materials: Material[];
  mustBuys: string[];
  plugs: Plug[];
  roads: {
    [k: string]: RoadRules;
  };
  ruleSets: RuleSet[];
  schools: School[];
  signs: Ailment[];
  soils: Soil[];
  solids: Substance[];
  stocks: Stock[];
  surfaces: Surface[];
  terms: {
    [k: string]: {
      [k: string]: string;
    };
  };
  tieSchools: TieSchool[];
  trailers: TrailerKind[];
  treads: Tread[];
}
export interface AnchorKind {
  counts: boolean;
  id: string;
  name: string;
  weak: string;
}
export interface BallSize {
  diameter: number;
  name: string;
}
export interface Battery {
  charge: number;
  deepest: number;
  gases: boolean;
  id: string;
  name: string;
  perK: number;
  peukert: number;
  usable: number;
}
export interface WheelBearing {
  ball?: boolean;
  bore: number;
  id: string;
  name: string;
  rating: number;
}
export interface Bolt {
  id: string;
  name: string;
  ultimate: number;
  yield: number;
}
export interface Ailment {
  id: string;
  says: Sentence;
}
export interface Common {
  height: number;
  lip?: number;
  name: string;
  plastic?: boolean;
  shape: string;
  timber?: boolean;
  wall: number;
  width: number;
}
export interface Fitting {
  height: number;
  high: number;
  hours: number;
  id: string;
  length: number;
  low: number;
  name: string;
  open?: boolean;
  perArea?: boolean;
  where: string;
  width: number;
}
export interface Substance {
  high: number;
  id: string;
  low: number;
  name: string;
}
export interface Ground {
  high: number;
  id: string;
  low: number;
  name: string;
  rolling: number;
}
export interface Hinged {
  danger: boolean;
  fitting: string;
  opens: string;
}
export interface HitchClass {
  ball: number;
  id: string;
  tow: number;
}
export interface Inspection {
  bad: string;
  id: string;
  look: string;
  repair: string;
}
export interface Lining {
  high: number;
  id: string;
  low: number;
  name: string;
}
export interface LinkGrade {
  id: string;
  name: string;
  stress: number;
}
export interface LoadKind {
  bears?: Bearing;
  centreHigh?: number;
  centreLow?: number;
  centreUp?: number;
  from: string;
  group: string;
  height: number;
  high: number;
  id: string;
  length: number;
  low: number;
  name: string;
  note?: string;
  pack?: boolean;
  rises?: string;
  rolls?: Rolls;
  shape: string;
  walked?: boolean;
  width: number;
  words?: string;
}
export interface Bearing {
  apart: number;
  from: number;
  to: number;
}
export interface Rolls {
  clearance: number;
  frontAxle: number;
  frontTrack?: number;
  frontWheel?: number;
  track: number;
  wheel: number;
  wheelbase: number;
}
export interface Material {
  dryHigh: number;
  dryLow: number;
  id: string;
  name: string;
  reposeHigh: number;
  reposeLow: number;
  wetHigh: number;
  wetLow: number;
}
export interface Plug {
  id: string;
  name: string;
}
export interface RoadRules {
  allLength?: number;
  bodyLength?: number;
  loadWidth?: number;
  motorway?: number;
  open?: number;
  rearDiffer?: string;
  rearMarks: RearMark[];
  sideFlag?: number;
  sideLimit?: number;
  sizeSource: Source;
  speedFrom: Source;
  speedSays?: string;
  width: number;
  widthAlso?: string;
}
export interface RearMark {
  does: string;
  over: number;
}
export interface RuleSet {
  allBrakedAbove?: number;
  ballsDiffer?: boolean;
  boatSchool?: string;
  brakesAbove: number;
  brakesHigh: number;
  brakesLow: number;
  brakesPlated?: boolean;
  brakesRead: string;
  brakesSource: Source;
  breakawayAbove?: number;
  chainsNeeded: number;
  chainsUnbraked: boolean;
  differs?: string;
  halfKerb: boolean;
  kerbSource: Source;
  linkSource: Source;
  linkStrength: Source;
  name: string;
  overrunTo?: number;
  region: string;
  school: string;
  towReads: string;
  twoChainsAbove?: number;
}
export interface School {
  floor?: number;
  high: number;
  id: string;
  low: number;
  name: string;
  reason: string;
  source: Source;
}
export interface Soil {
  bears: number;
  id: string;
  name: string;
}
export interface Stock {
  density: number;
  id: string;
  modulus: number;
  name: string;
  source: string;
  timber?: boolean;
  warm?: number;
  weld: number;
  yield: number;
}
export interface Surface {
  high: number;
  id: string;
  low: number;
  name: string;
  sure: string;
}
export interface TieSchool {
  bound: string;
  id: string;
  name: string;
  source: string;
}
export interface TrailerKind {
  axleLow: number;
  axleTop: number;
  axles: number;
  ballLow: number;
  ballTop: number;
  deck: Usual;
  front: Usual;
  height: Usual;
  high: number;
  id: string;
  low: number;
  name: string;
  width: Usual;
}
export interface Usual {
  high: number;
  low: number;
  mid: number;
}
export interface Tread {
  high: number;
  id: string;
  low: number;
  name: string;
}
export interface Revision {
  label: string;
  revision: number;
  savedAt: string;
}
export interface Saved {
  id: string;
  revision: number;
}
export interface Saving {
  after?: string[];
  id?: string;
  label?: string;
  plan: unknown;
  saveId: string;
  sitting: string;
}
export interface Scales {
  after?: Measure;
  before?: Measure;
  expect: ScaleRow[];
  fix?: Variant;
  guesses: Narrowed[];
  moved?: boolean;
  outcome: string;
  rows: ScaleRow[];
  says: Sentence;
  settles?: Sentence;
  suspects: Variant[];
}
export interface ScaleRow {
  expect: Measure;
  id?: string;
  name: Sentence;
  read?: Measure;
  what: string;
}
export interface Narrowed {
  after: Measure;
  before: Measure;
  name: string;
  path: string;
}
export interface Searching {
  answers: Answer[];
  back?: boolean;
  before?: Finding[];
  csv?: string;
  kept?: string;
  key?: string;
  outing: string;
  plan: Plan;
  stage?: string;
  today?: string;
  trailer: string;
  two?: boolean;
  want?: string;
}
export interface Answer {
  lamp: string;
  level?: string;
  probe?: boolean;
  switch: string;
}
export interface Settled {
  bare?: Measure;
  card?: Card;
  chain: Link[];
  drive?: DriveOn;
  emptyWay?: string;
  figures: Figures;
  fills: Fill[];
  findings: Finding[];
  fitOut?: Measure;
  frame?: Picture;
  headline: Headline;
  labels?: LabelReading[];
  loaders?: Loaders;
  next: Next[];
  notLooked?: Sentence;
  outings?: OutingState[];
  payload?: Payload;
  placed?: {
    [k: string]: Placement;
  };
  problems: Problem[];
  questions: Question[];
  racks: Built[];
  schools?: HullSupport[];
  scope: Scope;
  settled: boolean;
  stages: StageState[];
  sway?: Chart;
  swing?: Swing;
  things: Thing[];
  tieSays?: Sentence;
  tied?: Tied[];
  views: View[];
  wants: State[];
  ways?: Way[];
  without?: Other[];
}
export interface Card {
  because: Sentence;
  gate: Finding[];
  most?: Measure;
  sections: Section[];
  unknown: Sentence[];
}
export interface Section {
  name: string;
  ticks: Tick[];
}
export interface Tick {
  id: string;
  says: Sentence;
}
export interface Shelved {
  at: string;
  collection: string;
  from: string;
  id: string;
  name: string;
  revision: number;
  spoilt?: boolean;
}
export interface Shelving {
  id: string;
  path: string;
  plan: Plan;
}
export interface Shining {
  picture?: Lit;
}
export interface Lit {
  diagram?: View;
  face: PlugFace;
  fittings: HarnessPart[];
  labels: string[];
  lamps: LampState[];
  points: ProbePoint[];
  poles: PoleState[];
  switches: string[];
  trials: Trial[];
  view: View;
  wires: WireRow[];
}
export interface PlugFace {
  says: Sentence;
  view: View;
}
export interface HarnessPart {
  says: Sentence;
}
export interface LampState {
  bright: number;
  id: string;
  led?: boolean;
  level: string;
  name: string;
  pole?: string;
  volts: number;
}
export interface ProbePoint {
  says: Sentence;
  volts: number;
  x: number;
  y: number;
}
export interface PoleState {
  amps: number;
  number: string;
  says: Sentence;
}
export interface Trial {
  lights: Sentence;
  says: Sentence;
}
export interface WireRow {
  length: Measure;
  says: Sentence;
}
export interface SlipRead {
  rows: SlipLine[];
  wrong: CellError[];
}
export interface SlipLine {
  on?: string;
  slip: SlipRecord;
}
export interface SpendRead {
  rows: SpendRow[];
  wrong: CellError[];
}
export interface SpendRow {
  on?: string;
  spend: SpendRecord;
}
export interface Step {
  formula: string;
  result?: Measure;
  says: Sentence;
  source?: Source;
  symbol: string;
  terms: StepTerm[];
}
export interface StepTerm {
  how: string;
  measure: Measure;
  path?: string;
  says: Sentence;
  symbol: string;
}
export interface Stored {
  id: string;
  plan: unknown;
  revision: number;
}
export interface Stretched {
  axle?: Sentence;
  fails?: string;
  fix?: Variant;
  notes: Sentence[];
  rows: StretchRow[];
  says: Sentence;
  worse: StretchCheck[];
}
export interface StretchRow {
  name: Sentence;
  now: Measure;
  was: Measure;
}
export interface StretchCheck {
  now: Finding;
  was: string;
}
export interface Taking {
  as: string;
  plan: Plan;
}
export interface Taping {
  drawn: Drawn;
}
export interface Drawn {
  axle?: View;
  level?: View;
  square?: View;
  /**
   * @minItems 3
   * @maxItems 3
   */
  triangle: [number, number, number];
}
export interface TiePlan {
  loads: TiedSo[];
  name: Sentence;
  others: Variant[];
  patch: Op[];
  says: Sentence;
}
export interface TiedSo {
  holds: boolean;
  name: string;
  says: Sentence;
  straps: number;
}
export interface Tilting {
  tipped?: Tipped;
}
export interface Tipped {
  angles: TipStep[];
  bed: Shape[];
  care: string[];
  curves: TipCurve[];
  hinge: Point;
  says: Sentence;
  view: View;
  worst: number;
}
export interface TipStep {
  angle: number;
  lines: Shape[];
}
export interface TipCurve {
  curve: Curve;
  name: string;
}
export interface TipSearch {
  says: Sentence;
  tried: number;
  ways: Variant[];
  whole: boolean;
}
export interface Tow {
  ballSize?: string;
  code?: string;
  outcome: string;
  plug?: string;
  says: Sentence;
  trailer: string;
  vehicle: string;
}
export interface Troubles {
  rows: TroubleRow[];
}
export interface TroubleRow {
  on?: string;
  opinion: Opinion;
  record: string;
}
export interface Opinion {
  hints: HintRow[];
  next: LookRow[];
  says: Sentence;
  stop: Sentence[];
  suspects: SuspectRow[];
}
export interface HintRow {
  look: string;
  says: Sentence;
  yes: boolean;
}
export interface LookRow {
  asks: Sentence;
  bits: number;
  id: string;
  seen?: string;
}
export interface SuspectRow {
  against: Sentence[];
  because: Sentence[];
  do: Sentence;
  id: string;
  likely: Measure;
  says: Sentence;
}
export interface WeighAsked {
  address: string;
}
export interface Weighing {
  doubt?: number;
  kg: number;
  steady?: boolean;
  taken?: boolean;
  value?: number;
  wrong?: string;
}
export interface WorkDays {
  comes: DayComing[];
  early?: string;
  from: string;
  late?: string;
  left: Measure;
  meets?: string;
  needs: Need[];
  pace?: number;
  ready?: string;
  rows: DayRow[];
  says: Sentence;
  sits: Sitting[];
  wants?: string;
  weekly: number;
  wrong: Sentence[];
}
export interface DayRow {
  chain?: boolean;
  done?: boolean;
  dry?: string;
  from?: string;
  hours: number;
  id: string;
  late?: string;
  people?: number;
  says: Sentence;
  share: number;
  to?: string;
}
export interface Sitting {
  from: string;
  steps: Sentence[];
  to: string;
  two?: boolean;
}
export interface WorkLists {
  axle: AxleOrder;
  built: AsBuilt;
  joints: FrameJoints;
  parts: CheckedIn;
  snags: SnagList;
  tools: Toolbox;
}
export interface AxleOrder {
  lines: OrderLine[];
  needs: Need[];
  says: Sentence;
}
export interface OrderLine {
  name: Sentence;
  says: Sentence;
}
export interface AsBuilt {
  rows: BuiltRow[];
  says: Sentence;
  use: Op[];
}
export interface BuiltRow {
  built?: Measure;
  drawn?: Measure;
  field: string;
  inPlan?: boolean;
  member?: boolean;
  name: Sentence;
  off?: Measure;
  plan?: number;
  record: string;
  what: string;
}
export interface FrameJoints {
  bolts: BoltRow[];
  free: string[];
  how: Procedure[];
  odd?: Sentence[];
  sleeve?: Sentence;
  sound: TightenStep[];
  view?: View;
  welds: WeldPlace[];
}
export interface BoltRow {
  count: number;
  drill: Measure;
  flats: Measure;
  grip: Measure;
  head: string;
  long: Measure;
  name: Sentence;
  single?: boolean;
  where: Sentence;
}
export interface Procedure {
  check: string;
  does: string[];
  name: string;
}
export interface TightenStep {
  arm?: Measure;
  pull?: Measure;
  says: Sentence;
  torque?: Measure;
}
export interface WeldPlace {
  /**
   * @minItems 2
   * @maxItems 2
   */
  at: [number, number];
  says: Sentence;
}
export interface CheckedIn {
  /**
   * @minItems 2
   * @maxItems 2
   */
  counts: [number, number];
  open: number;
  rows: PartRow[];
  says: Sentence;
  twice?: string[];
}
export interface PartRow {
  blocks?: string;
  drill?: View;
  got?: number;
  name: Piece;
  number?: string;
  own?: boolean;
  record: string;
  says?: Sentence;
  size: Sentence;
  state?: string;
  want: number;
}
export interface SnagList {
  open: number;
  rows: SnagRow[];
  says: Sentence;
  stops: number;
}
export interface SnagRow {
  done?: boolean;
  record: string;
  says: Piece;
  stops?: boolean;
}
export interface Toolbox {
  away: number;
  cost?: Measure;
  hands: HandsAt[];
  people: number;
  site: string[];
  tools: ToolRow[];
  used: ToolRow[];
}
export interface HandsAt {
  people: number;
  says: Sentence;
}
export interface ToolRow {
  cost?: Measure;
  for?: string;
  from?: string;
  name: Sentence;
  own?: boolean;
  record: string;
}
export interface WorkOrder {
  work: Work;
}
export interface Work {
  begins: string;
  beyond?: number;
  chain: number;
  /**
   * @minItems 2
   * @maxItems 2
   */
  hours: [number, number];
  left: number;
  refused?: Sentence[];
  says: Sentence;
  stand?: Stand;
  steps: WorkStep[];
  turns: number;
}
export interface Stand {
  groups: StandGroup[];
  max: Point;
  min: Point;
}
export interface StandGroup {
  shapes: Shape[];
  step: string;
  tapes?: boolean;
}
export interface WorkStep {
  after: string[];
  chain?: boolean;
  done?: boolean;
  down?: boolean;
  /**
   * @minItems 3
   * @maxItems 3
   */
  dry?: [number, number, number];
  hazard?: string;
  id: string;
  /**
   * @minItems 2
   * @maxItems 2
   */
  minutes: [number, number];
  moved?: string;
  own?: boolean;
  people?: number;
  record: string;
  says: Sentence;
  side?: string;
  took?: number;
  tool?: string;
  torque?: Measure;
  turn?: boolean;
  two?: boolean;
  up?: boolean;
  waits?: Sentence;
  weighs?: Measure;
  why: string;
}
export interface Written {
  ops: Op[];
  wrong?: Sentence;
}
