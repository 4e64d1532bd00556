import { type Building, type InnerBeam, kneePurlinOf, ownSections } from '../design'
import { findSection, type Section } from '../lumber'
import type { InnerLumber, RoofLumber } from '../lines'

export type SectionOf = (name: string) => Section

/** Finds sections by name, of the standard ones and a design's own. Throws RangeError of one not known. */
export function sectionsOf({ lumber }: Pick<Building, 'lumber'>): SectionOf {
  const own = ownSections(lumber)
  return name => {
    const found = findSection(name, own)
    if (!found) throw new RangeError(`no section ${name}`)
    return found
  }
}

/** The sections that a roof is framed of. What the roof has not stands as what lies nearest. */
export function roofLumber({ roof, walls }: Building, section: SectionOf): RoofLumber {
  const { ties, fascia } = roof
  const optional = (name: string | null | undefined): Section | null => (name ? section(name) : null)
  const inner = (beam: InnerBeam | null): InnerLumber | null =>
    beam && { ply: section(beam.section), post: section(beam.post) }
  const ply = section(roof.ridge)
  const plies = roof.raised?.plies ?? roof.beam?.plies ?? 1
  return {
    rafter: section(roof.rafter),
    bottom: section(roof.truss?.bottom ?? roof.rafter),
    web: section(roof.truss?.web ?? roof.rafter),
    setting: section(roof.truss?.setting?.section ?? roof.rafter),
    ridge: plies > 1 ? { ...ply, thickness: ply.thickness * plies } : ply,
    ply,
    post: section(roof.raised?.post ?? roof.beam?.post ?? walls.posts.post),
    hip: section(roof.hip?.section ?? roof.ridge),
    plate: section(walls.stud),
    ties: {
      rafter: optional(ties.rafter?.section),
      collar: optional(ties.collar?.section),
      ceiling: optional(ties.ceiling?.section),
    },
    fascia: { sub: optional(fascia.sub), face: optional(fascia.face) },
    firring: section(roof.firring?.section ?? roof.rafter),
    purlin: optional(roof.purlins?.section),
    strut: optional(roof.purlins?.brace),
    slat: section(walls.slats.section),
    finish: optional(roof.tails.finish),
    soffit: optional(roof.soffit?.section),
    lookout: section(roof.ends.lookout),
    loft: roof.loft?.deck.kind === 'boards' ? section(roof.loft.deck.section) : null,
    barge: optional(roof.ends.barge),
    joistBeam: inner(roof.joistBeam),
    kneePurlin: inner(kneePurlinOf(roof)),
    batten: optional(roof.pergola?.battens?.section),
  }
}
