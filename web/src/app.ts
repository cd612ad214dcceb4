import { persistQueryClient } from '@tanstack/query-persist-client-core'
import { createSyncStoragePersister } from '@tanstack/query-sync-storage-persister'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { isWorthAsking, ownBuild } from './api/client'
import { KEPT_MS, queries } from './api/queries'
import { serviceAt } from './lib/address'
import { keepFocus } from './lib/focus'
import { i18n } from './lib/i18n'
import { router } from './router'
import './theme.css'

const client = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always', // the line may be down while the machine is online, and the other way round
      staleTime: 2_000,
      retry: (count, error) => isWorthAsking(error) && count < 3,
    },
  },
})
/** Kept on the device for a spell without the server: who is signed in, the chairs last seen, and the colours to read by. */
const isNobody = (data: unknown) =>
  typeof data === 'object' && data !== null && 'member_name' in data && data.member_name === null
const KEPT = ['session', 'board', 'palette', 'round']
const [, restored] = persistQueryClient({
  queryClient: client as never,
  persister: createSyncStoragePersister({ storage: window.localStorage, key: 'fervens.kept', throttleTime: 500 }),
  maxAge: KEPT_MS,
  buster: ownBuild(), // what an older page kept may lack what this one draws
  dehydrateOptions: {
    shouldDehydrateQuery: (query) =>
      KEPT.includes(String(query.queryKey[0])) && query.state.status === 'success' && !isNobody(query.state.data),
  },
})
keepFocus()
/** What the address needs is asked for while the page is still being made; who is not signed in asks for nothing. */
const ahead = () => {
  if (!client.getQueryData<{ member_name: string | null }>(['session'])?.member_name) return
  const id = serviceAt(location.pathname)
  if (!id) return
  void client.prefetchQuery(queries.service(id))
  if (location.pathname.endsWith('/chair')) void client.prefetchQuery({ ...queries.board(id), staleTime: 0 })
}
void restored
  .then(ahead)
  .then(() =>
    createApp(App).use(i18n).use(createPinia()).use(router).use(VueQueryPlugin, { queryClient: client }).mount('#app'),
  )
if ('serviceWorker' in navigator && import.meta.env.PROD) {
  const keep = () => void navigator.serviceWorker.register('/sw.js', { scope: '/' })
  // the page's words came first: it may have loaded before this ran
  if (document.readyState === 'complete') keep()
  else window.addEventListener('load', keep, { once: true })
}
