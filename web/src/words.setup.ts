import { config } from '@vue/test-utils'
import en from './languages/en.json'
import { i18n } from './lib/i18n'

/** Every test reads English, as whoever wrote it did. */
i18n.global.setLocaleMessage('en', en)
config.global.plugins = [i18n]
