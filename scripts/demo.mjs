import { build, ensureInstalled, serve } from './steps.mjs'

await ensureInstalled()
await build()
const { code } = await serve({ NUXT_PUBLIC_DEMO: 'true' })
process.exit(code)
