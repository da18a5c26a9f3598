import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import 'katex/dist/katex.min.css'
import './styles/element.css'
import './styles/tokens.css'
import './styles/base.css'
import './styles/bench.css'
import './styles/blocks.css'
import './styles/rails.css'
import './styles/tile.css'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './routes'

createApp(App).use(router).mount('#app')
