// What is entered of a bed that tips, in its groups.
import { where, type PlanField } from '@/fields/planField'
import type { Tipping } from '@/generated/types'
import { useReference } from '@/stores/reference'
import { choices, gateWords, tipWords } from '@/words'

export interface FieldGroup {
  name: string
  open: boolean
  fields: PlanField[]
}

const spot = (at: string, name: string): PlanField[] => [
  { at: `tipping/${at}/back`, label: `${name}, behind the front` },
  { at: `tipping/${at}/up`, label: 'over the deck' },
]

export function groupsOf(t: Tipping | undefined): FieldGroup[] {
  if (!t) return []
  const reference = useReference()
  const winds = t.by === 'mast' || t.by === 'swing'
  const pushes = t.by === 'cylinder' || t.by === 'lever'
  return [
    {
      name: 'Bed and stop',
      open: true,
      fields: [
        { at: 'tipping/by', label: 'It is raised by', options: choices(tipWords) },
        ...where(!Object.keys(t.pieces ?? {}).length, {
          at: 'tipping/mass',
          label: 'The bed itself weighs',
        }),
        { at: 'tipping/stop', label: 'It stops at' },
        { at: 'tipping/from', label: 'It begins behind the front', hint: '0' },
        { at: 'tipping/chain', label: 'A limit chain', on: true },
        { at: 'tipping/prop', label: 'A prop stands under it', on: true },
        ...where(t.prop, { at: 'tipping/propMax', label: 'The prop carries' }),
        { at: 'tipping/unhitched', label: 'It tips unhitched too', on: true },
        { at: 'tipping/slope', label: 'Slope across', hint: '3°' },
      ],
    },
    {
      name: 'Places',
      open: false,
      fields: [
        ...spot('hinge', 'Hinge'),
        ...spot('pick', t.by === 'hand' ? 'Hands' : 'Pick-up on the bed'),
        ...where(winds, ...spot('top', 'Mast’s top or roller'), ...spot('foot', 'Mast’s foot')),
        ...where(t.struts, ...spot('strutFoot', 'Strut’s foot'), ...spot('strutPick', 'Strut’s head')),
        ...where(t.by === 'swing', ...spot('drum', 'Winch')),
        ...where(t.by === 'cylinder', ...spot('foot', 'Cylinder’s foot')),
        ...where(
          t.by === 'lever',
          ...spot('foot', 'Lever’s foot'),
          ...spot('top', 'Lever’s end'),
          ...spot('knee', 'Cylinder’s head'),
          ...spot('drum', 'Cylinder’s foot'),
        ),
      ],
    },
    ...groupWhere(winds, {
      name: 'Winch and line',
      open: true,
      fields: [
        { at: 'tipping/winchLifts', label: 'The winch lifts, first layer' },
        {
          at: 'tipping/lifting',
          label: 'It is rated',
          ask: ['for lifting', 'for pulling alone'],
          hint: 'not entered',
        },
        { at: 'tipping/brake', label: 'Let go, it', ask: ['holds', 'runs back'], hint: 'not entered' },
        ...where(t.by === 'mast', { at: 'tipping/beside', label: 'Two posts beside the bed', on: true }),
        { at: 'tipping/parts', label: 'Parts of the tackle', whole: true, hint: '1' },
        { at: 'tipping/leads', label: 'Leading sheaves', whole: true, hint: '0' },
        { at: 'tipping/plain', label: 'Sheaves on plain bearings', on: true },
        { at: 'tipping/drumAcross', label: 'Drum diameter' },
        { at: 'tipping/lineThick', label: 'Line thickness' },
        { at: 'tipping/layers', label: 'Layers on the drum', whole: true },
        { at: 'tipping/lineLong', label: 'Length of the whole line' },
        { at: 'tipping/lineMax', label: 'The line can take' },
        { at: 'tipping/strap', label: 'It is a strap', on: true },
        ...where(t.strap, { at: 'tipping/inTheSun', label: 'Years in the sun' }),
        { at: 'tipping/ratio', label: 'By hand: turns for one of the drum' },
        { at: 'tipping/crank', label: 'Crank length' },
        { at: 'tipping/amps', label: 'Electric: amperes at its rating' },
        { at: 'tipping/lineSpeed', label: 'Line’s speed, m/min' },
      ],
    }),
    ...groupWhere(pushes, {
      name: 'Cylinder and pack',
      open: true,
      fields: [
        { at: 'tipping/bore', label: 'Bore' },
        { at: 'tipping/pressure', label: 'The pack gives' },
        {
          at: 'tipping/brake',
          label: 'When a hose bursts',
          ask: ['a valve holds it', 'it falls'],
          hint: 'not entered',
        },
        { at: 'tipping/closed', label: 'Closed, between its eyes' },
        { at: 'tipping/open', label: 'Open' },
        { at: 'tipping/flow', label: 'It gives' },
        { at: 'tipping/packAmps', label: 'Amperes at that pressure' },
      ],
    }),
    {
      name: 'Gas struts and hinge',
      open: false,
      fields: [
        ...where(
          t.struts,
          { at: 'tipping/struts', label: 'Gas struts', whole: true, hint: 'none' },
          { at: 'tipping/strutPush', label: 'One pushes, open' },
          { at: 'tipping/strutClosed', label: 'Closed, between its eyes' },
          { at: 'tipping/strutOpen', label: 'Open' },
        ),
        { at: 'tipping/hingePin', label: 'Hinge pin diameter' },
        { at: 'tipping/hingePins', label: 'How many', whole: true, hint: '2' },
        { at: 'tipping/pinBoth', label: 'Each held on both sides', on: true },
      ],
    },
    {
      name: 'Load and tailgate',
      open: false,
      fields: [
        {
          at: 'tipping/gateHung',
          label: 'While it tips the tailgate',
          options: choices(gateWords),
          hint: 'not entered',
        },
        { at: 'tipping/sidesTied', label: 'Sides tied over the tail', on: true },
        {
          at: 'tipping/lining',
          label: 'The bed is lined with',
          options: (reference.data?.linings ?? []).map((l) => ({ value: l.id, name: l.name })),
          hint: 'not entered',
        },
        { at: 'tipping/wet', label: 'The load is wet', on: true },
        { at: 'tipping/frozen', label: 'Frost', on: true },
        { at: 'tipping/gateOpens', label: 'The tailgate opens' },
        { at: 'tipping/lumps', label: 'Lumps as large as' },
      ],
    },
  ]
}

export const pieceFields: PlanField[] = [
  { at: 'name', label: 'Piece', text: true },
  { at: 'mass', label: 'It weighs' },
  { at: 'at/back', label: 'Its middle, behind the front' },
  { at: 'at/up', label: 'over the deck' },
]

export const winchFields: PlanField[] = [
  { at: 'name', label: 'Winch', text: true },
  { at: 'lifts', label: 'Lifts, first layer' },
  { at: 'lifting', label: 'Rated', ask: ['for lifting', 'for pulling alone'], hint: 'not entered' },
  { at: 'brake', label: 'Let go, it', ask: ['holds', 'runs back'], hint: 'not entered' },
]

/** A group that stands only where something is so. */
const groupWhere = (so: boolean, group: FieldGroup): FieldGroup[] => (so ? [group] : [])
