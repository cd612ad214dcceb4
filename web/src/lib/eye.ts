import { $t } from './i18n'
import { fixed } from './time'
const TRUE_LEVELS = 0.1

/** How far off levels were named, as a person says it; less than a tenth nobody sees. */
export const offText = (levels: number): string =>
  Math.abs(levels) < TRUE_LEVELS
    ? $t('eye.true')
    : $t(levels > 0 ? 'eye.levelTooLight' : 'eye.levelTooDark', { levels: fixed(Math.abs(levels), 1) })
