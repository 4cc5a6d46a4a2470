// Files for the cutter: each layer on its own, mirrored as its vinyl needs it, in the format the machine takes; and the
// weeding map on paper.

import { NumberBox } from '../shared/NumberBox';
import { useNumbers } from '../shared/use-numbers';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { HpglOptions, LayerRole, PrepStep } from '../../core/artwork';
import { describeArtworkProblem } from '../../wording/problems';
import { writeInWorker, type CutFormat, type FileWish } from '../../workers/artwork-client';
import { fetchFile, wordsOf } from '../shared/api';
import { saveFile } from '../shared/save-file';
import { enqueueSnackbar } from '../shared/snackbar';

type CutLayerWish = FileWish['layers'][number] & { readonly role: LayerRole };
type Props = {
  /** The drawing as it came; null where it can’t be had, which is told elsewhere. */
  readonly fetchText: () => Promise<string | null>;
  readonly steps: readonly PrepStep[] | null;
  readonly baseName: string;
  readonly layers: readonly CutLayerWish[];
};

const FORCE = { least: 1, most: 1000 } as const,
  SPEED = { least: 10, most: 1500 } as const;

export function ExportPanel({ fetchText, steps, baseName, layers: all }: Props) {
  const layers = all.filter((layer) => layer.role !== 'guide');
  const { read } = useNumbers();
  const [knife, setKnife] = useState({ force: '', speed: '' });
  const force = readOptional(read(knife.force), knife.force, FORCE),
    speed = readOptional(read(knife.speed), knife.speed, SPEED);
  const options: HpglOptions = {
    ...(typeof force === 'number' ? { forceGrams: force } : {}),
    ...(typeof speed === 'number' ? { speedMmPerSecond: speed } : {}),
  };
  const give = async (formats: readonly CutFormat[]) => {
    const text = await fetchText();
    if (text === null || !steps) return;
    const written = await writeInWorker(text, steps, { baseName, formats, layers, knife: options });
    if (!written.ok) return void enqueueSnackbar(describeArtworkProblem(written.problem), { variant: 'error' });
    saveFile(new Blob([written.value.bytes]), written.value.fileName);
  };
  const printMap = async () => {
    const text = await fetchText();
    if (text === null || !steps) return;
    const facts = JSON.stringify({
      name: baseName,
      steps,
      layers: layers.map(({ key, name, mirrored }) => ({ key, name, mirrored })),
    });
    try {
      saveFile(
        await fetchFile(`/api/artwork/weeding-map?${new URLSearchParams({ facts }).toString()}`, new Blob([text])),
        `${baseName} weeding map.pdf`,
      );
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  const ready = steps !== null && layers.length > 0;
  const hpglReady = ready && force !== 'bad' && speed !== 'bad';
  return (
    <section className="sheet" aria-label="For the cutter">
      <h2 className="flat below-1">For the cutter</h2>
      <p className="soft flat below-3">
        {layers.length === 1 ? 'One layer' : `${layers.length} layers, a file each`}, in mm, {describeSides(layers)}.
      </p>
      <div className="actions">
        <Button size="small" disabled={!ready} onClick={() => void give(['svg'])}>
          SVG
        </Button>
        <Button size="small" disabled={!ready} onClick={() => void give(['dxf'])}>
          DXF
        </Button>
        <Button size="small" disabled={!hpglReady} onClick={() => void give(['hpgl'])}>
          HPGL
        </Button>
        <Button size="small" variant="text" disabled={!hpglReady} onClick={() => void give(['svg', 'dxf', 'hpgl'])}>
          All as a zip
        </Button>
        <Button size="small" variant="text" disabled={!ready} onClick={() => void printMap()}>
          Weeding map, PDF
        </Button>
      </div>
      <KnifeFields knife={knife} setKnife={setKnife} force={force} speed={speed} />
    </section>
  );
}

type KnifeFieldsProps = {
  readonly knife: { force: string; speed: string };
  readonly setKnife: React.Dispatch<React.SetStateAction<{ force: string; speed: string }>>;
  readonly force: number | 'bad' | null;
  readonly speed: number | 'bad' | null;
};

/** How the cutter is told to cut; written into HPGL alone. */
function KnifeFields({ knife, setKnife, force, speed }: KnifeFieldsProps) {
  return (
    <div className="fields above-4">
      <NumberBox
        size="small"
        label="Force in HPGL, g"
        text={knife.force}
        onText={(text) => setKnife({ ...knife, force: text })}
        error={force === 'bad' && `From ${FORCE.least} to ${FORCE.most} g.`}
        help="Empty: as the cutter is set."
      />
      <NumberBox
        size="small"
        label="Speed in HPGL, mm/s"
        text={knife.speed}
        onText={(text) => setKnife({ ...knife, speed: text })}
        error={speed === 'bad' && `From ${SPEED.least} to ${SPEED.most} mm/s.`}
        help="Written in whole cm/s."
      />
    </div>
  );
}

type Range = { readonly least: number; readonly most: number };

/** Null where nothing was typed. */
function readOptional(value: number | null, text: string, { least, most }: Range): number | null | 'bad' {
  if (text.trim() === '') return null;
  return value !== null && value >= least && value <= most ? value : 'bad';
}

function describeSides(layers: FileWish['layers']): string {
  const mirrored = layers.filter((layer) => layer.mirrored).length;
  return mirrored === layers.length ? 'mirrored' : mirrored === 0 ? 'not mirrored' : `${mirrored} of them mirrored`;
}
