/** The trade's words for the API's values. */
export const histories = [
  { value: 'virgin', name: 'Virgin' },
  { value: 'tinted', name: 'Tinted' },
  { value: 'lightened', name: 'Lightened' },
  { value: 'direct_dye', name: 'Direct dye' },
  { value: 'henna', name: 'Henna' },
  { value: 'metallic', name: 'Metallic salts' },
  { value: 'unknown', name: 'Unknown' },
] as const
export const thicknesses = [
  { value: 'fine', name: 'Fine' },
  { value: 'medium', name: 'Medium' },
  { value: 'coarse', name: 'Coarse' },
] as const
export const densities = [
  { value: 'thin', name: 'Thin' },
  { value: 'medium', name: 'Medium' },
  { value: 'thick', name: 'Thick' },
] as const
export const curls = [
  { value: 'straight', name: 'Straight' },
  { value: 'wavy', name: 'Wavy' },
  { value: 'curly', name: 'Curly' },
  { value: 'coily', name: 'Coily' },
] as const
export const textures = [
  { value: 'sleek', name: 'Little' },
  { value: 'usual', name: 'Usual' },
  { value: 'thirsty', name: 'Much' },
] as const
export const loads = [
  { value: 'light', name: 'Light' },
  { value: 'usual', name: 'Usual' },
  { value: 'heavy', name: 'Heavy' },
] as const
export const meetings = [
  { value: 'line', name: 'A line' },
  { value: 'soft', name: 'Soft' },
  { value: 'jagged', name: 'Jagged' },
] as const
export const partNames = { root: 'Root', lengths: 'Lengths', ends: 'Ends', band: 'Band' } as const
export const porosities = [
  { value: 'low', name: 'Low' },
  { value: 'normal', name: 'Normal' },
  { value: 'high', name: 'High' },
] as const
export const breakages = [
  { value: 'none', name: 'None' },
  { value: 'some', name: 'Some' },
  { value: 'much', name: 'Much' },
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
export const dyeHues = [
  { value: 'red', name: 'Red' },
  { value: 'pink', name: 'Pink' },
  { value: 'orange', name: 'Orange' },
  { value: 'yellow', name: 'Yellow' },
  { value: 'green', name: 'Green' },
  { value: 'blue', name: 'Blue' },
  { value: 'violet', name: 'Violet' },
] as const
export const coverings = [
  { value: 'foil', name: 'Foil' },
  { value: 'film', name: 'Film' },
  { value: 'open_air', name: 'Open air' },
] as const
export const scalps = [
  { value: 'sound', name: 'Sound' },
  { value: 'sensitive', name: 'Sensitive' },
  { value: 'broken', name: 'Broken or sore' },
] as const
export const elasticities = [
  { value: 'returns', name: 'Returns' },
  { value: 'slow', name: 'Slowly' },
  { value: 'stays_stretched', name: 'Stays long' },
  { value: 'snaps', name: 'Snaps' },
] as const
export const saltsTests = [
  { value: 'not_done', name: 'Not done' },
  { value: 'negative', name: 'Clear' },
  { value: 'positive', name: 'Reacts' },
] as const
export const saltsSigns = [
  { value: 'warms', name: 'It warms' },
  { value: 'fizzes', name: 'It fizzes' },
  { value: 'turns', name: 'It turns colour' },
] as const
export const homeCare = [
  { value: 'violet_shampoo', name: 'Violet shampoo' },
  { value: 'ash_shampoo', name: 'Ash shampoo' },
  { value: 'minerals', name: 'Hard water, minerals' },
  { value: 'heat_tools', name: 'Heat tools' },
] as const
export const serviceKinds = [
  { value: 'lighten_and_tone', name: 'Lighten and tone' },
  { value: 'tone_only', name: 'Tone only' },
  { value: 'deepen', name: 'Deepen' },
  { value: 'strand_test', name: 'Strand test only' },
] as const
export const tones = [
  { value: 'icy', name: 'Icy' },
  { value: 'cool', name: 'Cool' },
  { value: 'neutral', name: 'Neutral' },
  { value: 'beige', name: 'Beige' },
  { value: 'warm', name: 'Warm' },
  { value: 'gold', name: 'Gold' },
  { value: 'copper', name: 'Copper' },
  { value: 'red_brown', name: 'Red-brown' },
  { value: 'rose', name: 'Rose' },
  { value: 'silver', name: 'Silver' },
  { value: 'pearl', name: 'Pearl' },
] as const
export const grabs = [
  { value: 'little', name: 'Little' },
  { value: 'even', name: 'Evenly' },
  { value: 'much', name: 'Grabbed' },
] as const
export const warmths = [
  { value: '-1', name: 'Cooler than it' },
  { value: '0', name: 'Like it' },
  { value: '1', name: 'Warmer than it' },
] as const
export const rests = [
  { value: '', name: 'None' },
  { value: 'green', name: 'Green' },
  { value: 'blue', name: 'Blue' },
  { value: 'violet', name: 'Ash, violet' },
  { value: 'red', name: 'Red' },
] as const
export const restAmounts = [
  { value: '0.25', name: 'Faint' },
  { value: '0.5', name: 'Clear' },
  { value: '1', name: 'Strong' },
] as const
export const modes = [
  { value: 'wiped', name: 'Wiped' },
  { value: 'through_product', name: 'Through product' },
  { value: 'rinsed_wet', name: 'Rinsed, wet' },
  { value: 'dry', name: 'Dry' },
] as const
export const steps = [
  { value: 'whole', name: 'Any whole volume' },
  { value: 'bottles', name: 'Only the bottles' },
] as const
export const bowlStyles = [
  { value: 'usual', name: 'As few as keep' },
  { value: 'fresh', name: 'Small and fresh' },
  { value: 'large', name: 'One large' },
] as const
export const aims = {
  simple: { name: 'Simple', says: 'fewest strengths, bowls and trips' },
  gentle: { name: 'Gentle', says: 'least contact, 20 vol at most' },
  even: { name: 'Even', says: 'all ends nearest to their wish' },
  quick: { name: 'Quick', says: 'soonest inside every limit' },
} as const
export const delicateWays = [
  { value: 'weaker_last', name: 'Weaker and last' },
  { value: 'same_short', name: 'The same, but short' },
  { value: 'weakest_first', name: 'Weakest, first, out early' },
] as const
export const orderWays = {
  low_back_up: 'Low back up',
  cools_first: 'What cools first',
  resists_first: 'What resists first',
} as const
export const modeName = (value: string): string => modes.find((m) => m.value === value)?.name.toLowerCase() ?? value
export const stretches = [
  { value: 'returns', name: 'Returns' },
  { value: 'slow', name: 'Slowly' },
  { value: 'stays_stretched', name: 'Gummy, stays' },
  { value: 'snaps', name: 'Snaps' },
] as const
export const feels = [
  { value: 'fine', name: 'Fine' },
  { value: 'warm', name: 'Warm' },
  { value: 'burns', name: 'Burns or itches' },
] as const

export const reactions = [
  { value: 'unasked', name: 'Not asked' },
  { value: 'no', name: 'No' },
  { value: 'yes', name: 'Yes' },
] as const

/** A wish in a few words. */
export const wishName = (wish: { tone: string; level: number; lab?: readonly number[] | null; hue_deg?: number }) =>
  `${wish.lab ? 'a colour of its own' : wish.tone.replace('_', '-')} ${wish.level % 1 ? wish.level.toFixed(1) : wish.level.toFixed(0)}`

export const difficulties = {
  even: 'Even',
  banded: 'Banded',
  delicate: 'Delicate hairline',
  resistant: 'Resistant',
  old_dye: 'Old dye',
  stalls: 'Stalls at orange',
  yellow_light: 'Yellow light',
} as const
export const helps = {
  clocks: 'Only clocks',
  lanes: 'Painted lanes',
  full: 'The full board',
} as const
export const topics = {
  reactions: { title: 'Has a colour ever caused a reaction?', verb: 'Ask' },
  history: { title: 'What was done to this hair before?', verb: 'Ask' },
  home_care: { title: 'What is used at home?', verb: 'Ask' },
  scalp: { title: 'The scalp', verb: 'Look' },
  stretch: { title: 'A wet strand, stretched', verb: 'Test' },
  salts: { title: 'A strand in the salts test', verb: 'Test' },
} as const
