// The typefaces that come with Chiral, all under open licences that allow things made with them to be sold.

export type Typeface = {
  readonly key: string;
  readonly name: string;
  readonly kind: 'slab' | 'script' | 'stencil' | 'block' | 'hand' | 'condensed';
  readonly weight: 400 | 700;
  readonly licence: string;
};
const face = (key: string, name: string, kind: Typeface['kind'], weight: Typeface['weight'] = 400): Typeface => ({
  key,
  name,
  kind,
  weight,
  licence: 'SIL Open Font License 1.1',
});

export const TYPEFACES: readonly Typeface[] = [
  face('alfa-slab-one', 'Alfa Slab One', 'slab'),
  face('zilla-slab', 'Zilla Slab, bold', 'slab', 700),
  face('pacifico', 'Pacifico', 'script'),
  face('dancing-script', 'Dancing Script, bold', 'script', 700),
  face('saira-stencil-one', 'Saira Stencil One', 'stencil'),
  face('stardos-stencil', 'Stardos Stencil, bold', 'stencil', 700),
  face('anton', 'Anton', 'block'),
  face('bungee', 'Bungee', 'block'),
  face('caveat', 'Caveat, bold', 'hand', 700),
  face('patrick-hand', 'Patrick Hand', 'hand'),
  face('oswald', 'Oswald, bold', 'condensed', 700),
  face('archivo-narrow', 'Archivo Narrow, bold', 'condensed', 700),
];
