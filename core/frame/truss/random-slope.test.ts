import { test } from '@jest/globals'
import { stand } from '../../testing/random-trusses'
import { trussedSlopes } from '../../testing/trussed'

test('no two boards of random one slope on trusses of every kind overlap, and the members of each truss meet', () => {
  stand(trussedSlopes, 12)
}, 3_600_000)
