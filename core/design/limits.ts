/** What a small outbuilding may be; millimetres unless named. Beyond these it is another trade's building. */
export const limits = {
  footprintLength: { min: 300, max: 30000 },
  footprintWidth: { min: 300, max: 12000 },
  floorJoint: { min: 600, max: 30000 },
  boughtSpan: { min: 600, max: 12000 },
  wallHeight: { min: 300, max: 4300 },
  wallHeight0: { min: 0, max: 4300 },
  unit: { min: 100, max: 6000 },
  clearance: { min: 0, max: 200 },
  /** Longest plate that is bought. */
  stock: { min: 1200, max: 6100 },
  knee: { min: 0, max: 1500 },
  exposure: { min: 20, max: 600 },
  sidingSpace: { min: 0, max: 100 },
  pane: { min: 3, max: 40 },
  paneWide: { min: 300, max: 2600 },
  paneDeep: { min: 5, max: 25 },
  /** About a door's leaves, and between its boards. */
  doorGap: { min: 0, max: 60 },
  doorPanel: { min: 3, max: 40 },
  doorLetIn: { min: 3, max: 30 },
  /** A strip under an eave that lets air in. */
  soffitVent: { min: 0, max: 150 },
  /** Between grooves of a siding sheet. */
  grooves: { min: 40, max: 600 },
  /** Clear under an eave, for sheets, roofing and flashing. */
  hangGap: { min: 0, max: 600 },
  /** How deep a pergola's rafters are notched, what their tails are cut to, and how far apart battens lie. */
  pergolaNotch: { min: 0, max: 200 },
  tailSize: { min: 10, max: 400 },
  battens: { min: 40, max: 1250 },
  slatGap: { min: 0, max: 300 },
  drop: { min: 0, max: 400 },
  spacing: { min: 100, max: 1250 },
  eaveOverhang: { min: 0, max: 1200 },
  gableOverhang: { min: 0, max: 1000 },
  peakAt: { min: 100, max: 11900 },
  peakHeight: { min: 300, max: 12000 },
  tailFace: { min: 15, max: 400 },
  wild: { min: 0, max: 600 },
  vent: { min: 10, max: 100 },
  panel: { min: 300, max: 1250 },
  /** Of a roof's covering: gaps in it, how far it reaches past what it lies on, and laps. */
  sheetGap: { min: 0, max: 10 },
  firstRow: { min: 100, max: 3700 },
  boardSpace: { min: 0, max: 400 },
  battensApart: { min: 60, max: 1250 },
  deckPast: { min: 0, max: 150 },
  ridgeSlot: { min: 0, max: 100 },
  panelLong: { min: 600, max: 15000 },
  endLap: { min: 50, max: 500 },
  panelPast: { min: 0, max: 150 },
  firstPanel: { min: 50, max: 1250 },
  panelHigh: { min: 1, max: 80 },
  shingleShows: { min: 50, max: 400 },
  shingleStrip: { min: 100, max: 1500 },
  rollWide: { min: 300, max: 15000 },
  rollLong: { min: 3000, max: 100000 },
  rollLap: { min: 0, max: 500 },
  tieHeight: { min: 0, max: 4000 },
  seatHeight: { min: 5, max: 600 },
  thickness: { min: 10, max: 400 },
  depth: { min: 15, max: 600 },
  sheet: { min: 9, max: 40 },
  sheetSide: { min: 600, max: 3700 },
  gap: { min: 0, max: 30 },
  opening: { min: 150, max: 6000 },
  porch: { min: 300, max: 4000 },
  gravelDepth: { min: 0, max: 600 },
  beyond: { min: 0, max: 1500 },
  lift: { min: 0, max: 2500 },
  supports: { min: 300, max: 4000 },
  /** Of a side of posts: as far as their beams are joined. */
  postsApart: { min: 300, max: 6000 },
  /** Of a beam past the end posts. */
  postsIn: { min: 0, max: 1500 },
  /** Between balusters, and of a railing over the deck: its top, and its lower rail's foot. */
  balusters: { min: 20, max: 300 },
  railHeight: { min: 300, max: 1400 },
  railLow: { min: 0, max: 300 },
  girtsApart: { min: 150, max: 2500 },
  /** How far a house stands out of line over the length of a lean-to. */
  taper: { min: -1500, max: 1500 },
  /** Under a post in a base of metal. */
  postGap: { min: 0, max: 150 },
  block: { min: 90, max: 800 },
  frost: { min: 0, max: 2500 },
  hole: { min: 150, max: 900 },
  /** Of a footing under a post; 0 for none. */
  pad: { min: 0, max: 400 },
  /** Between stakes of a skirt, and how deep they are driven. */
  stakesApart: { min: 300, max: 3000 },
  stakeInto: { min: 100, max: 1200 },
  slab: { min: 75, max: 400 },
  lowWall: { min: 100, max: 1200 },
  /** A length of the site that cannot be negative, one that can, and what a tape reads. */
  onSite: { min: 0, max: 60000 },
  across: { min: -60000, max: 60000 },
  tape: { min: 50, max: 60000 },
  height: { min: -20000, max: 20000 },
  clear: { min: 0, max: 10000 },
  tolerance: { min: 0, max: 100 },
  /** Degrees of roof slope. */
  roofAngle: { min: 0.5, max: 70 },
  /** Clear over blocks between rafters. */
  air: { min: 0, max: 75 },
  /**
   * Of a gambrel: its low corner under the plate, its knee, what is clear inside, the lower slopes' degrees.
   */
  footDrop: { min: 0, max: 2000 },
  kneeIn: { min: 50, max: 6000 },
  kneeUp: { min: 100, max: 6000 },
  kneeShare: { min: 0.02, max: 0.48 },
  headroom: { min: 300, max: 4000 },
  headroomWidth: { min: 300, max: 11000 },
  lowerAngle: { min: 20, max: 80 },
  /** Of a bought truss, kg. */
  trussWeight: { min: 0, max: 1500 },
  splice: { min: 100, max: 11900 },
  gussetLeg: { min: 75, max: 900 },
  gussetNails: { min: 3, max: 20 },
  /** Between braces, rows and braced bays while trusses are set; and between purlins over them. */
  settingApart: { min: 300, max: 10000 },
  flatPurlins: { min: 150, max: 2500 },
  firring: { min: 0, max: 150 },
  /** Percent of the dry weight. */
  moisture: { min: 0, max: 120 },
} as const
