// How fine a design is: what is known of a vinyl with bold letters says little of lace.

export const DESIGN_CLASSES = ['bold', 'medium', 'fine'] as const;
export type DesignClass = (typeof DESIGN_CLASSES)[number];

/** Thinner than this, strokes and gaps are fine work; from the second on they are bold. mm. */
export const FINE_BELOW_MM = 1.5;
const BOLD_FROM_MM = 3;

type Thin = { readonly widthMm: number } | null;

/** The thinnest stroke or gap, mm; null where none was measured. */
export function findFinestMm(layers: readonly { readonly thinnestStroke: Thin; readonly thinnestGap: Thin }[]) {
  const widths = layers.flatMap(({ thinnestStroke, thinnestGap }) =>
    [thinnestStroke, thinnestGap].flatMap((place) => place?.widthMm ?? []),
  );
  return widths.length > 0 ? Math.min(...widths) : null;
}

/** By its thinnest stroke or gap, mm; where none is thin enough to be measured it is bold. */
export function classifyDesign(finestMm: number | null): DesignClass {
  if (finestMm === null || finestMm >= BOLD_FROM_MM) return 'bold';
  return finestMm < FINE_BELOW_MM ? 'fine' : 'medium';
}
