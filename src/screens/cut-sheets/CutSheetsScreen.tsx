// Cut sheets: what waits of each vinyl, laid out on the stock in hand so that least is wasted; then cut, booked, and the rest kept.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { enqueueSnackbar } from 'notistack';
import { useMemo, useState } from 'react';
import { formatDay, formatLength } from '../../core/units';
import type { CutSheetsView, FrameView, StockChoice } from '../../views/views';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { NumberInput } from '../shared/NumberInput';
import { useSettings } from '../shared/settings';
import { LoadPanel } from './LoadPanel';
import { orderStock, type Group } from './cut-load';

export function CutSheetsScreen({ frame, view }: { frame: FrameView; view: CutSheetsView }) {
  return <Frame frame={frame} current="cut-sheets"><CutSheets initial={view} /></Frame>;
}

const dueOf = (group: Group) => group.parts.reduce((first, part) => (part.dueDay < first ? part.dueDay : first), group.parts[0]!.dueDay);
const count = (number: number, one: string) => `${number} ${one}${number === 1 ? '' : 's'}`;

function CutSheets({ initial }: { initial: CutSheetsView }) {
  const settings = useSettings();
  const [view, setView] = useState(initial);
  const [vinylId, setVinylId] = useState(initial.groups[0]?.vinyl.id ?? 0);
  const group = view.groups.find((candidate) => candidate.vinyl.id === vinylId) ?? view.groups[0];
  const reload = async () => {
    try {
      setView(await callApi<CutSheetsView>('GET', '/api/cut-sheets'));
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  if (!group) return <><div className="page-head"><h1 style={{ margin: 0 }}>Nothing waits to be cut</h1></div><div className="sheet empty"><p>Parts come here with the orders they are of, by vinyl.</p><Button variant="contained" href="/orders/new">Take an order</Button></div></>;
  return (
    <>
      <div className="page-head"><div><h1 style={{ margin: 0 }}>{count(view.groups.reduce((sum, one) => sum + one.parts.length, 0), 'part')} wait to be cut from {count(view.groups.length, 'vinyl')}</h1><p className="soft" style={{ margin: '4px 0 0' }}>The first is due on {formatDay(dueOf(view.groups[0]!), settings)}: {view.groups[0]!.vinyl.name}.</p></div></div>
      <div className="cols" style={{ gridTemplateColumns: '290px minmax(0, 1fr)', alignItems: 'start' }}>
        <nav className="sheet flush queue-nav" aria-label="Vinyls">
          <ul className="queue">{view.groups.map((one) => <li key={one.vinyl.id}><button type="button" aria-pressed={one === group} onClick={() => setVinylId(one.vinyl.id)}><i className="swatch" style={{ background: one.vinyl.colourHex }} />{one.vinyl.name}<small>{count(one.parts.length, 'part')}, due {formatDay(dueOf(one), settings)}; {one.stock.length === 0 ? 'nothing on the shelf' : count(one.stock.length, 'lot')}</small></button></li>)}</ul>
        </nav>
        <VinylLoad key={`${group.vinyl.id} ${group.parts.map((part) => part.partId).join(' ')}`} view={view} group={group} onCut={() => void reload()} />
      </div>
    </>
  );
}

/** Any stock of the vinyl, one lot of it, or a piece that was measured by hand. */
type StockWish = 'shelf' | 'typed' | number;

function VinylLoad({ view, group, onCut }: { view: CutSheetsView; group: Group; onCut: () => void }) {
  const settings = useSettings();
  const [chosen, setChosen] = useState<ReadonlySet<number>>(() => new Set(group.parts.map((part) => part.partId)));
  const [wish, setWish] = useState<StockWish>(group.stock.length > 0 ? 'shelf' : 'typed');
  const [typed, setTyped] = useState({ widthMm: group.vinyl.rollWidthMm, lengthMm: 1000 });
  const [gapMm, setGapMm] = useState(view.gapMm);
  const stock = useMemo((): readonly StockChoice[] => {
    if (wish === 'shelf') return orderStock(group.stock);
    const lot = group.stock.find((choice) => choice.lotId === wish);
    return lot ? [lot] : [{ lotId: 0, form: 'roll', widthMm: typed.widthMm, lengthMm: null, left: typed.lengthMm, shape: null, code: null }];
  }, [wish, typed, group.stock]);
  const byItem = useMemo(() => {
    const found = new Map<string, Group['parts'][number][]>();
    for (const part of group.parts) {
      const key = `${part.orderId} ${part.itemName} ${part.layerName}`;
      found.set(key, [...(found.get(key) ?? []), part]);
    }
    return [...found.values()];
  }, [group.parts]);
  const toggle = (ids: readonly number[], on: boolean) => setChosen((before) => new Set(on ? [...before, ...ids] : [...before].filter((id) => !ids.includes(id))));
  const nameLot = ({ form, code, lotId, widthMm, lengthMm, left }: StockChoice) => (form === 'roll' ? `Roll ${lotId}, ${formatLength(widthMm, settings)} wide, ${formatLength(left, settings)} left` : `${form === 'offcut' ? `Offcut ${code ?? lotId}` : `${Math.round(left)} × sheet`}, ${formatLength(widthMm, settings)} × ${formatLength(lengthMm ?? 0, settings)}`);
  return (
    <div className="cols">
      <section className="sheet cols" aria-label="What is laid out">
        <div className="readings">{byItem.map((parts) => {
          const ids = parts.map((part) => part.partId), on = ids.filter((id) => chosen.has(id)).length;
          const [first] = parts;
          return <FormControlLabel key={ids[0]} control={<Checkbox size="small" checked={on === ids.length} indeterminate={on > 0 && on < ids.length} onChange={(_, checked) => toggle(ids, checked)} />} label={<span>{parts.length} × {first!.layerName}, {first!.itemName} <span className="soft">for {first!.orderTitle}, {formatDay(first!.dueDay, settings)}, {formatLength(first!.widthMm, settings)} wide{first!.broken ? ', to be cut again' : ''}</span></span>} />;
        })}</div>
        <div className="fields" style={{ gridTemplateColumns: 'minmax(0, 2.4fr) minmax(0, .8fr) minmax(0, 1fr) minmax(0, 1fr)' }}>
          <TextField select label="Cut from" value={wish} onChange={(event) => setWish(event.target.value as StockWish)}>
            {group.stock.length > 0 && <MenuItem value="shelf">the shelf: offcuts first, then sheets, then the roll</MenuItem>}
            {orderStock(group.stock).map((choice) => <MenuItem key={choice.lotId} value={choice.lotId}>{nameLot(choice)}</MenuItem>)}
            <MenuItem value="typed">a piece of this size</MenuItem>
          </TextField>
          <NumberInput shown label="Gap" unit="mm" value={gapMm} onChange={setGapMm} />
          {wish === 'typed' && <><NumberInput shown label="As read: width" unit="mm" value={typed.widthMm} least={10} onChange={(widthMm) => setTyped({ ...typed, widthMm })} /><NumberInput shown label="length" unit="mm" value={typed.lengthMm} least={10} onChange={(lengthMm) => setTyped({ ...typed, lengthMm })} /></>}
        </div>
      </section>
      <LoadPanel view={view} group={group} parts={group.parts.filter((part) => chosen.has(part.partId))} stock={stock} gapMm={gapMm} bookable={wish !== 'typed'} nameLot={nameLot} onCut={onCut} />
    </div>
  );
}
