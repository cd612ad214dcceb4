import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { ApiError } from './api/client'
import { router } from './router'
import './theme.css'

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 2_000,
      retry: (count, error) => !(error instanceof ApiError && error.problem.status >= 400) && count < 3,
    },
  },
})
createApp(App).use(createPinia()).use(router).use(VueQueryPlugin, { queryClient: client }).mount('#app')
