// The stages of the work in their groups: rail, keys, headings and pages read them here.
import {
  AcademicCapIcon,
  ArrowTrendingUpIcon,
  ArrowUpTrayIcon,
  BanknotesIcon,
  Bars4Icon,
  BoltIcon,
  BookOpenIcon,
  ClipboardDocumentCheckIcon,
  Cog6ToothIcon,
  HomeModernIcon,
  IdentificationIcon,
  LinkIcon,
  MagnifyingGlassIcon,
  MapIcon,
  PaintBrushIcon,
  ScaleIcon,
  Square3Stack3DIcon,
  TruckIcon,
  ViewColumnsIcon,
  WrenchIcon,
  WrenchScrewdriverIcon,
} from '@heroicons/vue/24/outline'
import { defineAsyncComponent, type Component } from 'vue'
import BalanceStage from './BalanceStage.vue'

export interface Stage {
  id: string
  name: string
  icon: Component
  page: Component
}

export interface Group {
  id: string
  name: string
  icon: Component
  stages: Stage[]
}

export const groups: Group[] = [
  {
    id: 'choose',
    name: 'Choose',
    icon: MagnifyingGlassIcon,
    stages: [
      {
        id: 'job',
        name: 'Job',
        icon: HomeModernIcon,
        page: defineAsyncComponent(() => import('./JobStage.vue')),
      },
      {
        id: 'vehicle',
        name: 'Tow vehicle',
        icon: TruckIcon,
        page: defineAsyncComponent(() => import('./VehicleStage.vue')),
      },
      {
        id: 'trailer',
        name: 'Trailer',
        icon: WrenchScrewdriverIcon,
        page: defineAsyncComponent(() => import('./TrailerStage.vue')),
      },
    ],
  },
  {
    id: 'load',
    name: 'Load',
    icon: Square3Stack3DIcon,
    stages: [
      { id: 'balance', name: 'Balance', icon: ScaleIcon, page: BalanceStage },
      {
        id: 'racks',
        name: 'Racks',
        icon: Bars4Icon,
        page: defineAsyncComponent(() => import('./RacksStage.vue')),
      },
      {
        id: 'ramps',
        name: 'Ramps',
        icon: ArrowTrendingUpIcon,
        page: defineAsyncComponent(() => import('./RampsStage.vue')),
      },
      {
        id: 'tie',
        name: 'Tie-down',
        icon: LinkIcon,
        page: defineAsyncComponent(() => import('./TieStage.vue')),
      },
    ],
  },
  {
    id: 'build',
    name: 'Build',
    icon: WrenchIcon,
    stages: [
      {
        id: 'frame',
        name: 'Frame',
        icon: ViewColumnsIcon,
        page: defineAsyncComponent(() => import('./FrameStage.vue')),
      },
      {
        id: 'wiring',
        name: 'Wiring',
        icon: BoltIcon,
        page: defineAsyncComponent(() => import('./WiringStage.vue')),
      },
      {
        id: 'body',
        name: 'Body',
        icon: ArrowUpTrayIcon,
        page: defineAsyncComponent(() => import('./BodyStage.vue')),
      },
      {
        id: 'workshop',
        name: 'Workshop',
        icon: Cog6ToothIcon,
        page: defineAsyncComponent(() => import('./WorkshopStage.vue')),
      },
      {
        id: 'finish',
        name: 'Finish',
        icon: PaintBrushIcon,
        page: defineAsyncComponent(() => import('./FinishStage.vue')),
      },
    ],
  },
  {
    id: 'use',
    name: 'Use',
    icon: MapIcon,
    stages: [
      {
        id: 'road',
        name: 'Road',
        icon: ClipboardDocumentCheckIcon,
        page: defineAsyncComponent(() => import('./RoadStage.vue')),
      },
      {
        id: 'log',
        name: 'Log',
        icon: BookOpenIcon,
        page: defineAsyncComponent(() => import('./LogStage.vue')),
      },
      {
        id: 'papers',
        name: 'Papers',
        icon: IdentificationIcon,
        page: defineAsyncComponent(() => import('./PapersStage.vue')),
      },
      {
        id: 'money',
        name: 'Money',
        icon: BanknotesIcon,
        page: defineAsyncComponent(() => import('./MoneyStage.vue')),
      },
      {
        id: 'practice',
        name: 'Practice',
        icon: AcademicCapIcon,
        page: defineAsyncComponent(() => import('./PracticeStage.vue')),
      },
    ],
  },
]

export const stages: Stage[] = groups.flatMap((g) => g.stages)
export const stageOf = (id: string | undefined) => stages.find((s) => s.id === id)
export const groupOf = (id: string) => groups.find((g) => g.stages.some((s) => s.id === id))
