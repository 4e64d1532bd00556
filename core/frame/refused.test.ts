import { expect, test } from '@jest/globals'
import { sayProblem } from '../words'
import type { Refused } from './member'
import { refusedProblems } from './refused'

const refused = (id: string, role: Refused['role'], fault: Refused['fault']): Refused =>
  ({ id, role, fault }) as Refused

test('what the same is the matter with is said once, with how many they are', () => {
  const gone = { code: 'no-size' } as const
  const parted = { code: 'in-two', cut: 3, name: 'housing' } as const
  const said = refusedProblems([
    refused('roof/truss/1/gusset/knee', 'gusset', gone),
    refused('roof/rafter/1', 'rafter', parted),
    refused('roof/truss/2/gusset/knee', 'gusset', gone),
    refused('roof/rafter/2', 'rafter', { ...parted, cut: 5 }),
    refused('roof/rafter/3', 'rafter', { ...parted, name: 'cutout' }),
  ]).map(problem => sayProblem(problem, 'imperial'))
  expect(said).toEqual([
    "2 gussets, roof/truss/1/gusset/knee the first, can't be cut as asked: they have no size. Use smaller gussets, or another knee.",
    "2 common rafters, roof/rafter/1 the first, can't be cut as asked: the housing parts them in two. Use deeper rafters, or less of a seat or overhang.",
    "The common rafter roof/rafter/3 can't be cut as asked: the cut-out parts it in two. Use deeper rafters, or less of a seat or overhang.",
  ])
})
