// What is entered of a body on the deck, in its groups.
import { where, type PlanField } from '@/fields/planField'
import type { BoxBody } from '@/generated/types'
import { useReference } from '@/stores/reference'
import { bracingWords, choices } from '@/words'
import type { FieldGroup } from './tipFields'

export function groupsOfBox(b: BoxBody): FieldGroup[] {
  const reference = useReference()
  const named = (list?: { id: string; name: string }[]) =>
    (list ?? []).map((l) => ({ value: l.id, name: l.name }))
  const door: PlanField[] = [
    { at: 'stiles', label: 'Stiles up the door', whole: true },
    { at: 'doorPush', label: 'Spring or struts push' },
    { at: 'doorArm', label: 'at an arm of' },
  ]
  return [
    {
      name: 'Sizes and build',
      open: true,
      fields: [
        { at: 'long', label: 'Length outside' },
        { at: 'wide', label: 'Wide' },
        { at: 'high', label: 'Height above the deck' },
        { at: 'apart', label: 'Posts apart, at most' },
        { at: 'skin', label: 'Skin', options: named(reference.data?.solids), hint: 'none' },
        { at: 'skinThick', label: 'Its thickness' },
        { at: 'braced', label: 'Kept square by', options: choices(bracingWords), hint: 'nothing' },
        { at: 'roof', label: 'A roof', on: true },
        { at: 'openFront', label: 'Open in front', on: true },
        { at: 'openRear', label: 'Open behind', on: true },
        ...where(!b.openRear, { at: 'rampDoor', label: 'Its rear is a ramp door', on: true }),
        ...where(b.rampDoor && !b.openRear, ...door),
      ],
    },
    {
      name: 'Held and shut',
      open: false,
      fields: [
        { at: 'pockets', label: 'Posts in pockets', on: true },
        ...where(
          !b.pockets,
          { at: 'bolts', label: 'Bolts to the trailer', whole: true },
          { at: 'boltAcross', label: 'Thick' },
          {
            at: 'boltGrade',
            label: 'Grade',
            options: named(reference.data?.bolts),
            hint: 'not entered',
          },
        ),
        { at: 'minutes', label: 'Off again in minutes' },
        { at: 'latches', label: 'Latches of the rear', whole: true },
        { at: 'latchMax', label: 'A latch bears' },
        ...where(!b.openRear && !b.rampDoor, {
          at: 'leaves',
          label: 'Doors hung on the sides',
          whole: true,
          hint: 'none',
        }),
        ...where(
          !b.openRear && (b.rampDoor || !!b.leaves),
          { at: 'hinges', label: 'Hinges of one door', whole: true },
          { at: 'hingeMax', label: 'A hinge bears' },
        ),
        { at: 'lowest', label: 'Lowest gate or garage' },
      ],
    },
    {
      name: 'Out of the workshop',
      open: true,
      fields: [
        { at: 'doorWide', label: 'Door width' },
        { at: 'doorHigh', label: 'Door height' },
        { at: 'pathWide', label: 'Path width' },
        { at: 'corner', label: 'Path behind its corner' },
        { at: 'helpers', label: 'People who help', whole: true },
      ],
    },
  ]
}
