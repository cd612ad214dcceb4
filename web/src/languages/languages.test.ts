import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { parse } from 'vue/compiler-sfc'
import { formOf, LANGUAGES } from '../lib/i18n'

type Messages = Record<string, string>
const HERE = join(process.cwd(), 'src')
/** A language's messages, by "part.key". */
const messagesOf = (language: string): Messages =>
  Object.fromEntries(
    Object.entries(
      JSON.parse(readFileSync(join(HERE, 'languages', `${language}.json`), 'utf8')) as Record<string, Messages>,
    ).flatMap(([part, texts]) => Object.entries(texts).map(([key, text]) => [`${part}.${key}`, text])),
  )
const named = (text: string) => [...new Set(text.match(/\{\w+\}/g) ?? [])].sort()
const sources = readdirSync(HERE, { recursive: true, encoding: 'utf8' })
  .filter((path) => /\.(vue|ts)$/.test(path) && !path.includes('.test.') && !path.includes('schema.d'))
  .map((path) => readFileSync(join(HERE, path), 'utf8'))
const english = messagesOf('en')
/** Names, alike in every language. */
const NAMES = new Set(['Fervens'])

describe('the catalogues of the page', () => {
  it.each(Object.keys(LANGUAGES))('%s has every message, no other, and fills in the same values', (language) => {
    const own = messagesOf(language)
    expect(Object.keys(own).filter((key) => !(key in english))).toEqual([])
    expect(Object.keys(english).filter((key) => !own[key])).toEqual([])
    const off = Object.entries(english).filter(
      ([key, text]) => !text.includes(' | ') && String(named(own[key]!)) !== String(named(text)),
    )
    expect(off).toEqual([])
  })

  it.each(Object.keys(LANGUAGES))('%s counts in as many forms as it has, or in one and others', (language) => {
    const own = messagesOf(language)
    const rules = new Intl.PluralRules(language).resolvedOptions().pluralCategories.length
    for (const [key, text] of Object.entries(english)) {
      const forms = own[key]!.split(' | ').length
      if (text.includes(' | ')) expect([2, rules], key).toContain(forms)
      else expect(forms, key).toBe(1)
    }
  })

  it('says in every language but English something of its own', () => {
    for (const language of Object.keys(LANGUAGES).filter((l) => l !== 'en')) {
      const same = Object.entries(messagesOf(language)).filter(
        ([key, text]) =>
          text === english[key] &&
          !text.includes(' | ') &&
          /[a-z]{4,}.* .*[a-z]{4,}/i.test(text.replace(/\{\w+\}/g, '')),
      )
      expect(same, language).toEqual([])
    }
  })

  it('has no message that nothing says, and says none that it has not', () => {
    const asked = new Set(
      sources.flatMap((source) =>
        [...source.matchAll(/(?:keypath="|['`])([a-z]\w*\.\w+)["'`]/g)].map((found) => found[1]!),
      ),
    )
    expect(Object.keys(english).filter((key) => !asked.has(key))).toEqual([])
    const said = sources.flatMap((source) =>
      [...source.matchAll(/(?:\$t\(\s*|keypath=")['"]?([\w]+\.\w+)['"]/g)].map((found) => found[1]!),
    )
    expect(said.filter((key) => !(key in english))).toEqual([])
  })

  it('holds every text of the templates', () => {
    const READ = ['aria-label', 'label', 'placeholder', 'title', 'alt', 'legend', 'what', 'nothing', 'text', 'unit']
    interface Node {
      type: number
      content?: string
      children?: Node[]
      props?: { type: number; name: string; value?: { content: string } }[]
    }
    const found: string[] = []
    const look = (node: Node) => {
      const words = [
        node.type === 2 ? String(node.content) : '',
        ...(node.props ?? []).map((p) => (p.type === 6 && READ.includes(p.name) ? (p.value?.content ?? '') : '')),
      ]
      found.push(...words.filter((text) => /[A-Za-z]{3}/.test(text) && !NAMES.has(text.trim())))
      node.children?.forEach(look)
    }
    for (const source of sources) {
      const template = /<template>/.test(source) ? parse(source).descriptor.template : null
      if (template?.ast) look(template.ast as unknown as Node)
    }
    expect(found).toEqual([])
  })

  it('counts as the language does', () => {
    expect([0, 1, 2, 11].map((n) => formOf('en', n, 2))).toEqual([1, 0, 1, 1])
    expect([0, 1, 2].map((n) => formOf('fr', n, 2))).toEqual([0, 0, 1])
    // CLDR, Arabic: zero, one, two, few (3 to 10), many (11 to 99), other (100)
    expect([0, 1, 2, 3, 11, 100].map((n) => formOf('ar', n, 6))).toEqual([0, 1, 2, 3, 4, 5])
  })
})
