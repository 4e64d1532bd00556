import { ensureBuilt, ensureInstalled, serve } from './steps.mjs'

await ensureInstalled()
await ensureBuilt()
const { code } = await serve({ NUXT_PUBLIC_DEMO: 'true' })
process.exit(code)
