/** An outline, mm from the lower left corner of its rectangle, as an SVG path with y down. */
export const outlinePath = (
  outline: readonly { readonly along: number; readonly across: number }[],
  wide: number,
): string => `M${outline.map(p => `${p.along.toFixed(1)} ${(wide - p.across).toFixed(1)}`).join('L')}Z`
