// Another language: every literal that is read, replaced.
//   npm run -s language                          prints the file a translator fills in, as JSON
//   npm run language -- FILE.json FOLDER         writes the program in that language to a folder
import { execFileSync } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import ts from 'typescript';
import { saidIn, spokenFiles } from './words.ts';

/**
 * What stands for a pattern in the other language; {0}, {1} … stand for what is put in, in any order.
 * Undefined: it stays as it is.
 */
export type Translate = (pattern: string) => string | undefined;

/** A source text with everything a person can read in it in another language. */
export function inLanguage(file: string, source: string, translate: Translate): string {
  const { tree, said } = saidIn(file, source);
  const byNode = new Map<ts.Node, string>();
  for (const { node, pattern } of said) {
    const other = translate(pattern);
    if (other !== undefined && other !== pattern) byNode.set(node, other);
  }
  /** The text of a node, everything within it replaced. */
  const written = (node: ts.Node): string => {
    const other = byNode.get(node);
    if (other !== undefined) return literal(node, other);
    const children: ts.Node[] = [];
    ts.forEachChild(node, (child) => void children.push(child));
    const own = source.slice(node.getFullStart(), node.getEnd());
    let text = '';
    let at = node.getFullStart();
    for (const child of children) {
      text += source.slice(at, child.getFullStart()) + written(child);
      at = child.getEnd();
    }
    return children.length === 0 ? own : text + source.slice(at, node.getEnd());
  };
  const literal = (node: ts.Node, other: string): string => {
    const before = source.slice(node.getFullStart(), node.getStart());
    if (ts.isJsxText(node)) return other.replace(/[{}<>]/g, (c) => `{'${c}'}`);
    if (ts.isTemplateExpression(node)) {
      const parts = other.split(/\{(\d+)\}/).map((part, i) => {
        if (i % 2 === 0) return part.replace(/[\\`]|\$(?=\{)/g, '\\$&');
        const span = node.templateSpans[Number(part)];
        return span ? '${' + written(span.expression) + '}' : '';
      });
      return before + '`' + parts.join('') + '`';
    }
    const text = JSON.stringify(other);
    return before + (ts.isJsxAttribute(node.parent) ? `{${text}}` : text);
  };
  return written(tree);
}

const SIGNS = /\{\d+\}|[A-Za-z]/g;
/** A pretend language: each letter circled, so that any English left shows. */
export const pretended: Translate = (pattern) =>
  pattern.replace(SIGNS, (sign) =>
    sign.length > 1
      ? sign
      : String.fromCodePoint(
          sign >= 'a' ? 0x24d0 + sign.charCodeAt(0) - 97 : 0x24b6 + sign.charCodeAt(0) - 65,
        ),
  );

/** For a bundler: the product's own sources in another language. */
export const languagePlugin = (translate: Translate) => ({
  name: 'language',
  enforce: 'pre' as const,
  transform(code: string, id: string) {
    const file = id.split('?')[0]!;
    return /\/src\/(?:core|ui|app)\/.*\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file)
      ? { code: inLanguage(file, code, translate), map: null }
      : undefined;
  },
});

/** Every pattern mapped to itself: the file a translator starts from. */
export function patterns(root = process.cwd()): Record<string, string> {
  const all = spokenFiles(root).flatMap((file) =>
    saidIn(file, readFileSync(join(root, file), 'utf8')).said.map((s) => s.pattern),
  );
  return Object.fromEntries(all.toSorted().map((pattern) => [pattern, pattern]));
}

/** Writes the program, its own sources in another language, to a folder that is built and run as this one is. */
export function writeTo(folder: string, translate: Translate, root = process.cwd()): number {
  const own = execFileSync('git', ['ls-files'], { cwd: root, encoding: 'utf8' }).trim().split('\n');
  const spoken = new Set(spokenFiles(root));
  for (const file of own) {
    const to = join(folder, file);
    mkdirSync(dirname(to), { recursive: true });
    if (spoken.has(file))
      writeFileSync(to, inLanguage(file, readFileSync(join(root, file), 'utf8'), translate));
    else cpSync(join(root, file), to);
  }
  return own.length;
}

if (process.argv[1]?.endsWith('language.ts')) {
  const [file, folder] = process.argv.slice(2);
  if (!file || !folder) console.log(JSON.stringify(patterns(), null, 1));
  else {
    const words = JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>;
    const count = writeTo(folder, (pattern) => words[pattern]);
    console.log(`${count} files written to ${folder}: \`npm start\` there.`);
  }
}
