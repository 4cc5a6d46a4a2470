// The kinds of vinyl the trade knows, and what each implies as long as the maker or the shop says nothing else.

export type Peel = 'hot' | 'warm' | 'cold';
export type Pressure = 'light' | 'medium' | 'firm';
export const PEELS: readonly Peel[] = ['hot', 'warm', 'cold'];
export const PRESSURES: readonly Pressure[] = ['light', 'medium', 'firm'];

/** Pressed on with heat, or stuck on with transfer tape. */
type VinylFamily = 'heat' | 'adhesive';

export type PressSetting = {
  readonly lowC: number;
  readonly highC: number;
  readonly seconds: number;
  readonly pressure: Pressure;
  readonly peel: Peel;
};

export type KindFacts = {
  readonly label: string;
  readonly family: VinylFamily;
  /** Cut through its back with the carrier down, so the artwork is mirrored. */
  readonly cutFromBack: boolean;
  /** Another vinyl may lie on top of it. */
  readonly takesLayers: boolean;
  /** Pattern, pile or brushing runs one way: pieces are not turned to save material. */
  readonly hasDirection: boolean;
  readonly weedingFactor: number;
  /** Ordinary range of the kind; the maker's sheet replaces it. Null for what is not pressed. */
  readonly press: PressSetting | null;
};

const smoothPress: PressSetting = { lowC: 150, highC: 160, seconds: 12, pressure: 'medium', peel: 'warm' };

/** Ordinary trade ranges by kind, as defaults for a new vinyl. */
export const VINYL_KINDS = {
  smooth: {
    label: 'smooth heat transfer',
    family: 'heat',
    cutFromBack: true,
    takesLayers: true,
    hasDirection: false,
    weedingFactor: 1,
    press: smoothPress,
  },
  stretch: {
    label: 'stretch heat transfer',
    family: 'heat',
    cutFromBack: true,
    takesLayers: true,
    hasDirection: false,
    weedingFactor: 1,
    press: { lowC: 155, highC: 165, seconds: 17, pressure: 'medium', peel: 'warm' },
  },
  'low-heat': {
    label: 'low-heat transfer',
    family: 'heat',
    cutFromBack: true,
    takesLayers: true,
    hasDirection: false,
    weedingFactor: 1.1,
    press: { lowC: 115, highC: 135, seconds: 8, pressure: 'medium', peel: 'warm' },
  },
  glitter: {
    label: 'glitter heat transfer',
    family: 'heat',
    cutFromBack: true,
    takesLayers: false,
    hasDirection: false,
    weedingFactor: 1.2,
    press: { lowC: 155, highC: 165, seconds: 16, pressure: 'firm', peel: 'warm' },
  },
  holographic: {
    label: 'holographic or foil',
    family: 'heat',
    cutFromBack: true,
    takesLayers: false,
    hasDirection: false,
    weedingFactor: 1.2,
    press: { lowC: 150, highC: 160, seconds: 12, pressure: 'medium', peel: 'cold' },
  },
  flock: {
    label: 'flock',
    family: 'heat',
    cutFromBack: true,
    takesLayers: false,
    hasDirection: true,
    weedingFactor: 1.1,
    press: { lowC: 155, highC: 165, seconds: 17, pressure: 'medium', peel: 'cold' },
  },
  puff: {
    label: 'puff',
    family: 'heat',
    cutFromBack: true,
    takesLayers: false,
    hasDirection: false,
    weedingFactor: 1.2,
    press: { lowC: 150, highC: 165, seconds: 10, pressure: 'medium', peel: 'hot' },
  },
  reflective: {
    label: 'glow or reflective',
    family: 'heat',
    cutFromBack: true,
    takesLayers: false,
    hasDirection: false,
    weedingFactor: 1.1,
    press: { lowC: 145, highC: 160, seconds: 15, pressure: 'medium', peel: 'cold' },
  },
  'printed-pattern': {
    label: 'printed pattern, with a mask',
    family: 'heat',
    cutFromBack: false,
    takesLayers: true,
    hasDirection: true,
    weedingFactor: 1.1,
    press: { lowC: 150, highC: 160, seconds: 12, pressure: 'medium', peel: 'warm' },
  },
  permanent: {
    label: 'permanent adhesive',
    family: 'adhesive',
    cutFromBack: false,
    takesLayers: true,
    hasDirection: false,
    weedingFactor: 1,
    press: null,
  },
  removable: {
    label: 'removable adhesive',
    family: 'adhesive',
    cutFromBack: false,
    takesLayers: true,
    hasDirection: false,
    weedingFactor: 1.1,
    press: null,
  },
  stencil: {
    label: 'stencil',
    family: 'adhesive',
    cutFromBack: false,
    takesLayers: false,
    hasDirection: false,
    weedingFactor: 1,
    press: null,
  },
} as const satisfies Record<string, KindFacts>;

export type VinylKind = keyof typeof VINYL_KINDS;
export const VINYL_KIND_NAMES = Object.keys(VINYL_KINDS) as readonly VinylKind[];
export const getKindFacts = (kind: VinylKind): KindFacts => VINYL_KINDS[kind];
