import type { Role } from '../frame'
import type { CutName } from '../board'
import type { Species } from '../lumber'

/** What a framer calls a place of the document. */
export const fieldNames: Record<string, string> = {
  'footprint': 'Footprint', 'footprint.length': 'Length', 'footprint.width': 'Span',
  'walls': 'Walls', 'walls.stud': 'Studs and plates', 'walls.spacing': 'Stud spacing', 'walls.height': 'Wall height', 'walls.topPlates': 'Top plates',
  'walls.through': 'Through walls', 'walls.corner': 'Corners', 'walls.openings': 'Openings',
  'roof': 'Roof', 'roof.shape': 'Roof shape', 'roof.pitch': 'Pitch', 'roof.pitch.rise': 'Pitch, rise', 'roof.pitch.run': 'Pitch, run', 'roof.rafter': 'Rafters', 'roof.spacing': 'Rafter spacing', 'roof.ridge': 'Ridge',
  'roof.overhang': 'Overhang', 'roof.overhang.eave': 'Overhang at the eaves', 'roof.overhang.gable': 'Overhang at the gables',
  'roof.seat': 'Seat', 'roof.seat.rule': 'Seat', 'roof.seat.height': 'Height above plate', 'roof.seat.measured': 'Third measured', 'roof.tail': 'Tail',
  'lumber': 'Lumber', 'lumber.species': 'Species', 'lumber.moisture': 'Moisture', 'lumber.sections': 'Own sizes',
  'name': 'Name', 'units': 'Units', 'cut': 'Pieces cut', 'format': 'Kind of file', 'version': 'Version',
}

/** A field's name with its path where the name alone would not find it. */
export const fieldName = (path: string): string => fieldNames[path] ?? (path || 'The file')

export const roleNames: Record<Role, { one: string, many: string }> = {
  'rafter': { one: 'common rafter', many: 'common rafters' },
  'ridge': { one: 'ridge board', many: 'ridge boards' },
  'bottom-plate': { one: 'bottom plate', many: 'bottom plates' },
  'top-plate': { one: 'top plate', many: 'top plates' },
  'stud': { one: 'stud', many: 'studs' },
}

export const cutNames: Record<CutName, string> = {
  square: 'square cut', plumb: 'plumb cut', level: 'level cut', heel: 'heel', seat: 'seat', birdsmouth: 'bird\'s mouth', mitre: 'mitre', lap: 'lap', housing: 'housing',
}

export const speciesWords: Record<Species, string> = {
  'spruce-pine-fir': 'Spruce-pine-fir', 'hem-fir': 'Hem-fir', 'douglas-fir-larch': 'Douglas fir-larch', 'southern-pine': 'Southern pine', 'western-cedar': 'Western cedar',
}
