// Findings about an artwork and their remedies in words.

import type { Finding, LayerRole, Licence, StepAction } from '../core/artwork';
import { formatArea, formatLength, formatPath, type FormatSettings } from '../core/units';
import { plural } from './plural';

type Names = (layer: string) => string;

const NOT_WITHIN_REACH =
  'No width that this vinyl comes in mends that: choose one that takes finer detail, or make the place wider in the drawing.';

/** What is found, in a heading and a sentence. `nameOf` gives a layer's name. */
export function describeFinding(
  finding: Finding,
  nameOf: Names,
  settings: FormatSettings,
): { readonly what: string; readonly detail: string } {
  const mm = (value: number, digits = 1) => formatLength(value, settings, digits);
  switch (finding.kind) {
    case 'thin-strokes':
      return {
        what: `${nameOf(finding.layer)}: strokes down to ${mm(finding.thinnestMm, 2)}`,
        detail: `Its vinyl holds from ${mm(finding.floorMm)}. ${finding.withinReach ? `It cuts well from ${mm(finding.safeWidthMm, 0)} up, or from a vinyl that takes finer detail.` : NOT_WITHIN_REACH}`,
      };
    case 'thin-gaps':
      return {
        what: `${nameOf(finding.layer)}: gaps down to ${mm(finding.thinnestMm, 2)}`,
        detail: `Below ${mm(finding.floorMm)} the sides of a gap lift together when it is weeded. ${finding.withinReach ? `It weeds well from ${mm(finding.safeWidthMm, 0)} up.` : NOT_WITHIN_REACH}`,
      };
    case 'too-wide':
      return {
        what: `${nameOf(finding.layer)} is ${mm(finding.needsMm)} wide, its vinyl takes ${mm(finding.usableMm)}`,
        detail: finding.fitsTurned
          ? 'Turned by a quarter it fits.'
          : 'Shrink it, choose a wider vinyl, or part it into loads side by side.',
      };
    case 'doubled':
      return {
        what: `${nameOf(finding.layer)}: ${plural(finding.count, 'doubled line')}`,
        detail: 'They lie within a hair of another line, would be cut twice, and lift.',
      };
    case 'crossing':
      return {
        what: `${nameOf(finding.layer)}: shapes cross each other`,
        detail: `The knife would follow ${formatPath(finding.extraMm, settings)} inside the outline.`,
      };
    case 'specks':
      return {
        what: `${nameOf(finding.layer)}: ${plural(finding.count, 'speck')} under ${formatArea(finding.underMm2, settings)}`,
        detail: 'Bits so small get lost or stick to the hook.',
      };
    case 'open-paths':
      return {
        what: `${nameOf(finding.layer)}: ${plural(finding.count, 'open path')}`,
        detail: 'Its ends lie apart. It is measured as if a straight line closed it.',
      };
    case 'strokes-apart':
      return {
        what: `${plural(finding.count, 'line')} drawn as strokes`,
        detail: 'A stroke has no area to cut until it is an outline.',
      };
    case 'colour-on-colour':
      return {
        what: `${nameOf(finding.upper)} lies on ${nameOf(finding.lower)}`,
        detail: `Nothing holds on that vinyl: ${formatArea(finding.areaMm2, settings)} have to be knocked out under it, less a small overlap.`,
      };
    case 'too-thick':
      return {
        what: `${finding.depth} vinyls on one another`,
        detail: `More than three get stiff and lift at the edges, here over ${formatArea(finding.areaMm2, settings)}.`,
      };
    case 'like-colours':
      return {
        what: `${nameOf(finding.layer)} is nearly the colour of ${nameOf(finding.into)}`,
        detail: 'Drawn twice by mistake, they would be two loads of the same vinyl.',
      };
    default:
      return finding satisfies never;
  }
}

/** The button that takes a remedy. */
export function describeRemedy(step: StepAction, nameOf: Names, settings: FormatSettings): string {
  switch (step.kind) {
    case 'size':
      return `Make it ${formatLength(step.widthMm ?? 0, settings, 0)} wide`;
    case 'open-paths':
      return {
        close: 'Close them',
        'leave-out': 'Leave them out',
        stroke: `Cut them as lines of ${formatLength(step.widthMm, settings)}`,
      }[step.how];
    case 'split':
      return 'Divide it into loads';
    case 'merge':
      return `Merge into ${nameOf(step.into)}`;
    default:
      return describeStep(step, nameOf, settings);
  }
}

/** A step as the list of steps shows it. */
export function describeStep(step: StepAction, nameOf: Names, settings: FormatSettings): string {
  const mm = (value: number, digits = 1) => formatLength(value, settings, digits);
  switch (step.kind) {
    case 'size':
      return step.fit && step.widthMm && step.heightMm
        ? `Fit into ${mm(step.widthMm)} × ${mm(step.heightMm)}`
        : step.widthMm
          ? `${mm(step.widthMm)} wide`
          : `${mm(step.heightMm ?? 0)} high`;
    case 'rotate':
      return `Turn by ${step.degrees}°`;
    case 'outline-strokes':
      return 'Turn strokes into outlines';
    case 'merge':
      return `Merge ${nameOf(step.layer)} into ${nameOf(step.into)}`;
    case 'leave-out':
      return `Leave out ${nameOf(step.layer)}`;
    case 'open-paths':
      return {
        close: 'Close open paths',
        'leave-out': 'Leave out open paths',
        stroke: `Open paths as lines of ${mm(step.widthMm)}`,
      }[step.how];
    case 'remove-doubled':
      return 'Remove doubled lines';
    case 'remove-specks':
      return `Remove specks under ${formatArea(step.underMm2, settings)}`;
    case 'unite':
      return 'Unite crossing shapes';
    case 'offset':
      return step.copy
        ? `Outline of ${mm(step.byMm)} around ${nameOf(step.layer)}`
        : `${step.byMm < 0 ? 'Inset' : 'Grow'} ${nameOf(step.layer)} by ${mm(Math.abs(step.byMm))}`;
    case 'knock-out':
      return `Knock ${nameOf(step.upper)} out of ${nameOf(step.lower)}, less ${mm(step.overlapMm)}`;
    case 'negative':
      return `Negative of ${nameOf(step.layer)}`;
    case 'registration':
      return 'Registration marks';
    case 'weed-boxes':
      return `Weed boxes in ${nameOf(step.layer)}`;
    case 'loose':
      return `${nameOf(step.layer)} may be moved apart`;
    case 'role':
      return `${nameOf(step.layer)}: ${LAYER_ROLE_NAMES[step.role]}`;
    case 'split':
      return `Part ${nameOf(step.layer)} into loads of ${mm(step.mostMm)} at most`;
    case 'stone-template':
      return `Template for stones of ${mm(step.diameterMm)}, ${nameOf(step.layer)}`;
    default:
      return step satisfies never;
  }
}

export const LAYER_ROLE_NAMES: Readonly<Record<LayerRole, string>> = {
  worn: 'on the blank',
  stencil: 'a stencil or template',
  product: 'a product of its own',
  guide: 'a guide, not cut',
};

export const LICENCE_NAMES: Readonly<Record<Licence, string>> = {
  unknown: 'not known yet',
  own: 'drawn by you',
  'for-sale': 'bought, for things you sell',
  customer: 'the customer’s own',
  open: 'open licence',
  'personal-only': 'personal use only',
};

/** A caution on the right to use a drawing; null where none is due. */
export function describeLicenceCaution(licence: Licence): string | null {
  if (licence === 'personal-only')
    return 'For personal use only: don’t sell anything with it until you have a licence that allows it.';
  return licence === 'unknown'
    ? 'Whose drawing is it? Logos, characters, team names and pictures found on the web are somebody’s.'
    : null;
}

/** The first sentence on a drawing: whether it can be cut, and what to do where it can’t. */
export function describeVerdict(
  findings: readonly Finding[],
  summary: string,
  nameOf: Names,
  settings: FormatSettings,
): string {
  const widths = findings.flatMap((finding) =>
    finding.kind === 'thin-strokes' || finding.kind === 'thin-gaps' ? [finding] : [],
  );
  const tooWide = findings.find((finding) => finding.kind === 'too-wide');
  if (tooWide?.kind === 'too-wide')
    return `Too wide for its vinyl. ${tooWide.fitsTurned ? 'Turn it, or make it' : 'Make it'} ${formatLength(tooWide.shrinkToMm, settings, 0)} wide.`;
  if (widths.length > 0) {
    const widest = widths.reduce((a, b) => (b.safeWidthMm > a.safeWidthMm ? b : a));
    if (!widest.withinReach)
      return `Too fine for the vinyl of ${nameOf(widest.layer)}: use one that takes finer detail there.`;
    return `Cut it at ${formatLength(widest.safeWidthMm, settings, 0)} or wider, or use a vinyl for ${nameOf(widest.layer)} that takes finer detail.`;
  }
  if (findings.length > 0) return `${summary}. ${plural(findings.length, 'thing')} to look at before it is cut.`;
  return `Ready to cut: ${summary}.`;
}
