import loadHighs from 'highs'
import { parseArgs } from 'node:util'
import { parseLength, type Units } from '../core/measure'
import {
  nest,
  type NestAim,
  nestAims,
  type NestAsk,
  type NestStock,
  readPieces,
  readStock,
} from '../core/nest'
import { nestFile } from '../core/output'
import { lengthExample, sayListFault, sayMeasureFault } from '../core/words'
import { ended, plain, readText, Refusal } from './call'

const usage = `usage: npm run --silent nest -- PIECES.csv --stock STOCK.csv [--kerf 3mm] [--trim 0]
       [--aim cost|boards|waste] [--units mm|in] [--seconds 10]

Reads a list of pieces (columns mark, section, length, count) and one of stock (section, length, price,
count; an empty count is no limit; own, bad, name, poor), and prints the cut plan as JSON: docs/nest-file.md.
Lengths bear their unit, in their cell or in the header (length mm), or are of --units. Without --aim it is the cost, or where no price is known
the boards. Exit: 0 all pieces have their board, 1 some have none, 2 the lists or the call are not understood.
`

interface Call {
  readonly pieces: string
  readonly stock: string
  readonly kerf: number
  readonly trim: number
  readonly aim: NestAim | null
  readonly units: Units
  readonly seconds: number
}

/** Reads the words of the call; null where help is asked for. */
function readCall(): Call | null {
  let call
  try {
    call = parseArgs({
      allowPositionals: true,
      options: {
        stock: { type: 'string' },
        kerf: { type: 'string', default: '3mm' },
        trim: { type: 'string', default: '0' },
        aim: { type: 'string' },
        units: { type: 'string', default: 'mm' },
        seconds: { type: 'string', default: '10' },
        help: { type: 'boolean', short: 'h' },
      },
    })
  } catch (cause) {
    throw new Refusal(`${(cause as Error).message}\n\n${usage}`)
  }
  const { values, positionals } = call
  if (values.help) return null
  const [pieces, ...more] = positionals
  if (!pieces || more.length || !values.stock) throw new Refusal(usage)
  if (values.units !== 'mm' && values.units !== 'in')
    throw new Refusal(`--units is mm or in, not “${values.units}”`)
  const units = values.units === 'mm' ? 'metric' : 'imperial'
  const aim = nestAims.find(each => each === values.aim)
  if (values.aim !== undefined && !aim)
    throw new Refusal(`--aim is cost, boards or waste, not “${values.aim}”`)
  const seconds = Number(values.seconds)
  if (!(seconds > 0 && seconds <= 3600))
    throw new Refusal(`--seconds is from 0 to 3600, not “${values.seconds}”`)
  return {
    ...{ pieces, stock: values.stock, units, seconds, aim: aim ?? null },
    kerf: lengthOf('kerf', values.kerf, units, 50),
    trim: lengthOf('trim', values.trim, units, 1000),
  }
}

function lengthOf(name: string, text: string, units: Units, most: number): number {
  const read = parseLength(text, units)
  if (!read.ok) throw new Refusal(`--${name}: ${sayMeasureFault(read.fault, lengthExample(units))}`)
  if (read.value > most) throw new Refusal(`--${name} is at most ${most} mm, not “${text}”`)
  return read.value
}

async function readRows<T>(
  path: string,
  units: Units,
  read: typeof readPieces | typeof readStock,
): Promise<readonly T[]> {
  const list = read(await readText(path), units)
  if (!list.ok)
    throw new Refusal(list.faults.map(fault => `${path}: ${sayListFault(fault, units)}`).join('\n'))
  for (const column of list.passedOver)
    process.stderr.write(`${path}: the column ${plain(column)} is not known here and was left out\n`)
  if (list.noBoards)
    process.stderr.write(
      `${path}: ${list.noBoards} ${list.noBoards === 1 ? 'row' : 'rows'} of sheets and panels left out: those come out of no board\n`,
    )
  return list.rows as readonly T[]
}

/** The aim as asked, or by what is known. */
function aimOf(asked: NestAim | null, stock: readonly NestStock[], path: string): NestAim {
  const unpriced = stock.filter(({ price, own }) => price === null && !own)
  if (asked === 'cost' && unpriced.length)
    throw new Refusal(
      `${path}: ${plain(unpriced[0]?.section ?? '')} has no price, which --aim cost needs. Type each price, or aim at boards or waste.`,
    )
  return asked ?? (unpriced.length ? 'boards' : 'cost')
}

const whys = {
  'too-long': 'longer than any board',
  'no-stock': 'of a section that is not in stock',
  'no-good': 'longer than any board that is not poor',
  'run-out': 'with no board left',
} as const

async function main(): Promise<number> {
  const call = readCall()
  if (!call) {
    process.stdout.write(usage)
    return 0
  }
  const pieces = await readRows<NestAsk['pieces'][number]>(call.pieces, call.units, readPieces)
  const stock = await readRows<NestStock>(call.stock, call.units, readStock)
  const aim = aimOf(call.aim, stock, call.stock)
  const plan = nest(
    await loadHighs(),
    { pieces, stock, kerf: call.kerf, trim: call.trim, aim },
    { time: call.seconds * 1000, now: () => performance.now() },
  )
  process.stdout.write(`${JSON.stringify(nestFile(plan), null, 2)}\n`)
  for (const { mark, section, count, why } of plan.unplaced)
    process.stderr.write(`${plain(`${mark}, ${section}: ${count} ${whys[why]}`)}\n`)
  return plan.unplaced.length ? 1 : 0
}

ended(main)
