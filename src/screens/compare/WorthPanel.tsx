// Worth buying? A roll or sheets, a tool, a vinyl that needs no mat: each in one sentence, with the number at which it
// turns.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { computeExactCost, type ItemSpec } from '../../core/costing';
import { boxPiece, computeOutlay, findCheaperFrom, judgeMat, judgeTool, type PieceBox } from '../../core/planning';
import { fromPercent, toPercent } from '../../core/units';
import type { CompareOffer, CompareView } from '../../views/compare';
import { describeCheaperFrom, describeMat, describeTool } from '../../wording/worth-it';
import { MoneyInput } from '../shared/MoneyInput';
import { NumberInput } from '../shared/NumberInput';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';

type Props = {
  readonly view: CompareView;
  readonly spec: ItemSpec;
  readonly layerIndex: number;
  readonly quantity: number;
};

export function WorthPanel(props: Props) {
  return (
    <section className="sheet cols" aria-label="Worth buying">
      <h2 className="flat">Worth buying?</h2>
      <RollOrSheets {...props} />
      <ToolJudged {...props} />
      <MatOrNot {...props} />
    </section>
  );
}

function RollOrSheets({ view, spec, layerIndex, quantity }: Props) {
  const settings = useSettings();
  const { figures } = settings.shop;
  const layer = spec.layers[layerIndex];
  const own = useMemo(
    () => view.offers.filter((offer) => offer.vinylId === layer?.vinyl.id),
    [view.offers, layer?.vinyl.id],
  );
  const [chosen, setChosen] = useState<readonly [number | null, number | null]>([null, null]);
  const first = own.find((offer) => offer.id === chosen[0]) ?? own.find((offer) => offer.form === 'roll') ?? own[0];
  const second =
    own.find((offer) => offer.id === chosen[1]) ??
    own.find((offer) => offer.form === 'sheet' && offer.id !== first?.id) ??
    own.find((offer) => offer.id !== first?.id);
  const box = useMemo(() => layer && boxPiece(layer, figures), [layer, figures]);
  if (!layer || !box || !first || !second)
    return (
      <p className="soft flat">
        Roll or sheets: this needs two offers of {layer?.vinyl.name ?? 'the vinyl'}.{' '}
        <a href="/shelf/offers">Add one to the offers</a>
      </p>
    );
  return (
    <div className="cols gap-3">
      <div className="fields">
        {([first, second] as const).map((offer, at) => (
          <TextField
            key={at}
            select
            size="small"
            label={at === 0 ? 'This offer' : 'against this one'}
            value={offer.id}
            onChange={(event) =>
              setChosen(at === 0 ? [Number(event.target.value), chosen[1]] : [chosen[0], Number(event.target.value)])
            }
          >
            {own.map((option) => (
              <MenuItem key={option.id} value={option.id}>
                {option.name}, {option.supplierName}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </div>
      <CheaperFrom first={first} second={second} box={box} quantity={quantity} />
    </div>
  );
}

type CheaperFromProps = {
  readonly first: CompareOffer;
  readonly second: CompareOffer;
  readonly box: PieceBox;
  readonly quantity: number;
};

function CheaperFrom({ first, second, box, quantity }: CheaperFromProps) {
  const buys = [
    { offer: first.offer, supplier: first },
    { offer: second.offer, supplier: second },
  ] as const;
  const outlays = buys.map((buy) => computeOutlay(box, buy, quantity));
  return (
    <p className="flat">
      <strong>
        {describeCheaperFrom(
          first.name,
          second.name,
          findCheaperFrom(box, ...buys),
          findCheaperFrom(box, buys[1], buys[0]),
        )}
      </strong>{' '}
      For {quantity}:{' '}
      {outlays.map((outlay, at) => (
        <span key={at}>
          {at > 0 && ' against '}
          {outlay ? <Why figure={outlay} /> : 'it does not fit'}
        </span>
      ))}
      , shipping and all.
    </p>
  );
}

function ToolJudged({ spec, quantity }: Props) {
  const settings = useSettings();
  const { figures } = settings.shop;
  const [tool, setTool] = useState({ price: 1800, savesSeconds: 20, savesShare: 0, life: null as number | null });
  const atStake = useMemo(() => {
    const exact = computeExactCost(spec, quantity, figures);
    return exact.ok ? exact.value.atStake : 0;
  }, [spec, quantity, figures]);
  const { saves, from } = judgeTool(tool, atStake, figures.wagePerHour);
  const set = (part: Partial<typeof tool>) => setTool({ ...tool, ...part });
  return (
    <div className="cols gap-3">
      <div className="fields">
        <MoneyInput shown label="A tool costs more by" value={tool.price} onChange={(price) => set({ price })} />
        <NumberInput
          shown
          label="It saves each piece"
          unit="s"
          value={tool.savesSeconds}
          onChange={(savesSeconds) => set({ savesSeconds })}
        />
        <NumberInput
          shown
          label="Fewer spoiled"
          unit="%"
          value={toPercent(tool.savesShare)}
          onChange={(percent) => set({ savesShare: fromPercent(percent) })}
        />
        <NumberInput
          shown
          label="It lasts"
          unit="pieces, 0 for ever"
          value={tool.life ?? 0}
          onChange={(life) => set({ life: life > 0 ? life : null })}
        />
      </div>
      <p className="flat">
        <strong>{describeTool(from?.value ?? null, tool.life)}</strong> It saves <Why figure={saves} /> on each piece
        {from && (
          <>
            ; worked out: <Why figure={from} />
          </>
        )}
        .
      </p>
    </div>
  );
}

function MatOrNot({ spec, layerIndex, quantity }: Props) {
  const settings = useSettings();
  const { figures } = settings.shop;
  const layer = spec.layers[layerIndex];
  const [facts, setFacts] = useState({ handlingSeconds: 60, piecesPerLoad: 4, perM2: 100, leadMm: 60, leastMm: 150 });
  if (!layer) return null;
  const set = (part: Partial<typeof facts>) => setFacts({ ...facts, ...part });
  const { withMat, without, from } = judgeMat(
    layer,
    quantity,
    facts,
    spec.wear?.matLoad?.value ?? figures.matPrice / figures.matLifeLoads,
    figures,
  );
  return (
    <div className="cols gap-3">
      <div className="fields">
        <NumberInput
          shown
          label="With a mat: pieces a load"
          value={facts.piecesPerLoad}
          least={1}
          whole
          onChange={(piecesPerLoad) => set({ piecesPerLoad })}
        />
        <NumberInput
          shown
          label="handling a load"
          unit="s"
          value={facts.handlingSeconds}
          onChange={(handlingSeconds) => set({ handlingSeconds })}
        />
        <MoneyInput shown label="Without: dearer by a m²" value={facts.perM2} onChange={(perM2) => set({ perM2 })} />
        <NumberInput
          shown
          label="lead-in and lead-out"
          unit="mm"
          value={facts.leadMm}
          onChange={(leadMm) => set({ leadMm })}
        />
        <NumberInput
          shown
          label="shortest strip"
          unit="mm"
          value={facts.leastMm}
          onChange={(leastMm) => set({ leastMm })}
        />
      </div>
      <p className="flat">
        <strong>{describeMat(without.value < withMat.value, quantity, from)}</strong> Each: <Why figure={withMat} />{' '}
        with a mat, <Why figure={without} /> without.
      </p>
    </div>
  );
}
