import { config, z } from 'zod'

config({ jitless: true }) // a strict content security policy forbids the code zod would otherwise compile

export { z }
