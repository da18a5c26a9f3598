import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue({ template: { compilerOptions: { isCustomElement: (tag) => tag === 'math-field' } } })],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  build: {
    target: 'es2022',
    // Fonts stay files of their own: the page's policy allows them, and a phone loads only what it needs.
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1200,
  },
  test: { environment: 'happy-dom', include: ['tests/**/*.test.ts'], css: false },
})
