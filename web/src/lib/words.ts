/** The trade's words for the API's values. */
export const histories = [
  { value: 'virgin', name: 'Virgin' },
  { value: 'tinted', name: 'Tinted' },
  { value: 'lightened', name: 'Lightened' },
  { value: 'henna', name: 'Henna' },
  { value: 'metallic', name: 'Metallic salts' },
] as const
export const thicknesses = [
  { value: 'fine', name: 'Fine' },
  { value: 'medium', name: 'Medium' },
  { value: 'coarse', name: 'Coarse' },
] as const
export const porosities = [
  { value: 'low', name: 'Low' },
  { value: 'normal', name: 'Normal' },
  { value: 'high', name: 'High' },
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
  { value: 'slow', name: 'Returns slowly' },
  { value: 'stays_stretched', name: 'Stays long' },
  { value: 'snaps', name: 'Snaps' },
] as const
export const saltsTests = [
  { value: 'not_done', name: 'Not done' },
  { value: 'negative', name: 'Clear' },
  { value: 'positive', name: 'Reacts' },
] as const
export const tones = [
  { value: 'icy', name: 'Icy' },
  { value: 'cool', name: 'Cool' },
  { value: 'neutral', name: 'Neutral' },
  { value: 'beige', name: 'Beige' },
  { value: 'warm', name: 'Warm' },
  { value: 'gold', name: 'Gold' },
] as const
export const modes = [
  { value: 'wiped', name: 'Wiped' },
  { value: 'through_product', name: 'Through product' },
  { value: 'rinsed_wet', name: 'Rinsed, wet' },
  { value: 'dry', name: 'Dry' },
] as const
export const modeName = (value: string): string => modes.find((m) => m.value === value)?.name.toLowerCase() ?? value
