// Where the files of the typefaces lie; they are fetched from this server when one is chosen.

import alfaSlabOne from '@fontsource/alfa-slab-one/files/alfa-slab-one-latin-400-normal.woff2?url';
import zillaSlab from '@fontsource/zilla-slab/files/zilla-slab-latin-700-normal.woff2?url';
import pacifico from '@fontsource/pacifico/files/pacifico-latin-400-normal.woff2?url';
import dancingScript from '@fontsource/dancing-script/files/dancing-script-latin-700-normal.woff2?url';
import sairaStencilOne from '@fontsource/saira-stencil-one/files/saira-stencil-one-latin-400-normal.woff2?url';
import stardosStencil from '@fontsource/stardos-stencil/files/stardos-stencil-latin-700-normal.woff2?url';
import anton from '@fontsource/anton/files/anton-latin-400-normal.woff2?url';
import bungee from '@fontsource/bungee/files/bungee-latin-400-normal.woff2?url';
import caveat from '@fontsource/caveat/files/caveat-latin-700-normal.woff2?url';
import patrickHand from '@fontsource/patrick-hand/files/patrick-hand-latin-400-normal.woff2?url';
import oswald from '@fontsource/oswald/files/oswald-latin-700-normal.woff2?url';
import archivoNarrow from '@fontsource/archivo-narrow/files/archivo-narrow-latin-700-normal.woff2?url';

const FILES: Readonly<Record<string, string>> = {
  'alfa-slab-one': alfaSlabOne,
  'zilla-slab': zillaSlab,
  pacifico: pacifico,
  'dancing-script': dancingScript,
  'saira-stencil-one': sairaStencilOne,
  'stardos-stencil': stardosStencil,
  anton: anton,
  bungee: bungee,
  caveat: caveat,
  'patrick-hand': patrickHand,
  oswald: oswald,
  'archivo-narrow': archivoNarrow,
};

export async function loadTypeface(key: string): Promise<Uint8Array> {
  const response = await fetch(FILES[key] ?? '');
  return new Uint8Array(await response.arrayBuffer());
}
