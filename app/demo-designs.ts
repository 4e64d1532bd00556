import decoyStore from '../demo/decoy-store.json'
import ferryShelter from '../demo/ferry-shelter.json'
import nestBoxWorkshop from '../demo/nest-box-workshop.json'
import ospreyLookout from '../demo/osprey-lookout.json'
import puntHouse from '../demo/punt-house.json'
import reedHide from '../demo/reed-hide.json'
import reedStore from '../demo/reed-store.json'
import ringingHut from '../demo/ringing-hut.json'
import ringingHutMetric from '../demo/ringing-hut-metric.json'

/** The designs that ship with the demo, as on the shelf from the top. */
export const demoDesigns: readonly unknown[] = [
  ringingHut,
  ringingHutMetric,
  reedStore,
  nestBoxWorkshop,
  reedHide,
  puntHouse,
  decoyStore,
  ospreyLookout,
  ferryShelter,
]
