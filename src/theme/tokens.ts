// The colours of the look, by name. Data has colours of its own (vinyls, blanks, drawings): those are never here.

export const COLOURS = {
  liner: '#F3EFE6',
  sheet: '#FFFCF5',
  ink: '#231F2B',
  softInk: '#5F5968',
  hairline: '#D8D0C0',
  madder: '#A5343C',
  marigold: '#C98A12',
  fern: '#3E7650',
  slate: '#3F5E86',
} as const;

/** What a new vinyl or blank is shown in until its own colour is chosen. */
export const UNCHOSEN = { white: '#ffffff', grey: '#888888', slate: '#3f5e86' } as const;

/** Lines of a chart, in this order; told apart by dashes too. */
export const CHART_COLOURS = [COLOURS.madder, COLOURS.slate, COLOURS.fern, COLOURS.marigold] as const;

/** One a stage of the cost strip, all dark enough for light words on them. */
export const STAGE_COLOURS = {
  blank: '#6f6857',
  artwork: '#8a5a72',
  vinyl: '#3f5e86',
  tape: '#55709a',
  stones: '#6d5f94',
  extra: '#77604a',
  'set-up': '#5f5968',
  cut: '#33507a',
  weed: '#3e7650',
  press: '#a5343c',
  wear: '#7a5a1e',
  risk: '#8a4a16',
  check: '#356544',
  pack: '#76694f',
  order: '#4a5f6b',
  returns: '#7d4a4a',
  overhead: '#4d5a52',
  fee: '#58406e',
} as const;

/** What printed paper is drawn in; the white is the paper's own. */
export const PAPER_COLOURS = {
  ink: COLOURS.ink,
  soft: '#6B6474',
  rule: '#D8D0C4',
  stays: '#B9B2C6',
  weeds: '#C2185B',
  white: '#ffffff',
} as const;

/** Supplies have no colour of their own. */
export const SUPPLY_TINT = '#9a917f';
