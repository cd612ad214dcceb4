import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { VitePWA } from 'vite-plugin-pwa'
import { defineConfig } from 'vitest/config'

/** Where Django stands while the page is served by Vite: bin/dev tells. */
const behind = { target: process.env.FERVENS_BEHIND ?? 'http://127.0.0.1:8733', changeOrigin: false }

/** What every view needs is two files, not twenty: each costs a slow tablet its own few milliseconds. */
const SHARED = [
  { name: 'words', test: /src\/lib\/(i18n|kept|later)|vue-i18n|@intlify|\/vue\/|@vue\//, priority: 3 }, // all else speaks as soon as it is there
  { name: 'vendor', test: /node_modules/, minShareCount: 3, priority: 2 },
  { name: 'base', test: /src\/(lib|stores|api|router)/, minShareCount: 4, priority: 1 },
]

export default defineConfig(({ command }) => ({
  base: command === 'build' ? '/static/' : '/',
  plugins: [
    {
      // the page and the server it came from know each other by this
      name: 'build-name',
      transformIndexHtml: (html) =>
        html.replace('%FERVENS_BUILD%', command === 'build' ? Date.now().toString(36) : 'development'),
    },
    vue({ features: { optionsAPI: false } }), // nothing here is written with it
    tailwindcss(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'sw.ts',
      injectRegister: false, // registered in main.ts, at the root
      injectManifest: { globPatterns: ['**/*.{js,css,woff2,svg,webmanifest}'], modifyURLPrefix: { '': '/static/' } },
      manifest: {
        name: 'Fervens',
        short_name: 'Fervens',
        description: 'Every zone ready together, every tone the one you meant.',
        start_url: '/',
        scope: '/',
        id: '/',
        display: 'standalone',
        background_color: '#d9d9d9',
        theme_color: '#d9d9d9',
        icons: [{ src: '/static/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
    }),
  ],
  define: { __VUE_I18N_LEGACY_API__: false, __INTLIFY_PROD_DEVTOOLS__: false },
  json: { namedExports: false, stringify: true }, // read as JSON, the catalogues are there sooner than as script
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    manifest: true,
    rolldownOptions: { output: { codeSplitting: { groups: SHARED } } },
  },
  server: { proxy: { '/api': behind, '/admin': behind, '/static/admin': behind } },
  test: { environment: 'jsdom', include: ['src/**/*.test.ts'], setupFiles: ['src/words.setup.ts'] },
}))
