// Values along a line of the screen. Packages for scales bring those of dates, colours and logarithms to every page.

export type Scale = {
  /** Where a value lies, px. */
  readonly at: (value: number) => number;
  /** The value that lies there. */
  readonly valueAt: (px: number) => number;
};
type Span = readonly [start: number, end: number];

/** `values` lie evenly along `px`, and beyond both ends unless they are held within. */
export function layScale([from, to]: Span, [left, right]: Span, { holds = false } = {}): Scale {
  const pxEach = (right - left) / (to - from);
  const held = (value: number) => (holds ? Math.max(from, Math.min(to, value)) : value);
  return {
    at: (value) => left + (held(value) - from) * pxEach,
    valueAt: (px) => held(from + (px - left) / pxEach),
  };
}
