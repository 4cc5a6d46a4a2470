// A colour as a small square. Its hue is data, not part of the look.

export function Swatch({ colour }: { readonly colour: string | undefined }) {
  return <i className="swatch" style={{ background: colour }} />;
}
