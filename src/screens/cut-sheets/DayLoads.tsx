// The day's loads, proposed: everything of a vinyl together, what is due first in front; laid out one after another and
// saved.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import LinearProgress from '@mui/material/LinearProgress';
import { useEffect, useMemo, useRef, useState } from 'react';
import { NO_MARKS, type ChosenStock, type CutShape, type NestLayout, type NestOptions } from '../../core/nesting';
import { listPartIds } from '../../core/orders';
import { proposeLoads, sumLoadSeconds } from '../../core/scheduling';
import { formatDay, formatDuration } from '../../core/units';
import type { CutSheetsView } from '../../views/cut-sheets';
import { describeDayLoad, describeLayout, describeNestProblem } from '../../wording/nesting';
import { chooseInWorker, nestInWorkers, stopNesting } from '../../workers/nest-client';
import { callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { makeJob, marginsOf, orderStock, toStock } from '../../core/orders';
import { sourceOf, toCutPieces, toCutSheet, type Laid } from './cut-load';
import { loadShapes } from './load-shapes';
import { isShorter, SEED } from './load-reading';
import { plural } from '../../wording/plural';

/** Each load is bettered for so long before the next is begun. */
const EACH_SECONDS = 8;
type Said = { readonly words: string; readonly good: boolean };

export function DayLoads({
  view,
  onSaved,
  onClose,
}: {
  view: CutSheetsView;
  onSaved: () => Promise<void>;
  onClose: () => void;
}) {
  const settings = useSettings(),
    { figures } = settings.shop;
  const waiting = useMemo(
    () =>
      view.groups.flatMap((group) => {
        const taken = new Set(group.saved.flatMap((saved) => listPartIds(saved.sheet)));
        return group.parts
          .filter((part) => !taken.has(part.partId))
          .map((part) => ({ ...part, vinylId: group.vinyl.id }));
      }),
    [view],
  );
  const [loads] = useState(() =>
    proposeLoads(waiting, {
      freeSeconds: view.freeSeconds,
      loadSeconds: figures.cutterLoadSeconds,
      hasStock: (id) => groupOf(view, id).stock.length > 0,
    }),
  );
  const [chosen, setChosen] = useState<ReadonlySet<number>>(
    () => new Set(loads.filter((job) => job.today).map((job) => job.vinylId)),
  );
  const [at, setAt] = useState<number | null>(null);
  const [said, setSaid] = useState<ReadonlyMap<number, Said>>(new Map());
  const stopped = useRef(false),
    cache = useRef(new Map<string, CutShape>());
  useEffect(
    () => () => {
      stopped.current = true;
      stopNesting();
    },
    [],
  );
  const say = (vinylId: number, words: string, good: boolean) =>
    setSaid((before) => new Map([...before, [vinylId, { words, good }]]));

  const layOutOne = async (vinylId: number, parts: (typeof loads)[number]['parts']) => {
    const group = groupOf(view, vinylId),
      setup = { gapMm: view.gapMm, hold: 'suited' as const, marks: NO_MARKS, inside: 'bays' as const };
    await loadShapes(view.artworks, parts.map(sourceOf), cache.current);
    const job = makeJob(toCutPieces(parts, cache.current, new Set()), cache.current, {
      turnable: group.vinyl.details.direction === 'none',
      marks: setup.marks,
      inside: setup.inside,
      tagLetters: 0,
    });
    const offered = orderStock(group.stock).flatMap((choice) => {
      const kind = toStock(choice, setup.hold, figures);
      return kind ? [{ choice, kind }] : [];
    });
    const options: NestOptions = {
      gapMm: setup.gapMm,
      margins: marginsOf('roll', setup.hold, figures),
      inside: 'bays',
      seed: SEED,
      rounds: 1e9,
      timeMs: EACH_SECONDS * 1000,
    };
    if (job.pieces.length === 0) return say(vinylId, 'None of its drawings can be read.', false);
    const found = await chooseInWorker(
      job.pieces,
      offered.map((entry) => entry.kind),
      options,
    );
    if (!found.ok) return say(vinylId, describeNestProblem(found.problem, settings), false);
    const { stock, layout: first }: ChosenStock = found.value;
    const from: Omit<Laid, 'layout'> = {
      job,
      shapes: cache.current,
      stock,
      choices: stock.map((kind) => offered.find((entry) => entry.kind.id === kind.id)!.choice),
      options,
      setup,
      counting: false,
    };
    let best: NestLayout = first;
    await nestInWorkers({ pieces: job.pieces, stock, options, count: false }, (layout) => {
      if (isShorter(layout, best)) best = layout;
    });
    // Stopped while it was bettered: what there is of it is saved all the same.
    await callApi('POST', '/api/cut-sheets/saved', {
      vinylId,
      sheet: toCutSheet({ ...from, layout: best }, new Set()),
    });
    say(vinylId, `${describeLayout(best, group.vinyl.name, settings)}; saved.`, true);
  };
  const layOutAll = async () => {
    stopped.current = false;
    for (const [index, load] of loads.entries()) {
      if (stopped.current) break;
      if (!chosen.has(load.vinylId) || said.get(load.vinylId)?.good) continue;
      setAt(index);
      try {
        await layOutOne(load.vinylId, load.parts);
      } catch (error) {
        say(load.vinylId, wordsOf(error), false);
      }
    }
    setAt(null);
    await onSaved();
  };
  return (
    <section className="sheet cols" aria-label="The day’s loads">
      <div className="page-head">
        <div>
          <h2 className="flat">
            {plural(chosen.size, 'load')}, {formatDuration(sumLoadSeconds(loads, chosen), settings)} at the cutter
          </h2>
          <p className="soft flat above-1">
            All that waits of a vinyl goes together, whoever ordered it; what is due first comes first.{' '}
            {view.freeSeconds < 60
              ? 'No working hours are left today.'
              : `${formatDuration(view.freeSeconds, settings)} are left of today.`}{' '}
            For each the piece of stock is taken that wastes least.
          </p>
        </div>
        <div className="actions">
          {at !== null ? (
            <Button
              onClick={() => {
                stopped.current = true;
                stopNesting();
              }}
            >
              Stop after this
            </Button>
          ) : (
            <>
              <Button onClick={onClose}>Close</Button>
              <Button
                variant="contained"
                disabled={[...chosen].every((id) => said.get(id)?.good)}
                onClick={() => void layOutAll()}
              >
                Lay them out
              </Button>
            </>
          )}
        </div>
      </div>
      {at !== null && (
        <LinearProgress
          aria-label="Loads laid out"
          variant="determinate"
          value={(100 * at) / Math.max(1, loads.length)}
        />
      )}
      <ol className="day-loads flat indented">
        {loads.map((job, index) => {
          const group = groupOf(view, job.vinylId),
            word = said.get(job.vinylId);
          return (
            <li key={job.vinylId}>
              <label className="row middle gap-2">
                <Checkbox
                  size="small"
                  checked={chosen.has(job.vinylId)}
                  disabled={at !== null || group.stock.length === 0}
                  onChange={(_, on) =>
                    setChosen(
                      (before) =>
                        new Set(on ? [...before, job.vinylId] : [...before].filter((id) => id !== job.vinylId)),
                    )
                  }
                />
                <i className="swatch" style={{ background: group.vinyl.colourHex }} />
                <span>
                  {group.vinyl.name}{' '}
                  <span className="soft">
                    due {formatDay(job.dueDay, settings)}, {describeDayLoad(job, group.stock.length > 0, settings)}
                  </span>
                  {at === index && <b> being laid out</b>}
                  {word && <span className={word.good ? '' : 'short'}>: {word.words}</span>}
                </span>
              </label>
            </li>
          );
        })}
      </ol>
      {loads.length === 0 && <p className="soft flat">Everything that waits lies on saved cut sheets already.</p>}
    </section>
  );
}

const groupOf = (view: CutSheetsView, vinylId: number) => view.groups.find((group) => group.vinyl.id === vinylId)!;
