import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import { defineConfig } from 'eslint/config'
import typescript from 'typescript-eslint'

export default defineConfig(
  { ignores: ['dist/', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  typescript.configs.recommended,
  vue.configs['flat/recommended'],
  {
    files: ['**/*.{ts,vue}'],
    languageOptions: { parserOptions: { parser: typescript.parser } },
    rules: {
      // The compiler knows the globals of a browser.
      'no-undef': 'off',
      'vue/max-lines-per-block': ['error', { script: 120, skipBlankLines: true }],
      // Which line an attribute stands on is the hand's choice.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/html-indent': 'off',
      'vue/first-attribute-linebreak': 'off',
      // Shelf is a word of the house.
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
    },
  },
)
