// Which declarations a drawing's own style sheets give an element. Simple and compound selectors with descendant and
// child combinators; what else a sheet holds is counted, not guessed.

import * as cssTree from 'css-tree';
import type { XmlElement } from './xml-tree';

type Compound = {
  readonly tag: string | null;
  readonly id: string | null;
  readonly classes: readonly string[];
  readonly attributes: readonly { readonly name: string; readonly value: string | null }[];
  readonly root: boolean;
};
type Rule = {
  /** Right-most compound first; `child` tells whether it must be the direct parent of the one before. */
  readonly steps: readonly { readonly compound: Compound; readonly child: boolean }[];
  readonly specificity: number;
  readonly declarations: readonly Declaration[];
};
export type Declaration = { readonly property: string; readonly value: string; readonly important: boolean };
export type StyleSheet = { readonly rules: readonly Rule[]; readonly unread: readonly string[] };

export function parseStyleSheet(text: string): StyleSheet {
  const rules: Rule[] = [];
  const unread: string[] = [];
  const tree = cssTree.parse(text, { parseValue: false, onParseError: (error) => unread.push(error.message) });
  cssTree.walk(tree, {
    visit: 'Rule',
    enter(node) {
      if (this.atrule) {
        unread.push(`@${this.atrule.name}`);
        return;
      }
      if (node.prelude.type !== 'SelectorList') return;
      const declarations = readDeclarations(node.block);
      node.prelude.children.forEach((selector) => {
        const rule = readSelector(selector, declarations);
        if (rule) rules.push(rule);
        else unread.push(cssTree.generate(selector));
      });
    },
  });
  return { rules, unread };
}

export function parseStyleAttribute(text: string): readonly Declaration[] {
  const tree = cssTree.parse(text, { context: 'declarationList', parseValue: false, onParseError: () => undefined });
  return tree.type === 'DeclarationList' ? readDeclarations(tree) : [];
}

function readDeclarations(block: cssTree.Block | cssTree.DeclarationList): Declaration[] {
  const declarations: Declaration[] = [];
  block.children.forEach((node) => {
    if (node.type === 'Declaration')
      declarations.push({
        property: node.property.toLowerCase(),
        value: cssTree.generate(node.value).trim(),
        important: Boolean(node.important),
      });
  });
  return declarations;
}

function readSelector(selector: cssTree.CssNode, declarations: readonly Declaration[]): Rule | null {
  if (selector.type !== 'Selector') return null;
  const steps: { compound: Compound; child: boolean }[] = [];
  let parts: cssTree.CssNode[] = [];
  let child = false;
  let known = true;
  const finish = () => {
    const compound = readCompound(parts);
    if (compound) steps.unshift({ compound, child: false });
    else known = false;
    parts = [];
  };
  selector.children.forEach((node) => {
    if (node.type !== 'Combinator') return void parts.push(node);
    if (node.name !== ' ' && node.name !== '>') known = false;
    finish();
    child = node.name === '>';
    if (steps[0]) steps[0].child = child;
  });
  finish();
  if (!known) return null;
  const specificity = steps.reduce(
    (sum, { compound }) =>
      sum +
      (compound.id ? 10_000 : 0) +
      (compound.classes.length + compound.attributes.length + (compound.root ? 1 : 0)) * 100 +
      (compound.tag ? 1 : 0),
    0,
  );
  return { steps, specificity, declarations };
}

function readCompound(parts: readonly cssTree.CssNode[]): Compound | null {
  let tag: string | null = null,
    id: string | null = null,
    root = false;
  const classes: string[] = [];
  const attributes: { name: string; value: string | null }[] = [];
  if (parts.length === 0) return null;
  for (const part of parts) {
    if (part.type === 'TypeSelector') tag = part.name === '*' ? null : part.name.slice(part.name.indexOf('|') + 1);
    else if (part.type === 'IdSelector') id = part.name;
    else if (part.type === 'ClassSelector') classes.push(part.name);
    else if (part.type === 'PseudoClassSelector' && part.name === 'root') root = true;
    else if (part.type === 'AttributeSelector' && (part.matcher === null || part.matcher === '=')) {
      const value = part.value === null ? null : part.value.type === 'String' ? part.value.value : part.value.name;
      attributes.push({ name: part.name.name, value });
    } else return null;
  }
  return { tag, id, classes, attributes, root };
}

function matchesCompound(element: XmlElement, compound: Compound): boolean {
  if (compound.root && element.parent) return false;
  if (compound.tag && compound.tag !== element.name) return false;
  if (compound.id && element.attributes['id'] !== compound.id) return false;
  if (compound.classes.length > 0) {
    const own = (element.attributes['class'] ?? '').split(/\s+/);
    if (!compound.classes.every((name) => own.includes(name))) return false;
  }
  return compound.attributes.every(({ name, value }) =>
    value === null ? element.attributes[name] !== undefined : element.attributes[name] === value,
  );
}

function matchesSteps(element: XmlElement, rule: Rule, at: number): boolean {
  const step = rule.steps[at];
  if (!step) return true;
  if (!matchesCompound(element, step.compound)) return false;
  const next = rule.steps[at + 1];
  if (!next) return true;
  // `child` on the further step says that it must be the direct parent.
  for (let above = element.parent; above; above = above.parent) {
    if (matchesSteps(above, rule, at + 1)) return true;
    if (next.child) return false;
  }
  return false;
}

/**
 * The winning value of each property for an element: presentation attributes, sheets by weight, its own style,
 * !important.
 */
export function resolveDeclarations(element: XmlElement, sheets: readonly StyleSheet[]): Map<string, string> {
  const weighted: { declaration: Declaration; weight: number }[] = [];
  for (const [property, value] of Object.entries(element.attributes))
    weighted.push({ declaration: { property, value, important: false }, weight: -1 });
  for (const sheet of sheets) {
    for (const rule of sheet.rules) {
      if (matchesSteps(element, rule, 0))
        for (const declaration of rule.declarations) weighted.push({ declaration, weight: rule.specificity });
    }
  }
  const own = element.attributes['style'];
  if (own) for (const declaration of parseStyleAttribute(own)) weighted.push({ declaration, weight: 1_000_000 });
  weighted.sort((a, b) => Number(a.declaration.important) - Number(b.declaration.important) || a.weight - b.weight);
  return new Map(weighted.map(({ declaration }) => [declaration.property, declaration.value]));
}
