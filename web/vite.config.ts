import { readFile, readdir, writeFile } from 'node:fs/promises'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'
import vue from '@vitejs/plugin-vue'
import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'

/** Presses what is built, once: the server hands out what is there. */
const pressed = (): Plugin => ({
  name: 'pressed',
  apply: 'build',
  async closeBundle() {
    const folder = new URL('./dist/', import.meta.url)
    for (const name of await readdir(folder, { recursive: true })) {
      if (!/\.(js|css|html|svg)$/.test(name)) continue
      const file = new URL(name, folder)
      const plain = await readFile(file)
      await writeFile(new URL(`${name}.gz`, folder), gzipSync(plain, { level: 9 }))
      await writeFile(new URL(`${name}.br`, folder), brotliCompressSync(plain, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }))
    }
  },
})

export default defineConfig({
  plugins: [pressed(), vue({ template: { compilerOptions: { isCustomElement: (tag) => tag === 'math-field' } } })],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  // The list of school words is the core's own.
  server: { fs: { allow: ['..'] } },
  build: {
    target: 'es2022',
    // Fonts stay files of their own: the page's policy allows them, and a phone loads only what it needs.
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1200,
  },
  // The limit only ends what hangs: a busy machine may take its time over a screen.
  test: { environment: 'happy-dom', include: ['tests/**/*.test.ts'], css: false, testTimeout: 60_000, hookTimeout: 60_000 },
})
