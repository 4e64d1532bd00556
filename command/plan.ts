import { mkdir, readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { parseDesign } from '../core/design'
import { baseElevation, basePlan, boardOnBench, floorPlan, pairStrip, roofSection, sitePlan, wallElevation } from '../core/drawing'
import { wallNames } from '../core/frame'
import { cutListCsv, cutListText, drawingSvg, planFile } from '../core/output'
import { cardOf, plan, type Plan, platePair, rakeStrips, rimPair } from '../core/plan'
import { sayDesignFault } from '../core/words'

const usage = `usage: npm run --silent plan -- FILE [--format json|csv|text] [--out DIR]

Reads a design file and prints the plan. With --out it writes plan.json, cut-list.csv,
cut-list.txt and the drawings to DIR instead. Exit: 0 planned, 1 the design can't be framed as
drawn (what can be is printed), 2 the file or the call is not understood.
`

const formats: Record<string, (made: Plan) => string> = {
  json: made => `${JSON.stringify(planFile(made), null, 2)}\n`,
  csv: cutListCsv,
  text: cutListText,
}

class Refusal extends Error {}

async function readFileText(path: string): Promise<string> {
  try { return await readFile(path, 'utf8') }
  catch (cause) { throw new Refusal(`${path}: ${(cause as NodeJS.ErrnoException).code === 'ENOENT' ? 'there is no such file' : 'the file cannot be read'}`) }
}

async function writeAll(made: Plan, directory: string): Promise<void> {
  const { units } = made.design
  const files: Record<string, string> = {
    'plan.json': formats.json?.(made) ?? '', 'cut-list.csv': cutListCsv(made), 'cut-list.txt': cutListText(made),
    'roof-section.svg': drawingSvg(roofSection(made), units),
  }
  for (const wall of wallNames.filter(name => made.frame.walls.some(each => each.name === name))) {
    files[`wall-${wall}.svg`] = drawingSvg(wallElevation(made, wall), units)
    files[`plates-${wall}.svg`] = drawingSvg(pairStrip(`plates-${wall}`, platePair(made.frame, wall), made.frame.lumber.plate.depth), units, 2000)
    for (const strip of rakeStrips(made.frame, wall)) files[`plates-${wall}-${strip.side}-slope.svg`] = drawingSvg(pairStrip(`plates-${wall}-${strip.side}-slope`, strip, made.frame.lumber.plate.depth), units, 2000)
  }
  if (made.design.site) files['site-plan.svg'] = drawingSvg(sitePlan(made), units)
  if (made.design.base) {
    files['base-plan.svg'] = drawingSvg(basePlan(made), units)
    files['base-elevation.svg'] = drawingSvg(baseElevation(made), units)
  }
  if (made.frame.floor) {
    files['floor-frame.svg'] = drawingSvg(floorPlan(made, 'frame'), units)
    files['floor-deck.svg'] = drawingSvg(floorPlan(made, 'deck'), units)
    for (const bay of made.frame.floor.bays) files[`rims-${bay.id.replace('/', '-')}.svg`] = drawingSvg(pairStrip(`rims-${bay.id}`, rimPair(made.frame, bay), 60), units, 2000)
  }
  for (const piece of made.pieces) files[`board-${piece.mark}.svg`] = drawingSvg(boardOnBench(cardOf(made, piece)), units, 1600)
  await mkdir(directory, { recursive: true })
  for (const [name, content] of Object.entries(files)) await writeFile(join(directory, name), content)
  process.stdout.write(`${Object.keys(files).length} files written to ${directory}\n`)
}

interface Call { path: string, format: (made: Plan) => string, out: string | undefined }

/** Reads the words of the call; null where help is asked for. */
function readCall(): Call | null {
  let call
  try {
    call = parseArgs({ allowPositionals: true, options: { format: { type: 'string', default: 'json' }, out: { type: 'string' }, help: { type: 'boolean', short: 'h' } } })
  }
  catch (cause) { throw new Refusal(`${(cause as Error).message}\n\n${usage}`) }
  if (call.values.help) return null
  const [path, ...more] = call.positionals
  const format = formats[call.values.format]
  if (!path || more.length) throw new Refusal(usage)
  if (!format) throw new Refusal(`--format is json, csv or text, not “${call.values.format}”`)
  return { path, format, out: call.values.out }
}

async function main(): Promise<number> {
  const call = readCall()
  if (!call) {
    process.stdout.write(usage)
    return 0
  }
  const read = parseDesign(await readFileText(call.path))
  if (!read.ok) throw new Refusal(read.faults.map(fault => `${call.path}: ${sayDesignFault(fault)}`).join('\n'))
  for (const path of read.dropped) process.stderr.write(`${call.path}: ${path} is not known here and was left out\n`)
  const made = plan(read.design)
  if (call.out) await writeAll(made, call.out)
  else process.stdout.write(call.format(made))
  return made.frame.problems.length ? 1 : 0
}

main().then((code) => { process.exitCode = code }, (error: unknown) => {
  process.stderr.write(`${error instanceof Refusal ? error.message : error instanceof Error ? error.stack : String(error)}\n`)
  process.exitCode = 2
})
