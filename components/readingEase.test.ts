import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';
import { easeOf, median, sentencesOf, wordsOf } from '../tests/readingEase';

/** Attributes of an element that are read by no person. */
const UNREAD = new Set(['className', 'href', 'id', 'd', 'key', 'viewBox', 'transform', 'name', 'role', 'data-measure']);

/** What a person reads of a node; a figure or a name that comes at run time stands as "ten". */
function textOf(node: ts.Node): string {
  if (ts.isJsxText(node)) return node.text.replaceAll(/\s+/g, ' ').replaceAll(/&[lr]?[aq]?\w*;/g, '’');
  if (ts.isStringLiteralLike(node)) return node.text;
  if (ts.isTemplateExpression(node))
    return node.head.text + node.templateSpans.map(({ literal }) => ` ten ${literal.text}`).join('');
  if (ts.isJsxExpression(node)) return node.expression ? textOf(node.expression) : '';
  if (ts.isParenthesizedExpression(node)) return textOf(node.expression);
  if (ts.isConditionalExpression(node)) return textOf(node.whenTrue);
  if (ts.isBinaryExpression(node)) return textOf(node.right);
  if (ts.isJsxElement(node) || ts.isJsxFragment(node)) return node.children.map(textOf).join('');
  if (ts.isJsxSelfClosingElement(node)) return '';
  return ' ten ';
}

/** Everything that a file says: the text of its elements, each as a whole, and what else stands in quotes. */
function saidBy(path: string): readonly string[] {
  const said: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxAttribute(node) && UNREAD.has(node.name.getText())) return;
    if (ts.isJsxElement(node)) {
      const holdsElements = node.children.some(
        (child) => ts.isJsxElement(child) && /^(p|div|ul|ol|li|section)$/.test(child.openingElement.tagName.getText()),
      );
      if (!holdsElements) said.push(textOf(node));
    } else if (ts.isStringLiteralLike(node) || ts.isTemplateExpression(node)) said.push(textOf(node));
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX));
  return said;
}

const files = readdirSync('components', { recursive: true, encoding: 'utf8' })
  .filter((path) => /\.tsx?$/.test(path) && !/\.test\.|worker/.test(path))
  .map((path) => `components/${path}`);
/** Sentences that a person reads: what is in quotes for the machine has no full stop, or no spaces. */
const sentencesIn = (paths: readonly string[]): readonly string[] =>
  [
    ...new Set(
      paths
        .flatMap(saidBy)
        .flatMap(sentencesOf)
        .map((each) => each.replaceAll(/\s+/g, ' ').trim()),
    ),
  ].filter((each) => /[.!?:;]$/.test(each) && /^[\p{Lu}\p{L}"“]/u.test(each));

describe('what the pages say', () => {
  it('is plain English in the median', () => {
    const eases = sentencesIn(files).map(easeOf);
    console.info(`sentences ${eases.length}, median reading ease ${median(eases).toFixed(0)}`);
    expect(eases.length).toBeGreaterThan(400);
    expect(median(eases)).toBeGreaterThanOrEqual(60);
  });

  it('has no sentence of more than twenty words in bench mode', () => {
    const bench = files.filter((path) => /Bench\.tsx$|components\/bench\//.test(path));
    const long = sentencesIn(bench).filter((sentence) => wordsOf(sentence).length > 20);
    expect(long).toEqual([]);
  });
});
