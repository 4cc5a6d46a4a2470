// What counts as the same: one tolerance for each meaning. Binary fractions never add up quite; these say how far that
// may go.

/** Lengths that differ by no more are the same, mm: what sums of many lengths leave. */
export const LENGTH_NOISE_MM = 1e-6;

/** Coordinates that differ by no more are one point, mm: what a chain of transforms leaves. */
export const POINT_NOISE_MM = 1e-9;

/** Angles that differ by no more are the same, radians. */
export const ANGLE_NOISE = 1e-9;

/** A cross product or determinant below this is of parallel lines, or of a shape without area. */
export const CROSS_NOISE = 1e-12;

/** A quotient this near to a whole number is that number: so many packs, weeks or pieces. */
export const COUNT_NOISE = 1e-9;

/** Shares of one that differ by no more are the same. */
export const SHARE_NOISE = 1e-9;

/** Amounts of money that differ by no more are the same, minor units: what shares and quotients leave. */
export const MONEY_NOISE = 1e-6;

/** Amounts of stock (mm, mm² or pieces) that differ by no more are the same. */
export const AMOUNT_NOISE = 1e-6;
