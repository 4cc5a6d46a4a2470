// From the text of an SVG file to an Artwork: which shapes are painted, in which colour, where, in mm. Nothing in the
// file is executed or fetched; what can't be cut is listed by name.

import { composeMatrices, IDENTITY, translation, type Contour } from '../geometry';
import { fail, succeed, type Result, CROSS_NOISE } from '../units';
import type { Artwork, ReadProblem, Shape, StrokeShape } from './artwork';
import { LeftOutTally } from './left-out';
import { inheritPaint, INITIAL_PAINT, parseOpacity, resolvePaint, type PaintServers } from './paint';
import { parseStyleSheet, resolveDeclarations, type StyleSheet } from './style-sheet';
import { parseSvgLength, PX_PER_INCH } from './svg-lengths';
import { readTransform } from './svg-transform';
import { outlineShape, SHAPE_NAMES } from './svg-shapes';
import { parseXml, type XmlElement } from './xml-tree';
import { findOwnBox } from './svg-box';
import {
  NEVER_DRAWN,
  GROUPS,
  isSet,
  isShownHere,
  isOutside,
  nameOf,
  collectText,
  placeContours,
  refuseEarly,
} from './svg-elements';
import { enterViewport, placeRoot, type Place } from './svg-viewport';

/** Elements visited at most, repeats by <use> included: a small file can ask for billions. */
const VISIT_LIMIT = 200_000;
/**
 * `pxPerInch`: how many of the drawing's units an inch has where the file states no size; 96 unless given, 20 to 1200.
 */
export type ReadOptions = { readonly pxPerInch?: number };

/**
 * The artwork in a file. A size that is missing or in percent is taken from the viewBox (or the drawing's units) at
 * 96 units to the inch. Problems: everything of ReadProblem but nothing else; what could be read in part is in
 * `leftOut`.
 */
export function readSvg(text: string, { pxPerInch = PX_PER_INCH }: ReadOptions = {}): Result<Artwork, ReadProblem> {
  const refused = refuseEarly(text);
  if (refused) return fail(refused);
  const parsed = parseXml(text.replace(/^\uFEFF/, ''));
  if (!parsed.ok) return parsed;
  const root = parsed.value;
  if (root.name !== 'svg') return fail({ kind: 'not-svg', found: `<${root.name.slice(0, 40)}>` });
  return new SvgReader(root, pxPerInch).read();
}

class SvgReader {
  private readonly layers = new Map<string, Shape[]>();
  private readonly strokes: StrokeShape[] = [];
  private readonly leftOut = new LeftOutTally();
  private readonly byId = new Map<string, XmlElement>();
  private readonly sheets: StyleSheet[] = [];
  private readonly servers: PaintServers;
  private gradients = 0;
  private visits = 0;

  constructor(
    private readonly root: XmlElement,
    private readonly pxPerInch: number,
  ) {
    this.servers = { findById: (id) => this.byId.get(id), sheets: this.sheets };
  }

  read(): Result<Artwork, ReadProblem> {
    this.index(this.root);
    const { place, isStated } = placeRoot(this.root, this.pxPerInch);
    this.visitChildren(this.root, this.enter(this.root, place) ?? place);
    if (this.visits > VISIT_LIMIT) return fail({ kind: 'too-many-elements', limit: VISIT_LIMIT });
    const layers = [...this.layers].map(([colour, shapes]) => ({ colour, shapes }));
    if (layers.length === 0 && this.strokes.length === 0)
      return fail({ kind: 'nothing-to-cut', leftOut: this.leftOut.list() });
    return succeed({
      layers,
      strokes: this.strokes,
      leftOut: this.leftOut.list(),
      gradients: this.gradients,
      size: isStated ? 'stated' : 'assumed',
    });
  }

  private index(element: XmlElement): void {
    const id = element.attributes['id'];
    if (id && !this.byId.has(id)) this.byId.set(id, element);
    if (element.name === 'style') {
      const sheet = parseStyleSheet(element.text);
      this.sheets.push(sheet);
      for (const unread of sheet.unread) this.leftOut.add('style-rule', unread);
    }
    if (element.name === 'script') this.leftOut.add('script', nameOf(element));
    if (Object.keys(element.attributes).some((name) => /^on[a-z]+$/i.test(name)))
      this.leftOut.add('script', nameOf(element));
    for (const child of element.children) this.index(child);
  }

  /** The state inside an element, or null when it paints nothing at all. */
  private enter(element: XmlElement, outer: Place): Place | null {
    const styles = resolveDeclarations(element, this.sheets);
    if (styles.get('display') === 'none') return null;
    const own = readTransform(styles, outer.viewport);
    if (!own) this.leftOut.add('bad-path', `${nameOf(element)}, transform`);
    const matrix = composeMatrices(outer.matrix, own ?? IDENTITY);
    const opacity = outer.opacity * parseOpacity(styles.get('opacity'), 1);
    if (opacity === 0) return null;
    if (isSet(styles.get('mask'))) this.leftOut.add('mask', nameOf(element));
    if (isSet(styles.get('filter'))) this.leftOut.add('filter', nameOf(element));
    const place: Place = { ...outer, matrix, opacity, paint: inheritPaint(outer.paint, styles) };
    const clip = this.readClip(styles.get('clip-path'), element, place);
    return clip ? { ...place, clips: [...place.clips, clip] } : place;
  }

  private visitChildren(element: XmlElement, place: Place): void {
    const shown = element.children.filter(isShownHere);
    const children =
      element.name === 'switch' ? shown.filter((child) => child.name !== 'foreignObject').slice(0, 1) : shown;
    for (const child of children) this.visit(child, place);
  }

  private visit(element: XmlElement, outer: Place): void {
    if (++this.visits > VISIT_LIMIT) return;
    const { name } = element;
    if (NEVER_DRAWN.has(name)) return;
    const known = GROUPS.has(name) || SHAPE_NAMES.has(name) || name === 'use';
    const place = this.enter(element, outer);
    if (!place) return;
    if (!known) return this.noteUncuttable(element);
    if (name === 'use') this.visitUse(element, place);
    else if (name === 'svg')
      this.visitChildren(element, enterViewport(this.sheets, element, place, element.attributes));
    else if (GROUPS.has(name)) this.visitChildren(element, place);
    else this.addShape(element, place);
  }

  private noteUncuttable(element: XmlElement): void {
    if (element.name === 'text') this.leftOut.add('text', collectText(element));
    else if (element.name === 'image')
      this.leftOut.add(isOutside(element.attributes['href']) ? 'outside-link' : 'image', nameOf(element));
    else if (element.name === 'foreignObject') this.leftOut.add('unknown-shape', nameOf(element));
  }

  private visitUse(element: XmlElement, place: Place): void {
    const link = element.attributes['href'] ?? '';
    if (isOutside(link)) return this.leftOut.add('outside-link', link);
    const id = link.slice(1);
    const target = this.byId.get(id);
    if (!target || place.uses.includes(id) || place.uses.length > 32)
      return this.leftOut.add('unknown-shape', `${nameOf(element)} → ${link}`);
    const x = parseSvgLength(element.attributes['x'], place.viewport.width) ?? 0;
    const y = parseSvgLength(element.attributes['y'], place.viewport.height) ?? 0;
    const moved: Place = {
      ...place,
      matrix: composeMatrices(place.matrix, translation(x, y)),
      uses: [...place.uses, id],
    };
    if (target.name !== 'symbol' && target.name !== 'svg') return this.visit(target, moved);
    const inside = this.enter(target, moved);
    if (inside)
      this.visitChildren(
        target,
        enterViewport(this.sheets, target, inside, {
          ...target.attributes,
          x: '0',
          y: '0',
          width: element.attributes['width'] ?? target.attributes['width'] ?? '100%',
          height: element.attributes['height'] ?? target.attributes['height'] ?? '100%',
        }),
      );
  }

  private addShape(element: XmlElement, place: Place): void {
    if (!place.paint.visible) return;
    const drawn = this.readOutline(element, place);
    if (drawn.length === 0) return;
    const { paint } = place;
    const stroke = resolvePaint(paint.stroke, paint.color, this.servers);
    const strokeWidth = parseSvgLength(paint.strokeWidth, place.viewport.width) ?? 1;
    if ((stroke.kind === 'flat' || stroke.kind === 'gradient') && strokeWidth > 0 && paint.strokeOpacity > 0)
      this.addStroke(element, place, { colour: stroke.colour, width: strokeWidth, contours: drawn });
    const fill =
      element.name === 'line' || paint.fillOpacity === 0
        ? ({ kind: 'nothing' } as const)
        : resolvePaint(paint.fill, paint.color, this.servers);
    if (fill.kind === 'nothing') return;
    if (fill.kind === 'pattern') return this.leftOut.add('pattern', fill.id);
    if (fill.kind === 'gradient') this.gradients++;
    const contours = placeContours(drawn, place.matrix);
    if (contours.length === 0) return;
    const shape: Shape = { contours, rule: paint.fillRule, clips: place.clips };
    const shapes = this.layers.get(fill.colour);
    if (shapes) shapes.push(shape);
    else this.layers.set(fill.colour, [shape]);
  }

  private addStroke(element: XmlElement, place: Place, line: Pick<StrokeShape, 'colour' | 'width' | 'contours'>): void {
    const { paint, matrix } = place;
    // A flattened plane has no inside, and a pen no width in it.
    if (
      Math.abs(matrix.a * matrix.d - matrix.b * matrix.c) < CROSS_NOISE ||
      placeContours(line.contours, matrix).length === 0
    )
      return;
    this.leftOut.add('stroke', nameOf(element));
    this.strokes.push({
      ...line,
      matrix,
      join: paint.strokeJoin,
      cap: paint.strokeCap,
      miterLimit: paint.miterLimit,
      clips: place.clips,
    });
  }

  /** The outline in the element's own units; empty where its size is nought. */
  private readOutline(element: XmlElement, place: Place): readonly Contour[] {
    const styles = resolveDeclarations(element, this.sheets);
    const outline = outlineShape(element.name, (attribute) => styles.get(attribute), place.viewport);
    if (!outline.complete) this.leftOut.add('bad-path', nameOf(element));
    return outline.contours;
  }

  /**
   * The shapes of a clip path in mm; null where none applies. An unknown reference clips nothing (CSS Masking, 5.1).
   */
  private readClip(value: string | undefined, clipped: XmlElement, place: Place): readonly Shape[] | null {
    const id = /^url\(\s*["']?#([^"')]+)["']?\s*\)/.exec(value ?? '')?.[1];
    const target = id ? this.byId.get(id) : undefined;
    // A clip path that clips itself is no valid reference.
    if (target?.name !== 'clipPath' || (id && place.uses.includes(id))) return null;
    const units = target.attributes['clipPathUnits'] === 'objectBoundingBox' ? this.fitToBox(clipped, place) : place;
    // Units of a box that has no area leave nothing (CSS Masking, 6).
    if (!units) return [];
    const inner = this.enterClip(target, { ...units, clips: [], paint: INITIAL_PAINT, opacity: 1 });
    return inner ? target.children.flatMap((child) => this.collectClipShapes(child, inner)) : [];
  }

  /** The place in which one unit is the width and height of what is clipped; null where that has no area. */
  private fitToBox(element: XmlElement, place: Place): Place | null {
    const box = findOwnBox(element, { byId: this.byId, sheets: this.sheets, viewport: place.viewport });
    if (!box || box.width === 0 || box.height === 0) return null;
    const toBox = { a: box.width, b: 0, c: 0, d: box.height, e: box.x, f: box.y };
    return { ...place, matrix: composeMatrices(place.matrix, toBox), viewport: { width: 1, height: 1 } };
  }

  private enterClip(element: XmlElement, place: Place): Place | null {
    return place.uses.length > 32
      ? null
      : this.enter(element, { ...place, uses: [...place.uses, element.attributes['id'] ?? ''] });
  }

  private collectClipShapes(element: XmlElement, outer: Place): Shape[] {
    if (++this.visits > VISIT_LIMIT) return [];
    const place = this.enter(element, outer);
    if (!place || !place.paint.visible) return [];
    if (element.name === 'use') {
      const target = this.byId.get((element.attributes['href'] ?? '').replace(/^#/, ''));
      if (!target || !SHAPE_NAMES.has(target.name)) return [];
      const x = parseSvgLength(element.attributes['x'], 0) ?? 0;
      const y = parseSvgLength(element.attributes['y'], 0) ?? 0;
      return this.collectClipShapes(target, { ...place, matrix: composeMatrices(place.matrix, translation(x, y)) });
    }
    if (!SHAPE_NAMES.has(element.name)) return [];
    return [
      {
        contours: placeContours(this.readOutline(element, place), place.matrix),
        rule: place.paint.clipRule,
        clips: place.clips,
      },
    ];
  }
}
