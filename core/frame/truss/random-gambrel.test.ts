import { test } from '@jest/globals'
import { stand } from '../../testing/random-trusses'
import { gambrelSheds } from '../../testing/trussed'

test('no two boards of random gambrels overlap, and the members of each truss meet', () => {
  stand(gambrelSheds, 18)
}, 3_600_000)
