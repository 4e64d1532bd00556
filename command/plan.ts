import { mkdir, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { parseDesign } from '../core/design'
import { cautionsOf } from '../core/check'
import { drawingsOf } from '../core/drawing'
import { drawingSvg, type ListOrder, wholeFile, wholeListCsv, wholeListText } from '../core/output'
import { jigOf, type Plan, type Whole, whole } from '../core/plan'
import { jigTables, sayCaution, sayDesignFault, sayProblem } from '../core/words'
import { ended, plain, readText, Refusal } from './call'

const usage = `usage: npm run --silent plan -- FILE [--format json|csv|text] [--order section|work] [--kits] [--out DIR]

Reads a design file and prints the plan. With --out it writes plan.json, cut-list.csv,
cut-list.txt and the drawings to DIR instead. Lists run by section, lumber before sheets, or in the
order of the work (--order work, or --kits): by step, so many of each piece as go up in it. Exit: 0 planned, 1 the design can't be framed as drawn (what can be is printed;
why, and what to mind, is said on standard error), 2 the file or the call is not understood.
`

const formats: Record<string, (made: Whole, order: ListOrder) => string> = {
  json: made => `${JSON.stringify(wholeFile(made), null, 2)}\n`,
  csv: wholeListCsv,
  text: wholeListText,
}

async function writeAll(made: Whole, directory: string, order: ListOrder): Promise<void> {
  const files: Record<string, string> = {
    'plan.json': formats.json?.(made, order) ?? '',
    'cut-list.csv': wholeListCsv(made, order),
    'cut-list.txt': wholeListText(made, order),
  }
  draw(made.main, '')
  for (const { id, plan } of made.parts) draw(plan, `${id}-`)
  function draw(plan: Plan, before: string): void {
    const jig = jigOf(plan)
    for (const { file, drawing, wide } of drawingsOf(plan))
      files[`${before}${file}.svg`] = drawingSvg(
        drawing,
        plan.design.units,
        wide,
        plan.frame.problems.map(problem => problem.path),
        jig && file === 'truss-jig' ? jigTables(jig, plan.design.units) : [],
      )
  }
  await mkdir(directory, { recursive: true })
  for (const [name, content] of Object.entries(files)) await writeFile(join(directory, name), content)
  process.stdout.write(`${Object.keys(files).length} files written to ${directory}\n`)
}

interface Call {
  path: string
  format: (made: Whole, order: ListOrder) => string
  order: ListOrder
  out: string | undefined
}

/** Reads the words of the call; null where help is asked for. */
function readCall(): Call | null {
  let call
  try {
    call = parseArgs({
      allowPositionals: true,
      options: {
        format: { type: 'string', default: 'json' },
        order: { type: 'string', default: 'section' },
        kits: { type: 'boolean', default: false },
        out: { type: 'string' },
        help: { type: 'boolean', short: 'h' },
      },
    })
  } catch (cause) {
    throw new Refusal(`${(cause as Error).message}\n\n${usage}`)
  }
  if (call.values.help) return null
  const [path, ...more] = call.positionals
  const format = formats[call.values.format]
  if (!path || more.length) throw new Refusal(usage)
  if (!format) throw new Refusal(`--format is json, csv or text, not “${call.values.format}”`)
  const order = call.values.kits ? 'work' : call.values.order
  if (order !== 'section' && order !== 'work') throw new Refusal(`--order is section or work, not “${order}”`)
  return { path, format, order, out: call.values.out }
}

async function main(): Promise<number> {
  const call = readCall()
  if (!call) {
    process.stdout.write(usage)
    return 0
  }
  const read = parseDesign(await readText(call.path))
  if (!read.ok)
    throw new Refusal(read.faults.map(fault => `${call.path}: ${sayDesignFault(fault)}`).join('\n'))
  for (const path of read.dropped)
    process.stderr.write(`${call.path}: ${plain(path)} is not known here and was left out\n`)
  const made = whole(read.design)
  const plans = [made.main, ...made.parts.map(({ plan }) => plan)]
  if (call.out) await writeAll(made, call.out, call.order)
  else process.stdout.write(call.format(made, call.order))
  if (!plans.some(({ frame }) => frame.problems.length)) return 0
  const say = (line: string): boolean => process.stderr.write(`${call.path}: ${plain(line)}\n`)
  for (const [i, plan] of plans.entries()) {
    const { name, units } = plan.design
    const of = i ? `${name}: ` : ''
    for (const problem of plan.frame.problems) say(`${of}${sayProblem(problem, units)}`)
    for (const caution of cautionsOf(plan)) say(`${of}caution: ${sayCaution(caution, units)}`)
  }
  return 1
}

ended(main)
