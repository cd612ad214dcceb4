import { markRaw } from 'vue'
import { createI18n } from 'vue-i18n'
import { cookie } from './kept'
import { lazily } from './later'
import type en from '../languages/en.json'

/** The languages the page has, each by its own name; one is one file of languages/. */
export const LANGUAGES = {
  en: 'English',
  de: 'Deutsch',
  fr: 'Français',
  es: 'Español',
  ar: 'العربية',
} as const
export type Language = keyof typeof LANGUAGES
export type Catalogue = typeof en
/** The locale whose numbers and days a language writes; Arabic with the digits that stand on labels and bottles. */
const LOCALES: Record<Language, string> = { en: 'en-GB', de: 'de-DE', fr: 'fr-FR', es: 'es-ES', ar: 'ar-u-nu-latn' }
/** Where the choice is kept: the server reads it too, so that its answers and papers are in the same language. */
const COOKIE = 'django_language'
const A_YEAR_S = 31_536_000

const isLanguage = (text: string | null): text is Language => text !== null && text in LANGUAGES
/** What was chosen on this device, else what the browser asks for, as the server understood it. */
export const language: Language = (() => {
  const found = [cookie(COOKIE), document.documentElement.lang.split('-')[0] ?? '']
  return found.find(isLanguage) ?? 'en'
})()
export const locale = LOCALES[language]
/** What stands before the decimals, as Intl writes it there (a test compares): asking Intl costs a slow tablet 0.1 s. */
export const DECIMAL_POINTS: Record<Language, string> = { en: '.', de: ',', fr: ',', es: ',', ar: '.' }
export const isRightToLeft = language === 'ar'

/**
 * Which of a message's forms a count takes: with two, one and the others; with as many as the language has, by CLDR's
 * order of them (zero, one, two, few, many, other).
 */
const rulesOf = lazily((of: string) => new Intl.PluralRules(of))
const CLDR_ORDER = ['zero', 'one', 'two', 'few', 'many', 'other'] as const
export const formOf = (of: string, count: number, forms: number): number => {
  const rules = rulesOf(of)
  const chosen = rules.select(count)
  if (forms === 2) return chosen === 'one' ? 0 : 1
  const has = CLDR_ORDER.filter((category) => rules.resolvedOptions().pluralCategories.includes(category))
  return Math.min(has.indexOf(chosen), forms - 1)
}

export const i18n = createI18n({
  legacy: false,
  locale: language,
  fallbackLocale: 'en',
  messages: {} as Record<string, Catalogue>,
  /** Every message stands in one group: "chair.rinse". */
  messageResolver: (messages, path) => {
    const at = path.indexOf('.')
    const group = (messages as Record<string, Record<string, string>>)[path.slice(0, at)]
    return group?.[path.slice(at + 1)] ?? null
  },
  pluralRules: Object.fromEntries(
    Object.entries(LOCALES).map(([name, of]) => [name, (count: number, forms: number) => formOf(of, count, forms)]),
  ),
})
/** A text of the page in the reader's language. */
export const $t = i18n.global.t

const FILES: Record<Language, () => Promise<{ default: Catalogue }>> = {
  en: () => import('../languages/en.json'),
  de: () => import('../languages/de.json'),
  fr: () => import('../languages/fr.json'),
  es: () => import('../languages/es.json'),
  ar: () => import('../languages/ar.json'),
}
/** Brings the words in and turns the page the way they are read; before anything of it is made. */
export async function speak(): Promise<void> {
  i18n.global.setLocaleMessage(language, markRaw((await FILES[language]()).default)) // it never changes
  document.documentElement.lang = language
  document.documentElement.dir = isRightToLeft ? 'rtl' : 'ltr'
}

/** What the browser asks for again, instead of what was chosen on this device. */
export function forgetLanguage(): void {
  document.cookie = `${COOKIE}=; path=/; max-age=0; samesite=lax`
  location.reload()
}

/** Another language from now on, on this device: the page begins anew. */
export function changeLanguage(to: string): void {
  if (!isLanguage(to) || to === language) return
  document.cookie = `${COOKIE}=${to}; path=/; max-age=${A_YEAR_S}; samesite=lax`
  location.reload()
}
