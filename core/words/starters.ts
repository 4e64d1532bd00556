/** What each building to begin from is called, and what it is in a sentence; by its name in the list. */
export const starterWords: Readonly<Record<string, { readonly name: string; readonly what: string }>> = {
  'garden-shed': { name: 'Garden shed', what: 'A gable on skids, a door in the end, a window in the side.' },
  'loft-shed': {
    name: 'Loft shed',
    what: 'A gambrel of trusses on skids, a loft under it, a door in the end.',
  },
  'bike-store': { name: 'Bike store', what: 'One slope, wide doors under its high side.' },
  'firewood-shelter': {
    name: 'Firewood shelter',
    what: 'Open to the south on posts, slats on the other sides, air under the floor.',
  },
  'wood-store': {
    name: 'Wood store',
    what: 'A long one on skids, open to the south, slats with air between them on posts.',
  },
  playhouse: {
    name: 'Playhouse',
    what: 'A small gable of trusses, its roof run on over a porch before the door.',
  },
  pergola: {
    name: 'Pergola',
    what: 'Level rafters over twin beams on posts in the ground, battens across them.',
  },
  'pole-shelter': {
    name: 'Pole shelter',
    what: 'A gable on logs in the ground, open on all sides; boards hold its gravel.',
  },
  greenhouse: { name: 'Small greenhouse', what: 'A gable on a slab, fixed panes along both sides.' },
  'garden-room': { name: 'Garden room', what: 'A flat roof, a wide door, a floor on posts.' },
  hide: { name: 'Hide', what: 'A hip roof on posts, long low windows on three sides.' },
  'lean-to': { name: 'Lean-to', what: 'On the wall of a house, with a slab under it.' },
  'porch-roof': {
    name: 'Porch roof',
    what: 'On a ledger on a house, posts and a beam in front, open at both ends.',
  },
  'empty-frame': { name: 'Empty frame', what: 'Four walls and a gable; the rest is yours.' },
}
