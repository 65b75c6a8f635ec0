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

/** Sentences of one source text. */
export function sentencesIn(file: string, source: string): Sentence[] {
  const tree = ts.createSourceFile(
    file,
    source,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found: Sentence[] = [];
  const say = (node: ts.Node, text: string) => {
    const plain = text.replace(/\s+/g, ' ').trim();
    // Two words at least, or one that stands alone as a label.
    if (!/[A-Za-zÀ-ž]{2,}[^A-Za-z]+[a-zÀ-ž]{2,}/.test(plain) && !/^[A-Z][a-z]{2,}$/.test(plain))
      return;
    if (plain === 'use client') return;
    if (/^[\w./@:-]+$/.test(plain) && !/^[A-Z][a-z]+$/.test(plain)) return;
    const { line } = tree.getLineAndCharacterOfPosition(node.getStart());
    found.push({ file, line: line + 1, text: plain });
  };
  const walk = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxAttribute(node) && UNREAD.has(node.name.getText())) return;
    if (ts.isPropertyAssignment(node) && UNREAD.has(node.name.getText())) return;
    if (ts.isCallExpression(node)) {
      const called = node.expression.getText().split('.').at(-1)!;
      if (NOT_SAID.test(called)) return;
    }
    if (ts.isNewExpression(node) && NOT_SAID.test(node.expression.getText())) return;
    if (ts.isJsxText(node)) say(node, node.text);
    else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node))
      say(node, node.text);
    else if (ts.isTemplateExpression(node)) {
      say(
        node,
        node.head.text +
          node.templateSpans
            .map(
              (s) =>
                `{${s.expression.getText().replace(/\s+/g, ' ').slice(0, 30)}}${s.literal.text}`,
            )
            .join(''),
      );
      node.templateSpans.forEach((s) => walk(s.expression));
      return;
    }
    ts.forEachChild(node, walk);
  };
  walk(tree);
  return found;
}

const SPOKEN = ['src/core', 'src/ui', 'src/server', 'src/db', 'src/cli', 'src/app'];

/** Every sentence of the product, tests aside. */
export function sentences(root = process.cwd()): Sentence[] {
  const files = SPOKEN.flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).map((f) =>
      join(folder, f),
    ),
  ).filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f));
  return files.toSorted().flatMap((f) => sentencesIn(f, readFileSync(join(root, f), 'utf8')));
}

if (process.argv[1]?.endsWith('words.ts')) {
  const pattern = new RegExp(process.argv[2] ?? '', 'i');
  for (const { file, line, text } of sentences())
    if (pattern.test(text)) console.log(`${file}:${line}: ${text}`);
}
