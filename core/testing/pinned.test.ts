import { expect, test } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import { parseDesign } from '../design'
import { everyBoard } from '../frame'
import { plan, raising, standTogether } from '../plan'
import { planFile } from '../output'
import { apart, fromFile, rebuilt, solidOfBoard } from './rebuild'
import { clashes } from './solids'

/*
 * Whole designs that once had boards in one another, or a board told as another than it is: each is held to
 * both for good.
 */
test.each(readdirSync('core/testing/pinned'))('%s', name => {
  const read = parseDesign(readFileSync(`core/testing/pinned/${name}`, 'utf8'))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const made = plan(read.design)
  // whole buildings as they are built every day
  if (name.startsWith('job-')) expect(made.frame.problems).toEqual([])
  const all = [...everyBoard(made.frame), ...made.frame.base.parts]
  expect(clashes(all, 1, standTogether(raising(made)))).toEqual([])
  const told = planFile(made).pieces as unknown[]
  for (const [i, { board, mark }] of made.pieces.entries())
    expect([mark, apart(rebuilt(fromFile(told[i]), 0.2), solidOfBoard(board)) <= 0.2]).toEqual([mark, true])
})

/** What is left out of some of them, and why, is told. */
test.each([
  ['purlin-by-the-ridge-posts', 'purlin-meets-post'],
  ['ridge-post-beside-a-beam', 'ridge-post-blocked'],
  ['joist-beam-past-the-joists', 'joist-beam-no-room'],
  ['gable-header-beside-the-ridge', 'header-no-room'],
])('%s is told by %s', (name, code) => {
  const read = parseDesign(readFileSync(`core/testing/pinned/${name}.json`, 'utf8'))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  expect(plan(read.design).frame.problems.map(problem => problem.code)).toContain(code)
})
