// A plain word for a colour, so that a new layer has a name before the seller gives it one.

const NAMED: readonly (readonly [name: string, hue: number])[] = [
  ['red', 0],
  ['orange', 30],
  ['yellow', 55],
  ['green', 120],
  ['turquoise', 175],
  ['blue', 220],
  ['violet', 275],
  ['pink', 325],
  ['red', 360],
];

/** "blue", "dark green", "grey" … for #rrggbb. */
export function getDisplayColourName(hex: string): string {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255);
  const most = Math.max(r, g, b),
    least = Math.min(r, g, b);
  const lightness = (most + least) / 2;
  const chroma = most - least;
  if (lightness > 0.93) return 'white';
  if (lightness < 0.08) return 'black';
  if (chroma < 0.1) return lightness > 0.6 ? 'light grey' : 'grey';
  const sector = most === r ? ((g - b) / chroma + 6) % 6 : most === g ? (b - r) / chroma + 2 : (r - g) / chroma + 4;
  const hue = sector * 60;
  const [name] = NAMED.reduce((nearest, entry) =>
    Math.abs(entry[1] - hue) < Math.abs(nearest[1] - hue) ? entry : nearest,
  );
  return lightness > 0.75 ? `light ${name}` : lightness < 0.27 ? `dark ${name}` : name;
}
