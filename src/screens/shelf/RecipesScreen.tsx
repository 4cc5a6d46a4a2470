// Recipes: how the shop presses a vinyl on a fabric, beside what its maker says and what was seen of it since; and the
// cutter's settings that were kept.

import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { FABRICS } from '../../core/materials';
import { formatDay } from '../../core/units';
import type { FrameView } from '../../views/frame';
import type { ChosenVinyl, RecipeRow, RecipesView } from '../../views/recipes';
import { plural } from '../../wording/plural';
import { describeLooks, describeMaker, describeOwn, isOffMaker, LOOK_WORDS } from '../../wording/recipes';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { useKeys } from '../shared/keys';
import { late } from '../shared/late';
import { LookFor } from '../shared/LookFor';
import { asPage } from '../shared/page-data';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { Why } from '../shared/Why';
import { PresetTable } from './PresetTable';
import { ShelfTabs } from './ShelfTabs';
import { enqueueSnackbar } from '../shared/snackbar';

const RecipeDialog = late(() => import('./RecipeDialog'));
const SeenDialog = late(() => import('./SeenDialog'));

type Open =
  { readonly kind: 'recipe'; readonly row: RecipeRow | null } | { readonly kind: 'seen'; readonly row: RecipeRow };

export const RecipesScreen = asPage(function RecipesScreen({ frame, view }: { frame: FrameView; view: RecipesView }) {
  return (
    <Frame frame={frame} current="shelf">
      <Recipes initial={view} />
    </Frame>
  );
});

function sayVerdict({ rows }: RecipesView): string {
  const bad = rows.find(({ sum }) => sum.failed > 0);
  const own = rows.filter((row) => row.own).length;
  if (rows.length === 0) return 'Everything is pressed as its maker says';
  if (bad) return `${bad.vinylName} on ${FABRICS[bad.fabric].label}: ${bad.sum.failed} of ${bad.sum.pieces} failed`;
  return own === 0 ? 'Everything is pressed as its maker says' : `${plural(own, 'recipe')} of your own`;
}

function Recipes({ initial }: { readonly initial: RecipesView }) {
  const client = useQueryClient();
  const { data: view } = useQuery({
    queryKey: ['recipes'],
    queryFn: ({ signal }) => callApi<RecipesView>('GET', '/api/shelf/recipes', undefined, signal),
    initialData: initial,
  });
  const [open, setOpen] = useState<Open | null>(null);
  /** Looked for by name, beside the first of the shelf. */
  const [looked, setLooked] = useState<readonly ChosenVinyl[]>([]);
  useKeys('Recipes', [
    { keys: 'n', shown: 'N', does: 'add a recipe', run: () => setOpen({ kind: 'recipe', row: null }) },
  ]);
  const refresh = () => client.invalidateQueries({ queryKey: ['recipes'] });
  const done = () => {
    setOpen(null);
    void refresh();
  };
  const takeBack = async (id: number) => {
    try {
      await callApi('DELETE', `/api/shelf/looks/${id}`);
      enqueueSnackbar('It no longer counts.');
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
    void refresh();
  };
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">{sayVerdict(view)}</h1>
        </div>
        <div className="actions">
          <Button href="/api/shelf/recipes/card" target="_blank">
            Print the press card
          </Button>
          <Button variant="contained" onClick={() => setOpen({ kind: 'recipe', row: null })}>
            Add a recipe
          </Button>
        </div>
      </div>
      <ShelfTabs current="/shelf/recipes" />
      <RecipeList
        rows={view.rows}
        onChange={(row) => setOpen({ kind: 'recipe', row })}
        onSeen={(row) => setOpen({ kind: 'seen', row })}
        onTakeBack={(id) => void takeBack(id)}
      />
      <PresetTable presets={view.presets} onDone={() => void refresh()} />
      {open?.kind === 'recipe' && (
        <LookFor more={{ vinyl: view.more }} onVinyl={(vinyl) => setLooked([...looked, vinyl])}>
          <RecipeDialog
            vinyls={[...view.vinyls, ...looked]}
            today={view.today}
            row={open.row}
            onClose={() => setOpen(null)}
            onDone={done}
          />
        </LookFor>
      )}
      {open?.kind === 'seen' && (
        <SeenDialog row={open.row} today={view.today} onClose={() => setOpen(null)} onDone={done} />
      )}
    </>
  );
}

type ListProps = {
  readonly rows: readonly RecipeRow[];
  readonly onChange: (row: RecipeRow) => void;
  readonly onSeen: (row: RecipeRow) => void;
  readonly onTakeBack: (id: number) => void;
};

function RecipeList({ rows, onChange, onSeen, onTakeBack }: ListProps) {
  if (rows.length === 0)
    return (
      <p className="sheet">
        Where you press a vinyl otherwise than its maker says, write it down here: items, the bench and the press card
        follow it, with a caution where it leaves the maker’s window or what the blank stands.
      </p>
    );
  return (
    <div className="cols">
      {rows.map((row) => (
        <Recipe
          key={`${row.vinylId} ${row.fabric}`}
          row={row}
          onChange={() => onChange(row)}
          onSeen={() => onSeen(row)}
          onTakeBack={onTakeBack}
        />
      ))}
    </div>
  );
}

type RecipeProps = {
  readonly row: RecipeRow;
  readonly onChange: () => void;
  readonly onSeen: () => void;
  readonly onTakeBack: (id: number) => void;
};

function Recipe({ row, onChange, onSeen, onTakeBack }: RecipeProps) {
  const settings = useSettings();
  const { vinylName, colourHex, fabric, own, maker, sum, looks } = row;
  const title = `${vinylName} on ${FABRICS[fabric].label}`;
  return (
    <section className="sheet recipe" aria-label={title}>
      <div>
        <h2 className="flat">
          <Swatch colour={colourHex} />
          {title}
        </h2>
        <p className="flat above-1 text-large">
          {own ? <strong>{describeOwn(own, settings)}</strong> : 'As its maker says.'}{' '}
          {own && isOffMaker(own, maker) && <span className="tag bad">not as its maker says</span>}
        </p>
        <p className="soft flat above-1">
          {own && `${own.source}, since ${formatDay(own.day, settings)}${own.note ? `: ${own.note}` : ''}. `}
          {maker && `Its maker: ${describeMaker(maker, settings)}.`}
        </p>
      </div>
      <div>
        <p className="flat">
          {describeLooks(sum)} {sum.failedShare && <Why figure={sum.failedShare} />}
        </p>
        <ul className="bare flat pad-0 above-1">
          {looks.map(({ id, kind, pieces, washes, day, note }) => (
            <li key={id} className="soft">
              {formatDay(day, settings)}: {pieces} {LOOK_WORDS[kind]}
              {washes > 0 && `, ${plural(washes, 'wash')}`}
              {note && `, ${note}`}{' '}
              <Button
                size="small"
                variant="text"
                onClick={() => onTakeBack(id)}
                aria-label={`Take back: ${pieces} ${LOOK_WORDS[kind]}, ${day}`}
              >
                Take back
              </Button>
            </li>
          ))}
        </ul>
      </div>
      <div className="actions">
        <Button size="small" variant="outlined" onClick={onSeen}>
          What happened since
        </Button>
        <Button size="small" onClick={onChange}>
          {own ? 'Change' : 'Set your own'}
        </Button>
      </div>
    </section>
  );
}
