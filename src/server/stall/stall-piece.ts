// A piece at the stall: how it looks, when it can be had, and taking it.

import type { InferType } from 'yup';
import type { stallAsk, stallInput } from '../../core/input/index';
import { askPieces } from '../../core/orders/index';
import { computeStallWait } from '../../core/scheduling/index';
import { dayOf, type Figure } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { findArtworkVersions } from '../../data/artwork-store';
import { addOrderEvent } from '../../data/order-event-store';
import { PAPER_COLOURS, UNCHOSEN } from '../../theme/tokens';
import type { StallAnswer, StallTaken } from '../../views/stall';
import { describeFitProblem } from '../../wording/lettering';
import { describeCostProblem } from '../../wording/problems';
import { pictureHref } from '../artwork/picture-file';
import { getSettings, getShop, type ShopContext } from '../context';
import type { Materials } from '../items/materials';
import { toAsked } from '../orders/asked-prices';
import { costOrder, type CostedLine } from '../orders/cost-order';
import { findTextProblems } from '../orders/line-texts';
import { addPayment } from '../orders/pay-order';
import { readBack } from '../orders/read-back';
import { placeOrder, requireStandingOrder } from '../orders/save-order';
import { readAhead } from './stall-queue';

type StallLine = InferType<typeof stallAsk>;

/** Sets its texts first, which takes a moment. */
export async function askStall(shop: ShopContext, line: StallLine): Promise<StallAnswer> {
  const [first] = await findTextProblems(shop, [line]);
  const { lines, materials } = costOrder(shop, [line]);
  const costed = lines[0]!;
  const { cost } = costed;
  const wait = cost.ok ? findWait(shop, costed) : null;
  const problems = [
    ...(first ? [`${first.wish.lettering.label} “${first.wish.text}”: ${describeFitProblem(first.problem)}`] : []),
    ...(cost.ok ? [] : [describeCostProblem(cost.problem, getSettings(shop))]),
  ];
  return {
    problem: problems[0] ?? null,
    ...drawPiece(shop, costed, materials),
    wait,
    readyAtMs: wait && shop.now() + wait.value * 1000,
  };
}

function findWait(shop: ShopContext, { line, cost }: CostedLine<StallLine>): Figure | null {
  if (!cost.ok) return null;
  const alone = cost.value.layers.reduce(
    (sum, { cutMachineSeconds, cutHandsSeconds }) => sum + Math.max(0, cutMachineSeconds.value - cutHandsSeconds),
    0,
  );
  return computeStallWait({
    ahead: readAhead(shop),
    ownHandsSeconds: cost.value.handsSeconds.value * line.quantity,
    ownMachineSeconds: alone * line.quantity,
  });
}

function drawPiece(
  shop: ShopContext,
  { item, cost: { made } }: CostedLine<StallLine>,
  { blanks, vinyls }: Materials,
): Pick<StallAnswer, 'ground' | 'drawings'> {
  const colour = blanks.get(item.blankId)?.colours.find(({ name }) => name === made.colourName);
  const ground = colour?.hex ?? PAPER_COLOURS.white;
  const ids = [...new Set(made.placements.map(({ artworkId }) => artworkId))];
  const versions = new Map(findArtworkVersions(shop.db, ids).map(({ id, version }) => [id, version]));
  return {
    ground,
    drawings: made.placements.map(({ artworkId, place, widthMm, vinylIds }) => ({
      href: pictureHref(
        { id: artworkId, version: versions.get(artworkId) ?? 1 },
        { colours: vinylIds.map((id) => vinyls.get(id)?.colourHex ?? UNCHOSEN.grey), ground },
      ),
      place,
      widthMm,
    })),
  };
}

const NOBODY = 'At the stall';

/** Order, payment and read-back at once, or nothing of them. Texts have to be set before. */
export function takeAtStall(shop: ShopContext, input: InferType<typeof stallInput>): StallTaken {
  return inTransaction(shop.db, () => {
    const { customerName, paidBy, isRead, ...line } = input;
    const costed = costOrder(shop, [line]).lines[0]!;
    const wait = findWait(shop, costed)?.value ?? 0;
    const agreed = askPieces([line], toAsked(costed.item));
    const said = line.texts.map(({ text }) => text.trim()).filter((text) => text !== '');
    const { id } = placeOrder(shop, {
      customerName: customerName || NOBODY,
      contact: '',
      title: (said.length > 0 ? `${said.join(' ')}, ${costed.item.name}` : costed.item.name).slice(0, TITLE_LETTERS),
      dueDay: dayOf(shop.now(), getShop(shop).timeZone),
      agreed,
      note: '',
      lines: [line],
    });
    addOrderEvent(shop.db, id, 'noted', shop.now(), { detail: 'taken at the stall' });
    if (paidBy !== null && agreed > 0) addPayment(shop, id, { kind: 'payment', amount: agreed, means: paidBy });
    if (isRead && said.length > 0) readAll(shop, id);
    return { id, readyAtMs: shop.now() + wait * 1000 };
  });
}
const TITLE_LETTERS = 120;

function readAll(shop: ShopContext, id: number): void {
  const { order } = requireStandingOrder(shop, id);
  readBack(shop, id, { lineIds: order.lines.map((line) => line.id), isRead: true, version: order.version });
}
