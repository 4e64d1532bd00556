import { test } from '@jest/globals'
import { stand } from '../../testing/random-trusses'
import { trussedGables } from '../../testing/trussed'

test('no two boards of random gables on trusses of every kind overlap, and the members of each truss meet', () => {
  stand(trussedGables, 18)
}, 3_600_000)
