// The elements of an XML file as a plain tree. Nothing is fetched or expanded beyond short flat entities.

import { SaxesParser } from 'saxes';
import { fail, succeed, type Result } from '../units';
import type { ReadProblem } from './artwork';

export type XmlElement = {
  /** Local name without its prefix. */
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: XmlElement[];
  readonly parent: XmlElement | null;
  text: string;
};

const DEPTH_LIMIT = 256;
const ELEMENT_LIMIT = 200_000;
const ENTITY_LENGTH_LIMIT = 256;

class Refusal extends Error {
  constructor(readonly problem: ReadProblem) {
    super(problem.kind);
  }
}

/** The root element. Problems: broken-file with line and column, forbidden-entity, too-deep, too-many-elements. */
export function parseXml(text: string): Result<XmlElement, ReadProblem> {
  const parser = new SaxesParser();
  let root: XmlElement | null = null;
  let open: XmlElement | null = null;
  let depth = 0;
  let elements = 0;
  const namespaces: Namespaces[] = [new Map()];
  parser.on('doctype', (doctype) => admitEntities(doctype, parser.ENTITIES));
  parser.on('opentag', (tag) => {
    if (++depth > DEPTH_LIMIT) throw new Refusal({ kind: 'too-deep', limit: DEPTH_LIMIT });
    if (++elements > ELEMENT_LIMIT) throw new Refusal({ kind: 'too-many-elements', limit: ELEMENT_LIMIT });
    const declared = readNamespaces(tag.attributes, namespaces.at(-1)!);
    namespaces.push(declared);
    const element: XmlElement = {
      name: isForeign(tag.name, declared) ? FOREIGN : localName(tag.name),
      attributes: normaliseAttributes(tag.attributes),
      children: [],
      parent: open,
      text: '',
    };
    if (open) open.children.push(element);
    else root ??= element;
    open = element;
  });
  parser.on('closetag', () => {
    depth--;
    namespaces.pop();
    open = open?.parent ?? null;
  });
  const addText = (piece: string) => {
    if (open) open.text += piece;
  };
  parser.on('text', addText);
  parser.on('cdata', addText);
  parser.on('error', (error) => {
    throw new Refusal({
      kind: 'broken-file',
      line: parser.line,
      column: parser.column,
      detail: error.message.replace(/^\d+:\d+: /, ''),
    });
  });
  try {
    parser.write(text).close();
  } catch (error) {
    if (error instanceof Refusal) return fail(error.problem);
    throw error;
  }
  return root ? succeed(root) : fail({ kind: 'broken-file', line: 1, column: 0, detail: 'no element was found' });
}

/**
 * Drawing programs declare their namespaces as short entities; those are taken, all that point outside or nest are
 * refused.
 */
function admitEntities(doctype: string, entities: Record<string, string>): void {
  for (const [, parameter, name = '', rest = ''] of doctype.matchAll(/<!ENTITY\s+(%\s+)?([^\s"'>]+)\s+([^>]*)>/g)) {
    const quoted = /^(?:"([^"]*)"|'([^']*)')\s*$/.exec(rest);
    const value = quoted?.[1] ?? quoted?.[2];
    if (parameter || value === undefined || value.length > ENTITY_LENGTH_LIMIT || /[&%<]/.test(value))
      throw new Refusal({ kind: 'forbidden-entity', name });
    entities[name] = value;
  }
}

/** The name of elements that another program added for itself: nothing that is drawn is called so. */
const FOREIGN = '#foreign';
/** Old drafts had other years in it. */
const SVG_NAMESPACE = /^https?:\/\/www\.w3\.org\/.*svg/i;

/** Addresses by prefix; '' is the one of names without. */
type Namespaces = ReadonlyMap<string, string>;

function readNamespaces(attributes: Record<string, string>, outer: Namespaces): Namespaces {
  const declared = Object.entries(attributes).flatMap(([name, address]): [string, string][] =>
    name === 'xmlns' ? [['', address]] : name.startsWith('xmlns:') ? [[name.slice(6), address]] : [],
  );
  return declared.length === 0 ? outer : new Map([...outer, ...declared]);
}

/** Of another namespace than SVG's. Prefixes that nobody declared, and files without any namespace, are taken as SVG. */
function isForeign(name: string, namespaces: Namespaces): boolean {
  const colon = name.indexOf(':');
  const address = namespaces.get(colon < 0 ? '' : name.slice(0, colon));
  return address !== undefined && address !== '' && !SVG_NAMESPACE.test(address);
}

const localName = (name: string): string => name.slice(name.indexOf(':') + 1);

function normaliseAttributes(attributes: Record<string, string>): Record<string, string> {
  const plain: Record<string, string> = Object.create(null) as Record<string, string>;
  for (const [name, value] of Object.entries(attributes)) {
    if (name.startsWith('xmlns')) continue;
    // xlink:href and href mean the same; the plain one wins where both stand.
    if (name.endsWith(':href')) plain['href'] ??= value;
    else plain[name] = value;
  }
  return plain;
}
