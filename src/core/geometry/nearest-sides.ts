// Where the edges of rings come nearest to each other across what lies on one side of them, by comparing short runs of
// them: the material of a piece, or air.

import { compareRuns, type LaidOut } from './compare-runs';
import type { EdgeRuns } from './edge-runs';
import type { FacingSides } from './facing-sides';
import type { OwnWidths } from './own-widths';
import type { Side } from './ring-edges';
import { scatter } from './scatter';
import type { Bounded, ThinPlace } from './thin-place';
import type { ThinSearch } from './thin-search';

/** So many runs of edges are compared with their neighbours first, which are looked for from a nearness on that doubles. */
const FIRST_RUNS = 100;
const FIRST_REACHES = 4096;
/** A place is looked for between rings only where it may be thinner than the thinnest known by more than this share. */
const NOT_WORTH_FINDING = 0.998;

type Compared = {
  readonly laid: LaidOut;
  readonly runs: EdgeRuns;
  readonly own: OwnWidths;
  readonly facing: FacingSides;
};
/** Takes a place that was found, in what rings of that group bound. */
type Take = (place: ThinPlace, group: number) => void;

export class NearestSides {
  private readonly runs: EdgeRuns;

  constructor(
    private readonly side: Side,
    private readonly bounded: Bounded,
    private readonly compared: Compared,
  ) {
    this.runs = compared.runs;
  }

  /**
   * Where two stretches of one ring come nearest to each other: at a waist, between two corners. Of long rings looks tell
   * it.
   */
  compareWithin({ limit, take }: ThinSearch): void {
    const { bounds, circles } = this.bounded;
    const { own, facing, laid } = this.compared;
    const { firstOf, list } = this.runs;
    const reach = () => limit() * NOT_WORTH_FINDING;
    for (const ring of scatter(bounds.length)) {
      const { group } = bounds[ring]!;
      if (!laid.edges.isLookedAt(ring, this.side) || !laid.edges.isShort(ring)) continue;
      // What bulges everywhere is nowhere narrower than the circles in it are.
      if (group >= 0 && laid.edges.isBulging(ring) && circles.hasRoom(group, reach())) continue;
      for (let one = firstOf[ring]!; one < firstOf[ring + 1]!; one++)
        this.runs.visitFacing(one, reach(), (mate) => {
          const nearest = own.compare(this.side, list[one]!, mate, reach());
          const place = nearest && facing.settle(...nearest);
          if (place && place !== 'corner') take(place, group);
        });
    }
  }

  /**
   * Where rings come nearest to one another: every two runs of edges whose boxes are nearer than the limit are
   * compared.
   */
  compareRings(limit: () => number, take: Take): void {
    for (let one = 0; one < this.runs.list.length; one++) this.compareToOthers(one, limit, take, one);
  }

  /**
   * A few runs, and what lies nearest to one of them, no further than `mostMm`: with a first bound all that follows looks
   * less far. Whether something was found.
   */
  compareFirst({ limit, take }: ThinSearch, mostMm: number): boolean {
    const most = Math.min(mostMm, limit());
    const some: number[] = [];
    for (const one of scatter(this.runs.list.length)) {
      if (some.length === FIRST_RUNS) break;
      if (this.hasNeighbours(this.groupOf(one))) some.push(one);
    }
    let found = false;
    const takeFirst: Take = (place, group) => {
      found = true;
      take(place, group);
    };
    for (let reach = mostMm / FIRST_REACHES; reach < most && !found && some.length > 0; reach *= 2)
      for (const one of some) this.compareToOthers(one, () => reach, takeFirst);
    return found;
  }

  /** Of the runs up to `met` only those that don't look round themselves: two that both do would meet twice. */
  private compareToOthers(one: number, limit: () => number, take: Take, met = -1): void {
    const { laid, facing } = this.compared;
    const { side } = this;
    const run = this.runs.list[one]!;
    const group = this.groupOf(one);
    if (!this.hasNeighbours(group)) return;
    for (const other of this.runs.findWithin(run, limit() * NOT_WORTH_FINDING)) {
      const mate = this.runs.list[other]!;
      const mates = this.groupOf(other);
      if (mate.ring === run.ring || !boundOneThing(side, group, mates)) continue;
      if (other <= met && this.hasNeighbours(mates)) continue;
      const nearest = compareRuns(laid, side, [run, mate], limit() * NOT_WORTH_FINDING);
      const place = nearest && facing.settle(...nearest);
      // Between rings of the air the place is its own: no copy has the same neighbours.
      if (place && place !== 'corner') take(place, side === 1 ? group : -1);
    }
  }

  /** What the ring of a run bounds. */
  private groupOf(run: number): number {
    return this.bounded.bounds[this.runs.list[run]!.ring]!.group;
  }

  /** What has one ring only, as a cavity or a piece without any, is narrow within that ring alone. */
  private hasNeighbours(group: number): boolean {
    const { rings, circles } = this.bounded;
    return rings.get(group)!.length > 1 && !circles.isCopy(group);
  }
}

/** Rings of another piece, or of the air in another cavity: what lies between them is of the other side. */
const boundOneThing = (side: Side, one: number, other: number): boolean =>
  side === 1 ? one === other : one === -1 || other === -1;
