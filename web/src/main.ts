import { speak } from './lib/i18n'

// the words first: what is made of them is made once
void speak().then(() => import('./app'))
