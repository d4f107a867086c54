// Prints quantities and reads them as people type them. The same stands in
// core/lang/quantity; core/lang/quantity/testdata/vectors.json holds both to the same
// words. Values are in SI.

import { ambiguous, units } from '@/generated/tables'

export type Kind =
  | 'mass'
  | 'length'
  | 'distance'
  | 'speed'
  | 'share'
  | 'pressure'
  | 'volume'
  | 'density'
  | 'angle'
  | 'count'
  | 'money'
  | 'rate'
  | 'time'
  | 'force'
  | 'stress'
  | 'moment'
  | 'frequency'
  | 'temperature'
  | 'voltage'
  | 'current'
  | 'fuel'
  | 'energy'
  | 'fuelUse'
  | 'powerUse'
  | 'driveCost'
  | 'litreCost'
  | 'area'
  | 'difference'
  | 'flow'
  | 'cover'

export interface Locale {
  units: string
  region: string
}

export interface Typed {
  value: number
  plusMinus?: number
  relative?: number
}

/** A text that could not be read; the message can be shown as it stands. */
export class ParseError extends Error {
  constructor(
    message: string,
    readonly ask: string[] = [],
  ) {
    super(message)
  }
}

const pound = 0.45359237
const inch = 0.0254
const mile = 1609.344
const psi = 6894.757293168361
const cuYard = 0.764554857984
const cuFoot = 0.028316846592
const sqFoot = 0.09290304
const usGallon = 3.785411784
const degree = Math.PI / 180
const lbf = 4.4482216152605

/** The sign before a sum of money. */
export const currency = (region: string) => ({ uk: '£', eu: '€' })[region] ?? '$'

/** Rounds half away from zero, drops trailing zeros, never prints "-0". */
function number(v: number, digits: number): string {
  const scale = 10 ** digits
  const rounded = Math.round(Math.abs(v) * scale) / scale
  let s = rounded.toFixed(digits)
  if (s.includes('.')) s = s.replace(/0+$/, '').replace(/\.$/, '')
  return v < 0 && rounded !== 0 ? '−' + s : s
}

const massDigits = (v: number) => (Math.abs(v) < 9.95 ? 1 : 0)
const areaDigits = (v: number) => (Math.abs(v) < 0.995 ? 2 : Math.abs(v) < 99.95 ? 1 : 0)
const smallDigits = (v: number) => (Math.abs(v) < 9.95 && v !== Math.trunc(v) ? 1 : 0)

/** Digits of a millimetre of what is measured with a caliper: walls, coats, play. */
const fineDigits = (v: number) => (Math.abs(v) < 0.000995 ? 2 : Math.abs(v) < 0.00995 ? 1 : 0)
const eighth = (inches: number) => Math.abs(inches * 8 - Math.round(inches * 8)) < 0.01

function feetInches(inches: number): string {
  const eighths = Math.round(Math.abs(inches) * 8)
  const sign = inches < 0 && eighths > 0 ? '−' : ''
  const feet = Math.floor(eighths / 96)
  const rest = eighths % 96
  const whole = Math.floor(rest / 8)
  let part = rest % 8
  let out = sign
  if (feet > 0) {
    out += `${feet}'`
    if (rest === 0) return out
    out += ' '
  }
  if (whole > 0 || part === 0) out += whole
  if (part > 0) {
    if (whole > 0) out += ' '
    let d = 8
    while (part % 2 === 0) {
      part /= 2
      d /= 2
    }
    out += `${part}/${d}`
  }
  return out + '"'
}

/** The gallon, l, by which a car's thirst is stated: of the US in North America, else of the UK. */
const gallon = (l: Locale) => (l.region === 'na' ? usGallon : 4.54609)
/** Whether what is filled is stated in gallons and not in litres. */
const gallons = (l: Locale) => l.units === 'imperial' && l.region === 'na'
/** l/100 km times miles a gallon. */
const perGallon = (l: Locale) => (gallon(l) * 1e5) / mile

/** Money to the cent, as a ledger has it. */
export const cash = (l: Locale, v: number) => money(l, v, true)

/** Prints v of kind k in the locale's units. */
export function print(l: Locale, k: string, v: number): string {
  if (!Number.isFinite(v)) return '–'
  const imperial = l.units === 'imperial'
  switch (k) {
    case 'mass': {
      const m = imperial ? v / pound : v
      return number(m, massDigits(m)) + (imperial ? ' lb' : ' kg')
    }
    case 'length':
      if (imperial && fineDigits(v) && !eighth(v / inch)) return number(v / inch, fineDigits(v) + 2) + '"'
      if (imperial) return feetInches(v / inch)
      return Math.abs(v) < 9.9995 ? number(v * 1000, fineDigits(v)) + ' mm' : number(v, 2) + ' m'
    case 'temperature':
      return imperial ? number((v * 9) / 5 + 32, 0) + ' °F' : number(v, 0) + ' °C'
    case 'difference':
      return imperial ? number((v * 9) / 5, 0) + ' °F' : number(v, 0) + ' K'
    case 'distance': {
      const d = imperial ? v / mile : v / 1000
      return number(d, smallDigits(d)) + (imperial ? ' mi' : ' km')
    }
    case 'speed':
      return imperial ? number((v * 3600) / mile, 0) + ' mph' : number(v * 3.6, 0) + ' km/h'
    case 'share':
      return number(v * 100, 1) + ' %'
    case 'pressure':
      return imperial ? number(v / psi, 0) + ' psi' : number(v / 1e5, 1) + ' bar'
    case 'volume':
      return imperial ? number(v / cuYard, 2) + ' cu yd' : number(v, 2) + ' m³'
    case 'density':
      return imperial ? number((v / pound) * cuFoot, 0) + ' lb/cu ft' : number(v, 0) + ' kg/m³'
    case 'angle':
      return number(v / degree, 1) + '°'
    case 'money':
      return money(l, v, Math.abs(v) < 19.995)
    case 'rate':
      return imperial ? money(l, v * pound, true) + '/lb' : money(l, v, true) + '/kg'
    case 'driveCost':
      return imperial ? money(l, (v * mile) / 1000, true) + '/mi' : money(l, v, true) + '/km'
    case 'litreCost':
      return gallons(l) ? money(l, v * usGallon, true) + '/gal' : money(l, v, true) + '/l'
    case 'area': {
      if (v !== 0 && Math.abs(v) < 0.0995)
        return imperial ? number(v / (inch * inch), 0) + ' sq in' : number(v * 1e4, 0) + ' cm²'
      const [size, unit] = imperial ? [v / sqFoot, 'sq ft'] : [v, 'm²']
      return number(size, areaDigits(size)) + ' ' + unit
    }
    case 'flow': {
      const [size, unit] = gallons(l) ? [v / usGallon, 'gal/min'] : [v, 'l/min']
      return number(size, smallDigits(size)) + ' ' + unit
    }
    case 'cover':
      return gallons(l)
        ? number((v * usGallon) / sqFoot, 0) + ' sq ft/gal'
        : number(v, smallDigits(v)) + ' m²/l'
    case 'time': {
      const m = Math.abs(v) / 60
      if (m < 59.5 && m >= 0.5) return number(v / 60, 0) + ' min'
      return number(v / 3600, 1) + ' h'
    }
    case 'stress': {
      const pounds = v / psi
      const [size, unit] = imperial
        ? Math.abs(pounds) >= 9999.5
          ? [pounds / 1000, 'ksi']
          : [pounds, 'psi']
        : Math.abs(v) >= 999.5e3
          ? [v / 1e6, 'MPa']
          : [v / 1e3, 'kPa']
      return number(size, Math.abs(size) < 99.95 ? 1 : 0) + ' ' + unit
    }
    case 'fuel': {
      const f = gallons(l) ? v / usGallon : v
      return number(f, smallDigits(f)) + (gallons(l) ? ' gal' : ' l')
    }
    case 'energy':
      return number(v, smallDigits(v)) + ' kWh'
    case 'fuelUse': {
      if (!imperial) return number(v, 1) + ' l/100 km'
      const m = perGallon(l) / v
      return v > 0 ? number(m, smallDigits(m)) + ' mpg' : '–'
    }
    case 'powerUse':
      return imperial ? number((v * mile) / 1000, 1) + ' kWh/100 mi' : number(v, 1) + ' kWh/100 km'
    case 'voltage':
      return number(v, 1) + ' V'
    case 'current':
      return number(v, 1) + ' A'
    case 'frequency':
      return number(v, 1) + ' Hz'
    case 'moment': {
      const [size, unit] = imperial ? [v / (lbf * 0.3048), 'lb·ft'] : [v, 'N·m']
      return number(size, Math.abs(size) < 9.995 ? 1 : 0) + ' ' + unit
    }
    case 'force':
      return imperial ? number(v / lbf, 0) + ' lbf' : number(v / 1000, 2) + ' kN'
  }
  return number(v, smallDigits(v))
}

function money(l: Locale, v: number, small: boolean): string {
  const digits = small && Math.abs(v - Math.round(v)) >= 0.005 ? 2 : 0
  const s = digits ? Math.abs(v).toFixed(2) : number(Math.abs(v), 0)
  return (v < 0 && /[1-9]/.test(s) ? '−' : '') + currency(l.region) + s
}

/** Prints a range: the nominal value, and its ends where they print differently. */
export function printRange(l: Locale, k: string, v: number, low?: number, high?: number): string {
  const mid = print(l, k, v)
  if (low === undefined || high === undefined) return mid
  const lo = print(l, k, low)
  const hi = print(l, k, high)
  return lo === mid && hi === mid ? mid : `${mid} (${lo} to ${hi})`
}

const kindWord: Record<Kind, string> = {
  temperature: 'a temperature',
  ...{ mass: 'weight', length: 'a length', distance: 'a distance', speed: 'speed', share: 'a share' },
  ...{ pressure: 'pressure', volume: 'volume', density: 'density', angle: 'an angle', count: 'a count' },
  ...{ money: 'money', rate: 'money by weight', time: 'hours of work', force: 'a force', stress: 'a stress' },
  ...{
    litreCost: 'money by the litre',
    difference: 'a difference of temperatures',
    area: 'an area',
    flow: 'a flow',
  },
  ...{ cover: 'the area that a paint covers' },
  ...{
    fuel: 'an amount by the litre',
    energy: 'energy',
    fuelUse: 'fuel by distance',
    powerUse: 'energy by distance',
  },
  ...{ driveCost: 'money by distance' },
  ...{ moment: 'a moment', frequency: 'a frequency', voltage: 'a voltage', current: 'a current' },
}

const plusMinus = /\s*(?:±|\+\/-|\+-|\+\/−)\s*/
const footInch =
  /^(-?)(?:([0-9]+\/[0-9]+|[0-9.,]+(?:\s+[0-9]+\/[0-9]+)?)\s*(?:'|ft|feet|foot)\s*)?(?:([0-9]+\/[0-9]+|[0-9.,]+(?:\s+[0-9]+\/[0-9]+)?)\s*(?:"|in|inch|inches)?)?$/
const numberUnit =
  /^(-?(?:[0-9]+\/[0-9]+|[0-9.,]+e[+-]?[0-9]+|[0-9.,]+(?:\s+[0-9]+\/[0-9]+)?))\s*([^0-9\s].*)?$/
const grouped = /^-?[1-9][0-9]{0,2}(,[0-9]{3})+(\.[0-9]+)?$/
const groupedEU = /^-?[1-9][0-9]{0,2}(?:(?:\.[0-9]{3})+,[0-9]+|(?:\.[0-9]{3}){2,})$/
const eitherEU = /^-?[1-9][0-9]{0,2}\.[0-9]{3}$/

const badDoubt = 'The doubt behind ± must be a number, zero or more.'

/** Reads a text as a quantity of kind k; throws a ParseError with a sentence. */
export function parse(l: Locale, k: Kind, text: string): Typed {
  const clean = normal(text)
  if (clean === '') throw new ParseError('Nothing was typed.')
  if (new TextEncoder().encode(clean).length > 80) throw new ParseError('That is too long for one figure.')
  const parts = clean.split(plusMinus)
  if (parts.length > 2) throw new ParseError('Write only one ±.')
  let main = parts[0]!
  if (parts.length === 1) return { value: one(l, k, main) }
  let doubt = parts[1]!
  const m = numberUnit.exec(main)
  const d = numberUnit.exec(doubt)
  if (m && !m[2] && d?.[2] && d[2] !== '%') main += ' ' + d[2]
  const value = one(l, k, main)
  if (doubt.endsWith('%') && k !== 'share') {
    const relative = orDoubt(() => bare(l, doubt.slice(0, -1).trim())) / 100
    return { value, relative }
  }
  if (d && !d[2] && m?.[2]) doubt += ' ' + m[2]
  return { value, plusMinus: orDoubt(() => one(l, k, doubt)) }
}

function orDoubt(read: () => number): number {
  let v = -1
  try {
    v = read()
  } catch {
    // the sentence below tells it
  }
  if (!(v >= 0)) throw new ParseError(badDoubt)
  return v
}

const replaced: Record<string, string> = {
  ...{ '−': '-', '–': '-', '’': "'", '′': "'", '″': '"', '”': '"', '“': '"' },
  ...{ '\u00a0': ' ', '\u202f': ' ', '½': ' 1/2', '¼': ' 1/4', '¾': ' 3/4' },
}

function normal(s: string): string {
  const out = s.replace(/[−–’′″”“\u00a0\u202f½¼¾]/g, (c) => replaced[c]!)
  return out.trim().split(/\s+/).join(' ').toLowerCase()
}

function one(l: Locale, k: Kind, s: string): number {
  if (k === 'length') {
    const v = feet(l, s)
    if (v !== undefined) return v
  }
  if (['money', 'driveCost', 'litreCost', 'rate'].includes(k)) s = s.replace(/^[£€$]+/, '').trim()
  const m = numberUnit.exec(s)
  if (!m) throw new ParseError(`“${s}” is not a number with a unit.`)
  const name = (m[2] ?? '').trim()
  if (l.region === 'eu' && eitherEU.test(m[1]!)) {
    const unit = name && ` ${name}`
    const offers = ['', ','].map((sign) => m[1]!.replace('.', sign) + unit)
    throw new ParseError(`Is “${m[1]}” thousands or a fraction? Write ${offers[0]} or ${offers[1]}.`, offers)
  }
  const v = bare(l, m[1]!)
  if (k === 'temperature') return temperature(l, v, name)
  if (k === 'fuelUse' && (name === 'mpg' || (name === '' && l.units === 'imperial'))) return thirst(l, v)
  if (name === '') return finite(v * own(l, k))
  const ask = Object.hasOwn(ambiguous, name) ? ambiguous[name] : undefined
  if (ask) {
    const offers = ask.filter((u) => units[u]![k] !== undefined).map((u) => `${m[1]} ${u}`)
    if (offers.length > 0) throw new ParseError(`Which ${name}? Write ${offers.join(' or ')}.`, offers)
  }
  const known = Object.hasOwn(units, name) ? units[name] : undefined
  if (known && Object.hasOwn(known, k)) return finite(v * known[k]!)
  if (known || ask) throw new ParseError(`“${name}” does not measure ${kindWord[k]}.`)
  throw new ParseError(`“${name}” is not a unit known here.`)
}

/** Miles a gallon. */
function thirst(l: Locale, v: number): number {
  if (!(v > 0)) throw new ParseError('Miles per gallon must be more than zero.')
  return finite(perGallon(l) / v)
}

/** Degrees of Celsius or Fahrenheit. */
function temperature(l: Locale, v: number, name: string): number {
  const fahrenheit = (name === '' || name === '°') && l.units === 'imperial'
  if (fahrenheit || ['f', '°f', '° f'].includes(name)) return finite(((v - 32) * 5) / 9)
  if (['', '°', 'c', '°c', '° c'].includes(name)) return finite(v)
  throw new ParseError(`“${name}” does not measure a temperature.`)
}

function finite(v: number): number {
  if (!Number.isFinite(v) || Math.abs(v) > 1e12) throw new ParseError('That number is too large.')
  return v
}

/** The SI size of the unit that a bare number has. */
function own(l: Locale, k: Kind): number {
  const pick = (metric: number, other: number) => (l.units === 'imperial' ? other : metric)
  switch (k) {
    case 'mass':
      return pick(1, pound)
    case 'length':
      return pick(0.001, inch)
    case 'distance':
      return pick(1000, mile)
    case 'speed':
      return pick(1 / 3.6, mile / 3600)
    case 'share':
      return 0.01
    case 'pressure':
      return pick(1e5, psi)
    case 'volume':
      return pick(1, cuYard)
    case 'density':
      return pick(1, pound / cuFoot)
    case 'angle':
      return degree
    case 'time':
      return 3600
    case 'fuel':
    case 'flow':
      return gallons(l) ? usGallon : 1
    case 'litreCost':
      return gallons(l) ? 1 / usGallon : 1
    case 'cover':
      return gallons(l) ? sqFoot / usGallon : 1
    case 'difference':
      return pick(1, 5 / 9)
    case 'area':
      return pick(1, sqFoot)
    case 'rate':
      return pick(1, 1 / pound)
    case 'powerUse':
    case 'driveCost':
      return pick(1, 1000 / mile)
    case 'force':
      return pick(1000, lbf)
    case 'moment':
      return pick(1, lbf * 0.3048)
  }
  return 1
}

function feet(l: Locale, s: string): number | undefined {
  if (!/['"f]/.test(s)) return undefined
  const m = footInch.exec(s)
  if (!m || (!m[2] && !m[3])) return undefined
  const v = ((m[2] ? bare(l, m[2]) : 0) * 12 + (m[3] ? bare(l, m[3]) : 0)) * inch
  return finite(m[1] === '-' ? -v : v)
}

function bare(l: Locale, s: string): number {
  const bad = () => new ParseError(`“${s}” is not a number.`)
  if (s.includes(' ') || s.includes('/')) {
    const [whole, frac] = s.includes(' ') ? (s.split(' ', 2) as [string, string]) : ['0', s]
    const [a, b] = frac.split('/', 2)
    const n = Number(a)
    const d = Number(b)
    if (!Number.isFinite(n) || !Number.isFinite(d) || d === 0) throw bad()
    return bare(l, whole) + (whole.startsWith('-') ? -n / d : n / d)
  }
  const plain = decimal(l, s)
  if (!/^-?([0-9]+\.?[0-9]*|\.[0-9]+)(e[+-]?[0-9]+)?$/.test(plain)) throw bad()
  return Number(plain)
}

/** In the EU a comma is the decimal sign; elsewhere, before three digits, it groups. */
function decimal(l: Locale, s: string): string {
  if (l.region === 'eu') {
    if (groupedEU.test(s)) s = s.replaceAll('.', '')
  } else if (grouped.test(s)) return s.replaceAll(',', '')
  if (s.split(',').length === 2 && !s.includes('.')) return s.replace(',', '.')
  return s
}
