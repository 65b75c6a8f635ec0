// Every sentence a person can meet, with its place: read off the syntax trees. `npm run -s words [-- PATTERN]`
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** Attributes and properties whose text nobody reads. */
const UNREAD = new Set([
  'className',
  'href',
  'd',
  'viewBox',
  'style',
  'data-testid',
  'gridTemplateColumns',
  'accept',
  'key',
  'path',
]);
/** Tagged or called with these, a text is a query, a class or a log for whoever runs the program. */
const NOT_SAID = /^(?:sql|cn|prepare|exec|pragma|querySelector|querySelectorAll|test|match|Error)$/;

export interface Sentence {
  file: string;
  line: number;
  text: string;
}

/** A literal a person reads: its node and its text, with {0}, {1} … for the expressions in it. */
export interface Said {
  node: ts.JsxText | ts.StringLiteralLike | ts.TemplateExpression;
  pattern: string;
}

/** Tables of words by their names: a single small word in one is read, elsewhere it is a code. */
const TABLE = /(?:WORDS|TITLES|NAMES|LABELS|SAYS|Words)$/;
/** Properties whose single word is read. */
const READ = new Set([
  'words',
  'label',
  'title',
  'says',
  'name',
  'plural',
  'more',
  'asks',
  'none',
  'aria-label',
  'go',
  'outing',
  'front',
  'back',
  'edge',
  'turns',
]);

/** Whether a small word is shown: in a table of words, in a property or an attribute that is read, among markup. */
const isShown = (node: ts.Node): boolean => {
  let named = false;
  for (let at = node; at.parent; at = at.parent) {
    const { parent } = at;
    // A list is of codes, unless a table of words or a choice says otherwise.
    if (ts.isArrayLiteralExpression(parent) && !isSecondOfPair(at)) named = true;
    // The nearest property says what it is.
    if (ts.isPropertyAssignment(parent) && !named) {
      if (READ.has(parent.name.getText())) return true;
      named = true;
    }
    if (ts.isJsxAttribute(parent)) return READ.has(parent.name.getText());
    if (ts.isJsxExpression(parent)) continue;
    if (ts.isJsxElement(parent) || ts.isJsxFragment(parent)) return true;
    if (ts.isElementAccessExpression(parent)) return false;
    if (ts.isTemplateSpan(parent)) return / /.test(saidBy(parent.parent));
    if (isSecondOfPair(at)) return true;
    if (ts.isCallExpression(parent)) return SHOWS.has(parent.expression.getText());
    if (ts.isVariableDeclaration(parent)) return TABLE.test(parent.name.getText());
    if (ts.isConditionalExpression(parent) && parent.condition === at) return false;
    if (ts.isBinaryExpression(parent) && !JOINS.has(parent.operatorToken.kind)) return false;
    if (ts.isFunctionLike(parent) || ts.isCallExpression(parent)) return false;
  }
  return false;
};
const JOINS: ReadonlySet<ts.SyntaxKind> = new Set([
  ts.SyntaxKind.AmpersandAmpersandToken,
  ts.SyntaxKind.BarBarToken,
  ts.SyntaxKind.QuestionQuestionToken,
  ts.SyntaxKind.PlusToken,
]);

/** Calls whose string arguments are shown. */
const SHOWS: ReadonlySet<string> = new Set(['flagRow']);

/** In a list of choices, pairs of a code and its word, it is the word. */
const isSecondOfPair = (node: ts.Node): boolean => {
  const pair = node.parent;
  if (!ts.isArrayLiteralExpression(pair) || pair.elements.indexOf(node as ts.Expression) !== 1)
    return false;
  const list = pair.parent;
  if (!ts.isArrayLiteralExpression(list)) return false;
  const { parent } = ts.isAsExpression(list.parent) ? list.parent : list;
  return (
    (ts.isCallExpression(parent) && parent.expression.getText() === 'choiceRow') ||
    (ts.isPropertyAssignment(parent) && parent.name.getText() === 'answers') ||
    (ts.isJsxExpression(parent) &&
      ts.isJsxAttribute(parent.parent) &&
      parent.parent.name.getText() === 'options')
  );
};

/** The words of a template between what is put in. */
const saidBy = ({ head, templateSpans }: ts.TemplateExpression): string =>
  [head.text, ...templateSpans.map((t) => t.literal.text)].join('{}');

/** A list of classes of the style sheet: "btn min-h-9 px-3". */
const isStyle = (text: string): boolean =>
  /[a-z]-(?:[a-z0-9[(]|$)/.test(text) && !/[.,;“]/.test(text);

/** Whether a text is a sentence, a label, a word that is shown, or words between what is put in. */
function isSaid(node: ts.Node, text: string): boolean {
  const plain = text.replace(/\s+/g, ' ').trim();
  if (plain === 'use client' || plain === 'null') return false;
  if (ts.isJsxText(node)) return /\p{L}{2}/u.test(plain);
  if (/^[\w./@:-]+$/.test(plain) && !/^[A-Z][a-z]+$/.test(plain))
    return (
      (/^[A-Za-z-]+$/.test(plain) && isShown(node)) ||
      /^ \(?[a-z]{2,}(?:[ )]|$)|^[a-z]{2,} $/.test(text)
    );
  if (ts.isTemplateExpression(node) || /^[,;:·]/.test(plain))
    return (
      /(?:^|[ ,;:(“·])[A-Za-z]{2,}(?:[ ,;:.)”·]|$)/.test(plain) &&
      /[ ]|^[A-Z]/.test(text) &&
      !isStyle(plain)
    );
  // Words with something between, or one that stands alone as a label.
  return (
    (/ /.test(text) && /[A-Za-zÀ-ž]{2,}/.test(plain) && !isStyle(plain)) ||
    /[A-Za-zÀ-ž]{2,}[^A-Za-z]+[a-zÀ-ž]{2,}/.test(plain) ||
    /^[A-Z][a-z]+[?]?$/.test(plain)
  );
}

/** Literals of one source text that a person can read. */
export function saidIn(file: string, source: string): { tree: ts.SourceFile; said: Said[] } {
  const tree = ts.createSourceFile(
    file,
    source,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const said: Said[] = [];
  const say = (node: Said['node'], pattern: string) => {
    if (isSaid(node, pattern.replace(/\{\d+\}/g, '·'))) said.push({ node, pattern });
  };
  const walk = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    // A key of a table is a code.
    if (
      ts.isStringLiteral(node) &&
      ts.isPropertyAssignment(node.parent) &&
      node.parent.name === node
    )
      return;
    if (ts.isJsxAttribute(node) && UNREAD.has(node.name.getText())) return;
    if (ts.isPropertyAssignment(node) && UNREAD.has(node.name.getText())) return;
    if (ts.isCallExpression(node)) {
      const called = node.expression.getText().split('.').at(-1)!;
      if (NOT_SAID.test(called)) return;
    }
    if (ts.isNewExpression(node) && NOT_SAID.test(node.expression.getText())) return;
    if (ts.isJsxText(node) || ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node))
      say(node, node.text);
    else if (ts.isTemplateExpression(node)) {
      say(
        node,
        node.head.text + node.templateSpans.map((s, i) => `{${i}}${s.literal.text}`).join(''),
      );
      node.templateSpans.forEach((s) => walk(s.expression));
      return;
    }
    ts.forEachChild(node, walk);
  };
  walk(tree);
  return { tree, said };
}

/** Sentences of one source text. */
export function sentencesIn(file: string, source: string): Sentence[] {
  const { tree, said } = saidIn(file, source);
  return said.map(({ node, pattern }) => {
    const { line } = tree.getLineAndCharacterOfPosition(node.getStart());
    const spans = ts.isTemplateExpression(node) ? node.templateSpans : [];
    const text = pattern
      .replace(/\{(\d+)\}/g, (whole, i: string) => {
        const put = spans[Number(i)];
        return put ? `{${put.expression.getText().replace(/\s+/g, ' ').slice(0, 30)}}` : whole;
      })
      .replace(/\s+/g, ' ')
      .trim();
    return { file, line: line + 1, text };
  });
}

const SPOKEN = ['src/core', 'src/ui', 'src/server', 'src/db', 'src/cli', 'src/app'];

/** Sources in which something is said, tests aside. */
export function spokenFiles(root = process.cwd()): string[] {
  return SPOKEN.flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).map((f) =>
      join(folder, f),
    ),
  )
    .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f))
    .toSorted();
}

/** Every sentence of the product. */
export const sentences = (root = process.cwd()): Sentence[] =>
  spokenFiles(root).flatMap((f) => sentencesIn(f, readFileSync(join(root, f), 'utf8')));

if (process.argv[1]?.endsWith('words.ts')) {
  const pattern = new RegExp(process.argv[2] ?? '', 'i');
  for (const { file, line, text } of sentences())
    if (pattern.test(text)) console.log(`${file}:${line}: ${text}`);
}
