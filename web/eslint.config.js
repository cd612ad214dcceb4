import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

// Import direction: lib knows nothing; api knows lib; stores know api and lib; parts know stores; views know all.
const below = {
  'src/lib': ['../api/*', '../stores/*', '../parts/*', '../views/*', 'vue-router'],
  'src/api': ['../stores/*', '../parts/*', '../views/*'],
  'src/stores': ['../parts/*', '../views/*'],
  'src/parts': ['../views/*'],
}

export default tseslint.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['src/**/*.vue', 'src/**/*.ts'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/attributes-order': 'off',
      'vue/require-default-prop': 'off',
      'no-undef': 'off',
    },
  },
  ...Object.entries(below).map(([folder, group]) => ({
    files: [`${folder}/**/*.{ts,vue}`],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ group }] }] },
  })),
)
