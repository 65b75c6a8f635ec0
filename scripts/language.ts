// Another language: every literal that is read, replaced while the program is built.
import ts from 'typescript';
import { saidIn } from './words';

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
/** A language nobody speaks: each letter in a ring, so that whatever is still English is seen. */
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
