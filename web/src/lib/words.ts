import { $t, locale } from './i18n'
import { fixed } from './time'
/** The trade's words for the API's values. */
export const histories = [
  { value: 'virgin', name: $t('words.virgin') },
  { value: 'tinted', name: $t('words.tinted') },
  { value: 'lightened', name: $t('words.lightened') },
  { value: 'direct_dye', name: $t('words.directDye') },
  { value: 'henna', name: $t('common.henna') },
  { value: 'metallic', name: $t('words.metallicSalts') },
  { value: 'unknown', name: $t('words.unknown') },
] as const
export const thicknesses = [
  { value: 'fine', name: $t('words.fine') },
  { value: 'medium', name: $t('words.medium') },
  { value: 'coarse', name: $t('words.coarse') },
] as const
export const densities = [
  { value: 'thin', name: $t('words.thin') },
  { value: 'medium', name: $t('words.medium') },
  { value: 'thick', name: $t('words.thick') },
] as const
export const curls = [
  { value: 'straight', name: $t('words.straight') },
  { value: 'wavy', name: $t('words.wavy') },
  { value: 'curly', name: $t('words.curly') },
  { value: 'coily', name: $t('words.coily') },
] as const
export const textures = [
  { value: 'sleek', name: $t('words.little') },
  { value: 'usual', name: $t('words.usual') },
  { value: 'thirsty', name: $t('words.much') },
] as const
export const loads = [
  { value: 'light', name: $t('common.light') },
  { value: 'usual', name: $t('words.usual') },
  { value: 'heavy', name: $t('words.heavy') },
] as const
export const phaseNames = {
  waiting: $t('words.waiting'),
  applying: $t('words.applying'),
  processing: $t('words.processing'),
  rinsed: $t('words.rinsed'),
} as const
export const meetings = [
  { value: 'line', name: $t('words.aLine') },
  { value: 'soft', name: $t('words.soft') },
  { value: 'jagged', name: $t('words.jagged') },
] as const
export const partNames = {
  root: $t('words.root'),
  lengths: $t('common.lengths'),
  ends: $t('common.ends'),
  band: $t('words.band'),
} as const
export const porosities = [
  { value: 'low', name: $t('words.low') },
  { value: 'normal', name: $t('words.normal') },
  { value: 'high', name: $t('words.high') },
] as const
export const breakages = [
  { value: 'none', name: $t('common.none') },
  { value: 'some', name: $t('words.some') },
  { value: 'much', name: $t('words.much') },
] as const
export const undertones = [
  'deep red-brown',
  'red-brown',
  'red',
  'red-orange',
  'orange',
  'yellow-orange',
  'yellow',
  'pale yellow',
  'palest yellow',
] as const
const undertoneNames: Record<string, string> = {
  'deep red-brown': $t('undertone.deepRedBrown'),
  'red-brown': $t('undertone.redBrown'),
  red: $t('undertone.red'),
  'red-orange': $t('undertone.redOrange'),
  orange: $t('undertone.orange'),
  'yellow-orange': $t('undertone.yellowOrange'),
  yellow: $t('undertone.yellow'),
  'pale yellow': $t('undertone.paleYellow'),
  'palest yellow': $t('undertone.palestYellow'),
}
/** An undertone as the reader calls it; one that is told in words already stays. */
export const undertoneName = (value: string): string => undertoneNames[value] ?? value
export const dyeHues = [
  { value: 'red', name: $t('words.red') },
  { value: 'pink', name: $t('words.pink') },
  { value: 'orange', name: $t('words.orange') },
  { value: 'yellow', name: $t('words.yellow') },
  { value: 'green', name: $t('words.green') },
  { value: 'blue', name: $t('words.blue') },
  { value: 'violet', name: $t('words.violet') },
] as const
export const coverings = [
  { value: 'foil', name: $t('words.foil') },
  { value: 'film', name: $t('words.film') },
  { value: 'open_air', name: $t('common.openAir') },
] as const
export const scalps = [
  { value: 'sound', name: $t('words.sound') },
  { value: 'sensitive', name: $t('words.sensitive') },
  { value: 'broken', name: $t('words.brokenOrSore') },
] as const
export const elasticities = [
  { value: 'returns', name: $t('words.returns') },
  { value: 'slow', name: $t('words.slowly') },
  { value: 'stays_stretched', name: $t('words.staysLong') },
  { value: 'snaps', name: $t('words.snaps') },
] as const
export const saltsTests = [
  { value: 'not_done', name: $t('words.notDone') },
  { value: 'negative', name: $t('common.clear') },
  { value: 'positive', name: $t('words.reacts') },
] as const
export const saltsSigns = [
  { value: 'warms', name: $t('words.itWarms') },
  { value: 'fizzes', name: $t('words.itFizzes') },
  { value: 'turns', name: $t('words.itTurnsColour') },
] as const
export const homeCare = [
  { value: 'violet_shampoo', name: $t('words.violetShampoo') },
  { value: 'ash_shampoo', name: $t('words.ashShampoo') },
  { value: 'minerals', name: $t('words.hardWaterMinerals') },
  { value: 'heat_tools', name: $t('words.heatTools') },
] as const
export const serviceKinds = [
  { value: 'lighten_and_tone', name: $t('words.lightenAndTone') },
  { value: 'tone_only', name: $t('words.toneOnly') },
  { value: 'deepen', name: $t('words.deepen') },
  { value: 'strand_test', name: $t('words.strandTestOnly') },
] as const
export const tones = [
  { value: 'icy', name: $t('words.icy') },
  { value: 'cool', name: $t('words.cool') },
  { value: 'neutral', name: $t('words.neutral') },
  { value: 'beige', name: $t('words.beige') },
  { value: 'warm', name: $t('words.warm') },
  { value: 'gold', name: $t('words.gold') },
  { value: 'copper', name: $t('words.copper') },
  { value: 'red_brown', name: $t('words.redBrown') },
  { value: 'rose', name: $t('words.rose') },
  { value: 'silver', name: $t('words.silver') },
  { value: 'pearl', name: $t('words.pearl') },
] as const
export const grabs = [
  { value: 'little', name: $t('words.little') },
  { value: 'even', name: $t('words.evenly') },
  { value: 'much', name: $t('words.grabbed') },
] as const
export const warmths = [
  { value: '-1', name: $t('words.coolerThanIt') },
  { value: '0', name: $t('words.likeIt') },
  { value: '1', name: $t('words.warmerThanIt') },
] as const
export const rests = [
  { value: '', name: $t('common.none') },
  { value: 'green', name: $t('words.green') },
  { value: 'blue', name: $t('words.blue') },
  { value: 'violet', name: $t('words.ashViolet') },
  { value: 'red', name: $t('words.red') },
] as const
export const restAmounts = [
  { value: '0.25', name: $t('words.faint') },
  { value: '0.5', name: $t('words.clearRest') },
  { value: '1', name: $t('words.strong') },
] as const
export const modes = [
  { value: 'wiped', name: $t('words.wiped') },
  { value: 'through_product', name: $t('words.throughProduct') },
  { value: 'rinsed_wet', name: $t('words.rinsedWet') },
  { value: 'dry', name: $t('common.dry') },
] as const
export const steps = [
  { value: 'whole', name: $t('words.anyWholeVolume') },
  { value: 'bottles', name: $t('words.onlyTheBottles') },
] as const
export const bowlStyles = [
  { value: 'usual', name: $t('words.asFewAsKeep') },
  { value: 'fresh', name: $t('words.smallAndFresh') },
  { value: 'large', name: $t('words.oneLarge') },
] as const
export const aims = {
  simple: { name: $t('words.simple'), says: $t('words.fewestStrengthsBowlsAndTrips') },
  gentle: { name: $t('words.gentle'), says: $t('words.leastContact20VolAt') },
  even: { name: $t('words.even'), says: $t('words.allEndsNearestToTheir') },
  quick: { name: $t('words.quick'), says: $t('words.soonestInsideEveryLimit') },
} as const
export const delicateWays = [
  { value: 'weaker_last', name: $t('words.weakerAndLast') },
  { value: 'same_short', name: $t('words.theSameButShort') },
  { value: 'weakest_first', name: $t('words.weakestFirstOutEarly') },
] as const
export const orderWays = {
  low_back_up: $t('words.lowBackUp'),
  cools_first: $t('words.whatCoolsFirst'),
  resists_first: $t('words.whatResistsFirst'),
} as const
export const modeName = (value: string): string =>
  modes.find((m) => m.value === value)?.name.toLocaleLowerCase(locale) ?? value
export const stretches = [
  { value: 'returns', name: $t('words.returns') },
  { value: 'slow', name: $t('words.slowly') },
  { value: 'stays_stretched', name: $t('words.gummyStays') },
  { value: 'snaps', name: $t('words.snaps') },
] as const
export const feels = [
  { value: 'fine', name: $t('words.feelsFine') },
  { value: 'warm', name: $t('words.warm') },
  { value: 'burns', name: $t('words.burnsOrItches') },
] as const

export const reactions = [
  { value: 'unasked', name: $t('words.notAsked') },
  { value: 'no', name: $t('words.no') },
  { value: 'yes', name: $t('words.yes') },
] as const

/** A tone inside a sentence. */
export const toneName = (value: string): string =>
  (value === 'pastel' ? $t('words.pastel') : (tones.find((t) => t.value === value)?.name ?? value)).toLocaleLowerCase(
    locale,
  )

/** A wish in a few words. */
export const wishName = (wish: { tone: string; level: number; lab?: readonly number[] | null; hue_deg?: number }) =>
  `${wish.lab ? $t('words.aColourOfItsOwn') : toneName(wish.tone)} ${wish.level % 1 ? fixed(wish.level, 1) : wish.level.toFixed(0)}`

export const difficulties = {
  even: $t('words.evenHead'),
  banded: $t('words.banded'),
  delicate: $t('words.delicateHairline'),
  resistant: $t('words.resistant'),
  old_dye: $t('words.oldDye'),
  stalls: $t('words.stallsAtOrange'),
  yellow_light: $t('words.yellowLight'),
} as const
export const helps = {
  clocks: $t('words.onlyClocks'),
  lanes: $t('words.paintedLanes'),
  full: $t('words.theFullBoard'),
} as const
export const topics = {
  reactions: { title: $t('words.hasAColourEverCaused'), verb: $t('words.ask') },
  history: { title: $t('words.whatWasDoneToThis'), verb: $t('words.ask') },
  home_care: { title: $t('words.whatIsUsedAtHome'), verb: $t('words.ask') },
  scalp: { title: $t('words.theScalp'), verb: $t('common.look') },
  stretch: { title: $t('words.aWetStrandStretched'), verb: $t('words.test') },
  salts: { title: $t('words.aStrandInTheSalts'), verb: $t('words.test') },
} as const

/** Who may do what in a studio. */
export const roleNames = {
  owner: $t('words.roleOwner'),
  technician: $t('words.roleTechnician'),
  assistant: $t('words.roleAssistant'),
} as const
export const roleName = (role: string): string => roleNames[role as keyof typeof roleNames] ?? role
