import { Decimal } from 'decimal.js'
import type { NestBoard, NestPlan } from './ask'

/** Boards of one kind to buy: how many are cut, how many more are to spare, and what all cost. */
export interface BuyRow {
  readonly section: string
  readonly length: number
  readonly price: number | null
  readonly cut: number
  readonly spare: number
  /** Exact; null without a price. */
  readonly cost: Decimal | null
}

/** What one section takes. */
export interface BuySection {
  readonly section: string
  readonly rows: readonly BuyRow[]
  readonly cost: Decimal | null
  /** mm: of boards that are cut, own ones too, and what of it is no piece. */
  readonly length: number
  readonly over: number
}

export interface Buying {
  readonly sections: readonly BuySection[]
  /** Of all that has a price, and how many kinds have none. */
  readonly cost: Decimal
  readonly unpriced: number
}

/**
 * What a plan's boards are bought as: by section and length, with `spare` boards more in each section that
 * anything is bought of, of the longest length bought in it: any of its pieces comes out of one.
 */
export function buyingOf({ plans }: Pick<NestPlan, 'plans'>, spare: number): Buying {
  const sections = [...new Set(plans.map(({ section }) => section))].map(section =>
    sectionOf(
      section,
      plans.filter(each => each.section === section),
      spare,
    ),
  )
  const rows = sections.flatMap(each => each.rows)
  return {
    sections,
    cost: rows.reduce((sum, { cost }) => sum.plus(cost ?? 0), new Decimal(0)),
    unpriced: rows.filter(({ cost }) => cost === null).length,
  }
}

function sectionOf(section: string, boards: readonly NestBoard[], spare: number): BuySection {
  const kinds = new Map<string, { length: number; price: number | null; cut: number }>()
  for (const { stock, price, count, own } of boards) {
    if (own) continue
    const key = `${stock} ${price}`
    const known = kinds.get(key)
    if (known) known.cut += count
    else kinds.set(key, { length: stock, price, cut: count })
  }
  const sorted = [...kinds.values()].sort((a, b) => b.length - a.length)
  const rows = sorted.map(({ length, price, cut }, i): BuyRow => {
    const more = i === 0 ? spare : 0
    return {
      ...{ section, length, price, cut, spare: more },
      cost: price === null ? null : new Decimal(price).times(cut + more),
    }
  })
  const length = boards.reduce((sum, { stock, count }) => sum + stock * count, 0)
  const cut = boards.reduce(
    (sum, { cuts, count }) => sum + count * cuts.reduce((all, each) => all + each.length, 0),
    0,
  )
  return {
    section,
    rows,
    cost: rows.some(each => each.cost === null)
      ? null
      : rows.reduce((sum, { cost }) => sum.plus(cost ?? 0), new Decimal(0)),
    length,
    over: length - cut,
  }
}

/** An amount of money as it is said: two decimals, thousands parted. */
export function sayMoney(amount: Decimal | number): string {
  const [whole = '0', parts = '00'] = new Decimal(amount).toFixed(2).split('.')
  return `${whole.replace(/\B(?=(\d{3})+(?!\d))/g, '\u2009')}.${parts}`
}
