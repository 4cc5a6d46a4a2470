// Files for the cutter: each layer on its own, mirrored as its vinyl needs it, in the format the machine takes.

import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import type { PrepStep } from '../../core/artwork';
import { describeArtworkProblem } from '../../wording/problems';
import { writeInWorker, type CutFormat, type FileWish } from '../../workers/artwork-client';

type Props = { readonly text: string | null; readonly steps: readonly PrepStep[] | null; readonly baseName: string; readonly layers: FileWish['layers'] };

export function GiveOut({ text, steps, baseName, layers }: Props) {
  const give = async (formats: readonly CutFormat[]) => {
    if (text === null || !steps) return;
    const written = await writeInWorker(text, steps, { baseName, formats, layers });
    if (!written.ok) return void enqueueSnackbar(describeArtworkProblem(written.problem), { variant: 'error' });
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([written.value.bytes]));
    link.download = written.value.fileName;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
    enqueueSnackbar(`${written.value.fileName} is in your downloads.`);
  };
  const ready = text !== null && steps !== null && layers.length > 0;
  return (
    <section className="sheet" aria-label="For the cutter">
      <h2 style={{ margin: '0 0 2px' }}>For the cutter</h2>
      <p className="soft" style={{ margin: '0 0 8px' }}>{layers.length === 1 ? 'One layer' : `${layers.length} layers, a file each`}, in mm, {describeSides(layers)}.</p>
      <div className="actions">
        <Button size="small" disabled={!ready} onClick={() => void give(['svg'])}>SVG</Button><Button size="small" disabled={!ready} onClick={() => void give(['dxf'])}>DXF</Button><Button size="small" disabled={!ready} onClick={() => void give(['hpgl'])}>HPGL</Button>
        <Button size="small" variant="text" disabled={!ready} onClick={() => void give(['svg', 'dxf', 'hpgl'])}>All as a zip</Button>
      </div>
    </section>
  );
}

function describeSides(layers: FileWish['layers']): string {
  const mirrored = layers.filter((layer) => layer.mirrored).length;
  return mirrored === layers.length ? 'mirrored' : mirrored === 0 ? 'not mirrored' : `${mirrored} of them mirrored`;
}
