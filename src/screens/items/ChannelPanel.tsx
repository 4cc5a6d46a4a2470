// What each channel takes: the price needed there, and what this price leaves.

import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { ItemCost } from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import { findSteepness, priceOnChannel, readChannel, type ChannelGoal, type ChannelProblem } from '../../core/pricing';
import { formatShare, minor, type Figure, type Result } from '../../core/units';
import { describeChannelProblem, describeSteepness } from '../../wording/problems';
import { callApi } from '../shared/api';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { ChannelView } from '../../views/channels';
import { NumberHead } from '../shared/NumberHead';
import { late } from '../shared/late';

const ChannelDialog = late(() => import('./ChannelDialog'));

export function ChannelPanel({
  initial,
  cost,
  price,
  figures,
}: {
  initial: readonly ChannelView[];
  cost: ItemCost;
  price: number;
  figures: ShopFigures;
}) {
  const client = useQueryClient();
  const { data: channels } = useQuery({
    queryKey: ['channels'],
    queryFn: ({ signal }) => callApi<readonly ChannelView[]>('GET', '/api/channels', undefined, signal),
    initialData: initial,
  });
  const [open, setOpen] = useState<{ readonly channel: ChannelView | null } | null>(null);
  const done = () => {
    setOpen(null);
    void client.invalidateQueries({ queryKey: ['channels'] });
  };
  return (
    <section className="sheet flush" aria-label="By channel" tabIndex={0}>
      <ChannelTable figures={figures} channels={channels} cost={cost} price={price} setOpen={setOpen} />
      <div className="actions pad-top-3 pad-right-4 pad-bottom-3 pad-left-4 apart middle">
        <span className="soft">The last three columns are at your price.</span>
        <Button size="small" onClick={() => setOpen({ channel: null })}>
          Add a channel
        </Button>
      </div>
      {open && <ChannelDialog channel={open.channel} onClose={() => setOpen(null)} onDone={done} />}
    </section>
  );
}

type ChannelTableProps = {
  readonly figures: ShopFigures;
  readonly channels: readonly ChannelView[];
  readonly cost: ItemCost;
  readonly price: number;
  readonly setOpen: React.Dispatch<React.SetStateAction<{ readonly channel: ChannelView | null } | null>>;
};

function ChannelTable({ figures, channels, cost, price, setOpen }: ChannelTableProps) {
  const settings = useSettings();
  const wageGoal: ChannelGoal = { kind: 'wage', perHour: figures.wageGoalPerHour };
  const marginGoal: ChannelGoal = { kind: 'margin', share: figures.marginGoal };
  return (
    <table className="plain">
      <thead>
        <tr>
          <th scope="col">sold at</th>
          <NumberHead>for your wage</NumberHead>
          <NumberHead>for a margin of {formatShare(figures.marginGoal, settings, 0)}</NumberHead>
          <NumberHead>it takes</NumberHead>
          <NumberHead>yours</NumberHead>
          <NumberHead>an hour earns</NumberHead>
        </tr>
      </thead>
      <tbody>
        {channels.map((channel) => {
          const wage = priceOnChannel(wageGoal, cost, channel);
          const margin = priceOnChannel(marginGoal, cost, channel);
          const reading = readChannel(minor(price), cost, channel);
          return (
            <tr key={channel.id}>
              <td>
                <button type="button" className="quiet thing" onClick={() => setOpen({ channel })}>
                  {channel.name}
                </button>{' '}
                <span className="soft">{channel.kind}</span>
              </td>
              <td className="num">
                <ChannelPrice price={wage} goal={wageGoal} channel={channel} />
              </td>
              <td className="num">
                <ChannelPrice price={margin} goal={marginGoal} channel={channel} />
              </td>
              <td className="num">
                <Why figure={reading.fees} />
              </td>
              <td className={`num ${reading.yours.value < 0 ? 'short' : ''}`}>
                <Why figure={reading.yours} />
              </td>
              <td
                className={`num ${reading.hourEarns && reading.hourEarns.value < figures.wagePerHour ? 'short' : ''}`}
              >
                {reading.hourEarns ? <Why figure={reading.hourEarns} /> : '–'}
              </td>
            </tr>
          );
        })}
        {channels.length === 0 && (
          <tr>
            <td colSpan={6} className="soft">
              Say where you sell, and what that takes: the price needed at each stands here.
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

type ChannelPriceProps = {
  readonly price: Result<Figure, ChannelProblem>;
  readonly goal: ChannelGoal;
  readonly channel: ChannelView;
};

/** The price needed, why there is none, or that it stands on little. */
function ChannelPrice({ price, goal, channel }: ChannelPriceProps) {
  const settings = useSettings();
  if (!price.ok)
    return (
      <span className="short" title={describeChannelProblem(price.problem, settings)}>
        none
      </span>
    );
  const steepness = findSteepness(goal, channel);
  return (
    <>
      <Why figure={price.value} />
      {steepness !== null && (
        <span className="short block text-small" title={describeSteepness(steepness, settings)}>
          steep
        </span>
      )}
    </>
  );
}
