import { fail, isBuilt, serve } from './steps.mjs'

if (!isBuilt()) fail('Nothing is built yet. Run: npm run build')
const { code } = await serve({})
process.exit(code)
